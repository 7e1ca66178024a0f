import type { CompareProgress, Sent } from "../../worker/comparing.ts";

/** Where comparing stands. */
export interface ComparingState {
  /** How far it is; null while nothing is being compared. */
  progress: CompareProgress | null;
  /** What was sent and when; null before the document has been compared. */
  done: (Sent & { at: Date; own: number; asked: boolean; share: number | null }) | null;
  /** Whether the collection that ships is compared with; null before that was asked. */
  asks: boolean | null;
}

export const NOT_COMPARED: ComparingState = { progress: null, done: null, asks: null };
