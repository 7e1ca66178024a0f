import { editionForm as find } from "../../../citations/rules/edition-form.ts";
import type { Check } from "../../check.ts";
import { entryCheck } from "../cited-check.ts";
import { editionForm as card } from "./cards.ts";

export const editionForm: Check = entryCheck(card, find);
