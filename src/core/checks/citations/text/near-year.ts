import { nearYear as find } from "../../../citations/text-rules/ties.ts";
import type { Check } from "../../check.ts";
import { citedCheck } from "../cited-check.ts";
import { nearYear as card } from "./cards.ts";

export const nearYear: Check = citedCheck(card, find);
