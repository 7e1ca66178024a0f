import { splitSentences } from "../language/text/sentences.ts";
import type { Block, Manuscript, Range } from "../manuscript/model.ts";
import { alike, equalInOrder, equalMoved } from "./matching.ts";

/** A text and its blocks, as two versions of one document are compared. */
export type Version = Pick<Manuscript, "text" | "blocks">;

/** What became of a block of the old version, and where it is in the new one. */
export interface BlockFate {
  fate: "same" | "moved" | "changed" | "gone";
  /** Its number in the new version; null where it is gone. */
  to: number | null;
}

/** Words that make a sentence known again wherever it is. */
const TELLING_WORDS = 4;
/** Words around a place that must be carried with it where its block was changed. */
const WORDS_AROUND = 2;
const NOWHERE = -1;

/**
 * Which characters of the new version are those of the old one. Blocks are matched first (in order, moved,
 * changed), then words within changed blocks, then sentences that went from one block to another.
 */
export class Alignment {
  /** By block of the old version. */
  readonly fates: readonly BlockFate[];
  /** Blocks of the new version that no block of the old one became. */
  readonly added: readonly number[];
  private readonly to: Int32Array;
  /** 1 for characters whose block came unchanged. */
  private readonly whole: Uint8Array;

  constructor(
    private readonly old: Version,
    private readonly now: Version,
  ) {
    this.to = new Int32Array(old.text.length + 1).fill(NOWHERE);
    this.whole = new Uint8Array(old.text.length);
    const [mine, theirs] = [textsOf(old), textsOf(now)];
    const fates: BlockFate[] = mine.map(() => ({ fate: "gone", to: null }));
    const free = { one: new Set(mine.keys()), other: new Set(theirs.keys()) };
    const settle = (pairs: readonly [number, number][], fate: BlockFate["fate"]) => {
      for (const [here, there] of pairs) {
        fates[here] = { fate, to: there };
        free.one.delete(here);
        free.other.delete(there);
        if (fate === "changed") this.alignWords(old.blocks[here], now.blocks[there]);
        else this.alignWhole(old.blocks[here], now.blocks[there]);
      }
    };
    settle(equalInOrder(mine, theirs), "same");
    // A short text that is there several times may have come from any of them.
    const times = new Map<string, number>();
    for (const text of [...mine, ...theirs]) times.set(text, (times.get(text) ?? 0) + 1);
    const isTelling = (text: string) =>
      text.trim() !== "" &&
      ((times.get(text) === 2 && wordCount(text) > 0) || wordCount(text) >= 3);
    settle(equalMoved(mine, theirs, free, isTelling), "moved");
    const neighbours = neighboursOf(fates);
    const isNear = (here: number, there: number) => {
      const [from, until] = neighbours(here);
      return there > from && there < until;
    };
    settle(alike(mine, theirs, free, isNear), "changed");
    this.alignSentences(fates);
    this.fates = fates;
    this.added = [...free.other].sort((a, b) => a - b);
  }

  /** Where a place of the old version is in the new one; null where its text is gone or changed. */
  carry({ from, to }: Range): Range | null {
    if (from === to) return this.carryPoint(from);
    const start = this.to[from] ?? NOWHERE;
    if (start === NOWHERE) return null;
    for (let at = from + 1; at < to; at++) {
      if (this.to[at] !== start + at - from) return null;
    }
    if (this.whole[from] !== 1 && !this.isCarriedAround(from, to, start)) return null;
    return { from: start, to: start + to - from };
  }

  /** A point lies where what is before it and what is after it came together. */
  private carryPoint(at: number): Range | null {
    const before = at > 0 ? (this.to[at - 1] ?? NOWHERE) : NOWHERE;
    const after = this.to[at] ?? NOWHERE;
    const isWhole = this.whole[at] === 1 || this.whole[at - 1] === 1;
    if (before !== NOWHERE && before + 1 === after) return { from: after, to: after };
    if (!isWhole) return null;
    if (this.whole[at - 1] === 1 && before !== NOWHERE) return { from: before + 1, to: before + 1 };
    return after === NOWHERE ? null : { from: after, to: after };
  }

  /**
   * Whether enough of what is around a place came with it: words in one run with it, or most of its
   * sentence. A word by itself, alike by chance, is not carried.
   */
  private isCarriedAround(from: number, to: number, start: number): boolean {
    const { text } = this.old;
    let [first, last] = [from, to];
    const shift = start - from;
    while (first > 0 && this.to[first - 1] === first - 1 + shift) first--;
    while (last < text.length && this.to[last] === last + shift) last++;
    const around = text.slice(first, from) + text.slice(to, last);
    if (wordCount(around) > WORDS_AROUND) return true;
    const sentence = this.sentenceAt(from);
    let [kept, all] = [0, 0];
    for (let at = sentence.from; at < sentence.to; at++) {
      if (!/[\p{L}\p{N}]/u.test(text.charAt(at))) continue;
      all++;
      const there = this.to[at] ?? NOWHERE;
      // What came with it lies about as far from it as before.
      if (there !== NOWHERE && Math.abs(there - start - (at - from)) < 80) kept++;
    }
    const inSentence = wordCount(text.slice(sentence.from, sentence.to)) > WORDS_AROUND;
    if (!inSentence) return kept === all;
    return kept >= (wordCount(around) > 0 ? 0.5 : 0.75) * all;
  }

  private sentenceAt(at: number): Range {
    const block = this.old.blocks.find(({ from, to }) => from <= at && to >= at);
    if (!block) return { from: at, to: at };
    const own = this.old.text.slice(block.from, block.to);
    const sentence = splitSentences(own).find(({ to }) => to > at - block.from);
    return sentence
      ? { from: block.from + sentence.from, to: block.from + sentence.to }
      : { from: block.from, to: block.to };
  }

  private alignWhole(one?: Block, other?: Block): void {
    if (!one || !other) return;
    for (let at = 0; at < one.to - one.from; at++) this.to[one.from + at] = other.from + at;
    this.whole.fill(1, one.from, one.to);
  }

  private alignWords(one?: Block, other?: Block): void {
    if (!one || !other) return;
    this.alignRanges(one, other);
  }

  /** Words and signs of two stretches that are the same, in their order. */
  private alignRanges(one: Range, other: Range): void {
    const mine = piecesOf(this.old.text, one);
    const theirs = piecesOf(this.now.text, other);
    const texts = (pieces: readonly Piece[]) => pieces.map(({ text }) => text);
    for (const [here, there] of equalInOrder(texts(mine), texts(theirs))) {
      const [piece, twin] = [mine[here], theirs[there]];
      if (!piece || !twin) continue;
      for (let at = 0; at < piece.text.length; at++) this.to[piece.from + at] = twin.from + at;
    }
  }

  /** Sentences of changed and vanished blocks that are now elsewhere, as where a paragraph was parted or joined. */
  private alignSentences(fates: readonly BlockFate[]): void {
    const taken = new Set<number>();
    for (const at of this.to) if (at !== NOWHERE) taken.add(at);
    const lost = fates.flatMap(({ fate }, index) => {
      if (fate !== "changed" && fate !== "gone") return [];
      return this.sentencesOf(this.old, index).filter(({ from, to }) => {
        let carried = 0;
        for (let at = from; at < to; at++) if (this.to[at] !== NOWHERE) carried++;
        return carried < 0.7 * (to - from);
      });
    });
    if (lost.length === 0) return;
    const open = this.now.blocks.flatMap((_, index) =>
      this.sentencesOf(this.now, index).filter(({ from, to }) => {
        let free = 0;
        for (let at = from; at < to; at++) if (!taken.has(at)) free++;
        return free > 0.3 * (to - from);
      }),
    );
    const [mine, theirs] = [lost.map(({ text }) => text), open.map(({ text }) => text)];
    const free = { one: new Set(mine.keys()), other: new Set(theirs.keys()) };
    const isTelling = (text: string) => wordCount(text) >= TELLING_WORDS;
    const exact = equalMoved(mine, theirs, free, isTelling);
    for (const [here, there] of exact) {
      const [one, other] = [lost[here], open[there]];
      if (!one || !other) continue;
      for (let at = 0; at < one.text.length; at++) this.to[one.from + at] = other.from + at;
      free.one.delete(here);
      free.other.delete(there);
    }
    for (const index of [...free.one]) if (!isTelling(mine[index] ?? "")) free.one.delete(index);
    for (const [here, there] of alike(mine, theirs, free, () => false)) {
      const [one, other] = [lost[here], open[there]];
      if (one && other) this.alignRanges(one, other);
    }
  }

  private sentencesOf({ text, blocks }: Version, index: number): Piece[] {
    const block = blocks[index];
    if (!block) return [];
    const own = text.slice(block.from, block.to);
    return splitSentences(own).map(({ from, to }) => {
      const trimmed = own.slice(from, to).trimEnd();
      return { from: block.from + from, to: block.from + from + trimmed.length, text: trimmed };
    });
  }
}

interface Piece extends Range {
  text: string;
}

const PIECE = /[\p{L}\p{M}\p{N}]+|\s+|[^\p{L}\p{M}\p{N}\s]/gu;

function piecesOf(text: string, { from, to }: Range): Piece[] {
  return [...text.slice(from, to).matchAll(PIECE)].map((match) => ({
    from: from + match.index,
    to: from + match.index + match[0].length,
    text: match[0],
  }));
}

function wordCount(text: string): number {
  return text.match(/[\p{L}\p{N}]+/gu)?.length ?? 0;
}

function textsOf({ text, blocks }: Version): string[] {
  return blocks.map(({ from, to }) => text.slice(from, to));
}

/** For a block, the blocks of the new version that its nearest unchanged neighbours became. */
function neighboursOf(fates: readonly BlockFate[]): (index: number) => [number, number] {
  const before: number[] = [];
  const after: number[] = [];
  let last = NOWHERE;
  for (const [index, { fate, to }] of fates.entries()) {
    before[index] = last;
    if (fate === "same" && to !== null) last = to;
  }
  last = Number.POSITIVE_INFINITY;
  for (let index = fates.length - 1; index >= 0; index--) {
    after[index] = last;
    const { fate, to } = fates[index] ?? {};
    if (fate === "same" && typeof to === "number") last = to;
  }
  return (index) => [before[index] ?? NOWHERE, after[index] ?? Number.POSITIVE_INFINITY];
}
