import { noteOrder as find } from "../../../citations/text-rules/notes.ts";
import type { Check } from "../../check.ts";
import { citedCheck } from "../cited-check.ts";
import { noteOrder as card } from "./cards.ts";

export const noteOrder: Check = citedCheck(card, find);
