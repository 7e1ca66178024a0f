import { titleItalics as find } from "../../../citations/rules/title-italics.ts";
import type { Check } from "../../check.ts";
import { entryCheck } from "../cited-check.ts";
import { titleItalics as card } from "./cards.ts";

export const titleItalics: Check = entryCheck(card, find);
