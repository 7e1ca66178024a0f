import type { Edit, Range } from "../../core/manuscript/model.ts";
import type { Subject } from "./state.ts";

/** What the desk asks of the text on screen. */
export interface GalleyFace {
  apply(edits: readonly Edit[]): void;
  redraw(blocks: "all" | readonly number[]): void;
  /** Resolves when the slip stands under the place. */
  show(subject: Exclude<Subject, null>, preview: Edit[]): Promise<void>;
  preview(edits: Edit[]): void;
  hide(): void;
  /** Shows what has just come about at a place, in view. */
  showOutcome(ranges: readonly Range[]): void;
  /** Shows which word is being read aloud; null for none. */
  showSpoken(spoken: Range | null): void;
}
