import { type Lean, mapPosition, touches } from "../manuscript/edits.ts";
import type { Edit, Range } from "../manuscript/model.ts";
import type { Decision } from "./decision.ts";

/**
 * Following a range of text through later decisions. A range whose text is changed is wounded, not
 * lost: when the very decision that changed it is undone, it is whole again, at the place where its
 * text came back.
 */
export interface Tracked {
  from: End;
  /** For a point, where both ends are one, null. */
  to: End | null;
  /** Standing decisions that changed the text inside, oldest first. */
  wounds: readonly number[];
  /** While wounded, changes at its edges count as inside: for what must never be guessed. */
  strict: boolean;
}

interface End {
  at: number;
  /** Texts it stood in or against that were replaced since, oldest first. */
  homes: readonly Home[];
}

/** A place in text that an edit of a decision replaced; undoing the decision brings it back. */
interface Home {
  by: number;
  edit: number;
  offset: number;
}

/** Starts following a range; `strict` where a change beside its wounded edge must count as inside. */
export function track(range: Range, strict: boolean): Tracked {
  const to = range.to > range.from ? { at: range.to, homes: [] } : null;
  return { from: { at: range.from, homes: [] }, to, wounds: [], strict };
}

/** Where the range is now; null while its text is changed. */
export function placeOf({ from, to, wounds }: Tracked): Range | null {
  return wounds.length === 0 ? { from: from.at, to: (to ?? from).at } : null;
}

/** The range after one more decision. */
export function follow(tracked: Tracked, decision: Decision): Tracked {
  return {
    ...tracked,
    from: followEnd(tracked.from, decision, "after"),
    to: tracked.to && followEnd(tracked.to, decision, "before"),
    wounds: followWounds(tracked, decision),
  };
}

function followWounds(
  { from, to, wounds, strict }: Tracked,
  decision: Decision,
): readonly number[] {
  const heals = decision.undoes !== undefined && !decision.regrouped;
  if (decision.undoes !== undefined && heals && wounds.includes(decision.undoes)) {
    return wounds.filter((seq) => seq !== decision.undoes);
  }
  const wounded = decision.edits.some((edit) =>
    to
      ? meetsRange(edit, from.at, to.at, strict && wounds.length > 0)
      : meetsPoint(edit, from.at, decision.undoes !== undefined),
  );
  return wounded ? [...wounds, decision.seq] : wounds;
}

/** Whether an edit changes a range; once part of it is gone, its edges count as inside. */
function meetsRange(edit: Edit, from: number, to: number, wounded: boolean): boolean {
  if (!wounded) return touches(edit, { from, to });
  return edit.from <= Math.max(from, to) && edit.to >= Math.min(from, to);
}

/**
 * Whether a decision leaves it open on which side of a point its own text belongs: it takes out text
 * next to the point, leaving nothing in its place, or puts text back exactly at the point.
 */
function meetsPoint(edit: Edit, at: number, isUndo: boolean): boolean {
  if (edit.from < at && at < edit.to) return true;
  if (isUndo) return edit.from === at && edit.to === at;
  return edit.insert === "" && edit.from <= at && at <= edit.to;
}

function followEnd(end: End, decision: Decision, lean: Lean): End {
  const undone = decision.regrouped ? undefined : decision.undoes;
  const home = end.homes.findIndex(({ by }) => by === undone);
  const restored = decision.inverse[end.homes[home]?.edit ?? -1];
  if (restored) {
    const offset = end.homes[home]?.offset ?? 0;
    return { at: restored.from + offset, homes: end.homes.slice(0, home) };
  }
  const edit = decision.edits.findIndex((one) => takesEnd(one, end.at, lean));
  const from = decision.edits[edit]?.from;
  const homes =
    from === undefined
      ? end.homes
      : [...end.homes, { by: decision.seq, edit, offset: end.at - from }];
  return { at: mapPosition(end.at, decision.edits, lean), homes };
}

/** Whether an edit replaces the character next to an end, on the side of the range. */
function takesEnd(edit: Edit, at: number, lean: Lean): boolean {
  return lean === "after" ? at >= edit.from && at < edit.to : at > edit.from && at <= edit.to;
}

/** Edits that refer to the text before `decisions`, moved to the text after them. */
export function followEdits(
  edits: readonly Edit[],
  decisions: readonly Decision[],
): { edits: Edit[] } | { blockedBy: number } {
  const moved: Edit[] = [];
  for (const edit of edits) {
    const end = decisions.reduce(follow, track(edit, true));
    const place = placeOf(end);
    if (!place) return { blockedBy: end.wounds.at(-1) ?? 0 };
    moved.push({ ...place, insert: edit.insert });
  }
  return { edits: moved };
}
