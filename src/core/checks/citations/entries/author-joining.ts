import { authorJoining as find } from "../../../citations/rules/author-joining.ts";
import type { Check } from "../../check.ts";
import { entryCheck } from "../cited-check.ts";
import { authorJoining as card } from "./cards.ts";

export const authorJoining: Check = entryCheck(card, find);
