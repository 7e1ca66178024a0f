import { accessDate as find } from "../../../citations/rules/access-date.ts";
import type { Check } from "../../check.ts";
import { entryCheck } from "../cited-check.ts";
import { accessDate as card } from "./cards.ts";

export const accessDate: Check = entryCheck(card, find);
