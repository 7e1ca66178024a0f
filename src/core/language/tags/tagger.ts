import { SparseWeights } from "../models/sparse-weights.ts";
import type { Unit } from "../text/units.ts";
import type { WrittenWord } from "../words/words.ts";
import { TAGS } from "./tags.ts";

/**
 * Part-of-speech tagger: an averaged perceptron over hashed features, left to right (Collins 2002,
 * "Discriminative training methods for hidden Markov models"). Features of one word, of a
 * neighbour and of the two tags before are added up once and remembered; only those that join two
 * of them are looked up at each place.
 *
 * The model file: five little-endian 32-bit numbers (magic, feature count, bytes of keys, weight
 * count, bytes of words); the weights (`sparse-weights.ts`); then known words as UTF-8 lines "word class", sorted.
 */
export const TAGGER_MAGIC = 0x47545244;

/** A word's class: its commonest tag and the next one (or none), and whether it has no other. */
export interface WordClass {
  first: number;
  second: number;
  /** Whether the word always has its first tag, so that nothing need be weighed. */
  sure: boolean;
}

const TAG_COUNT = TAGS.length;
/**
 * A tag this far ahead by the words alone is hardly ever overtaken by the features that join them;
 * chosen on the tuning part.
 */
const CLEAR_LEAD = 500;
const ABSENT = -1;
const TAG_SPACE = 64;
/** In place of a tag before the sentence, and of a second tag where there is none. */
export const NO_TAG = 62;

export function packClass({ first, second, sure }: WordClass): number {
  return (first * 64 + second) * 2 + (sure ? 1 : 0);
}

/** A word as the features see it. */
export interface TaggedWord extends WrittenWord {
  hash: number;
  suffixes: [number, number, number, number];
  opening: number;
  shape: number;
  /** Its packed class, or -1 less its traits in the lexicon where the model never saw it. */
  known: number;
  traits: number;
  /** Where its vectors begin in the tagger's pool, by place; absent until one is needed. */
  vectors: number[];
}

function mix(a: number, b: number): number {
  let hash = Math.imul(a ^ b, 0x85ebca6b);
  hash ^= hash >>> 13;
  hash = Math.imul(hash, 0xc2b2ae35);
  return hash ^ (hash >>> 16);
}

function hashText(text: string, from: number, to: number): number {
  let hash = 2166136261;
  for (let at = Math.max(0, from); at < to; at++) {
    hash = Math.imul(hash ^ text.charCodeAt(at), 16777619);
  }
  return hash;
}

/** Describes a word as written: `known` is its packed class or -1, `traits` are the lexicon's. */
export function describe(written: string, known: number, traits: number): TaggedWord {
  const word = normalised(written);
  const size = word.length;
  return {
    written,
    word: null,
    readBy: null,
    hash: hashText(word, 0, size),
    suffixes: [1, 2, 3, 4].map((count) =>
      hashText(word, size - count, size),
    ) as TaggedWord["suffixes"],
    opening: hashText(word, 0, Math.min(2, size)),
    shape: shapeOf(written),
    known: known < 0 ? -1 - traits : known,
    traits,
    vectors: [ABSENT, ABSENT, ABSENT, ABSENT, ABSENT],
  };
}

function normalised(word: string): string {
  const first = word.charCodeAt(0);
  if (first >= 48 && first <= 57) return /^\d{4}$/.test(word) ? "!year" : "!number";
  return word.replaceAll("’", "'").replace(/[“”]/g, '"').toLowerCase();
}

function shapeOf(word: string): number {
  if (/\d/.test(word)) return /^[\d.,:/%-]+$/.test(word) ? 1 : 2;
  const capital = /^\p{Lu}/u.test(word);
  if (word.includes("-")) return capital ? 3 : 4;
  if (capital) return word.length > 1 && word === word.toUpperCase() ? 5 : 6;
  return /^\p{L}/u.test(word) ? 7 : 0;
}

/** Features of a word in its own place. */
export function ownFeatures({
  hash,
  suffixes,
  opening,
  shape,
  known,
  traits,
}: TaggedWord): number[] {
  const [one, two, three, four] = suffixes;
  return [
    mix(1, 7),
    mix(2, hash),
    mix(3, three),
    mix(4, two),
    mix(5, one),
    mix(6, four),
    mix(7, opening),
    mix(8, known),
    mix(mix(9, shape), three),
    mix(mix(10, shape), known),
    mix(mix(11, traits), three),
    mix(mix(12, traits), one),
    mix(mix(13, traits), shape),
  ];
}

/** Features of a neighbour, `place` words from the one to tag. */
export function neighbourFeatures(word: TaggedWord, place: number): number[] {
  const base = 26 + place * 5;
  const near = [mix(base, word.hash), mix(base + 1, word.known)];
  if (Math.abs(place) > 1) return near;
  return [
    ...near,
    mix(base + 2, word.suffixes[2]),
    mix(mix(base + 3, word.shape), word.suffixes[1]),
  ];
}

/** Features of the two tags before. */
export function historyFeatures(last: number, beforeLast: number): number[] {
  return [mix(40, last), mix(41, beforeLast), mix(42, last * 64 + beforeLast)];
}

export const JOINT_FEATURES = 15;

/** Fills in the features that join the word, its neighbours and the tags before. */
export function fillJoint(
  features: Int32Array,
  word: TaggedWord,
  before: TaggedWord,
  next: TaggedWord,
  afterNext: TaggedWord,
  last: number,
  beforeLast: number,
  opens: number,
): void {
  features[0] = mix(50, word.shape * 2 + opens);
  features[1] = mix(mix(51, last), word.hash);
  features[2] = mix(mix(52, last), word.suffixes[2]);
  features[3] = mix(mix(53, word.shape * 2 + opens), last);
  features[4] = mix(mix(54, word.hash), next.hash);
  features[5] = mix(mix(55, last), next.hash);
  features[6] = mix(mix(56, last), next.known);
  features[7] = mix(mix(57, word.known), next.known);
  features[8] = mix(mix(58, last * 64 + beforeLast), word.known);
  features[9] = mix(mix(59, before.hash), word.hash);
  features[10] = mix(mix(60, word.hash), next.known);
  features[11] = mix(mix(mix(61, word.known), next.known), afterNext.known);
  features[12] = mix(mix(62, before.shape * 8 + next.shape), word.shape * 2 + opens);
  features[13] = mix(mix(mix(63, last), word.known), next.known);
  features[14] = mix(mix(64, last * 64 + beforeLast), word.hash);
}

/** Words remembered with their vectors; beyond it the memory starts anew. */
const MAX_REMEMBERED = 40_000;

/** Marks by the one that stands for them in the texts that the model was learned from. */
const LEARNED_AS = new Map(
  Object.entries({
    "“": '"',
    "”": '"',
    "„": '"',
    "«": '"',
    "»": '"',
    "‘": '"',
    "–": "—",
    "―": "—",
    "-": "—",
    "…": "—",
    // Sums of money are numbers there: "$30" is one word.
    $: "30",
    "£": "30",
    "€": "30",
  }),
);

export class Tagger {
  private readonly weights: SparseWeights;
  private readonly classes = new Map<string, number>();
  private readonly words = new Map<string, TaggedWord>();
  private readonly beforeStart = describe("<", -1, 0);
  private readonly afterEnd = describe(">", -1, 0);
  private readonly histories = new Int32Array(TAG_SPACE * TAG_SPACE).fill(ABSENT);
  /** All vectors one after another: arrays of their own would each cost a walk to memory. */
  private pool = new Int16Array(TAG_COUNT << 14);
  private pooled = 0;

  /**
   * Takes the model's bytes and the traits of a word in running text. Throws RangeError when the
   * bytes are no model of this version.
   */
  constructor(
    bytes: Uint8Array,
    private readonly traitsOf: (word: string) => number,
  ) {
    const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
    if (bytes.length < 20 || view.getUint32(0, true) !== TAGGER_MAGIC) {
      throw new RangeError("not a tagger model");
    }
    const [features, keyBytes, weights, wordBytes] = [4, 8, 12, 16].map((at) =>
      view.getUint32(at, true),
    ) as [number, number, number, number];
    this.weights = new SparseWeights(bytes.subarray(20), { features, keyBytes, weights });
    const wordsAt = 20 + this.weights.byteLength;
    if (bytes.length !== wordsAt + wordBytes) throw new RangeError("damaged model");
    const lines = new TextDecoder().decode(bytes.subarray(wordsAt)).split("\n");
    for (const line of lines) {
      const space = line.indexOf(" ");
      if (space > 0) this.classes.set(line.slice(0, space), Number(line.slice(space + 1)));
    }
  }

  /**
   * The words of a text's units and the tag of each, as indexes into TAGS; `opens` are the places
   * where a unit begins a sentence.
   */
  tag(
    text: string,
    units: readonly Unit[],
    opens: ReadonlySet<number>,
  ): { words: TaggedWord[]; tags: Uint8Array } {
    if (this.words.size >= MAX_REMEMBERED) this.forget();
    const words = units.map(({ from, to }) => this.describe(text.slice(from, to)));
    const tags = new Uint8Array(units.length);
    const scores = new Int32Array(TAG_COUNT);
    const joint = new Int32Array(JOINT_FEATURES);
    let last = NO_TAG;
    let beforeLast = NO_TAG;
    let start = 0;
    let end = 0;
    for (let index = 0; index < words.length; index++) {
      if (index === end) {
        start = index;
        end = index + 1;
        while (end < words.length && !opens.has(units[end]?.from ?? 0)) end++;
        last = NO_TAG;
        beforeLast = NO_TAG;
      }
      const word = words[index] ?? this.beforeStart;
      let best = word.known >= 0 && word.known & 1 ? word.known >> 7 : -1;
      if (best < 0) {
        const before = index > start ? (words[index - 1] ?? this.beforeStart) : this.beforeStart;
        const beforeLastWord =
          index - 1 > start ? (words[index - 2] ?? this.beforeStart) : this.beforeStart;
        const next = index + 1 < end ? (words[index + 1] ?? this.afterEnd) : this.afterEnd;
        const afterNext = index + 2 < end ? (words[index + 2] ?? this.afterEnd) : this.afterEnd;
        const own = this.vector(word, 0);
        const left = this.vector(before, -1);
        const farLeft = this.vector(beforeLastWord, -2);
        const right = this.vector(next, 1);
        const farRight = this.vector(afterNext, 2);
        const history = this.history(last, beforeLast);
        const { pool } = this;
        for (let tag = 0; tag < TAG_COUNT; tag++) {
          scores[tag] =
            (pool[own + tag] ?? 0) +
            (pool[left + tag] ?? 0) +
            (pool[farLeft + tag] ?? 0) +
            (pool[right + tag] ?? 0) +
            (pool[farRight + tag] ?? 0) +
            (pool[history + tag] ?? 0);
        }
        best = highest(scores);
        if (leadOf(scores, best) < CLEAR_LEAD) {
          const opening = index === start ? 1 : 0;
          fillJoint(joint, word, before, next, afterNext, last, beforeLast, opening);
          for (let feature = 0; feature < JOINT_FEATURES; feature++) {
            this.weights.add(scores, joint[feature] ?? 0);
          }
          best = highest(scores);
        }
      }
      tags[index] = best;
      beforeLast = last;
      last = best;
    }
    return { words, tags };
  }

  private describe(written: string): TaggedWord {
    const known = this.words.get(written);
    if (known) return known;
    const learned = LEARNED_AS.get(written);
    if (learned) {
      const same = { ...this.describe(learned), written, word: null, readBy: null };
      this.words.set(written, same);
      return same;
    }
    const own = this.classes.get(written) ?? this.classes.get(normalised(written)) ?? -1;
    const sure = this.classes.has(written) ? own : own & ~1;
    const word = describe(written, own < 0 ? -1 : sure, this.traitsOf(written));
    this.words.set(written, word);
    return word;
  }

  /** Words and their vectors start anew; those of the tags before are in the same pool. */
  private forget(): void {
    this.words.clear();
    this.histories.fill(ABSENT);
    this.beforeStart.vectors.fill(ABSENT);
    this.afterEnd.vectors.fill(ABSENT);
    this.pooled = 0;
  }

  /**
   * What a word adds to every tag's score when it stands `place` words from the one to tag, as a
   * place in the pool.
   */
  private vector(word: TaggedWord, place: number): number {
    const known = word.vectors[place + 2] ?? ABSENT;
    if (known !== ABSENT) return known;
    const at = this.sum(place === 0 ? ownFeatures(word) : neighbourFeatures(word, place));
    word.vectors[place + 2] = at;
    return at;
  }

  private history(last: number, beforeLast: number): number {
    const index = last * TAG_SPACE + beforeLast;
    const known = this.histories[index] ?? ABSENT;
    if (known !== ABSENT) return known;
    const at = this.sum(historyFeatures(last, beforeLast));
    this.histories[index] = at;
    return at;
  }

  private sum(features: readonly number[]): number {
    const scores = new Int32Array(TAG_COUNT);
    for (const feature of features) this.weights.add(scores, feature);
    const at = this.pooled;
    this.pooled += TAG_COUNT;
    if (this.pooled > this.pool.length) {
      const wider = new Int16Array(this.pool.length * 2);
      wider.set(this.pool);
      this.pool = wider;
    }
    this.pool.set(scores, at);
    return at;
  }
}

/** How far a tag's score is ahead of every other's. */
function leadOf(scores: Int32Array, best: number): number {
  let second = Number.NEGATIVE_INFINITY;
  for (let tag = 0; tag < TAG_COUNT; tag++) {
    const score = scores[tag] ?? 0;
    if (tag !== best && score > second) second = score;
  }
  return (scores[best] ?? 0) - second;
}

function highest(scores: Int32Array): number {
  let best = 0;
  for (let tag = 1; tag < TAG_COUNT; tag++) {
    if ((scores[tag] ?? 0) > (scores[best] ?? 0)) best = tag;
  }
  return best;
}
