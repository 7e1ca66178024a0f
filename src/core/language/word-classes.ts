import type { Trigrams } from "./trigrams.ts";

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

  /** The class of a lower-case word, or 0. */
  of(form: string): number {
    return this.classes[this.trigrams.id(form)] ?? 0;
  }
}
