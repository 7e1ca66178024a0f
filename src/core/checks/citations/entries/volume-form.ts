import { volumeForm as find } from "../../../citations/rules/volume-form.ts";
import type { Check } from "../../check.ts";
import { entryCheck } from "../cited-check.ts";
import { volumeForm as card } from "./cards.ts";

export const volumeForm: Check = entryCheck(card, find);
