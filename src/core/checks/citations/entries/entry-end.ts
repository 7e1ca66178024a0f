import { entryEnd as find } from "../../../citations/rules/entry-end.ts";
import type { Check } from "../../check.ts";
import { entryCheck } from "../cited-check.ts";
import { entryEnd as card } from "./cards.ts";

export const entryEnd: Check = entryCheck(card, find);
