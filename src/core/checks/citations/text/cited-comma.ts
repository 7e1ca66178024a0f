import { citedComma as find } from "../../../citations/text-rules/form.ts";
import type { Check } from "../../check.ts";
import { citedCheck } from "../cited-check.ts";
import { citedComma as card } from "./cards.ts";

export const citedComma: Check = citedCheck(card, find);
