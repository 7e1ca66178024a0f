import { authorForm as find } from "../../../citations/rules/author-form.ts";
import type { Check } from "../../check.ts";
import { entryCheck } from "../cited-check.ts";
import { authorForm as card } from "./cards.ts";

export const authorForm: Check = entryCheck(card, find);
