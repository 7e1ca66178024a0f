import { pageRange as find } from "../../../citations/rules/page-range.ts";
import type { Check } from "../../check.ts";
import { entryCheck } from "../cited-check.ts";
import { pageRange as card } from "./cards.ts";

export const pageRange: Check = entryCheck(card, find);
