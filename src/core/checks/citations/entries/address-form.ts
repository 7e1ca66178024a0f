import { addressForm as find } from "../../../citations/rules/address-form.ts";
import type { Check } from "../../check.ts";
import { entryCheck } from "../cited-check.ts";
import { addressForm as card } from "./cards.ts";

export const addressForm: Check = entryCheck(card, find);
