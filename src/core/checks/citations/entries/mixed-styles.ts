import { mixedStyles as find } from "../../../citations/rules/mixed-styles.ts";
import type { Check } from "../../check.ts";
import { entryCheck } from "../cited-check.ts";
import { mixedStyles as card } from "./cards.ts";

export const mixedStyles: Check = entryCheck(card, find);
