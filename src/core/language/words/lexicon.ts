import type { Variety } from "../../manuscript/model.ts";
import { SOUND_SPELLINGS } from "./sound-spellings.ts";
import { type Selection, Trie } from "./trie.ts";

/**
 * Known words with their varieties, kinds and frequencies. The file: magic and version as
 * little-endian 32-bit numbers, a packed trie (`trie.ts`), then three bytes a word in the order of
 * their numbers, each kept together: varieties and standing, traits, frequency. Words keep their
 * capitals; possessives in 's are left out, as any noun can take one.
 */
export const LEXICON_MAGIC = 0x4c575244;
export const LEXICON_VERSION = 2;
/** The frequency byte is round(8 * log2(1 + count)) in a corpus of 49.7 million words. */
export const FREQUENCY_SCALE = 8;

/** "en-GB-oxendict" is British spelling with -ize, by its registered language tag. */
export const VARIETY_BITS: Record<Variety, number> = {
  "en-US": 1,
  "en-GB": 2,
  "en-CA": 4,
  "en-AU": 8,
  "en-GB-oxendict": 16,
};
/** The bits of all varieties together. */
export const ALL_VARIETIES = 31;
/** Never offered as a correction: offensive. */
export const NOT_OFFERED = 32;
/** In large word lists only: known, but offered after all others. */
export const RARE = 64;

/** Traits of a word: its parts of speech in the WordNet database, and what else it may be. */
export const NOUN = 1;
export const VERB = 2;
export const ADJECTIVE = 4;
export const ADVERB = 8;
/** Known as a name of a person, place or people only. */
export const NAME = 16;
/** Written with a full stop where the house does so. */
export const ABBREVIATION = 32;

export type Pool = "common" | "rare" | "names";

export interface FoundWord {
  word: string;
  /** log2(1 + count), from the frequency byte. */
  frequency: number;
  rare: boolean;
  name: boolean;
}

export class Lexicon {
  private readonly trie: Trie;
  private readonly standing: Uint8Array;
  private readonly traitBytes: Uint8Array;
  private readonly frequencies: Uint8Array;
  private readonly selections = new Map<string, Selection>();
  private readonly remembered = new Map<string, number>();

  /** Throws RangeError when the bytes are no lexicon of this version. */
  constructor(bytes: Uint8Array) {
    const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
    if (bytes.length < 8 || view.getUint32(0, true) !== LEXICON_MAGIC) {
      throw new RangeError("not a lexicon");
    }
    if (view.getUint32(4, true) !== LEXICON_VERSION) throw new RangeError("lexicon version");
    this.trie = new Trie(bytes.subarray(8));
    const planes = bytes.subarray(8 + this.trie.byteLength);
    const count = this.trie.wordCount;
    if (planes.length !== 3 * count) throw new RangeError("lexicon is damaged");
    this.standing = planes.subarray(0, count);
    this.traitBytes = planes.subarray(count, 2 * count);
    this.frequencies = planes.subarray(2 * count);
  }

  get wordCount(): number {
    return this.trie.wordCount;
  }

  /** Variety bits of a word exactly as written; 0 when there is none. */
  varieties(word: string): number {
    return this.standingOf(word) & ALL_VARIETIES;
  }

  /** Traits of a word exactly as written; 0 when there is none. */
  traits(word: string): number {
    const index = this.trie.find(word);
    return index < 0 ? 0 : (this.traitBytes[index] ?? 0);
  }

  /** Whether a word exactly as written stands in large word lists only. */
  isRare(word: string): boolean {
    return (this.standingOf(word) & RARE) !== 0;
  }

  /** A number worked out once for each word; running text repeats nearly all of its words. */
  remember(word: string, workOut: () => number): number {
    const known = this.remembered.get(word);
    if (known !== undefined) return known;
    if (this.remembered.size >= MAX_REMEMBERED) this.remembered.clear();
    const value = workOut();
    this.remembered.set(word, value);
    return value;
  }

  /** log2(1 + count) of a word exactly as written, or of its lower-case form; 0 when unknown. */
  frequency(word: string): number {
    let index = this.trie.find(word);
    if (index < 0) index = this.trie.find(word.toLowerCase());
    return index < 0 ? 0 : (this.frequencies[index] ?? 0) / FREQUENCY_SCALE;
  }

  /**
   * Variety bits of a word in running text: a capitalised word may be any word at the start of a
   * sentence, and a word in capitals any word at all; a lower-case one must stand so in the list.
   */
  varietiesInText(word: string): number {
    return this.inText(word, (form) => this.varieties(form));
  }

  /** Traits of a word in running text, of all the forms it may be. */
  traitsInText(word: string): number {
    return this.inText(word, (form) => this.traits(form));
  }

  /**
   * Words within `distance` edits of a lower-case query, of a variety and fit to be offered: the
   * common ones, the rare ones too, or names of people and places as well. `elsewhere` is the
   * distance for words that begin otherwise (`trie.ts`).
   */
  near(
    query: string,
    distance: number,
    variety: Variety,
    pool: Pool,
    elsewhere: number = distance,
  ): FoundWord[] {
    const selection = this.selectionOf(variety, pool);
    return this.trie
      .near(query, distance, selection, elsewhere)
      .map(({ word, index }) => this.found(word, index));
  }

  /** Common words of a variety that a lower-case query spells by ear, and in how many places it does. */
  heard(query: string, variety: Variety, limit: number): (FoundWord & { times: number })[] {
    return this.trie
      .respelled(query, SOUND_SPELLINGS, limit, this.selectionOf(variety, "common"))
      .map(({ word, index, times }) => ({ ...this.found(word, index), times }));
  }

  private found(word: string, index: number): FoundWord {
    return {
      word,
      frequency: (this.frequencies[index] ?? 0) / FREQUENCY_SCALE,
      rare: ((this.standing[index] ?? 0) & RARE) !== 0,
      name: ((this.traitBytes[index] ?? 0) & NAME) !== 0,
    };
  }

  private selectionOf(variety: Variety, pool: Pool): Selection {
    const key = `${variety} ${pool}`;
    let selection = this.selections.get(key);
    if (!selection) {
      const bit = VARIETY_BITS[variety];
      selection = this.trie.select((index) => {
        const standing = this.standing[index] ?? 0;
        if (pool !== "names" && (this.traitBytes[index] ?? 0) & NAME) return false;
        if (pool === "common" && standing & RARE) return false;
        return (standing & bit) !== 0 && (standing & NOT_OFFERED) === 0;
      });
      this.selections.set(key, selection);
    }
    return selection;
  }

  /** Every word with its variety bits, in trie order. */
  *words(): Generator<{ word: string; varieties: number; rare: boolean }> {
    for (const { word, index } of this.trie.words()) {
      const standing = this.standing[index] ?? 0;
      yield { word, varieties: standing & ALL_VARIETIES, rare: (standing & RARE) !== 0 };
    }
  }

  private standingOf(word: string): number {
    const index = this.trie.find(word);
    return index < 0 ? 0 : (this.standing[index] ?? 0);
  }

  private inText(word: string, bitsOf: (form: string) => number): number {
    let bits = bitsOf(word);
    const first = word[0] ?? "";
    if (first === first.toLowerCase()) return bits;
    bits |= bitsOf(first.toLowerCase() + word.slice(1));
    if (word.length > 1 && word === word.toUpperCase()) {
      const lower = word.toLowerCase();
      bits |= bitsOf(lower) | bitsOf(first + lower.slice(1));
    }
    return bits;
  }
}

/** Distinct words of a very long book; beyond it the memory starts anew. */
const MAX_REMEMBERED = 50_000;
