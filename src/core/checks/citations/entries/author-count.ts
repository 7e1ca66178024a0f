import { authorCount as find } from "../../../citations/rules/author-count.ts";
import type { Check } from "../../check.ts";
import { entryCheck } from "../cited-check.ts";
import { authorCount as card } from "./cards.ts";

export const authorCount: Check = entryCheck(card, find);
