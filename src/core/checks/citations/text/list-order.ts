import { listOrder as find } from "../../../citations/text-rules/list.ts";
import type { Check } from "../../check.ts";
import { citedCheck } from "../cited-check.ts";
import { listOrder as card } from "./cards.ts";

export const listOrder: Check = citedCheck(card, find);
