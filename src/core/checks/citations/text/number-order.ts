import { numberOrder as find } from "../../../citations/text-rules/numbers.ts";
import type { Check } from "../../check.ts";
import { citedCheck } from "../cited-check.ts";
import { numberOrder as card } from "./cards.ts";

export const numberOrder: Check = citedCheck(card, find);
