import type { Language } from "../../language/analysis.ts";
import { oncePerBlock } from "../../language/per-block.ts";
import type { Syntax } from "../../language/phrases/syntax.ts";
import { valueOfOrdinal, valueOfWords } from "../../language/words/number-words.ts";
import { wordList } from "../../language/words/word-lists.ts";
import type { Word } from "../../language/words/words.ts";
import { ONLY_PREFIXES, PREFIXES } from "./terms/prefixes.ts";

/**
 * What each word of a block may be to the checks of forms, told once for all of them: most words are
 * nothing to any, and a check looks at its own signs alone.
 */

/** Written with a hyphen. */
export const HYPHENED = 1;
/** A prefix and a word in one piece: "nonlinear". */
export const PREFIXED = 2;
/** A number in words or figures, or an ordinal. */
export const COUNTED = 4;
/** Has letters with accents, or lacks them where others have them. */
export const ACCENTED = 8;
/** May be a compound in one piece. */
export const CLOSED = 16;
/** Small letters of the alphabet alone. */
export const LETTERS = 32;
/** A prefix that is no word itself, by itself: "non linear". */
export const ALONE = 64;
/** One of several spellings of a word that one dictionary has. */
export const VARIANT = 128;
/** The second word of a full form that has a short one: "not", "is". */
export const FULL = 256;
/** May end a phrase of another language. */
export const FOREIGN = 1024;
/** An abbreviation in small letters: "etc", "e.g". */
export const SHORTENED = 2048;
/** What the word is, without regard to the letters: capitals and figures have their own. */
const TOLD = 512;

/** Words that one dictionary has in two spellings, with the first of these. Each line of the list is one word. */
export const VARIANT_OF: ReadonlyMap<string, string> = new Map(
  [...wordList("spelling/variants")].flatMap((line) => {
    const forms = line.split(" ");
    return forms.map((form) => [form, forms[0] ?? ""]);
  }),
);
const FOREIGN_ENDS = new Set(
  [...wordList("italics/foreign")].map((phrase) => phrase.slice(phrase.lastIndexOf(" ") + 1)),
);
const SHORT_FORMS = new Set(
  [...wordList("points/shortened")].map((form) => form.replaceAll(".", "").toLowerCase()),
);
const FULL_FORMS = new Set("not is are am have cannot".split(" "));
/** Words taken over with their accents that are met without them too; without them here. */
const WITHOUT = wordList("accents/without");
const SHORTEST_ACCENTED = 4;
/** Letters of a word that a prefix may stand before. */
const SHORTEST_REST = 3;
const LONGEST_PREFIX = 7;
const SHORTEST_CLOSED = 6;
/** What stands after "e" for electronic. */
const E_WORDS = new Set("mail mails mailed mailing book books commerce learning".split(" "));
const PARTICLE_ENDINGS = ["up", "down", "in", "out", "off", "over", "back"];

const ofWords = new WeakMap<Word, number>();

/** The signs of a block's words, by their units. */
export const signsOf = oncePerBlock(
  (_block, { words }: Syntax, language: Language): Uint16Array => {
    const signs = new Uint16Array(words.length);
    for (let at = 0; at < words.length; at++) {
      const word = words[at];
      if (word) signs[at] = signsOfWord(word, language);
    }
    return signs;
  },
);

function signsOfWord(word: Word, language: Language): number {
  const known = ofWords.get(word);
  if (known !== undefined) return known;
  const { form, traits } = word;
  let signs = TOLD;
  if (form.includes("-")) signs |= HYPHENED;
  if (form === "#" || valueOfWords(form) !== null || valueOfOrdinal(form) !== null)
    signs |= COUNTED;
  if (form.length >= SHORTEST_ACCENTED && (WITHOUT.has(form) || withoutAccents(form) !== form)) {
    signs |= ACCENTED;
  }
  if (FOREIGN_ENDS.has(form)) signs |= FOREIGN;
  if (SHORT_FORMS.has(form.includes(".") ? form.replaceAll(".", "") : form)) signs |= SHORTENED;
  if (/^\p{Ll}+$/u.test(form)) {
    signs |= LETTERS;
    if (ONLY_PREFIXES.has(form)) signs |= ALONE;
    if (VARIANT_OF.has(form)) signs |= VARIANT;
    if (FULL_FORMS.has(form)) signs |= FULL;
    if (hasPrefix(form, language)) signs |= PREFIXED;
    if (mayBeClosed(form, traits, language)) signs |= CLOSED;
  }
  ofWords.set(word, signs);
  return signs;
}

/** A word without the marks over and under its letters. */
export function withoutAccents(form: string): string {
  return /[\u0080-\uffff]/.test(form) ? form.normalize("NFD").replace(/\p{M}/gu, "") : form;
}

/** Whether a word in one piece is a prefix and a word: "nonlinear", but not "notice". */
function hasPrefix(form: string, { lexicon }: Language): boolean {
  if (form.length < SHORTEST_REST + 2) return false;
  for (let cut = 1; cut <= Math.min(LONGEST_PREFIX, form.length - SHORTEST_REST); cut++) {
    if (!PREFIXES.has(form.slice(0, cut))) continue;
    const rest = form.slice(cut);
    if (cut === 1 ? E_WORDS.has(rest) : lexicon.varieties(rest) !== 0) return true;
  }
  return false;
}

/** A word in one piece that the dictionaries know as a compound, or that they do not know at all. */
function mayBeClosed(form: string, traits: number, language: Language): boolean {
  const { lexicon, compounds, words } = language;
  if (form.length < SHORTEST_CLOSED) return false;
  if (traits === 0) return lexicon.varietiesInText(form) === 0;
  if (compounds.has(words.noun(form))) return true;
  if (isOfTwoWords(form, language)) return true;
  // "setup", "login": a verb and its particle in one piece.
  return PARTICLE_ENDINGS.some(
    (particle) =>
      form.endsWith(particle) && lexicon.varieties(form.slice(0, -particle.length)) !== 0,
  );
}

/** Letters of a part, and how common it is, by log2 of its count in 50 million words. */
const SHORTEST_PART = 3;
const COMMON_PART = 7;

/** Two common words in one piece: "policymaker". Many are so by chance; only their own open form tells. */
function isOfTwoWords(form: string, { lexicon }: Language): boolean {
  const isCommon = (part: string) =>
    lexicon.varieties(part) !== 0 && lexicon.frequency(part) >= COMMON_PART;
  for (let cut = SHORTEST_PART; cut <= form.length - SHORTEST_PART; cut++) {
    if (isCommon(form.slice(0, cut)) && isCommon(form.slice(cut))) return true;
  }
  return false;
}
