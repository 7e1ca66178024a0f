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
import { type Tallied, Tallies } from "./tallies.ts";

/** What one check says of a key, and the levels at which it stands. */
interface Standing {
  readonly verdict: Verdict | null;
  readonly from: number;
  readonly until: number;
}

/**
 * What one check makes of facts by their keys: each key's tally gives its verdict. Invariants, after
 * `settle`: every verdict is what `judge` says of its tally at the present level; a key whose verdict
 * hangs on the level is found under its bounds.
 */
export class KeyedFacts {
  private readonly standings = new Map<Tallied, Standing>();
  private readonly crossings = new Crossings<Tallied>();
  private readonly totals: Totals<unknown> | undefined;
  private readonly first: boolean;
  private level = 0;
  private looked = 0;
  /** The last one given: most keys stand as others do, and share it. */
  private common = NOTHING;

  /** `tallies` may be read by other checks too, which must be settled together. */
  constructor(
    private readonly check: { id: string; across: Across<Fact> },
    private readonly circumstances: Circumstances,
    private readonly tallies = new Tallies(check.across.counting, circumstances),
  ) {
    this.totals = check.across.totals?.(circumstances);
    this.first = tallies.read(this);
  }

  /** Facts looked at so far, those counted for several checks by the first of them. */
  get visited(): number {
    return this.looked + (this.first ? this.tallies.visited : 0);
  }

  touching({ tally }: Tallied): void {
    this.totals?.remove(tally);
  }

  /** Puts a block's facts in the place of those it had; the first reader of the tallies does it for all. */
  replace(...change: Parameters<Tallies["replace"]>): void {
    if (this.first) this.tallies.replace(...change);
  }

  /**
   * Judges again what was touched and what the level has passed. Calls back with the blocks of each
   * key whose verdict is another, but for keys met for the first time, whose blocks were just put in;
   * and with each key that was touched and has a verdict or had one.
   */
  settle(changed: (blocks: readonly number[]) => void, told: (key: string) => void): void {
    const { totals } = this;
    const { touched } = this.tallies;
    if (totals) for (const { tally } of touched) totals.add(tally);
    const level = totals?.level() ?? 0;
    const crossed = this.crossings.between(this.level, level);
    this.level = level;
    for (const entry of touched) {
      crossed.delete(entry);
      this.ask(entry, changed, told);
    }
    for (const entry of crossed) this.ask(entry, changed, told);
    this.tallies.settled(this);
  }

  private ask(
    entry: Tallied,
    changed: (blocks: readonly number[]) => void,
    told: (key: string) => void,
  ): void {
    const before = this.standings.get(entry)?.verdict ?? null;
    const now = this.judge(entry);
    if (before !== now && !entry.fresh) changed(entry.blocks);
    if (this.check.across.tell && (before || now)) told(entry.key);
  }

  /** What the facts of one block come to. */
  conclude(index: number, block: Block, facts: readonly Fact[], found: Conclusion[]): void {
    const { across } = this.check;
    this.looked += facts.length;
    for (const fact of facts) {
      if (across.speaks && !across.speaks(fact)) continue;
      this.tallies.keysOf(fact, block).some((key) => {
        const conclusion = this.apply(fact, key, index);
        if (conclusion) found.push(conclusion);
        return conclusion !== null;
      });
    }
  }

  /** Applies a key's verdict, or the same for another form, to a fact; null where it says nothing of it. */
  private apply(fact: Fact, key: string, index: number, form?: string): Conclusion | null {
    const judged = this.verdictOf(key);
    if (!judged) return null;
    const verdict = form === undefined ? judged : { ...judged, form };
    const conclusion = this.check.across.find(fact, verdict, this.circumstances, index);
    if (!conclusion) return null;
    const { group = `${this.check.id}:${key}` } = conclusion;
    return { ...conclusion, group };
  }

  /** Whether a key's verdict, or the same for another form, finds something in a fact. */
  isFound(fact: Fact, key: string, index: number, form?: string): boolean {
    return this.apply(fact, key, index, form) !== null;
  }

  /** The form a key's verdict prefers; undefined without one. */
  preferredFor(key: string): string | undefined {
    const form = this.verdictOf(key)?.form;
    return form === undefined ? undefined : String(form);
  }

  /** What is told of the groups of a key now; nothing when it has no verdict. */
  tell(key: string): (Telling & { group: string })[] {
    const { across, id } = this.check;
    const verdict = this.verdictOf(key);
    if (!verdict) return [];
    return (across.tell?.(key, this.tallies.of(key)?.tally, verdict) ?? []).map((telling) => ({
      ...telling,
      group: telling.group ?? `${id}:${key}`,
    }));
  }

  /** Every key with its tally, whether anything is said of it or not. */
  tallied(): Iterable<Tallied> {
    return this.tallies.all();
  }

  /** The blocks that have facts of a key, ascending. */
  blocksOf(key: string): readonly number[] {
    return this.tallies.of(key)?.blocks ?? [];
  }

  /** Whether a fact is counted under a key. */
  hasKey(fact: Fact, block: Block, key: string): boolean {
    return this.tallies.keysOf(fact, block).includes(key);
  }

  private verdictOf(key: string): Verdict | null {
    const entry = this.tallies.of(key);
    return (entry && this.standings.get(entry)?.verdict) ?? null;
  }

  /** Gives a key its verdict; where it says the same as before, that is kept as it is. */
  private judge(entry: Tallied): Verdict | null {
    const known = this.standings.get(entry) ?? NOTHING;
    const {
      verdict,
      from = Number.NEGATIVE_INFINITY,
      until = Number.POSITIVE_INFINITY,
    } = entry.blocks.length === 0
      ? { verdict: null }
      : this.check.across.judge(entry.key, entry.tally, this.level, this.circumstances);
    const now = { verdict: same(known.verdict, verdict) ? known.verdict : verdict, from, until };
    if (from !== known.from || until !== known.until) {
      this.crossings.remove(known.from, entry);
      this.crossings.remove(known.until, entry);
      this.crossings.add(from, entry);
      this.crossings.add(until, entry);
    }
    if (now.verdict || Number.isFinite(from) || Number.isFinite(until)) {
      if (!isSame(this.common, now)) this.common = now;
      this.standings.set(entry, this.common);
    } else this.standings.delete(entry);
    return now.verdict;
  }
}

/** Of a key that nothing is said of, at whatever level. */
const NOTHING: Standing = {
  verdict: null,
  from: Number.NEGATIVE_INFINITY,
  until: Number.POSITIVE_INFINITY,
};

function isSame(one: Standing, other: Standing): boolean {
  return one.verdict === other.verdict && one.from === other.from && one.until === other.until;
}

function same(one: Verdict | null, other: Verdict | null): boolean {
  if (one === other) return true;
  if (!one || !other) return false;
  const names = Object.keys(one);
  return (
    names.length === Object.keys(other).length && names.every((name) => one[name] === other[name])
  );
}
