import { mapPosition, touches } from "../manuscript/edits.ts";
import type { Edit, Range } from "../manuscript/model.ts";
import type { Decision } from "./decision.ts";

/**
 * Following a range of text through later decisions. A range whose text is replaced is hidden, not
 * lost: when that very decision is undone, the range comes back to where its text comes back.
 */
export type Tracked =
  | { state: "here"; from: number; to: number }
  | { state: "hidden"; by: number; edit: number; offset: number; length: number }
  | { state: "lost"; by: number };

/** Starts following a range. */
export function track(range: Range): Tracked {
  return { state: "here", from: range.from, to: range.to };
}

/** Where the range is after one more decision. */
export function follow(tracked: Tracked, decision: Decision): Tracked {
  if (tracked.state === "lost") return tracked;
  if (tracked.state === "hidden") return reappear(tracked, decision);
  for (const [index, edit] of decision.edits.entries()) {
    if (edit.from > tracked.to) break;
    if (!touches(edit, tracked)) continue;
    if (edit.from > tracked.from || edit.to < tracked.to)
      return { state: "lost", by: decision.seq };
    const offset = tracked.from - edit.from;
    const length = tracked.to - tracked.from;
    return { state: "hidden", by: decision.seq, edit: index, offset, length };
  }
  const from = mapPosition(tracked.from, decision.edits, "after");
  const to = tracked.to === tracked.from ? from : mapPosition(tracked.to, decision.edits, "before");
  return { state: "here", from, to };
}

function reappear(tracked: Tracked & { state: "hidden" }, decision: Decision): Tracked {
  if (decision.undoes !== tracked.by) return tracked;
  const restored = decision.inverse[tracked.edit];
  if (!restored) return { state: "lost", by: decision.seq };
  const from = restored.from + tracked.offset;
  return { state: "here", from, to: from + tracked.length };
}

/** Edits that refer to the text before `decisions`, moved to the text after them. */
export function followEdits(
  edits: readonly Edit[],
  decisions: readonly Decision[],
): { edits: Edit[] } | { blockedBy: number } {
  const moved: Edit[] = [];
  for (const edit of edits) {
    const end = decisions.reduce(follow, track(edit));
    if (end.state !== "here") return { blockedBy: end.by };
    moved.push({ from: end.from, to: end.to, insert: edit.insert });
  }
  return { edits: moved };
}
