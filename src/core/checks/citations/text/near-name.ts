import { nearName as find } from "../../../citations/text-rules/ties.ts";
import type { Check } from "../../check.ts";
import { citedCheck } from "../cited-check.ts";
import { nearName as card } from "./cards.ts";

export const nearName: Check = citedCheck(card, find);
