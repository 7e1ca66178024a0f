import type { Variety } from "../../manuscript/model.ts";
import type { Trigrams } from "../models/trigrams.ts";
import { judgeWord, withoutPossessive } from "../words/known.ts";
import { INFLECTED_TRAIT, type IrregularForms, lemmasOf } from "../words/lemmas.ts";
import type { Lexicon } from "../words/lexicon.ts";
import { wordList } from "../words/word-lists.ts";
import { channelCost, isOneEdit } from "./edit-cost.ts";
import type { Rewrites } from "./rewrites.ts";

/** What corrections are made from. */
export interface CorrectionSources {
  lexicon: Lexicon;
  rewrites: Rewrites;
  variety: Variety;
  /** Absent until it is loaded. */
  trigrams?: Trigrams | null | undefined;
  /** Words of the word lists and of the document itself that the lexicon may not know. */
  vocabulary?: Vocabulary | undefined;
  irregular: IrregularForms;
  /** The person's own sound rules. */
  soundRules?: readonly SoundRule[] | undefined;
}

/** Words beside the lexicon, found by closeness. */
export interface Vocabulary {
  /** Words within two edits of a lower-case query. */
  near(query: string): readonly { word: string; frequency: number }[];
  /** How often the document has a word, in lower case. */
  count(word: string): number;
}

/** "Typed so, it may stand for that": letters for letters, anywhere in a word. */
export interface SoundRule {
  typed: string;
  meant: string;
}

/** The words around a place, in lower case, nearest last before and first after. */
export interface Surroundings {
  before: readonly string[];
  after: readonly string[];
}

/** Weights chosen on the tuning part of the published misspellings and on planted slips. */
const FREQUENCY_WEIGHT = 0.06;
const CONTEXT_WEIGHT = 0.2;
const RARE_COST = 0.5;
const NAME_COST = 0.9;
const SPLIT_COST = 1.5;
/** How much it speaks for a split that its two words often stand together. */
const TOGETHER_WEIGHT = 0.5;
/** A word the document uses already is likelier to be meant. */
const IN_DOCUMENT = 0.25;
const SOUND_RULE_COST = 0.35;
/** Of a word spelled by ear in one place, and more for each other. */
const HEARD_COST = 0.5;
const HEARD_AGAIN_COST = 0.12;
/** Places of a word spelled by ear. */
const MOST_HEARD = 3;
const IRREGULAR_COST = 0.3;
/** Log10 of how well a word fits that the model does not know. */
const UNKNOWN_FIT = -1;
/** Names of crimes, of parts of the body and the like, which nobody wants to see offered for a name. */
const DELICATE = wordList("corrections/delicate");

/** How frequent a short word must be to be split off. */
const SHORT_WORD_FREQUENCY = 13;
const SPLIT_FREQUENCY = 9;
const MAX_LENGTH = 40;
/** Candidates that the context is asked about. */
const WEIGHED = 12;

interface Candidate {
  text: string;
  cost: number;
}

/**
 * Corrections of an unknown word, likeliest first: words near it by edits, each weighed by which
 * letters differ (habitual slips, keyboard, sound), how frequent it is and how well it fits between
 * the words around it; and two words run together. Case and a possessive ending follow the
 * original.
 */
export function correctWord(
  written: string,
  sources: CorrectionSources,
  limit: number,
  surroundings?: Surroundings,
): string[] {
  const word = written.replaceAll("\u00ad", "").replaceAll("’", "'");
  const base = withoutPossessive(word);
  const ending = written.slice(base.length);
  const query = base.toLowerCase();
  if (query.length > MAX_LENGTH) return [];
  const capital = base !== query;
  const scored = candidates(query, capital, sources);
  scored.push(...splitWord(query, sources));
  scored.sort((a, b) => a.cost - b.cost);
  if (sources.trigrams && surroundings) {
    weighContext(scored.slice(0, WEIGHED), sources.trigrams, surroundings);
    scored.sort((a, b) => a.cost - b.cost);
  }
  const corrections: string[] = [];
  for (const { text } of scored) {
    if (isDelicate(text, query, capital)) continue;
    const cased = likeOriginal(text, base) + ending;
    if (cased !== written && !corrections.includes(cased)) corrections.push(cased);
    if (corrections.length === limit) break;
  }
  return corrections;
}

/** Whether a word is not to be offered: for a name never, else where it is one letter away. */
function isDelicate(text: string, query: string, capital: boolean): boolean {
  const lower = text.toLowerCase();
  const known = ["", "s", "es", "d", "ed", "ing"].some(
    (ending) =>
      lower.endsWith(ending) && DELICATE.has(lower.slice(0, lower.length - ending.length)),
  );
  return known && (capital || !isOneEdit(query, lower));
}

function candidates(query: string, capital: boolean, sources: CorrectionSources): Candidate[] {
  const { lexicon, rewrites, variety, vocabulary, soundRules } = sources;
  const short = query.length <= 3;
  const found = [
    ...lexicon.near(query, 1, variety, "names"),
    ...(short ? [] : lexicon.near(query, 2, variety, capital ? "names" : "common", 1)),
  ];
  if (found.length === 0) found.push(...lexicon.near(query, short ? 2 : 3, variety, "rare"));
  const costs = new Map<string, number>();
  const offer = (text: string, cost: number) => {
    const used = vocabulary && vocabulary.count(text.toLowerCase()) > 0 ? IN_DOCUMENT : 0;
    const known = costs.get(text);
    if (known === undefined || cost - used < known) costs.set(text, cost - used);
  };
  for (const { word, frequency, rare, name } of found) {
    const standing = (rare ? RARE_COST : 0) + (name && !capital ? NAME_COST : 0);
    const channel = channelCost(query, word.toLowerCase(), rewrites);
    offer(word, channel + standing - FREQUENCY_WEIGHT * frequency);
  }
  for (const { word, frequency } of vocabulary?.near(query) ?? []) {
    const channel = channelCost(query, word.toLowerCase(), rewrites);
    offer(word, channel - FREQUENCY_WEIGHT * frequency);
  }
  for (const right of irregularFor(query, sources)) {
    offer(right, IRREGULAR_COST - FREQUENCY_WEIGHT * lexicon.frequency(right));
  }
  for (const { word, frequency, times } of lexicon.heard(query, variety, short ? 1 : MOST_HEARD)) {
    offer(word, HEARD_COST + HEARD_AGAIN_COST * (times - 1) - FREQUENCY_WEIGHT * frequency);
  }
  for (const heard of bySoundRules(query, soundRules ?? [])) {
    if (judgeWord(heard, lexicon, variety) !== "known") continue;
    offer(heard, SOUND_RULE_COST - FREQUENCY_WEIGHT * lexicon.frequency(heard));
  }
  return withoutCaseVariants(costs, capital).map(([text, cost]) => ({ text, cost }));
}

/** Of "Polish" and "polish" the one in the letters of what is typed: capitals make no other word of it. */
function withoutCaseVariants(
  costs: ReadonlyMap<string, number>,
  capital: boolean,
): [string, number][] {
  return [...costs].filter(([text]) => {
    const lower = text.toLowerCase();
    return capital || text === lower || !costs.has(lower);
  });
}

/** "teached" and "funguses" were formed by rule where the language has an irregular form. */
function irregularFor(query: string, { lexicon, irregular }: CorrectionSources): string[] {
  const exists = (lemma: string, trait: number) => (lexicon.traits(lemma) & trait) !== 0;
  return lemmasOf(query, irregular, exists).flatMap(({ lemma, inflection }) =>
    inflection && exists(lemma, INFLECTED_TRAIT[inflection])
      ? irregular.formsOf(lemma, inflection).filter((form) => form !== query)
      : [],
  );
}

/** Rules used at most so often in one word. */
const MAX_RULES = 3;

/** Whether a word that no dictionary has is one that it knows, as the person's sound rules have it heard. */
export function isHeard(
  query: string,
  { lexicon, variety, soundRules }: Pick<CorrectionSources, "lexicon" | "variety" | "soundRules">,
): boolean {
  return [...bySoundRules(query, soundRules ?? [])].some(
    (heard) => judgeWord(heard, lexicon, variety) === "known",
  );
}

/** What a word may stand for by the person's sound rules, each used at one place or several. */
function bySoundRules(query: string, rules: readonly SoundRule[]): Set<string> {
  let layer = new Set([query]);
  const heard = new Set<string>();
  for (let round = 0; round < MAX_RULES; round++) {
    const next = new Set<string>();
    for (const word of layer) {
      for (const { typed, meant } of rules) {
        if (typed === "") continue;
        for (let at = word.indexOf(typed); at >= 0; at = word.indexOf(typed, at + 1)) {
          next.add(word.slice(0, at) + meant + word.slice(at + typed.length));
        }
      }
    }
    for (const word of next) heard.add(word);
    layer = next;
  }
  heard.delete(query);
  return heard;
}

/** The likeliest ways in which a word is two run together. */
function splitWord(query: string, sources: CorrectionSources): Candidate[] {
  const { lexicon, trigrams } = sources;
  const splits: Candidate[] = [];
  for (let at = 1; at < query.length; at++) {
    const left = query.slice(0, at);
    const right = query.slice(at);
    if (!isSplitWord(left, sources) || !isSplitWord(right, sources)) continue;
    const frequency = Math.min(lexicon.frequency(left), lexicon.frequency(right));
    let cost = SPLIT_COST - FREQUENCY_WEIGHT * frequency;
    if (trigrams) {
      const [first, second] = [trigrams.id(left), trigrams.id(right)];
      const together = trigrams.score(-1, first, second) - trigrams.score(-1, -1, second);
      cost -= TOGETHER_WEIGHT * Math.max(-2, Math.min(3, together));
    }
    splits.push({ text: `${left} ${right}`, cost });
  }
  return splits.sort((a, b) => a.cost - b.cost).slice(0, 2);
}

function isSplitWord(word: string, { lexicon, variety }: CorrectionSources): boolean {
  if (word.length === 1) return word === "a" || word === "i";
  const needed = word.length > 3 ? SPLIT_FREQUENCY : SHORT_WORD_FREQUENCY;
  return lexicon.frequency(word) >= needed && judgeWord(word, lexicon, variety) === "known";
}

/** Takes off what the words around a candidate speak for it, against the rarest it could be. */
function weighContext(scored: Candidate[], trigrams: Trigrams, around: Surroundings): void {
  const ids = (words: readonly string[]) => words.map((word) => trigrams.id(word));
  const before = ids(around.before.slice(-2));
  const after = ids(around.after.slice(0, 2));
  for (const candidate of scored) {
    const own = ids(candidate.text.toLowerCase().split(" "));
    candidate.cost -= CONTEXT_WEIGHT * (fit(trigrams, before, own, after) / own.length);
  }
}

/** How much likelier words are between their neighbours than by themselves, log10. */
function fit(
  trigrams: Trigrams,
  before: readonly number[],
  own: readonly number[],
  after: readonly number[],
): number {
  const row = [...before, ...own, ...after];
  const unknown = own.some((id) => id < 0);
  if (unknown) return UNKNOWN_FIT;
  let sum = 0;
  for (let at = before.length; at < row.length; at++) {
    const word = row[at] ?? -1;
    if (word < 0) continue;
    sum += trigrams.score(row[at - 2] ?? -1, row[at - 1] ?? -1, word);
    sum -= trigrams.score(-1, -1, word);
  }
  return sum;
}

/** A correction in the capitals of the original, where the original has any. */
export function likeOriginal(correction: string, original: string): string {
  if (original.length > 1 && original === original.toUpperCase()) return correction.toUpperCase();
  const first = original[0] ?? "";
  return first === first.toLowerCase()
    ? correction
    : (correction[0] ?? "").toUpperCase() + correction.slice(1);
}
