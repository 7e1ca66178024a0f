import type { Fingerprints } from "./fingerprints.ts";

/** A place that shares a fingerprint with the text asked about: a word of a source. */
export interface Posting {
  source: string;
  word: number;
}

/** Fingerprints of more places than this say nothing of where a text comes from: a stock phrase. */
export const MOST_PLACES = 40;
/** Parts that were added one by one are joined when there are as many. */
const MOST_PARTS = 6;

const VERSION = 1;
const MAGIC = 0x44_52_49_58;

interface Indexed {
  id: string;
  fingerprints: Fingerprints;
}

/** Fingerprints of some sources, sorted by hash; it never changes. */
class Part {
  private readonly hashes: Uint32Array;
  /** Counted through all its sources. */
  private readonly words: Uint32Array;
  private readonly starts: Uint32Array;
  /** Where the hashes with each upper half begin. */
  private readonly directory = new Uint32Array(65_537);

  constructor(readonly sources: readonly Indexed[]) {
    const count = sources.reduce((sum, { fingerprints }) => sum + fingerprints.hashes.length, 0);
    const hashes = new Uint32Array(count);
    const words = new Uint32Array(count);
    this.starts = new Uint32Array(sources.length + 1);
    let at = 0;
    let base = 0;
    for (const [index, { fingerprints }] of sources.entries()) {
      hashes.set(fingerprints.hashes, at);
      let word = base;
      for (const gap of fingerprints.gaps) {
        word += gap;
        words[at++] = word;
      }
      base += fingerprints.words;
      this.starts[index + 1] = base;
    }
    [this.hashes, this.words] = sortedByHash(hashes, words);
    for (const hash of this.hashes) countIn(this.directory, (hash >>> 16) + 1);
    addUp(this.directory);
  }

  get size(): number {
    return this.hashes.length;
  }

  /** The first entry whose hash is not below this one. */
  private firstFrom(hash: number): number {
    let low = this.directory[hash >>> 16] ?? 0;
    let high = this.directory[(hash >>> 16) + 1] ?? 0;
    while (low < high) {
      const middle = (low + high) >>> 1;
      if ((this.hashes[middle] ?? 0) < hash) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  /** The entries with a hash from `first` to `last`, both included, but for hashes that stand in too many places. */
  *entries(first: number, last: number): Generator<number> {
    for (let entry = this.firstFrom(first); entry < this.hashes.length; ) {
      const hash = this.hashes[entry] ?? 0;
      if (hash > last) return;
      const next = hash === 0xffffffff ? this.hashes.length : this.firstFrom(hash + 1);
      if (next - entry <= MOST_PLACES) for (let at = entry; at < next; at++) yield at;
      entry = next;
    }
  }

  hashAt(entry: number): number {
    return this.hashes[entry] ?? 0;
  }

  posting(entry: number): Posting {
    const word = this.words[entry] ?? 0;
    let low = 0;
    let high = this.sources.length - 1;
    while (low < high) {
      const middle = (low + high + 1) >>> 1;
      if ((this.starts[middle] ?? 0) <= word) low = middle;
      else high = middle - 1;
    }
    return { source: this.sources[low]?.id ?? "", word: word - (this.starts[low] ?? 0) };
  }
}

/** Counts one more in a place, and returns how many there were. */
function countIn(counts: Uint32Array, place: number): number {
  const before = counts[place] ?? 0;
  counts[place] = before + 1;
  return before;
}

/** Makes of the count in each place the sum of all up to it. */
function addUp(counts: Uint32Array): void {
  for (let i = 1; i < counts.length; i++) counts[i] = (counts[i] ?? 0) + (counts[i - 1] ?? 0);
}

/** Two columns sorted by the first, as unsigned numbers: two rounds of sixteen bits. */
function sortedByHash(hashes: Uint32Array, words: Uint32Array): [Uint32Array, Uint32Array] {
  let keys: Uint32Array = hashes;
  let values: Uint32Array = words;
  let nextKeys: Uint32Array = new Uint32Array(keys.length);
  let nextValues: Uint32Array = new Uint32Array(keys.length);
  for (const shift of [0, 16]) {
    const places = new Uint32Array(65_537);
    for (const key of keys) countIn(places, ((key >>> shift) & 0xffff) + 1);
    addUp(places);
    for (let i = 0; i < keys.length; i++) {
      const key = keys[i] ?? 0;
      const place = countIn(places, (key >>> shift) & 0xffff);
      nextKeys[place] = key;
      nextValues[place] = values[i] ?? 0;
    }
    [keys, nextKeys] = [nextKeys, keys];
    [values, nextValues] = [nextValues, values];
  }
  return [keys, values];
}

/** The fingerprints of a collection of sources, to which others are added and from which they are taken. */
export class SourceIndex {
  private parts: Part[] = [];
  private readonly present = new Map<string, Fingerprints>();
  /** Sources of a part that were taken away, or came again in a later one. */
  private readonly gone = new Map<Part, Set<string>>();

  constructor(sources: Iterable<readonly [string, Fingerprints]> = []) {
    this.add(sources);
  }

  /** Adds sources; one that is there already is replaced. */
  add(sources: Iterable<readonly [string, Fingerprints]>): void {
    const added = [...new Map(sources)].map(([id, fingerprints]) => ({ id, fingerprints }));
    if (added.length === 0) return;
    for (const { id, fingerprints } of added) {
      this.remove(id);
      this.present.set(id, fingerprints);
    }
    this.parts.push(new Part(added));
    if (this.parts.length > MOST_PARTS) this.join();
  }

  /** Takes a source out; nothing happens where it is not there. */
  remove(id: string): void {
    if (!this.present.delete(id)) return;
    for (const part of this.parts) {
      if (part.sources.some((source) => source.id === id)) this.goneFrom(part).add(id);
    }
  }

  wordCountOf(id: string): number {
    return this.present.get(id)?.words ?? 0;
  }

  get sources(): readonly string[] {
    return [...this.present.keys()];
  }

  /** Words of all sources. */
  get words(): number {
    let sum = 0;
    for (const { words } of this.present.values()) sum += words;
    return sum;
  }

  /** The places of a fingerprint; none where there are more than are of use. */
  find(hash: number): Posting[] {
    return this.between(hash, hash).map(({ source, word }) => ({ source, word }));
  }

  /** The places of all fingerprints whose first `bits` bits are these, each with its whole hash. */
  withPrefix(prefix: number, bits: number): (Posting & { hash: number })[] {
    const first = (prefix << (32 - bits)) >>> 0;
    const last = (first | (0xffffffff >>> bits)) >>> 0;
    const found = this.between(first, last);
    const places = new Map<number, number>();
    for (const { hash } of found) places.set(hash, (places.get(hash) ?? 0) + 1);
    return found.filter(({ hash }) => (places.get(hash) ?? 0) <= MOST_PLACES);
  }

  private between(first: number, last: number): (Posting & { hash: number })[] {
    const found: (Posting & { hash: number })[] = [];
    for (const part of this.parts) {
      const gone = this.gone.get(part);
      for (const entry of part.entries(first, last)) {
        const posting = part.posting(entry);
        if (gone?.has(posting.source)) continue;
        found.push({ ...posting, hash: part.hashAt(entry) });
      }
    }
    return first === last && found.length > MOST_PLACES ? [] : found;
  }

  private goneFrom(part: Part): Set<string> {
    const known = this.gone.get(part) ?? new Set<string>();
    this.gone.set(part, known);
    return known;
  }

  private join(): void {
    this.gone.clear();
    this.parts = [new Part([...this.present].map(([id, fingerprints]) => ({ id, fingerprints })))];
  }

  /** The index as a file: two bytes a word of its sources. */
  toBytes(): Uint8Array {
    const entries = [...this.present];
    const head = new TextEncoder().encode(
      JSON.stringify(entries.map(([id, { words, hashes }]) => [id, words, hashes.length])),
    );
    const start = 12 + Math.ceil(head.length / 4) * 4;
    const count = entries.reduce((sum, [, { hashes }]) => sum + hashes.length, 0);
    const bytes = new Uint8Array(start + count * 5);
    const view = new DataView(bytes.buffer);
    view.setUint32(0, MAGIC);
    view.setUint32(4, VERSION);
    view.setUint32(8, head.length);
    bytes.set(head, 12);
    let at = 0;
    const hashes = new Uint32Array(bytes.buffer, start, count);
    for (const [, fingerprints] of entries) {
      hashes.set(fingerprints.hashes, at);
      bytes.set(fingerprints.gaps, start + count * 4 + at);
      at += fingerprints.hashes.length;
    }
    return bytes;
  }

  /** Reads such a file; null where it is none, or of another version: it is then to be built anew. */
  static fromBytes(bytes: Uint8Array): SourceIndex | null {
    if (bytes.length < 12) return null;
    const own = bytes.slice();
    const view = new DataView(own.buffer);
    if (view.getUint32(0) !== MAGIC || view.getUint32(4) !== VERSION) return null;
    const length = view.getUint32(8);
    const start = 12 + Math.ceil(length / 4) * 4;
    const rows = parseHead(own.subarray(12, 12 + length));
    const count = rows?.reduce((sum, [, , own]) => sum + own, 0) ?? 0;
    if (!rows || own.length !== start + count * 5) return null;
    let at = 0;
    const entries = rows.map(([id, words, size]) => {
      const hashes = new Uint32Array(own.buffer, start + at * 4, size);
      const gaps = own.subarray(start + count * 4 + at, start + count * 4 + at + size);
      at += size;
      return [id, { words, hashes, gaps }] as const;
    });
    return new SourceIndex(entries);
  }
}

function parseHead(bytes: Uint8Array): [string, number, number][] | null {
  try {
    const rows: unknown = JSON.parse(new TextDecoder().decode(bytes));
    const isRow = (row: unknown) =>
      Array.isArray(row) &&
      typeof row[0] === "string" &&
      Number.isInteger(row[1]) &&
      Number.isInteger(row[2]);
    return Array.isArray(rows) && rows.every(isRow) ? (rows as [string, number, number][]) : null;
  } catch {
    return null;
  }
}
