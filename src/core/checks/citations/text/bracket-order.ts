import { bracketOrder as find } from "../../../citations/text-rules/form.ts";
import type { Check } from "../../check.ts";
import { citedCheck } from "../cited-check.ts";
import { bracketOrder as card } from "./cards.ts";

export const bracketOrder: Check = citedCheck(card, find);
