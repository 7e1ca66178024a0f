import { duplicateEntry as find } from "../../../citations/text-rules/list.ts";
import type { Check } from "../../check.ts";
import { citedCheck } from "../cited-check.ts";
import { duplicateEntry as card } from "./cards.ts";

export const duplicateEntry: Check = citedCheck(card, find);
