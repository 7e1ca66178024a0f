import { noEntry as find } from "../../../citations/text-rules/ties.ts";
import type { Check } from "../../check.ts";
import { citedCheck } from "../cited-check.ts";
import { noEntry as card } from "./cards.ts";

export const noEntry: Check = citedCheck(card, find);
