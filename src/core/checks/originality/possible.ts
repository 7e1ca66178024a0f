import type { Check } from "../check.ts";
import * as cards from "./cards.ts";

export const possible: Check = { ...cards.possible, examine: () => [], overlaps: "possible" };
