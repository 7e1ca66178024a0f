import { publisherPlace as find } from "../../../citations/rules/publisher-place.ts";
import type { Check } from "../../check.ts";
import { entryCheck } from "../cited-check.ts";
import { publisherPlace as card } from "./cards.ts";

export const publisherPlace: Check = entryCheck(card, find);
