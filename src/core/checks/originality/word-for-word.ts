import type { Check } from "../check.ts";
import * as cards from "./cards.ts";

export const wordForWord: Check = {
  ...cards.wordForWord,
  examine: () => [],
  overlaps: "identical",
};
