import { ibidem as find } from "../../../citations/text-rules/notes.ts";
import type { Check } from "../../check.ts";
import { citedCheck } from "../cited-check.ts";
import { ibidem as card } from "./cards.ts";

export const ibidem: Check = citedCheck(card, find);
