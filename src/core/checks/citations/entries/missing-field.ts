import { missingField as find } from "../../../citations/rules/missing-field.ts";
import type { Check } from "../../check.ts";
import { entryCheck } from "../cited-check.ts";
import { missingField as card } from "./cards.ts";

export const missingField: Check = entryCheck(card, find);
