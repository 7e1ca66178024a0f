import type { Check } from "../check.ts";
import * as cards from "./cards.ts";

export const lightlyChanged: Check = {
  ...cards.lightlyChanged,
  examine: () => [],
  overlaps: "near",
};
