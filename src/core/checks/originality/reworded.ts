import type { Check } from "../check.ts";
import * as cards from "./cards.ts";

export const reworded: Check = { ...cards.reworded, examine: () => [], overlaps: "reworded" };
