import { yearLetter as find } from "../../../citations/text-rules/ties.ts";
import type { Check } from "../../check.ts";
import { citedCheck } from "../cited-check.ts";
import { yearLetter as card } from "./cards.ts";

export const yearLetter: Check = citedCheck(card, find);
