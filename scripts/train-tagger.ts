import { readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { type LearnedFeature, packWeights } from "../src/core/language/models/sparse-weights.ts";
import {
  describe,
  fillJoint,
  historyFeatures,
  JOINT_FEATURES,
  NO_TAG,
  neighbourFeatures,
  ownFeatures,
  packClass,
  TAGGER_MAGIC,
  type TaggedWord,
  Tagger,
} from "../src/core/language/tags/tagger.ts";
import { TAGS } from "../src/core/language/tags/tags.ts";
import { Lexicon } from "../src/core/language/words/lexicon.ts";
import { type BrownText, brownTexts } from "./corpus/brown.ts";
import { recordInputs } from "./inputs.ts";

/**
 * Trains data/tagger.bin on the training part of the Brown corpus; with `--final` on the tuning
 * part as well. Prints the accuracy on the tuning part (on the test part with `--final`).
 */
const EPOCHS = 8;
/**
 * Averaged weights below this share of the largest are left out, and features that corrected fewer
 * mistakes. Chosen on the tuning part: a fifth of the size for 0.1% of the accuracy.
 */
const SMALLEST_WEIGHT = 0.16;
const LEAST_UPDATES = 5;
/** A word seen so often with one tag alone (or nearly) is tagged without weighing. */
const SURE_COUNT = 10;
const SURE_SHARE = 0.99;
/** Words seen less often say too little about their tags. */
const KNOWN_COUNT = 3;
const SECOND_SHARE = 0.02;

interface Sentence {
  words: string[];
  tags: number[];
}

const lexicon = new Lexicon(readFileSync(path.resolve(import.meta.dirname, "../data/lexicon.bin")));
const traitsOf = (word: string) => lexicon.traitsInText(word);
const final = process.argv.includes("--final");
const texts = brownTexts();
const training = texts.filter(({ part }) => part === "train" || (final && part === "tune"));
const trying = texts.filter(({ part }) => part === (final ? "test" : "tune"));

function sentencesOf(some: BrownText[]): Sentence[] {
  return some.flatMap(({ blocks }) =>
    blocks.flatMap(({ text, sentences, tokens }) =>
      sentences.map(({ from, to }) => {
        const own = tokens.filter((token) => token.from >= from && token.to <= to);
        return {
          words: own.map((token) => text.slice(token.from, token.to)),
          tags: own.map(({ tag }) => TAGS.indexOf(tag)),
        };
      }),
    ),
  );
}

function countTags(sentences: Sentence[]): Map<string, Uint32Array> {
  const counts = new Map<string, Uint32Array>();
  for (const { words, tags } of sentences) {
    for (const [index, word] of words.entries()) {
      const own = counts.get(word) ?? new Uint32Array(TAGS.length);
      counts.set(word, own);
      const tag = tags[index] ?? 0;
      own[tag] = (own[tag] ?? 0) + 1;
    }
  }
  return counts;
}

function classesOf(counts: Map<string, Uint32Array>): Map<string, number> {
  const classes = new Map<string, number>();
  for (const [word, own] of counts) {
    const all = own.reduce((sum, one) => sum + one, 0);
    if (all < KNOWN_COUNT || /[\s\d]/.test(word)) continue;
    const [first, second] = [...own.entries()].sort((a, b) => b[1] - a[1] || a[0] - b[0]);
    if (!first || !second) continue;
    classes.set(
      word,
      packClass({
        first: first[0],
        second: second[1] / all >= SECOND_SHARE ? second[0] : NO_TAG,
        sure: all >= SURE_COUNT && first[1] / all >= SURE_SHARE,
      }),
    );
  }
  return classes;
}

const CAPACITY = 1 << 24;
const MASK = CAPACITY - 1;

/** The weights while they are being learned: a row of one weight a tag for each feature. */
class Rows {
  readonly keys = new Uint32Array(CAPACITY);
  readonly rowOf = new Int32Array(CAPACITY);
  count = 1;
  private weights = new Float32Array(TAGS.length << 20);
  private totals = new Float64Array(TAGS.length << 20);
  private updates = new Uint8Array(1 << 20);
  private changed = new Uint32Array(TAGS.length << 20);

  row(feature: number, make: boolean): number {
    const key = feature >>> 0 || 1;
    let slot = (Math.imul(key, 0x9e3779b1) >>> 7) & MASK;
    while (this.keys[slot] !== 0 && this.keys[slot] !== key) slot = (slot + 1) & MASK;
    if (this.keys[slot] === 0) {
      if (!make) return 0;
      this.keys[slot] = key;
      this.rowOf[slot] = this.count++;
      if (this.count * TAGS.length > this.weights.length) this.grow();
    }
    return this.rowOf[slot] ?? 0;
  }

  add(row: number, scores: Float64Array): void {
    const at = row * TAGS.length;
    for (let tag = 0; tag < scores.length; tag++) {
      scores[tag] = (scores[tag] ?? 0) + (this.weights[at + tag] ?? 0);
    }
  }

  change(row: number, tag: number, by: number, step: number): void {
    const at = row * TAGS.length + tag;
    const weight = this.weights[at] ?? 0;
    this.totals[at] = (this.totals[at] ?? 0) + (step - (this.changed[at] ?? 0)) * weight;
    this.changed[at] = step;
    this.weights[at] = weight + by;
  }

  /** Counts the mistakes that a feature took part in. */
  touch(row: number): void {
    this.updates[row] = Math.min(LEAST_UPDATES, (this.updates[row] ?? 0) + 1);
  }

  touched(row: number): number {
    return this.updates[row] ?? 0;
  }

  averaged(step: number): Float32Array {
    return Float32Array.from(
      { length: this.count * TAGS.length },
      (_, at) =>
        ((this.totals[at] ?? 0) + (step - (this.changed[at] ?? 0)) * (this.weights[at] ?? 0)) /
        step,
    );
  }

  private grow(): void {
    const wider = <A extends Float32Array | Float64Array | Uint32Array | Uint8Array>(
      array: A,
      next: A,
    ): A => {
      next.set(array);
      return next;
    };
    const size = this.weights.length * 2;
    this.weights = wider(this.weights, new Float32Array(size));
    this.totals = wider(this.totals, new Float64Array(size));
    this.updates = wider(this.updates, new Uint8Array(size / TAGS.length));
    this.changed = wider(this.changed, new Uint32Array(size));
  }
}

/** Deterministic, so that a second run makes the same file. */
function shuffle(order: number[], seed: number): void {
  let state = seed;
  for (let index = order.length - 1; index > 0; index--) {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    const other = state % (index + 1);
    [order[index], order[other]] = [order[other] ?? 0, order[index] ?? 0];
  }
}

function train(sentences: Sentence[], classes: Map<string, number>) {
  const rows = new Rows();
  const edge = { before: describe("<", -1, 0), after: describe(">", -1, 0) };
  const words = new Map<string, { word: TaggedWord; own: number[]; near: Map<number, number[]> }>();
  const known = (written: string) => {
    let entry = words.get(written);
    if (!entry) {
      const exact = classes.get(written);
      const packed = exact ?? classes.get(written.toLowerCase()) ?? -1;
      const word = describe(
        written,
        packed < 0 ? -1 : exact === undefined ? packed & ~1 : packed,
        traitsOf(written),
      );
      entry = { word, own: ownFeatures(word), near: new Map() };
      for (const place of [-2, -1, 1, 2]) entry.near.set(place, neighbourFeatures(word, place));
      words.set(written, entry);
    }
    return entry;
  };
  const joint = new Int32Array(JOINT_FEATURES);
  const scores = new Float64Array(TAGS.length);
  const order = sentences.map((_, index) => index);
  let step = 0;
  for (let epoch = 0; epoch < EPOCHS; epoch++) {
    shuffle(order, epoch + 1);
    let wrong = 0;
    let all = 0;
    for (const sentence of order.map((index) => sentences[index])) {
      const entries = (sentence?.words ?? []).map(known);
      let last = NO_TAG;
      let beforeLast = NO_TAG;
      for (const [index, { word, own }] of entries.entries()) {
        const gold = sentence?.tags[index] ?? 0;
        let best = word.known >= 0 && word.known & 1 ? word.known >> 7 : -1;
        all++;
        if (best < 0) {
          step++;
          const at = (place: number) =>
            entries[index + place]?.word ?? (place < 0 ? edge.before : edge.after);
          fillJoint(joint, word, at(-1), at(1), at(2), last, beforeLast, index === 0 ? 1 : 0);
          const features = [...own, ...historyFeatures(last, beforeLast), ...joint];
          for (const place of [-2, -1, 1, 2]) {
            features.push(
              ...(entries[index + place]?.near.get(place) ?? neighbourFeatures(at(place), place)),
            );
          }
          scores.fill(0);
          for (const feature of features) {
            const row = rows.row(feature, false);
            if (row > 0) rows.add(row, scores);
          }
          best = 0;
          for (let tag = 1; tag < scores.length; tag++) {
            if ((scores[tag] ?? 0) > (scores[best] ?? 0)) best = tag;
          }
          if (best !== gold) {
            for (const feature of features) {
              const row = rows.row(feature, true);
              rows.change(row, gold, 1, step);
              rows.change(row, best, -1, step);
              rows.touch(row);
            }
          }
        }
        if (best !== gold) wrong++;
        beforeLast = last;
        last = best;
      }
    }
    console.log(`round ${epoch + 1}: ${((100 * wrong) / all).toFixed(2)}% wrong`);
  }
  return { rows, weights: rows.averaged(step) };
}

function pack({ rows, weights }: ReturnType<typeof train>, classes: Map<string, number>): Buffer {
  const sizes = weights
    .filter((weight) => weight !== 0)
    .map(Math.abs)
    .sort();
  const largest = sizes[Math.floor(sizes.length * 0.9995)] ?? 1;
  const features: LearnedFeature[] = [];
  for (const [slot, key] of rows.keys.entries()) {
    if (key === 0 || rows.touched(rows.rowOf[slot] ?? 0) < LEAST_UPDATES) continue;
    const at = (rows.rowOf[slot] ?? 0) * TAGS.length;
    const feature: LearnedFeature = { key, classes: [], values: [] };
    for (let tag = 0; tag < TAGS.length; tag++) {
      const share = (weights[at + tag] ?? 0) / largest;
      const value = Math.max(-127, Math.min(127, Math.round(share * 127)));
      if (value === 0 || Math.abs(share) < SMALLEST_WEIGHT) continue;
      feature.classes.push(tag);
      feature.values.push(value);
    }
    if (feature.classes.length > 0) features.push(feature);
  }
  const { bytes, sizes: packed } = packWeights(features);
  const lines = [...classes].map(([word, packed]) => `${word} ${packed}`).sort();
  const text = Buffer.from(lines.join("\n"));
  const header = Buffer.alloc(20);
  for (const [index, value] of [
    TAGGER_MAGIC,
    packed.features,
    packed.keyBytes,
    packed.weights,
    text.length,
  ].entries()) {
    header.writeUInt32LE(value, index * 4);
  }
  return Buffer.concat([header, bytes, text]);
}

const sentences = sentencesOf(training);
const classes = classesOf(countTags(sentences));
const learned = train(sentences, classes);
const bytes = pack(learned, classes);
const file = path.resolve(import.meta.dirname, "../data/tagger.bin");
writeFileSync(file, bytes);
recordInputs("tagger.bin");

/** Share of the tags right on the trying part, in per cent. */
function accuracy(bytes: Buffer): string {
  const tagger = new Tagger(bytes, traitsOf);
  let right = 0;
  let all = 0;
  for (const { words, tags } of sentencesOf(trying)) {
    const text = words.join(" ");
    let at = 0;
    const units = words.map((word) => {
      const from = at;
      at += word.length + 1;
      return { from, to: from + word.length };
    });
    const told = tagger.tag(text, units, new Set([0]));
    for (const [index, tag] of told.tags.entries()) {
      all++;
      if (tag === tags[index]) right++;
    }
  }
  return ((100 * right) / all).toFixed(2);
}
console.log(`${bytes.length} bytes; ${accuracy(bytes)}% of the tags right`);
