import type { Range } from "../../manuscript/model.ts";
import type { CitedDocument } from "../cited-text.ts";

/** A change in some block; offsets in its text. */
export interface PlacedEdit extends Range {
  block: number;
  insert: string;
}

/** A way to mend what a rule found. */
export interface CitedChoice {
  label: string;
  edits: readonly PlacedEdit[];
}

/** What a rule finds in the text or in a list; offsets in the text of the block. */
export interface CitedFinding extends Range {
  block: number;
  reason: string;
  choices: readonly CitedChoice[];
  /** What stands in the margin, where it is not the check's own code. */
  code?: string;
  /** Findings of one cause share it. */
  group?: string;
  /** Advice, whatever the weight of its check. */
  isAdvice?: true;
  /** The entry that is meant, shown beside the citation. */
  reference?: number;
}

/** What one check finds over a whole document. */
export type TextRule = (cited: CitedDocument) => CitedFinding[];
