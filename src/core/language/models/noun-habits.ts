import type { Word } from "../words/words.ts";
import type { Trigrams } from "./trigrams.ts";

/**
 * How often singular nouns stand without an article in a large body of text: "music" mostly does,
 * "boat" hardly ever. One signed byte for each word of the trigram model, after a preposition and
 * elsewhere; the same for each class of words, which speaks for nouns seldom met.
 */
export const HABIT_STEPS = 8;
const NOT_MET = -128;
const CLASSES = 256;

/** Where a noun group stands: "by boat" and "at home" are habits of their own. */
export const HABIT_PLACES = 2;

/** Bytes that the habits of so many words take. */
export function habitBytes(words: number): number {
  return (words + CLASSES) * HABIT_PLACES;
}

export class NounHabits {
  private readonly steps: Int8Array;
  /** Where the classes begin. */
  private readonly classesAt: number;

  /** Throws RangeError when there are too few bytes. */
  constructor(bytes: Uint8Array) {
    if (bytes.length < habitBytes(0)) throw new RangeError("the habits of nouns are damaged");
    this.steps = new Int8Array(bytes.buffer, bytes.byteOffset, bytes.length);
    this.classesAt = bytes.length - habitBytes(0);
  }

  /** Log odds that a noun stands without an article where its group follows a preposition, or elsewhere. */
  bareOdds(noun: Word, afterPreposition: boolean): number {
    const place = afterPreposition ? 1 : 0;
    const id = noun.trigram;
    const own = id < 0 ? NOT_MET : (this.steps[id * HABIT_PLACES + place] ?? NOT_MET);
    if (own !== NOT_MET) return own / HABIT_STEPS;
    const ofClass = this.steps[this.classesAt + noun.kin * HABIT_PLACES + place] ?? 0;
    return ofClass / HABIT_STEPS;
  }
}

/** Bare and other places of a noun or a class, by HABIT_PLACES. */
interface Counts {
  bare: number[];
  all: number[];
}

/** How many places of its own outweigh what is known of a noun's class, or of its other place. */
const PRIOR = 6;

/** Counts nouns as they stand, for NounHabits. */
export class HabitCounter {
  private readonly nouns = new Map<string, Counts & { kin: number }>();

  add({ form, kin }: Word, afterPreposition: boolean, bare: boolean): void {
    let counts = this.nouns.get(form);
    if (!counts) {
      counts = { bare: [0, 0], all: [0, 0], kin };
      this.nouns.set(form, counts);
    }
    const place = afterPreposition ? 1 : 0;
    counts.all[place] = (counts.all[place] ?? 0) + 1;
    if (bare) counts.bare[place] = (counts.bare[place] ?? 0) + 1;
  }

  /** The habits of all words of the trigram model. */
  steps(trigrams: Trigrams): Int8Array {
    const steps = new Int8Array(habitBytes(trigrams.size)).fill(NOT_MET);
    const classes = Array.from({ length: CLASSES }, (): Counts => ({ bare: [0, 0], all: [0, 0] }));
    const whole: Counts = { bare: [0, 0], all: [0, 0] };
    for (const { bare, all, kin } of this.nouns.values()) {
      for (let place = 0; place < HABIT_PLACES; place++) {
        for (const counts of [whole, classes[kin]]) {
          if (!counts) continue;
          counts.bare[place] = (counts.bare[place] ?? 0) + (bare[place] ?? 0);
          counts.all[place] = (counts.all[place] ?? 0) + (all[place] ?? 0);
        }
      }
    }
    const shareOf = ({ bare, all }: Counts, place: number, prior: number) =>
      ((bare[place] ?? 0) + PRIOR * prior) / ((all[place] ?? 0) + PRIOR);
    const ofClass = (kin: number, place: number) =>
      shareOf(classes[kin] ?? whole, place, shareOf(whole, place, 0.4));
    for (let kin = 0; kin < CLASSES; kin++) {
      for (let place = 0; place < HABIT_PLACES; place++) {
        steps[(trigrams.size + kin) * HABIT_PLACES + place] = stepOf(ofClass(kin, place));
      }
    }
    for (const [form, counts] of this.nouns) {
      const id = trigrams.id(form);
      if (id < 0) continue;
      for (let place = 0; place < HABIT_PLACES; place++) {
        steps[id * HABIT_PLACES + place] = stepOf(
          shareOf(counts, place, ofClass(counts.kin, place)),
        );
      }
    }
    return steps;
  }
}

function stepOf(share: number): number {
  const odds = Math.log(share / (1 - share));
  return Math.max(-127, Math.min(127, Math.round(odds * HABIT_STEPS)));
}
