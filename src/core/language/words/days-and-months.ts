import { wordList } from "./word-lists.ts";

/** Names of days and months in small letters, which no dictionary has so. */
const NAMES = wordList("days-and-months/names");
/** Words of their own as well. */
const AMBIGUOUS = new Set(["march", "may", "august"]);

/** Whether a word in small letters can be nothing but the name of a day or month. */
export function isDayOrMonth(word: string): boolean {
  return NAMES.has(word);
}

/** Whether a word in small letters may be the name of a month. */
export function mayBeMonth(word: string): boolean {
  return AMBIGUOUS.has(word);
}
