import { pinpointForm as find } from "../../../citations/text-rules/form.ts";
import type { Check } from "../../check.ts";
import { citedCheck } from "../cited-check.ts";
import { pinpointForm as card } from "./cards.ts";

export const pinpointForm: Check = citedCheck(card, find);
