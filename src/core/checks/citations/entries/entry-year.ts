import { entryYear as find } from "../../../citations/rules/entry-year.ts";
import type { Check } from "../../check.ts";
import { entryCheck } from "../cited-check.ts";
import { entryYear as card } from "./cards.ts";

export const entryYear: Check = entryCheck(card, find);
