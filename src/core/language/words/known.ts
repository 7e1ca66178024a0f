import type { Variety } from "../../manuscript/model.ts";
import { mayBeMonth } from "./days-and-months.ts";
import { type IrregularForms, lemmasOf, regularForms } from "./lemmas.ts";
import { ADJECTIVE, ALL_VARIETIES, type Lexicon, VARIETY_BITS } from "./lexicon.ts";
import { otherWord } from "./us-and-gb-words.ts";
import { wordList } from "./word-lists.ts";

/** What the dictionaries say about a word. */
export type Verdict = "known" | "other-variety" | "unknown";

/** First parts of hyphenated words that are not words by themselves: co-operate, non-linear. */
const PREFIXES = wordList("known/prefixes");

/** Last parts that any noun takes: tide-like, gull-less, seawards. */
const SUFFIXES = ["like", "less", "wise", "ward", "wards", "fold", "proof", "ness", "ship", "free"];

/** Beside the variety bits of a word: a check asks about it, though every dictionary has it. */
export const ASKED_ABOUT = 32;

/** Bits of the varieties whose dictionaries have a word, possessive or not, by `VARIETY_BITS`. */
export function dictionaryBits(written: string, lexicon: Lexicon): number {
  return wordBits(written, lexicon) & ALL_VARIETIES;
}

/** The variety bits of a word, and ASKED_ABOUT for a month or a word of one side of the ocean. */
export function wordBits(written: string, lexicon: Lexicon): number {
  return lexicon.remember(written, () => {
    const word = written.replaceAll("\u00ad", "").replaceAll("’", "'").normalize("NFC");
    const base = withoutPossessive(word);
    let bits = lexicon.varietiesInText(word);
    if (base !== word) bits |= lexicon.varietiesInText(base);
    const lower = base.toLowerCase();
    return mayBeMonth(lower) || otherWord(lower) !== null ? bits | ASKED_ABOUT : bits;
  });
}

/** Whether a word without hyphens is in the dictionary of a variety, or only in another one's. */
export function judgeWord(word: string, lexicon: Lexicon, variety: Variety): Verdict {
  return verdictOf(dictionaryBits(word, lexicon), variety);
}

/** What variety bits say for one variety. */
export function verdictOf(bits: number, variety: Variety): Verdict {
  if (bits & VARIETY_BITS[variety]) return "known";
  return bits === 0 ? "unknown" : "other-variety";
}

/** Whether a part of a hyphenated word may stand there without being a word itself. */
export function isPrefix(part: string): boolean {
  return PREFIXES.has(part.toLowerCase());
}

/** Shorter words are too easily made by chance. */
const DERIVED_BASE = 4;

/**
 * Whether a lower-case word is built from a known word: by a prefix or suffix that any word takes,
 * or by regular inflection where the language has no irregular form.
 */
export function isDerived(
  word: string,
  { lexicon, irregular }: { lexicon: Lexicon; irregular: IrregularForms },
): boolean {
  if (isInflected(word, lexicon, irregular)) return true;
  const isBase = (base: string) =>
    base.length >= DERIVED_BASE && lexicon.varieties(base) > 0 && !lexicon.isRare(base);
  for (let cut = 2; cut <= word.length - DERIVED_BASE && cut <= 7; cut++) {
    if (PREFIXES.has(word.slice(0, cut)) && isBase(word.slice(cut))) return true;
  }
  return SUFFIXES.some((suffix) => {
    if (!word.endsWith(suffix)) return false;
    const base = word.slice(0, -suffix.length);
    return isBase(base) || (base.endsWith("i") && isBase(`${base.slice(0, -1)}y`));
  });
}

function isInflected(word: string, lexicon: Lexicon, irregular: IrregularForms): boolean {
  const exists = (lemma: string, trait: number) =>
    lemma.length >= DERIVED_BASE && (lexicon.traits(lemma) & trait) !== 0;
  // "truly" and "wholly" lose a letter; other adjectives simply take -ly.
  if (/[^leuy]ly$/.test(word) && exists(word.slice(0, -2), ADJECTIVE)) return true;
  return lemmasOf(word, irregular, exists).some(
    ({ lemma, inflection }) =>
      inflection !== null &&
      irregular.lemmasOf(lemma).length === 0 &&
      irregular.formsOf(lemma, inflection).length === 0 &&
      regularForms(lemma, inflection)[0] === word &&
      regularForms(lemma, inflection).every((form) => lexicon.varieties(form) === 0),
  );
}

/** "tide's" and "tides'" are as right as the word they end. */
export function withoutPossessive(word: string): string {
  return word.replace(/(?:'s|(?<=s)')$/i, "");
}
