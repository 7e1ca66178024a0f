import { dictionaryBits } from "./known.ts";
import type { Lexicon } from "./lexicon.ts";

/** How the capitals of a word are wrong. */
export type StrayCapitals = "two" | "caps-lock" | "inside";

/**
 * What is wrong with the capitals of a word without hyphens: two at its start ("THe"), the shift
 * inverted ("tHE"), or some inside ("harBour"). Null for a word that is right, that no dictionary
 * has in small letters, or that is written so on purpose ("TVs", "McKay", "iPad").
 */
export function strayCapitals(word: string, lexicon: Lexicon): StrayCapitals | null {
  if (word.length < 3 || !/\p{Ll}/u.test(word) || !/.\p{Lu}/u.test(word)) return null;
  if (dictionaryBits(word, lexicon) !== 0 || /^(?:Mc|Mac|O['’]|D['’])\p{Lu}/u.test(word)) {
    return null;
  }
  const lower = word.toLowerCase();
  const capital = (lower[0] ?? "").toUpperCase() + lower.slice(1);
  const known = [lower, capital].some((form) => lexicon.varieties(form) && !lexicon.isRare(form));
  if (!known) return null;
  if (/^\p{Lu}{2}\p{Ll}{2,}$/u.test(word)) return "two";
  if (/^\p{Lu}{2}\p{Ll}$/u.test(word) && lexicon.frequency(lower) >= COMMON) return "two";
  if (/^\p{Ll}\p{Lu}{2,}$/u.test(word)) return "caps-lock";
  // One capital inside is how products are named: "eBook", "tideLog".
  return /^\p{L}?\p{Ll}*\p{Lu}\p{Ll}+$/u.test(word) && lexicon.frequency(lower) >= COMMON
    ? "inside"
    : null;
}

/** log2 of occurrences in 50 million words. */
const COMMON = 9;

/** The word with the capitals it should have. */
export function withoutStrayCapitals(word: string, wrong: StrayCapitals): string {
  const lower = word.toLowerCase();
  const first = word[0] ?? "";
  const capital =
    wrong === "caps-lock" ? first === first.toLowerCase() : first !== first.toLowerCase();
  return capital ? first.toUpperCase() + lower.slice(1) : lower;
}
