import type { Trigrams } from "../models/trigrams.ts";

/**
 * Classes of words that keep the same company, from 1 to 255: nouns that are counted, verbs that
 * people do, months. One byte a word, in the order of the trigram model's words.
 */
export class WordClasses {
  /** Throws RangeError when the bytes are not one for each word of the model. */
  constructor(
    private readonly classes: Uint8Array,
    private readonly trigrams: Trigrams,
  ) {
    if (classes.length !== trigrams.size) throw new RangeError("not the classes of these words");
  }

  /** The number of a lower-case word in the trigram model, or -1. */
  numberOf(form: string): number {
    return this.trigrams.id(form);
  }

  /** The class of a word by that number, or 0. */
  of(number: number): number {
    return this.classes[number] ?? 0;
  }
}
