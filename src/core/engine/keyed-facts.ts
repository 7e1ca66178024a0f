import type {
  Across,
  Circumstances,
  Conclusion,
  Fact,
  Telling,
  Totals,
  Verdict,
} from "../checks/check.ts";
import type { Block } from "../manuscript/model.ts";
import { Crossings } from "./crossings.ts";
import { insertSorted, removeSorted } from "./sorted.ts";

/** What is known of one key. */
interface Entry {
  key: string;
  tally: unknown;
  /** Blocks that have facts of it, ascending. */
  blocks: number[];
  verdict: Verdict | null;
  /** The levels at which the verdict stands. */
  from: number;
  until: number;
  /** Its tally is being changed. */
  touched: boolean;
}

/**
 * The facts of one check by their keys, each key with its tally and its verdict. Invariants, after
 * `settle`: a tally counts exactly the facts of the blocks as they were last put in; a key without
 * facts is gone; every verdict is what `judge` says of its tally at the present level; a key whose
 * verdict hangs on the level is found under its bounds.
 */
export class KeyedFacts {
  /** Facts looked at so far. */
  visited = 0;
  private readonly entries = new Map<string, Entry>();
  private touched: Entry[] = [];
  private readonly crossings = new Crossings<Entry>();
  private readonly totals: Totals<unknown> | undefined;
  private level = 0;

  constructor(
    private readonly check: { id: string; across: Across<Fact> },
    private readonly circumstances: Circumstances,
  ) {
    this.totals = check.across.totals?.(circumstances);
  }

  /** Puts a block's facts in the place of those it had. */
  replace(
    index: number,
    block: Block,
    before: readonly Fact[] | undefined,
    now: readonly Fact[] | undefined,
  ): void {
    if (before && before.length > 0) {
      const left = new Set<Entry>();
      this.count(before, block, -1, (entry) => left.add(entry));
      const kept = new Set<Entry>();
      this.count(now ?? [], block, 1, (entry) => kept.add(entry));
      for (const entry of left) if (!kept.has(entry)) removeSorted(entry.blocks, index);
      for (const entry of kept) if (!left.has(entry)) insertSorted(entry.blocks, index);
      return;
    }
    this.count(now ?? [], block, 1, (entry) => insertSorted(entry.blocks, index));
  }

  /**
   * Judges again what was touched and what the level has passed. Calls back with each key whose
   * verdict is another, and with each that was touched and has a verdict or had one.
   */
  settle(changed: (blocks: readonly number[]) => void, told: (key: string) => void): void {
    const { touched, totals } = this;
    this.touched = [];
    for (const entry of touched) {
      totals?.add(entry.tally);
      entry.touched = false;
    }
    const level = totals?.level() ?? 0;
    const crossed = this.crossings.between(this.level, level);
    this.level = level;
    for (const entry of touched) {
      crossed.delete(entry);
      this.ask(entry, changed, told);
    }
    for (const entry of crossed) this.ask(entry, changed, told);
  }

  private ask(
    entry: Entry,
    changed: (blocks: readonly number[]) => void,
    told: (key: string) => void,
  ): void {
    const before = entry.verdict;
    this.judge(entry);
    if (before !== entry.verdict) changed(entry.blocks);
    if (this.check.across.tell && (before || entry.verdict)) told(entry.key);
    if (entry.blocks.length === 0) this.entries.delete(entry.key);
  }

  /** What the facts of one block come to. */
  conclude(block: Block, facts: readonly Fact[], found: Conclusion[]): void {
    const { across } = this.check;
    this.visited += facts.length;
    for (const fact of facts) {
      const keys = across.keysOf(fact, block, this.circumstances);
      if (keys === null) continue;
      if (typeof keys === "string") this.apply(fact, keys, found);
      else keys.some((key) => this.apply(fact, key, found));
    }
  }

  /** Applies a key's verdict to a fact; returns whether it says something of it. */
  private apply(fact: Fact, key: string, found: Conclusion[]): boolean {
    const verdict = this.entries.get(key)?.verdict;
    if (!verdict) return false;
    const conclusion = this.check.across.find(fact, verdict, this.circumstances);
    if (!conclusion) return false;
    const { group = `${this.check.id}:${key}` } = conclusion;
    found.push({ ...conclusion, group });
    return true;
  }

  /** What is told of the groups of a key now; nothing when it has no verdict. */
  tell(key: string): (Telling & { group: string })[] {
    const entry = this.entries.get(key);
    const { across, id } = this.check;
    if (!entry?.verdict) return [];
    return (across.tell?.(key, entry.tally, entry.verdict) ?? []).map((telling) => ({
      ...telling,
      group: telling.group ?? `${id}:${key}`,
    }));
  }

  /** Counts facts in or out, and hands on each entry as often as a fact counts for it. */
  private count(
    facts: readonly Fact[],
    block: Block,
    by: 1 | -1,
    met: (entry: Entry) => void,
  ): void {
    const { across } = this.check;
    this.visited += facts.length;
    for (const fact of facts) {
      const keys = across.keysOf(fact, block, this.circumstances);
      if (keys === null) continue;
      if (typeof keys === "string") met(this.countOne(fact, keys, by));
      else for (const key of keys) met(this.countOne(fact, key, by));
    }
  }

  private countOne(fact: Fact, key: string, by: 1 | -1): Entry {
    const entry = this.entryOf(key);
    if (!entry.touched) {
      entry.touched = true;
      this.touched.push(entry);
      this.totals?.remove(entry.tally);
    }
    this.check.across.count(entry.tally, fact, key, by);
    return entry;
  }

  private entryOf(key: string): Entry {
    const known = this.entries.get(key);
    if (known) return known;
    const entry = {
      key,
      tally: this.check.across.start(),
      blocks: [],
      verdict: null,
      from: Number.NEGATIVE_INFINITY,
      until: Number.POSITIVE_INFINITY,
      touched: false,
    };
    this.entries.set(key, entry);
    return entry;
  }

  /** Gives a key its verdict; where it says the same as before, that is kept as it is. */
  private judge(entry: Entry): void {
    const {
      verdict,
      from = Number.NEGATIVE_INFINITY,
      until = Number.POSITIVE_INFINITY,
    } = entry.blocks.length === 0
      ? { verdict: null }
      : this.check.across.judge(entry.key, entry.tally, this.level, this.circumstances);
    if (!same(entry.verdict, verdict)) entry.verdict = verdict;
    if (from === entry.from && until === entry.until) return;
    this.crossings.remove(entry.from, entry);
    this.crossings.remove(entry.until, entry);
    entry.from = from;
    entry.until = until;
    this.crossings.add(from, entry);
    this.crossings.add(until, entry);
  }
}

function same(one: Verdict | null, other: Verdict | null): boolean {
  if (one === other) return true;
  if (!one || !other) return false;
  const names = Object.keys(one);
  return (
    names.length === Object.keys(other).length && names.every((name) => one[name] === other[name])
  );
}
