import { doiForm as find } from "../../../citations/rules/doi-form.ts";
import type { Check } from "../../check.ts";
import { entryCheck } from "../cited-check.ts";
import { doiForm as card } from "./cards.ts";

export const doiForm: Check = entryCheck(card, find);
