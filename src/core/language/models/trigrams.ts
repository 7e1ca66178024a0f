/**
 * A trigram model of English: how likely a word is after the two before it, with back-off to
 * shorter histories (Katz 1987, "Estimation of probabilities from sparse data").
 *
 * It comes in two files. Both begin with a magic number and counts as little-endian 32-bit numbers
 * and hold planes one after another, each entry in the order of the words' numbers:
 *
 * pairs: magic, words, pairs, bytes of the word list, bytes of the first plane; the words, by
 *   falling frequency, each ended by a line break; one byte a word for its probability and one for
 *   its back-off; then of each word the number of its predecessors and their numbers as rising
 *   differences, all in 7-bit groups, low first; one byte a pair for its probability and one for
 *   its back-off.
 * triples: magic, triples, bytes of the first plane; of each pair the number of words before it and
 *   their numbers as rising differences, likewise; one byte a triple for its probability.
 */
export const PAIRS_MAGIC = 0x50525244;
export const TRIPLES_MAGIC = 0x54525244;
/** Bytes count these steps of log10, down from 0 for a probability and from 1 for a back-off. */
export const PROBABILITY_STEP = 1 / 16;
export const BACKOFF_STEP = 1 / 8;
export const BACKOFF_TOP = 1;

/** Score of a word that the model does not know: below the rarest it does. */
const UNKNOWN = -7.5;

export class Trigrams {
  private readonly ids = new Map<string, number>();
  private readonly own: Uint8Array;
  private readonly ownBackoff: Uint8Array;
  private readonly pairStart: Uint32Array;
  private readonly pairWord: Uint16Array;
  private readonly pair: Uint8Array;
  private readonly pairBackoff: Uint8Array;
  private readonly tripleStart: Uint32Array;
  private readonly tripleWord: Uint16Array;
  private readonly triple: Uint8Array;

  /** Throws RangeError when the bytes are not the two files of one model. */
  constructor(pairs: Uint8Array, triples: Uint8Array) {
    const numbers = (bytes: Uint8Array, count: number) => {
      if (bytes.length < 4 * count) throw new RangeError("not a trigram model");
      const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
      return Array.from({ length: count }, (_, index) => view.getUint32(4 * index, true));
    };
    const [magic, words = 0, pairCount = 0, listBytes = 0, planeBytes = 0] = numbers(pairs, 5);
    const [otherMagic, tripleCount = 0, triplePlane = 0] = numbers(triples, 3);
    if (magic !== PAIRS_MAGIC || otherMagic !== TRIPLES_MAGIC) {
      throw new RangeError("not a trigram model");
    }
    const list = new TextDecoder().decode(pairs.subarray(20, 20 + listBytes));
    for (const [id, word] of list.split("\n").slice(0, words).entries()) this.ids.set(word, id);
    let at = 20 + listBytes;
    const plane = (bytes: Uint8Array, size: number) => {
      if (at + size > bytes.length) throw new RangeError("the trigram model is damaged");
      at += size;
      return bytes.subarray(at - size, at);
    };
    this.own = plane(pairs, words);
    this.ownBackoff = plane(pairs, words);
    const pairLists = decodeLists(plane(pairs, planeBytes), words, pairCount);
    this.pairStart = pairLists.starts;
    this.pairWord = pairLists.members;
    this.pair = plane(pairs, pairCount);
    this.pairBackoff = plane(pairs, pairCount);
    at = 12;
    const tripleLists = decodeLists(plane(triples, triplePlane), pairCount, tripleCount);
    this.tripleStart = tripleLists.starts;
    this.tripleWord = tripleLists.members;
    this.triple = plane(triples, tripleCount);
  }

  /** The number of a lower-case word, or -1. "<s>" and "</s>" stand for a sentence's ends. */
  id(word: string): number {
    return this.ids.get(word) ?? -1;
  }

  /** How many words it knows. */
  get size(): number {
    return this.ids.size;
  }

  /** All words by their numbers. */
  words(): string[] {
    return [...this.ids.keys()];
  }

  /** log10 of how likely a word is after two others, all by their numbers. */
  score(beforeLast: number, last: number, word: number): number {
    if (word < 0) return UNKNOWN;
    const own = -(this.own[word] ?? 0) * PROBABILITY_STEP;
    if (last < 0) return own;
    const pair = this.findPair(last, word);
    if (pair < 0) return this.backoffOf(beforeLast, last) + this.wordBackoff(last) + own;
    const likely = -(this.pair[pair] ?? 0) * PROBABILITY_STEP;
    if (beforeLast < 0) return likely;
    const from = this.tripleStart[pair] ?? 0;
    const triple = find(this.tripleWord, from, this.tripleStart[pair + 1] ?? from, beforeLast);
    if (triple >= 0) return -(this.triple[triple] ?? 0) * PROBABILITY_STEP;
    return this.backoffOf(beforeLast, last) + likely;
  }

  private wordBackoff(word: number): number {
    return BACKOFF_TOP - (this.ownBackoff[word] ?? 0) * BACKOFF_STEP;
  }

  private backoffOf(beforeLast: number, last: number): number {
    if (beforeLast < 0) return 0;
    const pair = this.findPair(beforeLast, last);
    return pair < 0 ? 0 : BACKOFF_TOP - (this.pairBackoff[pair] ?? 0) * BACKOFF_STEP;
  }

  private findPair(before: number, word: number): number {
    const from = this.pairStart[word] ?? 0;
    return find(this.pairWord, from, this.pairStart[word + 1] ?? from, before);
  }
}

function decodeLists(bytes: Uint8Array, lists: number, all: number) {
  const starts = new Uint32Array(lists + 1);
  const members = new Uint16Array(all);
  let at = 0;
  let filled = 0;
  const next = () => {
    let value = 0;
    let shift = 0;
    let byte = 0;
    do {
      byte = bytes[at++] ?? 0;
      value |= (byte & 127) << shift;
      shift += 7;
    } while (byte & 128);
    return value;
  };
  for (let list = 0; list < lists; list++) {
    starts[list] = filled;
    const count = next();
    let member = 0;
    for (let index = 0; index < count; index++) {
      member += next();
      members[filled++] = member;
    }
  }
  starts[lists] = filled;
  if (filled !== all) throw new RangeError("the trigram model is damaged");
  return { starts, members };
}

function find(members: Uint16Array, from: number, to: number, wanted: number): number {
  let low = from;
  let high = to - 1;
  while (low <= high) {
    const middle = (low + high) >> 1;
    const member = members[middle] ?? 0;
    if (member === wanted) return middle;
    if (member < wanted) low = middle + 1;
    else high = middle - 1;
  }
  return -1;
}
