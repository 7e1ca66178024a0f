import { mapPosition, moveEdits } from "../../core/manuscript/edits.ts";
import type { Edit, Range } from "../../core/manuscript/model.ts";
import type { DeskState, Subject } from "./state.ts";

/** What the slip is about, through changes of the text around it. */

type Slip = Pick<DeskState, "subject" | "choices" | "previewed" | "shown">;

const CLOSED: Slip = { subject: null, choices: null, previewed: -1, shown: false };

/** Where a subject stands. */
export function rangeOf(subject: Exclude<Subject, null>): Range {
  return subject.kind === "mark" ? subject.place : subject.word;
}

/**
 * The open slip after something was typed: it stays open and moves with its text, so that nothing
 * jumps where one types; it closes when its own text, or what its corrections change, is typed into.
 */
export function afterTyping(
  { subject, choices, previewed, shown }: Slip,
  edits: readonly Edit[],
): Slip {
  if (!subject || !choices) return CLOSED;
  const range = rangeOf(subject);
  const own = [range, ...choices.flatMap((choice) => choice.edits)];
  if (edits.some((edit) => own.some((one) => meets(edit, one)))) return CLOSED;
  const by = mapPosition(range.from, edits, "after") - range.from;
  return {
    subject: movedBy(subject, by),
    choices: choices.map((choice) => ({ ...choice, edits: moveEdits(choice.edits, by) })),
    previewed,
    shown,
  };
}

function movedBy(subject: Exclude<Subject, null>, by: number): Subject {
  const { from, to } = rangeOf(subject);
  const moved = { from: from + by, to: to + by };
  return subject.kind === "mark"
    ? { kind: "mark", place: { ...subject.place, ...moved } }
    : { kind: "word", word: { ...subject.word, ...moved } };
}

/** Whether an edit changes a range or its edges. */
function meets(edit: Edit, range: Range): boolean {
  return edit.from <= range.to && edit.to >= range.from;
}

/** Where edits put something in, in the text after them; a point where they only took out. */
export function outcomeOf(edits: readonly Edit[]): Range[] {
  let shift = 0;
  return edits.map(({ from, to, insert }) => {
    const start = from + shift;
    shift += insert.length - (to - from);
    return { from: start, to: start + insert.length };
  });
}
