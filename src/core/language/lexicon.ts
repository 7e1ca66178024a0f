import type { Variety } from "../manuscript/model.ts";

/**
 * Known words with their varieties and frequencies, as a trie packed into bytes.
 *
 * The file: a header of four little-endian 32-bit numbers (magic, version, node count, word count);
 * one byte a node for its character (Latin-1) and one for its number of children, with the top bit
 * set where a word ends, nodes in breadth-first order from the root; then one byte a word in the
 * same order: bit 0 US, bit 1 GB, bit 2 not to be offered as a correction, bits 3-7 the frequency
 * class. Words keep their capitals; possessives in 's are left out, as any noun can take one.
 */
export const LEXICON_MAGIC = 0x4c575244;
export const LEXICON_VERSION = 1;
/** Frequency class = round(1.4 * log2(1 + count)) in a corpus of 49.7 million words; at most 31. */
export const FREQUENCY_SCALE = 1.4;

export const VARIETY_BITS: Record<Variety, number> = { "en-US": 1, "en-GB": 2 };
export const NOT_OFFERED = 4;

const APOSTROPHE = 39;

export interface FoundWord {
  word: string;
  /** log2(1 + count), from the frequency class. */
  frequency: number;
}

export class Lexicon {
  private readonly characters: Uint8Array;
  private readonly counts: Uint8Array;
  private readonly firstChild: Uint32Array;
  private readonly parent: Uint32Array;
  /** Index of the node's word in `payload`, or -1. */
  private readonly wordIndex: Int32Array;
  private readonly payload: Uint8Array;
  readonly wordCount: number;
  private readonly remembered = new Map<string, number>();

  /** Throws RangeError when the bytes are no lexicon of this version. */
  constructor(bytes: Uint8Array) {
    const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
    if (bytes.length < 16 || view.getUint32(0, true) !== LEXICON_MAGIC) {
      throw new RangeError("not a lexicon");
    }
    if (view.getUint32(4, true) !== LEXICON_VERSION) throw new RangeError("lexicon version");
    const nodes = view.getUint32(8, true);
    this.wordCount = view.getUint32(12, true);
    this.characters = bytes.subarray(16, 16 + nodes);
    const packed = bytes.subarray(16 + nodes, 16 + 2 * nodes);
    this.payload = bytes.subarray(16 + 2 * nodes, 16 + 2 * nodes + this.wordCount);
    this.counts = new Uint8Array(nodes);
    this.firstChild = new Uint32Array(nodes);
    this.parent = new Uint32Array(nodes);
    this.wordIndex = new Int32Array(nodes);
    let next = 1;
    let word = 0;
    for (let node = 0; node < nodes; node++) {
      const byte = packed[node] ?? 0;
      const count = byte & 127;
      this.counts[node] = count;
      this.firstChild[node] = next;
      for (let child = next; child < next + count; child++) this.parent[child] = node;
      next += count;
      this.wordIndex[node] = byte & 128 ? word++ : -1;
    }
    if (next !== nodes || word !== this.wordCount) throw new RangeError("lexicon is damaged");
  }

  /** Variety bits of a word exactly as written; 0 when there is none. */
  varieties(word: string): number {
    const payload = this.find(word);
    return payload === undefined ? 0 : payload & 3;
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
    const payload = this.find(word) ?? this.find(word.toLowerCase());
    return payload === undefined ? 0 : (payload >> 3) / FREQUENCY_SCALE;
  }

  /**
   * Variety bits of a word in running text: a capitalised word may be any word at the start of a
   * sentence, and a word in capitals any word at all; a lower-case one must stand so in the list.
   */
  varietiesInText(word: string): number {
    let bits = this.varieties(word);
    const first = word[0] ?? "";
    if (first === first.toLowerCase()) return bits;
    bits |= this.varieties(first.toLowerCase() + word.slice(1));
    if (word.length > 1 && word === word.toUpperCase()) {
      const lower = word.toLowerCase();
      bits |= this.varieties(lower) | this.varieties(first + lower.slice(1));
    }
    return bits;
  }

  /**
   * Words within `distance` edits of a lower-case query (Damerau-Levenshtein, adjacent letters
   * swapped count as one), found by walking the trie with one row of the edit matrix a node.
   * Capitals are no difference. Words of other varieties and words not to be offered are left out.
   */
  near(query: string, distance: number, variety: Variety): FoundWord[] {
    const width = query.length + 1;
    const rows = new Uint8Array(width * MAX_WORD);
    for (let column = 0; column < width; column++) rows[column] = column;
    const found: FoundWord[] = [];
    const bit = VARIETY_BITS[variety];
    const path = new Uint8Array(MAX_WORD);
    const visit = (node: number, depth: number) => {
      const from = this.firstChild[node] ?? 0;
      const to = from + (this.counts[node] ?? 0);
      for (let child = from; child < to; child++) {
        const letter = lowerLatin(this.characters[child] ?? 0);
        path[depth] = letter;
        const best = fillRow(
          rows,
          width,
          depth + 1,
          query,
          letter,
          depth > 0 ? path[depth - 1] : 0,
        );
        const index = this.wordIndex[child] ?? -1;
        if (index >= 0 && (rows[(depth + 1) * width + query.length] ?? 99) <= distance) {
          const payload = this.payload[index] ?? 0;
          if (payload & bit && !(payload & NOT_OFFERED)) {
            found.push({ word: this.spell(child), frequency: (payload >> 3) / FREQUENCY_SCALE });
          }
        }
        if (best <= distance && depth + 2 < MAX_WORD && depth + 1 < query.length + distance) {
          visit(child, depth + 1);
        }
      }
    };
    visit(0, 0);
    return found;
  }

  /** Every word with its variety bits, in trie order. */
  *words(): Generator<{ word: string; varieties: number }> {
    for (let node = 0; node < this.wordIndex.length; node++) {
      const index = this.wordIndex[node] ?? -1;
      if (index >= 0) yield { word: this.spell(node), varieties: (this.payload[index] ?? 0) & 3 };
    }
  }

  private find(word: string): number | undefined {
    let node = 0;
    for (let index = 0; index < word.length; index++) {
      let code = word.charCodeAt(index);
      if (code === 0x2019) code = APOSTROPHE;
      const from = this.firstChild[node] ?? 0;
      const to = from + (this.counts[node] ?? 0);
      let child = from;
      while (child < to && this.characters[child] !== code) child++;
      if (child === to) return undefined;
      node = child;
    }
    const index = this.wordIndex[node] ?? -1;
    return index < 0 ? undefined : this.payload[index];
  }

  private spell(node: number): string {
    let word = "";
    for (let at = node; at !== 0; at = this.parent[at] ?? 0) {
      word = String.fromCharCode(this.characters[at] ?? 0) + word;
    }
    return word;
  }
}

/** No word of the list is longer; deeper rows are never needed. */
const MAX_WORD = 64;
/** Distinct words of a very long book; beyond it the memory starts anew. */
const MAX_REMEMBERED = 50_000;

/** Fills row `row` of the edit matrix for one more letter of a candidate; returns its least value. */
function fillRow(
  rows: Uint8Array,
  width: number,
  row: number,
  query: string,
  letter: number,
  previous: number | undefined,
): number {
  const here = row * width;
  const above = here - width;
  rows[here] = row;
  let least = row;
  for (let column = 1; column < width; column++) {
    const typed = query.charCodeAt(column - 1);
    let value = (rows[above + column - 1] ?? 0) + (typed === letter ? 0 : 1);
    value = Math.min(value, (rows[above + column] ?? 0) + 1, (rows[here + column - 1] ?? 0) + 1);
    if (row > 1 && column > 1 && typed === previous && query.charCodeAt(column - 2) === letter) {
      value = Math.min(value, (rows[above - width + column - 2] ?? 0) + 1);
    }
    rows[here + column] = value;
    if (value < least) least = value;
  }
  return least;
}

/** Lower case within Latin-1. */
function lowerLatin(code: number): number {
  const capital = (code >= 65 && code <= 90) || (code >= 0xc0 && code <= 0xde && code !== 0xd7);
  return capital ? code + 32 : code;
}
