import type { Language } from "../../language/analysis.ts";
import { channelCost, isOneEdit } from "../../language/corrections/edit-cost.ts";
import { isDayOrMonth } from "../../language/words/days-and-months.ts";
import { ADJECTIVE, NOUN, VARIETY_BITS, VERB } from "../../language/words/lexicon.ts";
import { wordList } from "../../language/words/word-lists.ts";
import type { Variety } from "../../manuscript/model.ts";
import type { Circumstances } from "../check.ts";

/**
 * Whether an unknown word is a slip for a known one or a term: what speaks for each is weighed.
 */

/**
 * What stands around an unknown word: nothing that matters; another that is unknown, or a list or a
 * cell; several others; or signs tie it to something, or a hyphen to what is no plain word either.
 */
export type Company = "none" | "unknown" | "listed" | "joined" | "named";

export interface NearWord {
  word: string;
  frequency: number;
  /** How unlikely the slip is, less what its frequency speaks for it. */
  cost: number;
}

/** Words shorter than this are near too many others. */
const SHORT_WORD = 4;
const SHORTEST_WORD = 3;
/** Words this long are near few others, even by two edits. */
export const LONG_WORD = 8;
/** log2 of how often, in 50 million words, a word near it must occur for an unknown word to be a slip. */
const NEAR_FREQUENCY = 3;
const NEAR_SHORT_FREQUENCY = 11;
/** The same for a short word by a habitual slip: "eror", "isue". */
const HABITUAL_FREQUENCY = 8.5;
const HABITUAL_COST = 0.4;
/** So common a word is meant even by a slip made again; by a short one only an everyday word. */
export const COMMON_FREQUENCY = 8;
const EVERYDAY_FREQUENCY = 15;
const PLAIN_LENGTH = 6;
const NEAR_COST = 1.2;
/** One letter, however unlikely a slip, of a long word. */
const FAR_COST = 2.2;
const MIDDLE_COST = 1.5;
/** Of three letters only two swapped are surely a slip. */
const SHORTEST_COST = 0.6;

/** The common word that an unknown one is probably a slip for; null when none is near. */
export function closest(
  key: string,
  { language, variety }: Pick<Circumstances, "language" | "variety">,
  lowerCase: boolean,
): NearWord | null {
  if (key.length < SHORTEST_WORD) return null;
  const question = `${variety} ${lowerCase} ${key}`;
  const known = answered.get(question);
  if (known !== undefined) return known;
  const needed =
    key.length <= SHORT_WORD
      ? NEAR_SHORT_FREQUENCY
      : key.length >= LONG_WORD - 1
        ? 0
        : NEAR_FREQUENCY;
  let best: NearWord | null = null;
  let least = Number.POSITIVE_INFINITY;
  const distance = key.length >= LONG_WORD - 1 ? 2 : 1;
  for (const { word, frequency } of language.lexicon.near(key, distance, variety, "common", 1)) {
    if (lowerCase && word !== word.toLowerCase() && !isDayOrMonth(word.toLowerCase())) continue;
    if (isFormOf(key, word)) continue;
    if (frequency < needed && !(key.length === SHORT_WORD && frequency >= HABITUAL_FREQUENCY))
      continue;
    const lower = word.toLowerCase();
    const swapped = areLettersSwapped(key, lower);
    if (key.length === SHORTEST_WORD && !swapped && frequency < EVERYDAY_SHORT) continue;
    const likely = channelCost(key, lower, language.rewrites) - 0.02 * frequency;
    // Fingers out of step make no other word: "omre" is "more".
    const cost = swapped && frequency >= MUCH_USED ? Math.min(likely, SWAPPED_COST) : likely;
    if (frequency < needed && cost > HABITUAL_COST) continue;
    const most = isOneEdit(key, lower) ? mostOfOne(key) : mostOfTwo(key, frequency);
    if (cost >= least || cost >= most) continue;
    least = cost;
    best = { word, frequency, cost };
  }
  best ??= outOfStep(key, variety, language) ?? heard(key, variety, language);
  if (answered.size >= MAX_ANSWERED) answered.clear();
  answered.set(question, best);
  return best;
}

/** What one edit may cost: of a long word any. */
function mostOfOne({ length }: string): number {
  if (length === SHORTEST_WORD) return SHORTEST_COST;
  return length >= LONG_WORD - 1 ? FAR_COST : length > SHORT_WORD ? MIDDLE_COST : NEAR_COST;
}

/** What two edits may cost: of a word of middle length they must be habits, of a long common one any. */
function mostOfTwo({ length }: string, frequency: number): number {
  if (length === SHORTEST_WORD) return SHORTEST_COST;
  if (length === LONG_WORD - 1) return HABITUAL_COST;
  return length >= LONGER_WORD && frequency >= COMMON_FREQUENCY ? FAR_COST_OF_TWO : NEAR_COST;
}
const LONGER_WORD = 9;
const FAR_COST_OF_TWO = 1.7;

/** Whether a word is a habitual slip for a common one; the other varieties spell those as one of two. */
export function isLikelySlip(key: string, language: Language): boolean {
  return (["en-US", "en-GB"] as const).some((variety) => {
    const near = closest(key, { language, variety }, true);
    return near !== null && near.cost <= HABITUAL_COST && near.frequency >= COMMON_FREQUENCY;
  });
}

/** log2 of how often, in 50 million words, a word occurs that fingers know by heart. */
const MUCH_USED = 12.5;
const SWAPPED_COST = 0.3;
/** Of three letters, which are mostly the name of something, one may be missing from an everyday word. */
const EVERYDAY_SHORT = 14;

/** Whether one word is the other with two neighbouring letters swapped. */
function areLettersSwapped(one: string, other: string): boolean {
  if (one.length !== other.length) return false;
  let at = 0;
  while (at < one.length && one[at] === other[at]) at++;
  return swappedAt(one, at) === other;
}

function swappedAt(word: string, at: number): string {
  return word.slice(0, at) + (word[at + 1] ?? "") + (word[at] ?? "") + word.slice(at + 2);
}

/** The commonest word of which an unknown one has letters swapped twice: "hwihc", "jstu". */
function outOfStep(key: string, variety: Variety, { lexicon }: Language): NearWord | null {
  if (key.length < SHORT_WORD || key.length > LONG_WORD) return null;
  let best: NearWord | null = null;
  for (let first = 0; first < key.length - 1; first++) {
    const once = swappedAt(key, first);
    for (let second = 0; second < key.length - 1; second++) {
      const word = swappedAt(once, second);
      const frequency = lexicon.frequency(word);
      if (word === key || frequency < MUCH_USED || frequency <= (best?.frequency ?? 0)) continue;
      if (lexicon.varieties(word) & VARIETY_BITS[variety]) {
        best = { word, frequency, cost: SWAPPED_COST };
      }
    }
  }
  return best;
}

/** Sounds spelled otherwise in one word: "sycology", "fotograf". */
const MOST_HEARD = 2;
/** What a word spelled by ear costs in each of its places. */
const HEARD_COST = 0.35;

/** The commonest word that an unknown one spells by ear; a short one only an everyday word. */
function heard(key: string, variety: Variety, { lexicon }: Language): NearWord | null {
  if (key.length < SHORT_WORD) return null;
  const needed = key.length > SHORT_WORD ? COMMON_FREQUENCY : NEAR_SHORT_FREQUENCY;
  let best: NearWord | null = null;
  for (const { word, frequency, times } of lexicon.heard(key, variety, MOST_HEARD)) {
    if (frequency < needed || word !== word.toLowerCase() || isFormOf(key, word)) continue;
    if (best && best.frequency >= frequency) continue;
    best = { word, frequency, cost: HEARD_COST * times };
  }
  return best;
}

/** "equilibriums" is not a slip for "equilibrium". */
function isFormOf(key: string, word: string): boolean {
  if (key === `${word}s` && word.endsWith("ing")) return true;
  return (
    key.length >= FORM_LENGTH && /^(?:e?s|ly)$/.test(key.slice(word.length)) && key.startsWith(word)
  );
}
const FORM_LENGTH = 10;

/** The same words are asked about again and again. */
const answered = new Map<string, NearWord | null>();
const MAX_ANSWERED = 20_000;

/** Evidence from which on a word is a slip, or may well be one. */
export const SURE = 2;
export const LIKELY = 1;
/** A capital inside a sentence speaks for a name. */
export const SURE_OF_NAME = 3.5;
/** Without its capital a name may be a program's. */
export const SURE_OF_SMALL = 3.5;
export const NONE = 0;
/** What stands around a word against its being a slip. */
const AGAINST: Record<Company, number> = {
  none: 0,
  unknown: 0.75,
  listed: 1.75,
  joined: 2.5,
  named: 4.5,
};
const OFTEN = 2.5;
/** A manual or a specification is full of names of things. */
const TECHNICAL_COPY = 1;
const SURE_COST = 0.6;
const BUILT = 1.5;

/**
 * How much speaks for a slip: that a long word is one letter from a common one by a habitual way of
 * missing it; and how much against, that it recurs, is built from known words or stands among terms.
 */
export function evidenceOf(
  { key, company }: { key: string; company: Company },
  { word, frequency, cost }: NearWord,
  use: { again: boolean },
  { language, kind }: Circumstances,
): number {
  const { length } = key;
  const single = isOneEdit(key, word.toLowerCase());
  let slip = single ? (length >= LONG_WORD - 1 ? 3 : length > SHORT_WORD ? 2 : 1) : 2;
  if (!single && cost > NEAR_COST) slip -= FAR;
  if ((frequency < NEAR_FREQUENCY && !single) || length <= SHORTEST_WORD) slip -= 1;
  if (frequency >= 13) slip += 1;
  else if (frequency >= 11) slip += 0.5;
  if (cost <= 0.3) slip += 1.5;
  else if (cost <= 0.6) slip += 1;
  slip -= AGAINST[company];
  if (kind === "specification" && cost > SURE_COST) slip -= TECHNICAL_COPY;
  if (use.again && frequency < commonFor(key)) slip -= OFTEN;
  // Letters out of step make no name of a thing: "sumbit", "inot".
  if (areLettersSwapped(key, word.toLowerCase())) return slip + SWAPPED;
  if (isBuilt(key, language)) slip -= BUILT;
  // "Adress" is a habit, not a program called after a dress.
  if (cost > LIKELY_COST && hasLetterAhead(key, language)) slip -= AHEAD;
  return slip;
}

/** "gmake", "dselect": a letter before a whole word, as programs are named; fingers seldom do that. */
function hasLetterAhead(key: string, { lexicon }: Language): boolean {
  if (key.length <= SHORT_WORD) return false;
  const rest = key.slice(1);
  const known = lexicon.varieties(rest) !== 0 && !lexicon.isRare(rest);
  return (
    key[0] !== key[1] &&
    (lexicon.frequency(rest) >= COMMON_FREQUENCY || (known && rest.length > SHORT_WORD))
  );
}
const AHEAD = 3;
const LIKELY_COST = 0.5;
/** Two unlikely edits are asked about. */
const FAR = 0.5;
const SWAPPED = 0.5;

/** Endings that make words of any noun or verb. */
const ENDINGS =
  /(?:ers?|ors?|ees?|able|ability|ful|fuls|y|ish|ist|ists|ism|ize|izes|ized|izing|izers?|ization|ise|ised|ifier|ness|like|wide|side|wise|ic|al)$/;
/** Parts that make a compound, and how common each must be. */
const LEAST_PART = 3;
const PART_FREQUENCY = 9;

/** "uploader", "logfile": made from known words, as names of things are. */
function isBuilt(key: string, { lexicon }: Language): boolean {
  const known = (word: string) => lexicon.varieties(word) > 0 && !lexicon.isRare(word);
  const stem = (word: string) =>
    word.length >= LEAST_PART && (known(word) || known(`${word}e`) || known(undoubled(word)));
  // "Lowercased": what is no verb yet becomes one.
  const deed = /^(.{4,}?e?)(?:d|ed|ing)$/.exec(key)?.[1] ?? "";
  if (
    known(deed) &&
    (lexicon.traits(deed) & VERB) === 0 &&
    lexicon.traits(deed) & (NOUN | ADJECTIVE)
  )
    return true;
  const ending = ENDINGS.exec(key);
  if (ending && stem(key.slice(0, ending.index))) return true;
  const opening = OPENINGS.exec(key)?.[0].length ?? 0;
  if (
    opening > 0 &&
    (known(key.slice(opening)) || stem(key.slice(opening).replace(/(?:ed|ing|ers?|s)$/, "")))
  )
    return true;
  const part = (word: string) => lexicon.frequency(word) >= PART_FREQUENCY && known(word);
  for (let at = LEAST_PART; at <= key.length - LEAST_PART; at++) {
    const [left, right] = [key.slice(0, at), key.slice(at)];
    if (part(left) && part(right) && !FUNCTION_WORDS.has(left) && !FUNCTION_WORDS.has(right)) {
      return true;
    }
  }
  return false;
}
const FUNCTION_WORDS = wordList("structure/english-words");
const OPENINGS =
  /^(?:re|un|non|pre|sub|multi|auto|anti|over|under|inter|micro|meta|super|mis|fore|out|de|co)(?=.{3})/;

function undoubled(word: string): string {
  return word.at(-1) === word.at(-2) ? word.slice(0, -1) : word;
}

/** How common a word must be that even a slip made again is taken for. */
function commonFor(key: string): number {
  return key.length < PLAIN_LENGTH ? EVERYDAY_FREQUENCY : COMMON_FREQUENCY;
}
