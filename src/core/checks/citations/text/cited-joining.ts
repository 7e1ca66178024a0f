import { citedJoining as find } from "../../../citations/text-rules/form.ts";
import type { Check } from "../../check.ts";
import { citedCheck } from "../cited-check.ts";
import { citedJoining as card } from "./cards.ts";

export const citedJoining: Check = citedCheck(card, find);
