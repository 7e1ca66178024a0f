import type { Range } from "../manuscript/model.ts";

/** Kinds of works that a list names. */
export const WORK_TYPES = [
  "article",
  "book",
  "chapter",
  "conference",
  "report",
  "thesis",
  "web",
  "dataset",
  "software",
  "newspaper",
  "film",
  "communication",
  "legal",
  "standard",
  "preprint",
] as const;
export type WorkType = (typeof WORK_TYPES)[number];

/** A part of an entry: its text, and where it stands in the entry. */
export interface Field extends Range {
  text: string;
}

/** A name of an entry. A group has a `literal`; a person a family name, and given names or initials. */
export interface EntryName extends Range {
  family?: string;
  given?: string;
  suffix?: string;
  literal?: string;
  /** The given name stands before the family name. */
  isDirect?: boolean;
}

/** The names of authors or of editors as an entry has them. */
export interface Names extends Range {
  names: readonly EntryName[];
  /** Ends in “et al.” or the like, and where that stands. */
  etAl: Range | null;
  /** Where dots stand for names left out. */
  ellipsis: Range | null;
  /** What says that they are editors, such as “(Eds.)”. */
  role: Field | null;
}

/** Single fields of an entry that are text alone. */
export const TEXT_FIELDS = [
  "title",
  "container",
  "volume",
  "issue",
  "pages",
  "publisher",
  "place",
  "edition",
  "doi",
  "url",
  "accessed",
] as const;
export type TextField = (typeof TEXT_FIELDS)[number];

/** An entry of a list, read by the grammar of a style. Offsets are in the entry's text. */
export interface Entry {
  text: string;
  type: WorkType;
  number: (Field & { value: number }) | null;
  authors: Names | null;
  /** A dash stands for the names of the entry before. */
  repeated: Field | null;
  /** The year alone; `suffix` is the letter behind it. */
  year: (Field & { value: number | null; suffix: string }) | null;
  editors: Names | null;
  fields: Readonly<Partial<Record<TextField, Field>>>;
  /** The quotation marks around the title, where it has any. */
  titleQuotes: Range | null;
  /** From the sign or label before an identifier to its end. */
  doiWhole: Range | null;
  /** From the label before an address to its end. */
  urlWhole: Range | null;
  /** Fields that were told from little. */
  unsure: readonly (TextField | "authors" | "year")[];
}
