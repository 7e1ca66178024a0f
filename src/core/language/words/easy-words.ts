import { daleChall } from "dale-chall";
import { spache } from "spache";
import { type IrregularForms, lemmasOf } from "./lemmas.ts";
import type { Lexicon } from "./lexicon.ts";

/**
 * The word lists of two published measures: Chall and Dale, "Readability Revisited" (1995), some 3,000
 * words that four fifths of fourth graders knew; and Spache's revised list (1974), some 1,000.
 */
const LISTS = {
  daleChall: new Set(daleChall.map((word) => word.toLowerCase())),
  spache: new Set(spache.map((word) => word.toLowerCase())),
};

export type EasyList = keyof typeof LISTS;

/**
 * Tells whether a lower-case word is on a list, or an inflection of one that is: both measures count
 * plurals, possessives and the regular forms of verbs and adjectives as the words they come from.
 */
export function isEasy(
  word: string,
  list: EasyList,
  irregular: IrregularForms,
  lexicon: Lexicon,
): boolean {
  const words = LISTS[list];
  const bare = word.replaceAll("’", "'");
  if (words.has(bare)) return true;
  const owner = bare.replace(/'s?$/, "");
  if (words.has(owner)) return true;
  const exists = (lemma: string, trait: number) =>
    words.has(lemma) && (lexicon.traits(lemma) & trait) !== 0;
  return lemmasOf(owner, irregular, exists).some(({ lemma }) => words.has(lemma));
}
