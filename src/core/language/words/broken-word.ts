import type { Token } from "../text/tokens.ts";
import { dictionaryBits } from "./known.ts";
import type { Lexicon } from "./lexicon.ts";

/** "pre- and post-war": the hyphen stands for a part that comes later. */
const SUSPENDED = /^(?:and|or|to|nor|but|versus|vs)$/i;

/**
 * The word that a hyphen and a space at token `index` break in two, with the place of the whole;
 * null where there is none, or where the parts join to no known word.
 */
export function brokenWordAt(
  text: string,
  tokens: readonly Token[],
  index: number,
  lexicon: Lexicon,
): { from: number; to: number; joined: string } | null {
  const hyphen = tokens[index];
  const before = tokens[index - 1];
  const after = tokens[index + 1];
  if (hyphen?.kind !== "punctuation" || !/^[-\u2010]$/.test(text[hyphen.from] ?? "")) {
    return null;
  }
  if (before?.kind !== "word" || after?.kind !== "word" || before.to !== hyphen.from) return null;
  if (!/^[ \u2028]+$/.test(text.slice(hyphen.to, after.from))) return null;
  const right = text.slice(after.from, after.to);
  if (SUSPENDED.test(right) || !/^\p{Ll}+$/u.test(right)) return null;
  const joined = text.slice(before.from, before.to) + right;
  if (dictionaryBits(joined, lexicon) === 0) return null;
  return { from: before.from, to: after.to, joined };
}
