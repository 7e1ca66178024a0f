import { citedNames as find } from "../../../citations/text-rules/form.ts";
import type { Check } from "../../check.ts";
import { citedCheck } from "../cited-check.ts";
import { citedNames as card } from "./cards.ts";

export const citedNames: Check = citedCheck(card, find);
