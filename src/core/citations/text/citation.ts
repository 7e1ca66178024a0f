import type { Range } from "../../manuscript/model.ts";

/** A name as a citation in the text has it. */
export interface CitedName extends Range {
  /** The family name, or a group's. */
  text: string;
  /** Initials before it, where people are told apart by them. */
  initials?: string;
}

/** One work of a citation. Offsets are in the text of the block. */
export interface CitationItem extends Range {
  names: readonly CitedName[];
  /** Where “et al.” stands. */
  etAl: Range | null;
  /** Others may be named with these: they are not read one by one. */
  isOpen?: true;
  /** A group's abbreviation in square brackets behind its name. */
  abbreviation: string | null;
  year: (Range & { text: string; value: number | null; suffix: string }) | null;
  /** The number of an entry. */
  number: number | null;
  /** A short title, where names alone don't tell. */
  title: string | null;
  /** What follows name and year: a page, a chapter; with its label. */
  pinpoint: (Range & { text: string }) | null;
  /** Words before the names, such as “see also” or “as cited in”. */
  prefix: string;
  /** Named by its year alone, for the names before it. */
  isContinued: boolean;
}

export type CitationKind =
  | "parenthetical"
  | "narrative"
  | "numeric"
  | "page"
  | "note"
  | "short-note"
  | "ibid";

/** A citation in the text. Offsets are in the text of its block. */
export interface Citation extends Range {
  kind: CitationKind;
  text: string;
  items: readonly CitationItem[];
  /** How plainly it is one without an entry that ties it: by its shape alone. */
  isPlain: boolean;
}
