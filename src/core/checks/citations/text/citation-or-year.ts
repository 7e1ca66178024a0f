import { citationOrYear as find } from "../../../citations/text-rules/ties.ts";
import type { Check } from "../../check.ts";
import { citedCheck } from "../cited-check.ts";
import { citationOrYear as card } from "./cards.ts";

export const citationOrYear: Check = citedCheck(card, find);
