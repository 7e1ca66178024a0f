/**
 * The document as every part of Dry Run sees it: one flat string, the blocks that cover it and the
 * spans that lie on it. Positions are UTF-16 offsets into `Manuscript.text`; ranges are [from, to).
 */

/** What kind of copy a document is; it decides which checks run and how strictly. */
export const KINDS = [
  "paper",
  "report",
  "specification",
  "brief",
  "clinical",
  "fiction",
  "letter",
  "sheet",
  "general",
] as const;
export type Kind = (typeof KINDS)[number];

/** Varieties of English, as BCP 47 tags. */
export const VARIETIES = ["en-US", "en-GB", "en-GB-oxendict", "en-CA", "en-AU"] as const;
export type Variety = (typeof VARIETIES)[number];

export const FORMATS = ["docx", "txt", "md", "csv", "xlsx"] as const;
export type Format = (typeof FORMATS)[number];

export type BlockKind =
  | "paragraph"
  | "heading"
  | "item"
  | "cell"
  | "note"
  | "caption"
  | "quote"
  | "code"
  | "reference";

/** The part of a document a block stands in: headers and footers are read after the body. */
export type Story = "body" | "note" | "header" | "footer" | "box";

export interface Cell {
  /** Name of the table or sheet, unique in the document. */
  sheet: string;
  /** Column letters and row number, such as "B3". */
  address: string;
  /** Zero-based column, and how many columns its row has. */
  column: number;
  columns: number;
}

/**
 * A stretch of text that edits never cross: a paragraph, heading, list item, table cell or note.
 * Blocks are ordered, do not overlap, and are separated by exactly one character, which belongs to
 * none of them: "\n", or "\t" between the cells of a row, or U+2028 between paragraphs of one cell.
 */
export interface Block {
  id: string;
  kind: BlockKind;
  from: number;
  to: number;
  story: Story;
  /** Heading level from 1, or list depth from 1. */
  level?: number;
  /** What stands before a list item or a note, such as "•", "3." or "7"; it is not part of the text. */
  marker?: string;
  cell?: Cell;
  /** Why nothing in this block can be changed: a number or a formula of a sheet. */
  fixed?: string;
  /** Which list of the document an item belongs to, from 1; items of a list within it have their own. */
  list?: number;
  /** How many headings precede or open this block; 0 before the first heading. */
  section: number;
  /** It is part of an abstract or summary, which is read by itself. */
  abstract?: true;
}

export type SpanKind =
  | "emphasis"
  | "strong"
  | "superscript"
  | "subscript"
  | "link"
  | "code"
  | "note-anchor"
  | "locked"
  | "inserted";

/** A property of a range of text. A note anchor is empty and carries the note's number as `label`. */
export interface Span {
  kind: SpanKind;
  from: number;
  to: number;
  /** For "locked": why this text cannot be changed here. For "note-anchor": the number shown. */
  label?: string;
}

/** A comment that came with the file; it is shown, and kept as it is. */
export interface FileComment {
  author: string;
  text: string;
  /** The place it is about, in the original text; null where that is not in the text. */
  at: number | null;
}

/** Where the manuscript came from. The original bytes are kept beside it, unchanged. */
export interface Origin {
  format: Format;
  /** File name with its extension. */
  name: string;
  /** SHA-256 of the original bytes, hexadecimal. */
  hash: string;
  /** Things in the file its reader should know, as sentences: signatures, protection, macros. */
  warnings: string[];
  comments?: FileComment[];
}

export interface Manuscript {
  title: string;
  kind: Kind;
  variety: Variety;
  text: string;
  blocks: Block[];
  spans: Span[];
  origin: Origin;
}

/** Replace [from, to) of a text by `insert`. */
export interface Edit {
  from: number;
  to: number;
  insert: string;
}

export interface Range {
  from: number;
  to: number;
}

/** Stands in the text for something that is not text: an image, an equation, a symbol. */
export const OBJECT_CHARACTER = "\ufffc";
/** A line break inside a paragraph. */
export const LINE_SEPARATOR = "\u2028";
