import { type Fingerprints, fingerprintsOf, OF_FRAMES } from "./fingerprints.ts";
import { frameOf } from "./frames.ts";
import type { Sources } from "./overlaps.ts";
import { type Posting, SourceIndex } from "./source-index.ts";

/** What is kept of a source to find it by. */
export interface SourcePrints {
  words: Fingerprints;
  frame: Fingerprints;
}

/** The fingerprints of a text by the hashes of its words. */
export function printsOf(words: Uint32Array): SourcePrints {
  return { words: fingerprintsOf(words), frame: fingerprintsOf(frameOf(words), OF_FRAMES) };
}

/** Sources that texts are compared with, and the words of those that are at hand. */
export class Collection implements Sources {
  private readonly held = new Map<string, Uint32Array>();

  constructor(
    private readonly exact = new SourceIndex(),
    private readonly frames = new SourceIndex(),
  ) {}

  /** Adds sources; one that is there already is replaced. */
  add(sources: readonly { id: string; prints: SourcePrints; words?: Uint32Array }[]): void {
    this.exact.add(sources.map(({ id, prints }) => [id, prints.words] as const));
    this.frames.add(sources.map(({ id, prints }) => [id, prints.frame] as const));
    for (const { id, words } of sources) if (words) this.held.set(id, words);
  }

  remove(id: string): void {
    this.exact.remove(id);
    this.frames.remove(id);
    this.held.delete(id);
  }

  find(hash: number): Posting[] {
    return this.exact.find(hash);
  }

  findFrame(hash: number): Posting[] {
    return this.frames.find(hash);
  }

  /** Words of a source; 0 where it is not there. */
  wordCountOf(source: string): number {
    return this.exact.wordCountOf(source);
  }

  wordsOf(source: string): Uint32Array | null {
    return this.held.get(source) ?? null;
  }

  /** The fingerprints as a file; the words at hand are no part of it. */
  toBytes(): Uint8Array {
    const [words, frames] = [this.exact.toBytes(), this.frames.toBytes()];
    const start = 4 + Math.ceil(words.length / 4) * 4;
    const bytes = new Uint8Array(start + frames.length);
    new DataView(bytes.buffer).setUint32(0, words.length);
    bytes.set(words, 4);
    bytes.set(frames, start);
    return bytes;
  }

  /** Reads such a file; null where it is none, or of another version: it is then to be built anew. */
  static fromBytes(bytes: Uint8Array): Collection | null {
    if (bytes.length < 8) return null;
    const length = new DataView(bytes.buffer, bytes.byteOffset).getUint32(0);
    const start = 4 + Math.ceil(length / 4) * 4;
    const exact = SourceIndex.fromBytes(bytes.subarray(4, 4 + length));
    const frames = SourceIndex.fromBytes(bytes.subarray(start));
    return exact && frames ? new Collection(exact, frames) : null;
  }

  get sources(): readonly string[] {
    return this.exact.sources;
  }

  get size(): number {
    return this.exact.sources.length;
  }

  get words(): number {
    return this.exact.words;
  }
}
