import { applyEdits, invertEdits, sortEdits } from "../manuscript/edits.ts";
import type { Edit } from "../manuscript/model.ts";
import { type Decision, type Draft, inForce } from "./decision.ts";
import { followEdits } from "./tracking.ts";

/** The original text, every decision taken on it, and the text they lead to. */
export interface Ledger {
  original: string;
  text: string;
  decisions: Decision[];
}

/** A ledger with nothing decided yet. */
export function openLedger(original: string): Ledger {
  return { original, text: original, decisions: [] };
}

/** Completes a draft with its number, its time and its way back. Throws RangeError on bad edits. */
export function enter(ledger: Ledger, draft: Draft, at: string): Decision {
  const edits = sortEdits(draft.edits, ledger.text.length);
  const last = ledger.decisions.at(-1);
  const seq = (last?.seq ?? 0) + 1;
  return { ...draft, seq, at, edits, inverse: invertEdits(ledger.text, edits) };
}

/** The ledger with one more decision. Throws RangeError when it does not follow the last one. */
export function append(ledger: Ledger, decision: Decision): Ledger {
  const expected = (ledger.decisions.at(-1)?.seq ?? 0) + 1;
  if (decision.seq !== expected) {
    throw new RangeError(`decision ${decision.seq} cannot follow ${expected - 1}`);
  }
  return {
    original: ledger.original,
    text: applyEdits(ledger.text, sortEdits(decision.edits, ledger.text.length)),
    decisions: [...ledger.decisions, decision],
  };
}

/** The ledger that a stored list of decisions leads to. Throws RangeError when they do not fit. */
export function replay(original: string, decisions: readonly Decision[]): Ledger {
  let text = original;
  for (const [index, decision] of decisions.entries()) {
    if (decision.seq !== index + 1) throw new RangeError(`decision ${index + 1} is missing`);
    text = applyEdits(text, sortEdits(decision.edits, text.length));
  }
  return { original, text, decisions: [...decisions] };
}

export type UndoResult = { draft: Draft } | { refusal: string; blockedBy?: Decision };

/**
 * The draft that takes one decision back, however old. Refused where later changes have touched the
 * text it put in, or where it is already taken back.
 */
export function undo(ledger: Ledger, seq: number): UndoResult {
  const decision = ledger.decisions[seq - 1];
  if (!decision) return { refusal: "There is no such decision." };
  if (!inForce(ledger.decisions).has(seq)) return { refusal: "This decision is already undone." };
  const draft = { act: "undo", scope: decision.scope, marks: [], undoes: seq } as const;
  const moved = followEdits(decision.inverse, ledger.decisions.slice(seq));
  if ("edits" in moved) return { draft: { ...draft, marks: [], edits: moved.edits } };
  const without = lastUndoable(ledger)?.seq === seq ? withoutNewest(ledger, decision) : null;
  if (without) return { draft: { ...draft, marks: [], edits: without, regrouped: true } };
  const blockedBy = ledger.decisions[moved.blockedBy - 1];
  return {
    refusal: "The text was changed again later. Undo that later change first.",
    ...(blockedBy ? { blockedBy } : {}),
  };
}

/**
 * Edits that take the newest standing decision back, whatever was decided and undone after it: the
 * text before it, with the standing undos of older decisions made again there. This keeps undoing
 * from the newest backwards always possible. Null where one of these cannot be made again.
 */
function withoutNewest(ledger: Ledger, decision: Decision): Edit[] | null {
  const standing = inForce(ledger.decisions);
  const later = ledger.decisions.slice(decision.seq);
  const before = replay(ledger.original, ledger.decisions.slice(0, decision.seq - 1));
  let rest = before;
  const again: (readonly Edit[])[] = [];
  for (const { seq, undoes, at } of later) {
    if (undoes === undefined || undoes >= decision.seq || !standing.has(seq)) continue;
    const result = undo(rest, undoes);
    if ("refusal" in result) return null;
    const made = enter(rest, result.draft, at);
    rest = append(rest, made);
    again.push(made.edits);
  }
  const there = netEdits(
    before.text,
    [decision, ...later].map(({ edits }) => edits),
  );
  return netEdits(ledger.text, [invertEdits(before.text, there), ...again]);
}

/** The newest decision that undoing makes sense for: standing, and not itself an undo. */
export function lastUndoable(ledger: Ledger): Decision | undefined {
  const standing = inForce(ledger.decisions);
  return ledger.decisions.findLast(({ seq, act }) => act !== "undo" && standing.has(seq));
}

/** The newest standing undo with nothing decided since: what "redo" takes back. */
export function lastRedoable(ledger: Ledger): Decision | undefined {
  const standing = inForce(ledger.decisions);
  for (let index = ledger.decisions.length - 1; index >= 0; index--) {
    const decision = ledger.decisions[index];
    if (decision?.act !== "undo") return undefined;
    if (!standing.has(decision.seq)) continue;
    const target = ledger.decisions[(decision.undoes ?? 0) - 1];
    if (target && target.act !== "undo") return decision;
  }
  return undefined;
}

/** Edits from the original text straight to the current one; see `netEdits` for the merging. */
export function ledgerEdits(ledger: Ledger): Edit[] {
  return netEdits(
    ledger.original,
    ledger.decisions.map((decision) => decision.edits),
  );
}

/** A stretch of the current text: copied from the original, or put in. */
type Piece = { kept: true; from: number; to: number } | { kept: false; text: string };

/**
 * One list of edits on the original that does what all the steps do together. Text that was taken
 * out and later put back counts as kept where the two can be matched end to end.
 */
export function netEdits(original: string, steps: readonly (readonly Edit[])[]): Edit[] {
  let pieces: Piece[] = [{ kept: true, from: 0, to: original.length }];
  for (const edits of steps) if (edits.length > 0) pieces = splice(pieces, edits);
  const net: Edit[] = [];
  let position = 0;
  let insert = "";
  const flush = (upTo: number) => {
    if (upTo > position || insert) {
      if (original.slice(position, upTo) !== insert) net.push({ from: position, to: upTo, insert });
    }
    insert = "";
  };
  for (const piece of pieces) {
    if (!piece.kept) {
      insert += piece.text;
      continue;
    }
    if (piece.from === piece.to) continue;
    flush(piece.from);
    position = piece.to;
  }
  flush(original.length);
  return net;
}

function splice(pieces: readonly Piece[], edits: readonly Edit[]): Piece[] {
  const out: Piece[] = [];
  let index = 0;
  let offset = 0;
  let position = 0;
  const take = (upTo: number, keep: boolean) => {
    while (position < upTo) {
      const piece = pieces[index];
      if (!piece) throw new RangeError("edit beyond the end of the text");
      const length = piece.kept ? piece.to - piece.from : piece.text.length;
      const count = Math.min(length - offset, upTo - position);
      if (keep && count > 0) out.push(cut(piece, offset, offset + count));
      offset += count;
      position += count;
      if (offset === length) {
        index++;
        offset = 0;
      }
    }
  };
  for (const edit of edits) {
    take(edit.from, true);
    if (edit.insert) out.push({ kept: false, text: edit.insert });
    take(edit.to, false);
  }
  const rest = pieces[index];
  if (rest) {
    const length = rest.kept ? rest.to - rest.from : rest.text.length;
    out.push(cut(rest, offset, length), ...pieces.slice(index + 1));
  }
  return out;
}

function cut(piece: Piece, from: number, to: number): Piece {
  return piece.kept
    ? { kept: true, from: piece.from + from, to: piece.from + to }
    : { kept: false, text: piece.text.slice(from, to) };
}
