import { neverCited as find } from "../../../citations/text-rules/ties.ts";
import type { Check } from "../../check.ts";
import { citedCheck } from "../cited-check.ts";
import { neverCited as card } from "./cards.ts";

export const neverCited: Check = citedCheck(card, find);
