import type { Mark } from "../../core/engine.ts";
import type { SettledPlaces } from "../../core/ledger/settled.ts";
import { mapPosition, touches } from "../../core/manuscript/edits.ts";
import { blockIndexAt } from "../../core/manuscript/layout.ts";
import type { Block, Edit } from "../../core/manuscript/model.ts";

/** A mark and where it stands in the document now. */
export interface PlacedMark {
  mark: Mark;
  from: number;
  to: number;
}

/**
 * The marks the worker has reported, by block, kept in place through edits until it reports again.
 * `blocks` are the desk's own, shifted by it before `shift` is called.
 */
export class MarksBoard {
  private marks: (readonly Mark[])[] = [];
  /** The number of the last edit that touched each block, to tell stale reports. */
  private readonly touched = new Map<number, number>();
  private edits = 0;

  constructor(private readonly blocks: readonly Block[]) {}

  /** Number of edits so far; a report carries the number it was made for. */
  get revision(): number {
    return this.edits;
  }

  /** Takes in a report made for a revision. Blocks edited since keep what they have. */
  report(update: ReadonlyMap<number, readonly Mark[]>, revision: number): number[] {
    const changed: number[] = [];
    for (const [block, marks] of update) {
      if ((this.touched.get(block) ?? 0) > revision) continue;
      this.marks[block] = marks;
      changed.push(block);
    }
    return changed;
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
      this.touched.set(block, this.edits);
      this.marks[block] = (this.marks[block] ?? [])
        .filter((mark) => !local.some((edit) => touches(edit, mark)))
        .map((mark) => ({
          ...mark,
          from: mapPosition(mark.from, local, "after"),
          to: mapPosition(mark.to, local, "before"),
        }));
    }
    return [...byBlock.keys()];
  }

  /** Every mark in reading order. */
  all(): PlacedMark[] {
    const placed: PlacedMark[] = [];
    for (const [index, marks] of this.marks.entries()) {
      const block = this.blocks[index];
      if (!block || !marks) continue;
      for (const mark of marks) {
        placed.push({ mark, from: block.from + mark.from, to: block.from + mark.to });
      }
    }
    return placed;
  }

  /** Marks that no standing decision has settled, in reading order. */
  open(settled: SettledPlaces): PlacedMark[] {
    const places = new Set(
      settled.places().map(({ anchor, from, to }) => `${anchor.rule}@${from}-${to}:${anchor.text}`),
    );
    return this.all().filter(
      ({ mark, from, to }) =>
        !settled.standsEverywhere(mark.rule, mark.text) &&
        !places.has(`${mark.rule}@${from}-${to}:${mark.text}`),
    );
  }
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
