import { Annotation, StateEffect } from "@codemirror/state";
import type { Edit, Range } from "../../../core/manuscript/model.ts";

/** A mark as the galley draws it; offsets in the document. */
export interface DrawnMark {
  id: string;
  from: number;
  to: number;
  weight: "fix" | "settle" | "weigh";
  code: string;
  rule: string;
}

/** Marks of a stretch of text, replacing what was drawn there. */
export const drawMarks = StateEffect.define<{ from: number; to: number; marks: DrawnMark[] }>();

/** The place under decision, and the edits whose outcome is shown in the line; null for none. */
export interface Focus {
  from: number;
  to: number;
  preview: Edit[];
}
export const setFocus = StateEffect.define<Focus | null>();

/** What has just come about, shown for a moment. */
export const setOutcome = StateEffect.define<readonly Range[]>();

/** The word being read aloud; null for none. */
export const setSpoken = StateEffect.define<Range | null>();

/** Where the slip opens: at the end of a visual row, or below a whole line; null closes it. */
export const placeSlip = StateEffect.define<{ at: number; below: boolean } | null>();

/** Marks changes the desk itself makes, which are not typing. */
export const fromDesk = Annotation.define<boolean>();
