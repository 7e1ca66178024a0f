import { groupedByBlock, relative } from "../manuscript/by-block.ts";
import { whyRefused } from "../manuscript/layout.ts";
import type { Edit, Manuscript } from "../manuscript/model.ts";
import { cleanBlock } from "./places.ts";
import { type CleanContext, STEPS } from "./steps.ts";

/** The mechanical clean-up at the end of a run: what it would change, step by step, and all of it at once. */

export interface CleanPlace extends Edit {
  before: string;
  /** What stands there. */
  text: string;
  after: string;
}

export interface CleanLine {
  step: string;
  title: string;
  note: string;
  /** Made unless the reader says otherwise. */
  isOn: boolean;
  places: CleanPlace[];
}

export interface Cleanup {
  /** Steps that have something to change, in the order in which they are made. */
  lines: CleanLine[];
  /** Paragraphs with nothing in them, which no correction can take out. */
  empty: number;
}

const CONTEXT = 40;

/**
 * What the clean-up finds in a document (offsets in its text). `wanted` has what the houses say of steps,
 * on or off. Places that another step has already are left to the first.
 */
export function findCleanup(
  { text, blocks, spans }: Pick<Manuscript, "text" | "blocks" | "spans">,
  context: CleanContext,
  wanted: Readonly<Record<string, boolean>>,
): Cleanup {
  const byBlock = groupedByBlock(spans, blocks);
  const cleaned = blocks.flatMap((block, index) => {
    const inBlock = relative(byBlock.get(index) ?? [], block.from);
    const own = cleanBlock(block, text.slice(block.from, block.to), inBlock);
    return own ? [own] : [];
  });
  const layout = { blocks, spans };
  const lines = STEPS.map((step): CleanLine => {
    const places = cleaned.flatMap((block) => {
      if (block.isFigures && !step.inFigures) return [];
      return step.find(block, context).flatMap((edit): CleanPlace[] => {
        const placed = { ...edit, from: block.from + edit.from, to: block.from + edit.to };
        if (whyRefused(text, layout, placed) !== null) return [];
        return [
          {
            ...placed,
            before: block.text.slice(Math.max(0, edit.from - CONTEXT), edit.from),
            text: block.text.slice(edit.from, edit.to),
            after: block.text.slice(edit.to, edit.to + CONTEXT),
          },
        ];
      });
    });
    const { id, title, note } = step;
    return { step: id, title, note, isOn: wanted[id] ?? step.isUsual(context), places };
  });
  const empty = blocks.filter(
    ({ from, to, kind }) => kind === "paragraph" && text.slice(from, to).trim() === "",
  ).length;
  return { lines: lines.filter(({ places }) => places.length > 0), empty };
}

/** The edits of some places, sorted; of places that overlap, that of the earlier step. */
export function cleanupEdits(places: readonly (readonly CleanPlace[])[]): Edit[] {
  const taken: Edit[] = [];
  const all = places.flatMap((own, order) => own.map((place) => ({ place, order })));
  all.sort((a, b) => a.place.from - b.place.from || a.order - b.order);
  let last: { edit: Edit; order: number } | null = null;
  for (const { place, order } of all) {
    const { from, to, insert } = place;
    const edit = { from, to, insert };
    const meets = last && (from < last.edit.to || (from === last.edit.from && to === last.edit.to));
    if (!last || !meets) {
      taken.push(edit);
      last = { edit, order };
    } else if (order < last.order) {
      taken[taken.length - 1] = edit;
      last = { edit, order };
    }
  }
  return taken;
}
