import { claimsOf } from "./claims.ts";
import {
  type Overlap,
  overlapsIn,
  type Searched,
  type Sources,
  searchOverlaps,
} from "./overlaps.ts";
import { type KnownSources, type Passage, passagesOf } from "./passages.ts";
import { type ComparedBlock, type RegionCache, regionsOf, type StockPhrases } from "./regions.ts";
import { freshOnes, type RetoldSources, stemmedText, withoutWords } from "./retellings.ts";
import { type ComparedWords, comparedWords } from "./words.ts";

/** What a document shares with sources, as its text stands. */
export interface Compared {
  /** Words of the document. */
  words: number;
  /** In order. */
  passages: readonly Passage[];
}

/** Words beside a change that are looked at again. */
const AROUND = 60;
/** Words beside a passage that is looked at again: what lies there may hang on it. */
const BESIDE = 20;
/** Contents of blocks kept beyond those of the document. */
const SPARE = 500;

/**
 * A document laid beside sources. The first look reads all of it, and tells how far it is; after an edit
 * only what lies around the change is searched again.
 */
export class Comparison {
  private readonly read = new Map<string, ComparedWords>();
  private readonly regions: RegionCache = new Map();
  private words: ComparedWords = joinedWords([], []);
  private overlaps: readonly Overlap[] | null = null;
  /** What was told again in a block, by its content; ranges from its first word on. */
  private readonly retold = new Map<string, readonly Overlap[]>();

  constructor(
    private readonly sources: Sources & KnownSources & { retold?: RetoldSources },
    private readonly stock: StockPhrases,
  ) {}

  /** What the document shares with the sources; the first look tells how far it is. */
  *look(blocks: readonly ComparedBlock[]): Generator<Searched, Compared> {
    const before = this.words.hashes;
    this.words = this.wordsOf(blocks);
    const { hashes } = this.words;
    this.overlaps = this.overlaps
      ? this.searchAgain(before, hashes, this.overlaps)
      : yield* searchOverlaps(hashes, this.sources);
    return this.compared(blocks);
  }

  /** The same without a stop on the way. */
  lookAtOnce(blocks: readonly ComparedBlock[]): Compared {
    const look = this.look(blocks);
    for (;;) {
      const step = look.next();
      if (step.done) return step.value;
    }
  }

  /** Has what is told again looked for anew: other sources are at hand. */
  forgetRetold(): void {
    this.retold.clear();
  }

  /** Where a word stands in the document's text. */
  placeOf(word: number): { from: number; to: number } {
    return { from: this.words.from[word] ?? 0, to: this.words.to[word] ?? 0 };
  }

  private compared(blocks: readonly ComparedBlock[]): Compared {
    const words = this.words.hashes.length;
    const overlaps = this.overlaps ?? [];
    const retold = freshOnes(this.retoldIn(blocks, overlaps), overlaps);
    const claims = claimsOf([...overlaps, ...retold], words);
    if (this.regions.size > blocks.length + SPARE) this.regions.clear();
    const regions = regionsOf(blocks, this.stock, this.regions);
    return { words, passages: passagesOf(claims, this.words, regions, this.sources) };
  }

  /** Passages that may be told again from a source, block by block, by the words that were not found before. */
  private retoldIn(blocks: readonly ComparedBlock[], overlaps: readonly Overlap[]): Overlap[] {
    const { retold } = this.sources;
    if (!retold) return [];
    if (this.retold.size > blocks.length * 2 + SPARE) this.retold.clear();
    const found: Overlap[] = [];
    let start = 0;
    for (const { text } of blocks) {
      const words = this.read.get(text) ?? comparedWords(text);
      const end = start + words.hashes.length;
      const before = overlaps
        .filter(({ from, to }) => from < end && to > start)
        .map(({ from, to }) => [Math.max(0, from - start), Math.min(end, to) - start] as const);
      const key = `${before.join()} ${text}`;
      const known =
        this.retold.get(key) ?? retold.find(withoutWords(stemmedText(text, words), before));
      this.retold.set(key, known);
      for (const overlap of known) found.push(moved(overlap, start));
      start = end;
    }
    return found;
  }

  /** Searches around what is otherwise; the rest is as it was, further on or back. */
  private searchAgain(
    before: Uint32Array,
    now: Uint32Array,
    overlaps: readonly Overlap[],
  ): Overlap[] {
    const { from, to, by } = changeBetween(before, now);
    if (from === to && by === 0) return [...overlaps];
    const reach = { from: from - AROUND, to: to + AROUND };
    for (let grew = true; grew; ) {
      grew = false;
      for (const overlap of overlaps) {
        if (overlap.to < reach.from || overlap.from > reach.to) continue;
        const [first, last] = [overlap.from - BESIDE, overlap.to + BESIDE];
        if (first < reach.from) [reach.from, grew] = [first, true];
        if (last > reach.to) [reach.to, grew] = [last, true];
      }
    }
    const start = Math.max(0, reach.from);
    const end = Math.min(now.length, Math.max(start, reach.to + by));
    const found = overlapsIn(now.subarray(start, end), this.sources);
    return [
      ...overlaps.filter((overlap) => overlap.to < reach.from),
      ...found.map((overlap) => moved(overlap, start)),
      ...overlaps.filter((overlap) => overlap.from > reach.to).map((one) => moved(one, by)),
    ];
  }

  private wordsOf(blocks: readonly ComparedBlock[]): ComparedWords {
    if (this.read.size > blocks.length * 2 + SPARE) this.read.clear();
    const parts = blocks.map(({ text }) => {
      const known = this.read.get(text) ?? comparedWords(text);
      this.read.set(text, known);
      return known;
    });
    return joinedWords(parts, blocks);
  }
}

/** The words of all blocks in a row. */
export function wordsOfBlocks(blocks: readonly ComparedBlock[]): ComparedWords {
  return joinedWords(
    blocks.map(({ text }) => comparedWords(text)),
    blocks,
  );
}

function joinedWords(
  parts: readonly ComparedWords[],
  blocks: readonly Pick<ComparedBlock, "from">[],
): ComparedWords {
  const count = parts.reduce((sum, { hashes }) => sum + hashes.length, 0);
  const joined = {
    hashes: new Uint32Array(count),
    from: new Uint32Array(count),
    to: new Uint32Array(count),
  };
  let at = 0;
  for (const [index, { hashes, from, to }] of parts.entries()) {
    const start = blocks[index]?.from ?? 0;
    joined.hashes.set(hashes, at);
    for (let word = 0; word < hashes.length; word++, at++) {
      joined.from[at] = start + (from[word] ?? 0);
      joined.to[at] = start + (to[word] ?? 0);
    }
  }
  return joined;
}

/** The words that are otherwise: [from, to) of those before, and how many more there are now. */
function changeBetween(before: Uint32Array, now: Uint32Array) {
  const least = Math.min(before.length, now.length);
  let from = 0;
  while (from < least && before[from] === now[from]) from++;
  let behind = 0;
  while (
    behind < least - from &&
    before[before.length - 1 - behind] === now[now.length - 1 - behind]
  )
    behind++;
  return { from, to: before.length - behind, by: now.length - before.length };
}

function moved(overlap: Overlap, by: number): Overlap {
  if (by === 0) return overlap;
  return {
    ...overlap,
    from: overlap.from + by,
    to: overlap.to + by,
    pairs: overlap.pairs.map(([word, source]) => [word + by, source] as const),
  };
}
