import type { Cell, Span, Story } from "../../manuscript/model.ts";

/**
 * A WordprocessingML part (ISO/IEC 29500-1, clause 17) as the writer needs it: which characters of
 * a paragraph come from which bytes of the source, and what surrounds them. Offsets named `...From`
 * and `...To` are positions in the part's source string unless a comment says otherwise.
 */

export interface Part {
  name: string;
  source: string;
  story: Story;
  blocks: SourceBlock[];
}

/** One w:p. */
export interface SourceBlock {
  /** Number of the block in its document, shadows included; the parity decides its change date. */
  ordinal: number;
  part: number;
  story: Story;
  text: string;
  segments: Segment[];
  /** Spans with offsets in `text`; a note anchor's label is the note's own id until numbering. */
  spans: Span[];
  /** Where the text starts in the manuscript; -1 while unplaced and for shadows. */
  at: number;
  tag: string;
  openFrom: number;
  openTo: number;
  selfClosing: boolean;
  closeFrom: number;
  closeTo: number;
  /** After the paragraph's properties: where text goes in an empty paragraph. */
  contentFrom: number;
  /** Style id, list number and level, outline level, as the paragraph itself states them. */
  style: string | null;
  list: { id: string; level: number } | null;
  outline: number | null;
  cell: Cell | null;
  /** Id of the w:footnote or w:endnote that holds it. */
  note: string | null;
  locked: string | null;
  /** Which text box it stands in, 0 for none. */
  box: number;
  /** Places in `text` at which the file's own comments begin, with their ids. */
  comments: { id: string; at: number }[];
  /** A large initial, set apart from the word it begins. */
  dropCap: boolean;
  /** In an mc:Fallback: a second rendering of a text box, kept equal to the first. */
  shadow: boolean;
  shadowOf: SourceBlock | null;
}

/** Another author's w:ins or w:moveTo around a run. */
export interface Insertion {
  from: number;
  openTo: number;
  tag: string;
  /** The run is its direct child, so that it can be closed and reopened around a piece. */
  direct: boolean;
}

/** One w:r, or an equation standing in for one. */
export interface Run {
  part: number;
  block: SourceBlock;
  tag: string;
  from: number;
  openTo: number;
  to: number;
  /** Its w:rPr. */
  propertiesFrom: number;
  propertiesTo: number;
  pieces: Piece[];
  insertion: Insertion | null;
  link: boolean;
  superscript: boolean;
  equation: boolean;
  locked: string | null;
  /** Start of the parent element, to tell runs that share one. */
  parentFrom: number;
}

/** One child of a run. */
export interface Piece {
  /** "mark" has no width and is always kept: note references, breaks of layout, field characters. */
  kind: "text" | "character" | "object" | "mark";
  from: number;
  to: number;
  innerFrom: number;
  innerTo: number;
  segment: Segment | null;
}

/** Visible characters of one piece: block.text[from, to). */
export interface Segment {
  run: Run;
  piece: Piece;
  from: number;
  to: number;
  /** Source offset of each UTF-16 unit and of the end; null when `sourceFrom` plus the index. */
  offsets: Uint32Array | null;
  sourceFrom: number;
}

/** Source offset of the character at `index` of a text segment. */
export function sourceOffset(segment: Segment, index: number): number {
  return segment.offsets?.[index] ?? segment.sourceFrom + index;
}
