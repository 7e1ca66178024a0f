import type { Appetite } from "../checks/card.ts";
import type { Check, Circumstances, Conclusion, Fact, MarkFact } from "../checks/check.ts";
import { FormTally } from "../checks/consistency/form-counts.ts";
import { LEAVE_BITS } from "../checks/leave.ts";
import type { Block } from "../manuscript/model.ts";
import type { Finder } from "./finder.ts";
import { Gathering } from "./gathering.ts";
import { KeyedFacts } from "./keyed-facts.ts";
import type { FormCounted, Group, GroupPlace } from "./mark.ts";
import { PageRoom } from "./page-room.ts";
import type { Tallies } from "./tallies.ts";

const NONE: readonly Conclusion[] = [];

/** What a check's findings are looked up by and told with. */
export interface FindingsHost {
  block(index: number): Block | undefined;
  /** The facts that the check has in a block now. */
  facts(index: number): readonly Fact[] | undefined;
}

/**
 * What one check finds under the settings it was made with, block by block. Invariant, after `settle`:
 * the findings of every block are what a check made anew over all blocks would find.
 */
export class Findings implements Finder {
  /** Room for its marks on each page, where that is limited. */
  readonly room: PageRoom | null;
  private readonly found = new Map<number, readonly Conclusion[]>();
  private readonly keyed: KeyedFacts | null;
  private readonly gathering = new Gathering();
  private readonly stale = new Set<number>();
  private readonly spares: boolean;
  private looked = 0;

  constructor(
    readonly check: Check,
    /** The check's place in CHECKS, by which facts are kept. */
    readonly order: number,
    private readonly appetite: Appetite,
    private readonly circumstances: Circumstances,
    private readonly host: FindingsHost,
    tallies?: Tallies,
  ) {
    const { across } = check;
    this.keyed = across ? new KeyedFacts({ id: check.id, across }, circumstances, tallies) : null;
    this.room = check.aPage === undefined ? null : new PageRoom(check.aPage);
    this.spares = check.sparesSpeech === true && (circumstances.leave & LEAVE_BITS.speech) !== 0;
  }

  /** Facts looked at since this was made. */
  get visited(): number {
    return this.looked + (this.keyed?.visited ?? 0);
  }

  /** Takes in that a block has other facts; `settle` draws the conclusions. */
  replace(
    index: number,
    before: readonly Fact[] | undefined,
    now: readonly Fact[] | undefined,
  ): void {
    const block = this.host.block(index);
    if (block) this.keyed?.replace(index, block, before, now);
    this.stale.add(index);
  }

  /**
   * Draws the conclusions from everything put in since. `changed` gets the blocks whose findings may
   * be others, `told` the groups of which something else is told.
   */
  settle(changed: (block: number) => void, told: (id: string, group: Group | null) => void): void {
    const keys = new Set<string>();
    const before = new Set<string>();
    this.keyed?.settle(
      (blocks) => {
        for (const block of blocks) this.stale.add(block);
      },
      (key) => keys.add(key),
    );
    for (const index of this.stale) this.conclude(index, changed);
    this.stale.clear();
    for (const key of keys) {
      for (const id of this.toldOf.get(key) ?? []) before.add(id);
      const tellings = this.keyed?.tell(key) ?? [];
      for (const { group, ...telling } of tellings) {
        before.delete(group);
        told(group, { ...telling, id: group, rule: this.check.id });
      }
      for (const id of before) told(id, null);
      before.clear();
      if (tellings.length > 0)
        this.toldOf.set(
          key,
          tellings.map(({ group }) => group),
        );
      else this.toldOf.delete(key);
    }
  }

  /** The groups told of by key. */
  private readonly toldOf = new Map<string, readonly string[]>();

  /** The blocks in which something is found. */
  blocks(): Iterable<number> {
    return this.found.keys();
  }

  /** What is found in a block, in the order of its facts. */
  in(index: number): readonly Conclusion[] {
    return this.found.get(index) ?? NONE;
  }

  /** Which of a block's findings are stood for by the first of their group. */
  followsIn(index: number): boolean[] {
    return this.gathering.follows(index, this.in(index));
  }

  /** How many places of a block ask for room on the page. */
  placesIn(index: number): number {
    const found = this.found.get(index);
    if (!found) return 0;
    if (!found.some(({ gathers }) => gathers)) return found.length;
    return this.followsIn(index).filter((follows) => !follows).length;
  }

  /**
   * Every place of a key's forms, in reading order, beside one form or the one that is preferred;
   * `textOf` gives the texts of blocks.
   */
  placesOf(key: string, textOf: (block: number) => string, chosen?: string): GroupPlace[] {
    const { forms } = this.check;
    const { keyed, circumstances } = this;
    const form = chosen ?? keyed?.preferredFor(key);
    if (!forms || !keyed || form === undefined) return [];
    return keyed.blocksOf(key).flatMap((block) =>
      this.factsOf(key, block).flatMap((fact) => {
        const own = forms.formOf(fact);
        if (own === null) return [];
        const { from, to } = fact;
        const odd = keyed.isFound(fact, key, block, form);
        const insert = own === form ? null : forms.write(fact, form, textOf(block), circumstances);
        const keeping = forms.keeping(fact);
        const isSafe = odd && keeping === null && insert !== null && !forms.isAsked;
        return [{ block, from, to, form: own, keeping, odd, isSafe, insert }];
      }),
    );
  }

  /** How often each form stands, key by key, settled or not. */
  *formCounts(): Generator<FormCounted> {
    const { check, keyed } = this;
    if (!check.forms || !keyed) return;
    for (const { key, tally } of keyed.tallied()) {
      if (!(tally instanceof FormTally)) continue;
      const counts = [...tally].flatMap(([form, { own }]) =>
        own > 0 ? [{ form, count: own }] : [],
      );
      if (counts.length > 0) yield { group: `${check.id}:${key}`, forms: counts };
    }
  }

  private factsOf(key: string, index: number): Fact[] {
    const block = this.host.block(index);
    const facts = this.host.facts(index);
    if (!block || !facts) return [];
    return facts.filter((fact) => this.keyed?.hasKey(fact, block, key));
  }

  private conclude(index: number, changed: (block: number) => void): void {
    const before = this.in(index);
    const now = this.conclusionsIn(index);
    if (now.length > 0) this.found.set(index, now);
    else this.found.delete(index);
    for (const block of this.gathering.replace(index, before, now)) changed(block);
    changed(index);
  }

  private conclusionsIn(index: number): readonly Conclusion[] {
    const facts = this.host.facts(index);
    const block = this.host.block(index);
    if (!facts || facts.length === 0 || !block) return NONE;
    const found = this.wanted(index, facts, block);
    return this.appetite === "sure" ? found.filter(({ unsure }) => !unsure) : found;
  }

  private wanted(index: number, facts: readonly Fact[], block: Block): readonly Conclusion[] {
    const found: Conclusion[] = [];
    if (this.keyed) {
      this.keyed.conclude(index, block, facts, found);
      return found;
    }
    this.looked += facts.length;
    const { check } = this;
    if (check.conclude) {
      for (const fact of facts) {
        const conclusion = check.conclude(fact, this.circumstances);
        if (conclusion) found.push(conclusion);
      }
      return found;
    }
    // Facts that are marks as they stand are not copied where all of them count.
    const marks = facts as readonly MarkFact[];
    return this.spares && marks.some(({ quoted }) => quoted)
      ? marks.filter(({ quoted }) => !quoted)
      : marks;
  }
}
