import type { Edit } from "../../manuscript/model.ts";
import type { Piece, Run, Segment, SourceBlock } from "./source.ts";

/** What is to happen inside one run. Positions are offsets in the piece's text. */
export type Operation =
  | { kind: "delete"; piece: Piece; from: number; to: number }
  | { kind: "insert"; piece: Piece; at: number; text: string; like: Run | null }
  | { kind: "marker"; piece: Piece; at: number; xml: string; closes: boolean };

/** Text for a paragraph that has no run to take it. */
export interface ParagraphInsert {
  block: SourceBlock;
  /** Source offset; null when the paragraph is a self-closing tag and must be opened first. */
  at: number | null;
  text: string;
  like: Run | null;
}

export interface Plan {
  operations: Map<Run, Operation[]>;
  paragraphs: ParagraphInsert[];
}

/** An empty plan. */
export function newPlan(): Plan {
  return { operations: new Map(), paragraphs: [] };
}

/** Adds one operation to a run. */
export function addOperation(plan: Plan, run: Run, operation: Operation): void {
  const list = plan.operations.get(run);
  if (list) list.push(operation);
  else plan.operations.set(run, [operation]);
}

/** The last block placed at or before a manuscript position; undefined when there is none. */
export function blockAt(blocks: readonly SourceBlock[], position: number): SourceBlock | undefined {
  let low = 0;
  let high = blocks.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((blocks[middle]?.at ?? 0) <= position) low = middle;
    else high = middle - 1;
  }
  return blocks[low];
}

/**
 * Adds an edit to the plan. `from` and `to` of the edit are offsets in the block's text. Returns why
 * it cannot be done, as a sentence, and then leaves the plan as it was; null when it is planned.
 */
export function planEdit(plan: Plan, block: SourceBlock, edit: Edit): string | null {
  const struck =
    edit.from < edit.to
      ? block.segments.filter((segment) => segment.to > edit.from && segment.from < edit.to)
      : [];
  for (const { run, piece } of struck) {
    if (run.locked) return `${run.locked}.`;
    if (piece.kind === "object") return "An image, an equation or a symbol stands here.";
  }
  const placed = edit.insert ? placeInsert(block, edit, struck) : null;
  if (typeof placed === "string") return placed;
  for (const segment of struck) {
    addOperation(plan, segment.run, {
      kind: "delete",
      piece: segment.piece,
      from: Math.max(edit.from, segment.from) - segment.from,
      to: Math.min(edit.to, segment.to) - segment.from,
    });
  }
  if (placed?.inRun) {
    const { run, piece, at, like } = placed;
    addOperation(plan, run, { kind: "insert", piece, at, text: edit.insert, like });
  } else if (placed) {
    const { at, like } = placed;
    plan.paragraphs.push({ block, at, like, text: edit.insert });
  }
  return null;
}

type Place =
  | { inRun: true; run: Run; piece: Piece; at: number; like: Run | null }
  | { inRun: false; at: number | null; like: Run | null };

function placeInsert(block: SourceBlock, edit: Edit, struck: readonly Segment[]): Place | string {
  const first = struck[0];
  const last = struck.at(-1);
  if (first && last) {
    const shared = struck.every(({ run }) => run.parentFrom === first.run.parentFrom);
    const host = shared ? last : first;
    const at = Math.min(edit.to, host.to) - host.from;
    return { inRun: true, run: host.run, piece: host.piece, at, like: first.run };
  }
  const position = edit.from;
  const around = block.segments.find((s) => s.from < position && s.to > position);
  if (around) {
    if (around.run.locked) return `${around.run.locked}.`;
    return {
      inRun: true,
      run: around.run,
      piece: around.piece,
      at: position - around.from,
      like: around.run,
    };
  }
  const left = block.segments.findLast((s) => s.to === position && s.from < position);
  const right = block.segments.find((s) => s.from === position && s.to > position);
  if (left && takesInsert(left) && !yieldsTo(left, right)) {
    return {
      inRun: true,
      run: left.run,
      piece: left.piece,
      at: left.to - left.from,
      like: left.run,
    };
  }
  if (right && takesInsert(right)) {
    return { inRun: true, run: right.run, piece: right.piece, at: 0, like: right.run };
  }
  if (block.locked) return `${block.locked}.`;
  const like = left && !left.run.equation ? left.run : null;
  if (position === block.text.length) {
    return { inRun: false, at: block.selfClosing ? null : block.closeFrom, like };
  }
  if (position === 0) return { inRun: false, at: block.contentFrom, like };
  return "Nothing can be put in between two protected places.";
}

function takesInsert({ run }: Segment): boolean {
  return !run.locked && !run.equation;
}

/** At the end of a link, after a raised note number and after a drop cap, text belongs to what follows. */
function yieldsTo(left: Segment, right: Segment | undefined): boolean {
  if (left.run.link && !right?.run.link) return true;
  if (right && takesInsert(right) && left.run.block !== right.run.block) return true;
  return (
    left.run.superscript && right !== undefined && takesInsert(right) && !right.run.superscript
  );
}
