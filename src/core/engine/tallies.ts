import type { Circumstances, Counting, Fact } from "../checks/check.ts";
import type { Block } from "../manuscript/model.ts";
import { insertSorted, removeSorted } from "./sorted.ts";

/** What is known of one key. */
export interface Tallied {
  readonly key: string;
  readonly tally: unknown;
  /** Blocks that have facts of it, ascending. */
  blocks: number[];
  /** Counted for the first time since all was last settled: each of its blocks was just put in. */
  fresh: boolean;
  touched: boolean;
}

/** Hears of keys whose tallies are about to change. */
export interface TallyReader {
  touching(entry: Tallied): void;
}

/**
 * Facts counted together by their keys, for one check or for several that count the same facts alike.
 * Invariants: a tally counts exactly the facts of the blocks as they were last put in; once every reader
 * has settled, a key without facts is gone.
 */
export class Tallies {
  /** Facts looked at so far. */
  visited = 0;
  private readonly entries = new Map<string, Tallied>();
  private readonly readers: TallyReader[] = [];
  private changed: Tallied[] = [];

  constructor(
    private readonly counting: Counting<Fact>,
    private readonly circumstances: Circumstances,
  ) {}

  /** Adds a reader and says whether it is the first, who puts blocks in for all of them. */
  read(reader: TallyReader): boolean {
    this.readers.push(reader);
    return this.readers.length === 1;
  }

  /** The keys touched since all readers settled. */
  get touched(): readonly Tallied[] {
    return this.changed;
  }

  of(key: string): Tallied | undefined {
    return this.entries.get(key);
  }

  /** Every key, with what is known of it. */
  all(): Iterable<Tallied> {
    return this.entries.values();
  }

  /** Puts a block's facts in the place of those it had. */
  replace(
    index: number,
    block: Block,
    before: readonly Fact[] | undefined,
    now: readonly Fact[] | undefined,
  ): void {
    if (!before || before.length === 0) {
      for (const entry of this.count(now ?? [], index, block, 1)) {
        entry.blocks = insertSorted(entry.blocks, index);
      }
      return;
    }
    const left = this.count(before, index, block, -1);
    const kept = this.count(now ?? [], index, block, 1);
    for (const entry of left) {
      if (!kept.has(entry)) entry.blocks = removeSorted(entry.blocks, index);
    }
    for (const entry of kept) {
      if (!left.has(entry)) entry.blocks = insertSorted(entry.blocks, index);
    }
  }

  /** The keys of a fact under these circumstances. */
  keysOf(fact: Fact, block: Block): readonly string[] {
    const keys = this.counting.keysOf(fact, block, this.circumstances);
    return keys === null ? NO_KEYS : typeof keys === "string" ? [keys] : keys;
  }

  /** Says that a reader has settled; the last one ends the round. */
  settled(reader: TallyReader): void {
    if (reader !== this.readers[this.readers.length - 1]) return;
    for (const entry of this.changed) {
      entry.touched = false;
      entry.fresh = false;
      if (entry.blocks.length === 0) this.entries.delete(entry.key);
    }
    this.changed = [];
  }

  private count(facts: readonly Fact[], index: number, block: Block, by: 1 | -1): Set<Tallied> {
    const met = new Set<Tallied>();
    this.visited += facts.length;
    for (const fact of facts) {
      const keys = this.counting.keysOf(fact, block, this.circumstances);
      if (keys === null) continue;
      if (typeof keys === "string") met.add(this.countOne(fact, keys, by, index, block));
      else for (const key of keys) met.add(this.countOne(fact, key, by, index, block));
    }
    return met;
  }

  private countOne(fact: Fact, key: string, by: 1 | -1, index: number, block: Block): Tallied {
    let entry = this.entries.get(key);
    if (!entry) {
      entry = { key, tally: this.counting.start(), blocks: [], fresh: true, touched: false };
      this.entries.set(key, entry);
    }
    if (!entry.touched) {
      entry.touched = true;
      this.changed.push(entry);
      for (const reader of this.readers) reader.touching(entry);
    }
    this.counting.count(entry.tally, fact, key, by, index, block);
    return entry;
  }
}

const NO_KEYS: readonly string[] = [];
