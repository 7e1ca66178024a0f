import { titleQuotes as find } from "../../../citations/rules/title-quotes.ts";
import type { Check } from "../../check.ts";
import { entryCheck } from "../cited-check.ts";
import { titleQuotes as card } from "./cards.ts";

export const titleQuotes: Check = entryCheck(card, find);
