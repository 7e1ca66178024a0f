import type { Group, Mark, Report, Tables } from "../../core/engine/mark.ts";
import type { SettledPlaces } from "../../core/ledger/settled.ts";
import { mapPosition, touches } from "../../core/manuscript/edits.ts";
import { blockIndexAt } from "../../core/manuscript/layout.ts";
import type { Block, Edit } from "../../core/manuscript/model.ts";
import { NO_COUNTS } from "../../core/readings/counts.ts";

/** A mark and where it stands in its document now. */
export interface PlacedMark {
  document: string;
  mark: Mark;
  from: number;
  to: number;
}

/**
 * What the worker has reported of a document: its groups and tables, and its marks by block, which are
 * kept in place through edits until it reports again. `blocks` are the desk's own, shifted by it before
 * `shift` is called.
 */
export class Reported {
  /** Of what is told of groups and shown in tables, the latest. */
  readonly groups = new Map<string, Group>();
  tables: Tables = { counts: NO_COUNTS, withheld: new Map() };
  private marks: (readonly Mark[])[] = [];
  /** The edits of each block that no report has taken in yet, oldest first; offsets in the block. */
  private readonly recent = new Map<number, { revision: number; edits: readonly Edit[] }[]>();
  private edits = 0;

  constructor(
    private readonly blocks: readonly Block[],
    private readonly document = "",
  ) {}

  /** Number of edits so far; a report carries the number it was made for. */
  get revision(): number {
    return this.edits;
  }

  /**
   * Takes in a report made for a revision: its marks are moved through what was changed since, and
   * those whose text was touched are left out. Returns the blocks whose marks are others now.
   */
  report({ document, whole, marks: update, groups, tables }: Report, revision: number): number[] {
    if (document !== this.document)
      throw new RangeError(`a report of another document: ${document}`);
    if (whole) this.groups.clear();
    for (const [id, group] of groups) {
      if (group) this.groups.set(id, group);
      else this.groups.delete(id);
    }
    this.tables = { ...this.tables, ...tables };
    for (const [block, steps] of this.recent) {
      const later = steps.filter((step) => step.revision > revision);
      if (later.length === 0) this.recent.delete(block);
      else this.recent.set(block, later);
    }
    for (const [block, marks] of update) {
      const later = this.recent.get(block) ?? [];
      this.marks[block] = later.reduce((moved, { edits }) => moveMarks(moved, edits), marks);
    }
    return [...update.keys()];
  }

  /** Moves marks through edits on the text before them; those whose text is touched are dropped. */
  shift(edits: readonly Edit[], before: readonly { from: number; block: number }[]): number[] {
    this.edits++;
    const byBlock = new Map<number, Edit[]>();
    for (const [index, edit] of edits.entries()) {
      const place = before[index];
      if (!place) continue;
      const local = { ...edit, from: edit.from - place.from, to: edit.to - place.from };
      byBlock.set(place.block, [...(byBlock.get(place.block) ?? []), local]);
    }
    for (const [block, local] of byBlock) {
      const steps = this.recent.get(block) ?? [];
      this.recent.set(block, [...steps, { revision: this.edits, edits: local }]);
      this.marks[block] = moveMarks(this.marks[block] ?? [], local);
    }
    return [...byBlock.keys()];
  }

  /** Every mark in reading order. */
  all(): PlacedMark[] {
    const { document } = this;
    const placed: PlacedMark[] = [];
    for (const [index, marks] of this.marks.entries()) {
      const block = this.blocks[index];
      if (!block || !marks) continue;
      for (const mark of marks) {
        placed.push({ document, mark, from: block.from + mark.from, to: block.from + mark.to });
      }
    }
    return placed;
  }

  /**
   * Of these marks those that no standing decision has settled. `since` are the steps made after the
   * text that the settled places lie in.
   */
  openOf(
    marks: readonly PlacedMark[],
    settled: SettledPlaces,
    since: readonly (readonly Edit[])[] = [],
  ): PlacedMark[] {
    // Looked up by where they begin: most marks begin where nothing is settled.
    const places = new Map<number, { to: number; rule: string; text: string }[]>();
    for (const { anchor, from, to } of settled.places()) {
      const now = since.reduce(
        (range, edits) => ({
          from: mapPosition(range.from, edits, "after"),
          to: mapPosition(range.to, edits, "before"),
        }),
        { from, to },
      );
      const place = { to: now.to, rule: anchor.rule, text: anchor.text };
      places.set(now.from, [...(places.get(now.from) ?? []), place]);
    }
    return marks.filter(({ mark, from, to }) => {
      if (settled.standsEverywhere(mark.rule, mark.text)) return false;
      const here = places.get(from);
      return !here?.some(
        (place) => place.to === to && place.rule === mark.rule && place.text === mark.text,
      );
    });
  }
}

/** Marks of a block after edits in it, without those whose text the edits touch. */
function moveMarks(marks: readonly Mark[], edits: readonly Edit[]): readonly Mark[] {
  return marks
    .filter((mark) => !edits.some((edit) => touches(edit, mark)))
    .map((mark) => ({
      ...mark,
      from: mapPosition(mark.from, edits, "after"),
      to: mapPosition(mark.to, edits, "before"),
    }));
}

/** The blocks that edits fall into, and where these start, before they are made. */
export function placesOf(
  blocks: readonly Block[],
  edits: readonly Edit[],
): { from: number; block: number }[] {
  return edits.map((edit) => {
    const block = blockIndexAt(blocks, edit.from);
    return { block, from: blocks[block]?.from ?? 0 };
  });
}
