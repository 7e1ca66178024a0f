import type { Span } from "../../manuscript/model.ts";
import { TAG, TAG_SETS } from "../tags/tag-sets.ts";
import type { Sentence } from "../text/sentences.ts";
import type { Unit } from "../text/units.ts";
import { wordList } from "../words/word-lists.ts";
import type { Word } from "../words/words.ts";
import { BE, HAVE } from "./auxiliaries.ts";

/**
 * The shallow phrase layer of one block: noun groups with head and number, verb groups with tense
 * and voice, and what stands in quotation marks, brackets or code. Ranges are units, [from, to).
 * Groups never overlap and never cross a sentence.
 */
export interface Syntax {
  text: string;
  units: readonly Unit[];
  tags: Uint8Array;
  words: readonly Word[];
  /** For each unit, the first unit of its sentence and the one after its last. */
  sentenceFrom: Int32Array;
  sentenceTo: Int32Array;
  nounGroups: NounGroup[];
  verbGroups: VerbGroup[];
  /** For each unit the index of its noun or verb group, or -1. */
  nounAt: Int32Array;
  verbAt: Int32Array;
  /** Bits of where each unit stands: QUOTED, BRACKETED, CODE. */
  places: Uint8Array;
  /** For each noun group what `numberOf` and `governorOf` made of it, 0 where they were not asked. */
  numbers: Uint8Array;
  governors: Uint8Array;
}

export const QUOTED = 1;
export const BRACKETED = 2;
export const CODE = 4;

export type GrammaticalNumber = "singular" | "plural" | "unknown";

export interface NounGroup {
  from: number;
  to: number;
  /** The unit that is the head. */
  head: number;
  number: GrammaticalNumber;
  /** The unit of its article, possessive or other determiner; -1 for none. */
  determiner: number;
  pronoun: boolean;
}

export type Tense = "present" | "past" | "modal" | "none";

export interface VerbGroup {
  from: number;
  to: number;
  /** The finite verb or auxiliary; -1 in an infinitive or participle. */
  finite: number;
  /** The last verb, which carries the meaning. */
  main: number;
  tense: Tense;
  passive: boolean;
  negated: boolean;
  infinitive: boolean;
}

/** Works out the phrases of a block that has been tagged. */
export function syntaxOf(
  text: string,
  units: readonly Unit[],
  words: readonly Word[],
  tags: Uint8Array,
  sentences: readonly Sentence[],
  spans: readonly Span[],
): Syntax {
  const { sentenceFrom, sentenceTo } = sentenceBounds(units, sentences);
  const nounAt = new Int32Array(units.length).fill(-1);
  const verbAt = new Int32Array(units.length).fill(-1);
  const nounGroups: NounGroup[] = [];
  const verbGroups: VerbGroup[] = [];
  const places = placesOf(text, units, tags, sentenceFrom, spans);
  let at = 0;
  while (at < units.length) {
    const end = sentenceTo[at] ?? units.length;
    const verb = verbGroupAt(words, tags, at, end);
    if (verb) {
      verbAt.fill(verbGroups.length, verb.from, verb.to);
      verbGroups.push(verb);
      at = verb.to;
      continue;
    }
    const noun = nounGroupAt(words, tags, at, end);
    if (noun) {
      nounAt.fill(nounGroups.length, noun.from, noun.to);
      nounGroups.push(noun);
      at = noun.to;
      continue;
    }
    at++;
  }
  return {
    text,
    units,
    tags,
    words,
    sentenceFrom,
    sentenceTo,
    nounGroups,
    verbGroups,
    nounAt,
    verbAt,
    places,
    numbers: new Uint8Array(nounGroups.length),
    governors: new Uint8Array(nounGroups.length),
  };
}

/**
 * Units up to which a sentence is looked at whole. A longer one is a list or no sentence; it counts as
 * several, lest every place in it look through all of it.
 */
const LONGEST_SENTENCE = 240;

function sentenceBounds(units: readonly Unit[], sentences: readonly Sentence[]) {
  const sentenceFrom = new Int32Array(units.length);
  const sentenceTo = new Int32Array(units.length);
  const close = (from: number, to: number) => {
    for (let first = from; first < to; ) {
      const last = to - first <= LONGEST_SENTENCE ? to : first + LONGEST_SENTENCE / 2;
      sentenceFrom.fill(first, first, last);
      sentenceTo.fill(last, first, last);
      first = last;
    }
  };
  let at = 0;
  for (const [index] of sentences.entries()) {
    const next = sentences[index + 1]?.from ?? Number.POSITIVE_INFINITY;
    const first = at;
    while (at < units.length && (units[at]?.from ?? 0) < next) at++;
    close(first, at);
  }
  close(at, units.length);
  return { sentenceFrom, sentenceTo };
}

const OPENING_BRACKETS = "([{";
const CLOSING_BRACKETS = ")]}";

const NOWHERE = { from: 0, to: 0 };

function placesOf(
  text: string,
  units: readonly Unit[],
  tags: Uint8Array,
  sentenceFrom: Int32Array,
  spans: readonly Span[],
): Uint8Array {
  const places = new Uint8Array(units.length);
  let bracket = -1;
  let double = -1;
  let single = -1;
  for (let index = 0; index < units.length; index++) {
    const tag = tags[index];
    const { from, to } = units[index] ?? NOWHERE;
    if (tag !== TAG.QT && tag !== TAG.BR && tag !== TAG.POS && to - from > 1) continue;
    if (sentenceFrom[index] === index && bracket >= 0 && index - bracket > 60) bracket = -1;
    const character = text[from] ?? "";
    if (OPENING_BRACKETS.includes(character)) bracket = index;
    else if (CLOSING_BRACKETS.includes(character) && bracket >= 0) {
      flag(places, bracket, index + 1, BRACKETED);
      bracket = -1;
    } else if (character === "“" || (character === '"' && double < 0)) double = index;
    else if ((character === "”" || character === '"') && double >= 0) {
      flag(places, double, index + 1, QUOTED);
      double = -1;
    } else if (character === "‘" || (character === "'" && opens(text, from))) single = index;
    else if ((character === "’" || character === "'") && single >= 0 && to - from === 1) {
      flag(places, single, index + 1, QUOTED);
      single = -1;
    }
  }
  // A paragraph of a longer speech opens a quotation that it does not close.
  if (double >= 0) flag(places, double, units.length, QUOTED);
  for (const span of spans) {
    if (span.kind !== "code") continue;
    for (const [index, { from, to }] of units.entries()) {
      if (from < span.to && to > span.from) flag(places, index, index + 1, CODE);
    }
  }
  return places;
}

function flag(places: Uint8Array, from: number, to: number, bit: number): void {
  for (let unit = from; unit < to; unit++) places[unit] = (places[unit] ?? 0) | bit;
}

function opens(text: string, at: number): boolean {
  return /[\s(“"—-]/.test(text[at - 1] ?? " ") && /\p{L}/u.test(text[at + 1] ?? "");
}

const DO = new Set(["do", "does", "did"]);

/** A verb group that begins here: "has not been read", "to read", "reading". */
function verbGroupAt(
  words: readonly Word[],
  tags: Uint8Array,
  from: number,
  end: number,
): VerbGroup | null {
  const tag = tags[from] ?? 0;
  let at = from;
  let infinitive = false;
  if (tag === TAG.TO) {
    infinitive = true;
    at++;
    while (at < end && TAG_SETS.ADV[tags[at] ?? 0]) at++;
    if (at >= end || !TAG_SETS.VERB[tags[at] ?? 0]) return null;
  } else if (!TAG_SETS.VERB[tag] && tag !== TAG.MD) return null;
  const first = at;
  let main = at;
  let negated = false;
  while (at < end) {
    const here = tags[at] ?? 0;
    if (TAG_SETS.VERB[here] || here === TAG.MD) {
      if (at > first && !joins(words[main]?.form ?? "", tags[main] ?? 0, here)) break;
      main = at++;
      continue;
    }
    if (here === TAG.NOT) {
      negated = true;
      at++;
      continue;
    }
    // An adverb belongs to the group only where a verb goes on after it.
    let after = at;
    while (after < end && TAG_SETS.ADV[tags[after] ?? 0] && after - at < 2) after++;
    if (after === at || after >= end) break;
    const next = tags[after] ?? 0;
    if (!TAG_SETS.VERB[next] || !joins(words[main]?.form ?? "", tags[main] ?? 0, next)) break;
    at = after;
  }
  const to = main + 1;
  const opening = tags[first] ?? 0;
  const finite = !infinitive && TAG_SETS.FINITE[opening] ? first : -1;
  const passive =
    tags[main] === TAG.VBN && main > first && BE.has(words[before(tags, main, first)]?.form ?? "");
  const tense: Tense =
    finite < 0 ? "none" : opening === TAG.MD ? "modal" : opening === TAG.VBD ? "past" : "present";
  return { from, to, finite, main, tense, passive, negated, infinitive };
}

/** The verb before this one in its group. */
function before(tags: Uint8Array, main: number, first: number): number {
  let at = main - 1;
  while (at > first && !TAG_SETS.VERB[tags[at] ?? 0] && tags[at] !== TAG.MD) at--;
  return at;
}

/** Whether an auxiliary goes on with a verb of this kind. */
function joins(auxiliary: string, tag: number, next: number): boolean {
  if (tag === TAG.MD) return TAG_SETS.VERB[next] === 1;
  if (HAVE.has(auxiliary)) return next === TAG.VBN || next === TAG.VBD;
  if (BE.has(auxiliary)) return next === TAG.VBN || next === TAG.VBG || next === TAG.VBD;
  return DO.has(auxiliary) && next === TAG.VB;
}

const GROUP_PRONOUN = new Set([TAG.PPS, TAG.PPSS, TAG.PPO, TAG.PPL, TAG.PN, TAG.EX]);
const MODIFIER = new Set([
  TAG.JJ,
  TAG.JJR,
  TAG.JJS,
  TAG.CD,
  TAG.VBN,
  TAG.VBG,
  TAG.NN,
  TAG.NNS,
  TAG.NNP,
  TAG.NNPS,
  TAG.POS,
  TAG.RB,
  TAG.QT,
]);

/** A noun group that begins here: "all the old tide gauges", "she", "three". */
function nounGroupAt(
  words: readonly Word[],
  tags: Uint8Array,
  from: number,
  end: number,
): NounGroup | null {
  const tag = tags[from] ?? 0;
  if (GROUP_PRONOUN.has(tag)) {
    const number = pronounNumber(words[from]?.form ?? "", tag);
    return { from, to: from + 1, head: from, number, determiner: -1, pronoun: true };
  }
  let at = from;
  let determiner = -1;
  while (at < end && (TAG_SETS.DET[tags[at] ?? 0] || tags[at] === TAG.WDT)) {
    if (tags[at] === TAG.WDT && !/^(?:which|what|whichever|whatever)$/.test(words[at]?.form ?? ""))
      break;
    if (tags[at] !== TAG.CD) determiner = at;
    at++;
  }
  let head = -1;
  while (at < end) {
    const here = tags[at] ?? 0;
    if (!MODIFIER.has(here)) {
      const joined =
        here === TAG.CC || here === TAG[","]
          ? TAG_SETS.ADJ[tags[at - 1] ?? 0] && TAG_SETS.ADJ[tags[at + 1] ?? 0] && at + 2 < end
          : 0;
      if (!joined) break;
    }
    if (here === TAG.POS) head = -1;
    else if (TAG_SETS.NOMINAL[here]) head = at;
    else if (here === TAG.RB && !TAG_SETS.ADJ[tags[at + 1] ?? 0] && tags[at + 1] !== TAG.VBN) break;
    at++;
  }
  if (head < 0) {
    // "those", "the old", "three": a determiner or number that stands alone.
    if (at === from) return null;
    let last = at - 1;
    while (last > from && (tags[last] === TAG.QT || tags[last] === TAG.RB)) last--;
    if (determiner < 0 && tags[from] !== TAG.CD) return null;
    const form = words[last]?.form ?? "";
    const number = ALONE_PLURAL.has(form)
      ? "plural"
      : ALONE_SINGULAR.has(form)
        ? "singular"
        : "unknown";
    return { from, to: last + 1, head: last, number, determiner, pronoun: false };
  }
  const headTag = tags[head];
  const number = headTag === TAG.NNS || headTag === TAG.NNPS ? "plural" : "singular";
  return { from, to: head + 1, head, number, determiner, pronoun: false };
}

const ALONE_PLURAL = wordList("clauses/many");
const ALONE_SINGULAR = new Set("this each another one either neither much".split(" "));

function pronounNumber(form: string, tag: number): GrammaticalNumber {
  if (tag === TAG.EX) return "unknown";
  if (/^(?:we|they|us|them|ourselves|themselves|yourselves|you)$/.test(form)) return "plural";
  if (form === "i" || form === "me") return "unknown";
  return tag === TAG.PN && /^(?:none|mine|yours|ours|theirs|hers|his)$/.test(form)
    ? "unknown"
    : "singular";
}

/** The unit's text as written. */
export function written({ text, units }: Syntax, unit: number): string {
  return text.slice(units[unit]?.from ?? 0, units[unit]?.to ?? 0);
}
