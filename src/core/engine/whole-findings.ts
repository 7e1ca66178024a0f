import type { Check, Choice, Conclusion } from "../checks/check.ts";
import type { CitedFinding } from "../citations/text-rules/rule.ts";
import type { Citing } from "./citing.ts";
import type { Finder } from "./finder.ts";
import type { FormCounted, Group, GroupPlace } from "./mark.ts";
import type { Overlapping } from "./overlapping.ts";

const NONE: readonly Conclusion[] = [];
const NO_FOUND: readonly CitedFinding[] = [];

/** Where findings of the whole document come from. */
export interface WholeSource {
  /** Another number for another state. */
  version(): number;
  find(): readonly CitedFinding[];
}

/** Where a check that looks at the whole document has its findings from; null for any other check. */
export function wholeSource(
  { cited, overlaps }: Check,
  citing: () => Citing,
  overlapping: Overlapping,
): WholeSource | null {
  if (cited) return { version: () => citing().version, find: () => cited(citing().cited) };
  if (!overlaps) return null;
  return { version: () => overlapping.version, find: () => overlapping.findings(overlaps) };
}

/** What a check finds that looks at the whole document, block by block, in the state it was settled in. */
export class WholeFindings implements Finder {
  readonly room = null;
  readonly visited = 0;
  private found = new Map<number, readonly Conclusion[]>();
  private raw = new Map<number, readonly CitedFinding[]>();
  private settled = -1;

  constructor(
    readonly check: Check,
    readonly order: number,
    private readonly source: WholeSource,
  ) {}

  replace(): void {}

  settle(changed: (block: number) => void, _told: (id: string, group: Group | null) => void): void {
    const version = this.source.version();
    if (this.settled === version) return;
    this.settled = version;
    const before = this.found;
    const raw = new Map<number, CitedFinding[]>();
    for (const finding of this.source.find()) {
      const own = raw.get(finding.block);
      if (own) own.push(finding);
      else raw.set(finding.block, [finding]);
    }
    this.raw = raw;
    this.found = new Map(
      [...raw].map(([block, own]) => [block, own.map((one) => this.conclusion(one))]),
    );
    for (const block of new Set([...before.keys(), ...this.found.keys()])) {
      if (!same(before.get(block) ?? NONE, this.found.get(block) ?? NONE)) changed(block);
    }
  }

  blocks(): Iterable<number> {
    return this.found.keys();
  }

  in(index: number): readonly Conclusion[] {
    return this.found.get(index) ?? NONE;
  }

  followsIn(index: number): boolean[] {
    return this.in(index).map(() => false);
  }

  placesIn(index: number): number {
    return this.in(index).length;
  }

  placesOf(): GroupPlace[] {
    return [];
  }

  *formCounts(): Generator<FormCounted> {}

  /** The ways to mend what is found at a place; a choice for another block says which. */
  choices(block: number, from: number, to: number): Choice[] {
    const found = (this.raw.get(block) ?? NO_FOUND).find(
      (one) => one.from === from && one.to === to,
    );
    return (found?.choices ?? []).flatMap(({ label, edits }) => {
      const [first] = edits;
      if (!first || edits.some((edit) => edit.block !== first.block)) return [];
      const plain = edits.map(({ from: start, to: end, insert }) => ({
        from: start,
        to: end,
        insert,
      }));
      return [
        {
          label,
          edits: plain,
          asWritten: true as const,
          ...(first.block === block ? {} : { block: first.block }),
        },
      ];
    });
  }

  /** The entry that what is found at a place is about. */
  referenceAt(block: number, from: number, to: number): number | null {
    const found = (this.raw.get(block) ?? NO_FOUND).find(
      (one) => one.from === from && one.to === to,
    );
    return found?.reference ?? null;
  }

  private conclusion({ from, to, reason, group, isAdvice, code }: CitedFinding): Conclusion {
    return {
      from,
      to,
      reason,
      ...(code === undefined ? {} : { code }),
      ...(isAdvice ? { weight: "weigh" as const } : {}),
      ...(group === undefined ? {} : { group: `${this.check.id}:${group}` }),
    };
  }
}

function same(one: readonly Conclusion[], other: readonly Conclusion[]): boolean {
  return one.length === other.length && JSON.stringify(one) === JSON.stringify(other);
}
