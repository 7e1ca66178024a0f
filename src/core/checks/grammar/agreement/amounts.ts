import type { NounGroup, Syntax } from "../../../language/phrases/syntax.ts";
import { TAG } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";

/** Plurals that are one sum, and nouns that end like plurals. */
export const SUMS = wordList("amounts/sums");

/** What is measured out: lengths, times, weights, money. */
const MEASURES = wordList("amounts/measures");

/** "Three metres of water is enough", "ten dollars was too much": so much of something, taken as one. */
export function isAmount({ words, tags }: Syntax, { from, to, head }: NounGroup): boolean {
  if (!MEASURES.has(words[head]?.form ?? "")) return false;
  for (let at = from; at < to; at++) {
    if (tags[at] === TAG.CD) return tags[from] !== TAG.DT;
  }
  return false;
}
