import type { Edit, Range } from "../../manuscript/model.ts";
import type { Entry } from "../entry.ts";
import type { CitationStyle } from "../styles/style.ts";

/** Something about an entry that its style has otherwise; offsets in the entry's text. */
export interface EntryFinding extends Range {
  /** One sentence. */
  reason: string;
  /** The change that mends it; none where a person must say what belongs there. */
  edits: readonly Edit[];
  /** Only asked about: the list may have its grounds. */
  isDoubtful?: true;
}

/** What the rules may know beside the entry. */
export interface EntryContext {
  style: CitationStyle;
  /** The year in which the list is read. */
  thisYear: number;
  /** Whether a word written with a small letter is an English word. */
  isWord(word: string): boolean;
  /** Given names or initials of all people of this family name in the list. */
  givenOf(family: string): ReadonlySet<string>;
  /** Italic ranges of the entry, where the format keeps them. */
  italics: readonly Range[];
  /** Whether any entry of the list has italics. */
  hasItalics: boolean;
}

/** What one check finds in an entry. */
export type EntryRule = (entry: Entry, context: EntryContext) => EntryFinding[];

/** A finding with a single replacement, marked where it is made. */
export function replacing(range: Range, insert: string, reason: string): EntryFinding {
  return {
    from: range.from,
    to: range.to,
    reason,
    edits: [{ from: range.from, to: range.to, insert }],
  };
}
