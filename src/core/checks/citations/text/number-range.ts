import { numberRange as find } from "../../../citations/text-rules/numbers.ts";
import type { Check } from "../../check.ts";
import { citedCheck } from "../cited-check.ts";
import { numberRange as card } from "./cards.ts";

export const numberRange: Check = citedCheck(card, find);
