import { titleCapitals as find } from "../../../citations/rules/title-capitals.ts";
import type { Check } from "../../check.ts";
import { entryCheck } from "../cited-check.ts";
import { titleCapitals as card } from "./cards.ts";

export const titleCapitals: Check = entryCheck(card, find);
