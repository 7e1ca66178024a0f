import type { Variety } from "../manuscript/model.ts";
import { type Lexicon, VARIETY_BITS } from "./lexicon.ts";

/** What the dictionaries say about a word. */
export type Verdict = "known" | "other-variety" | "unknown";

/** First parts of hyphenated words that are not words by themselves: co-operate, non-linear. */
const PREFIXES = new Set(
  "anti bi co counter de ex extra inter intra macro micro mid mini mis mono multi neo non over para poly post pre pro pseudo quasi re semi sub super trans tri ultra un under vice".split(
    " ",
  ),
);

/** Bits of the varieties whose dictionaries have a word, possessive or not, by `VARIETY_BITS`. */
export function dictionaryBits(written: string, lexicon: Lexicon): number {
  return lexicon.remember(written, () => {
    const word = written.replaceAll("\u00ad", "").replaceAll("’", "'").normalize("NFC");
    const base = withoutPossessive(word);
    const bits = lexicon.varietiesInText(word);
    return base === word ? bits : bits | lexicon.varietiesInText(base);
  });
}

/** Whether a word without hyphens is in the dictionary of a variety, or only in another one's. */
export function judgeWord(word: string, lexicon: Lexicon, variety: Variety): Verdict {
  const bits = dictionaryBits(word, lexicon);
  if (bits & VARIETY_BITS[variety]) return "known";
  if (bits === 0) return "unknown";
  return variety === "en-GB" && isOxfordSpelling(word, lexicon) ? "known" : "other-variety";
}

/** Whether a part of a hyphenated word may stand there without being a word itself. */
export function isPrefix(part: string): boolean {
  return PREFIXES.has(part.toLowerCase());
}

/** "tide's" and "tides'" are as right as the word they end. */
export function withoutPossessive(word: string): string {
  return word.replace(/(?:'s|(?<=s)')$/i, "");
}

/**
 * -ize spelling is as British as -ise (Oxford English Dictionary; common practice in scientific
 * publishing), while the British list here holds -ise only.
 */
function isOxfordSpelling(word: string, lexicon: Lexicon): boolean {
  const other = word.replace(/iz(?=e|ing|ation|able)/i, "is");
  return other !== word && (lexicon.varietiesInText(other) & VARIETY_BITS["en-GB"]) !== 0;
}
