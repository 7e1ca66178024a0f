import type {
  Block,
  BlockKind,
  Cell,
  FileComment,
  Kind,
  Span,
  Story,
} from "../manuscript/model.ts";
import { MOST_BLOCKS, MOST_CHARACTERS, tooMuch } from "./problem.ts";

/** A block as a format's reader finds it; spans are offsets in its text. */
export interface RawBlock {
  kind: BlockKind;
  text: string;
  story: Story;
  level?: number;
  marker?: string;
  cell?: Cell;
  fixed?: string;
  spans: Span[];
}

export interface Assembled {
  text: string;
  blocks: Block[];
  spans: Span[];
}

/** What reading a file of any format gives. */
export interface ReadFile extends Assembled {
  title: string;
  kind: Kind;
  /** Things in the file its reader should know, as sentences. */
  warnings: string[];
  comments?: FileComment[];
}

const ABSTRACT_HEADING = /^(?:[\d.]+\s+)?(?:abstract|summary|executive summary|synopsis)$/i;
const REFERENCE_HEADING = /^(?:[\d.]+\s+)?(?:references|bibliography|works cited|sources cited)$/i;

/**
 * Lays blocks out one after the other: separators between them, ids, sections, and the entries of a
 * reference list recognised by the heading above them.
 */
export function assemble(raw: readonly RawBlock[]): Assembled {
  const texts: string[] = [];
  const blocks: Block[] = [];
  const spans: Span[] = [];
  let position = 0;
  let section = 0;
  let inReferences = false;
  let inAbstract = false;
  const lists = new Lists();
  if (raw.length > MOST_BLOCKS) throw tooMuch();
  for (const [index, one] of raw.entries()) {
    if (index > 0) {
      texts.push(separator(raw[index - 1], one));
      position++;
    }
    if (one.kind === "heading") {
      section++;
      inReferences = REFERENCE_HEADING.test(one.text.trim());
      inAbstract = ABSTRACT_HEADING.test(one.text.trim());
    } else if (one.story !== "body") inReferences = false;
    const listed = inReferences && (one.kind === "paragraph" || one.kind === "item");
    const { kind, text, spans: ownSpans, ...rest } = one;
    const from = position;
    const to = from + text.length;
    const list = lists.of(one);
    blocks.push({
      ...rest,
      id: `b${index}`,
      kind: listed ? "reference" : kind,
      from,
      to,
      section,
      ...(list === null ? {} : { list }),
      ...(inAbstract && one.story === "body" ? { abstract: true } : {}),
    });
    for (const span of ownSpans)
      spans.push({ ...span, from: span.from + from, to: span.to + from });
    texts.push(text);
    position = to;
    if (position > MOST_CHARACTERS) throw tooMuch();
  }
  return { text: texts.join(""), blocks, spans: spans.sort((a, b) => a.from - b.from) };
}

/** Numbers the lists of a document: items one after the other, of one depth and one sort of marker. */
class Lists {
  private open: { list: number; numbered: boolean }[] = [];
  private count = 0;

  /** The list of a block; null for what is no item. */
  of({ kind, level = 1, marker = "" }: RawBlock): number | null {
    if (kind !== "item") {
      this.open = [];
      return null;
    }
    const numbered = /\d|^\(?[a-z]{1,3}[.)]/i.test(marker);
    this.open.length = Math.min(this.open.length, level);
    const known = this.open[level - 1];
    if (known && known.numbered === numbered) return known.list;
    this.count++;
    this.open[level - 1] = { list: this.count, numbered };
    return this.count;
  }
}

function separator(before: RawBlock | undefined, after: RawBlock): string {
  const one = before?.cell;
  const other = after.cell;
  if (!one || !other || one.sheet !== other.sheet) return "\n";
  if (one.address === other.address) return "\u2028";
  return rowOf(one.address) === rowOf(other.address) ? "\t" : "\n";
}

function rowOf(address: string): string {
  return address.replace(/^[A-Z]+/, "");
}

/** A title for a document that has none: its first heading, or its file name. */
export function titleOf(assembled: Assembled, fileName: string): string {
  const heading = assembled.blocks.find(
    (block) => block.kind === "heading" && block.story === "body" && block.to > block.from,
  );
  return heading ? assembled.text.slice(heading.from, heading.to).trim() : titleFromName(fileName);
}

/** "letter-to-the-pilots.txt" as "Letter to the pilots". */
export function titleFromName(fileName: string): string {
  const stem =
    fileName
      .replace(/\.[^.]+$/, "")
      .replace(/[-_]+/g, " ")
      .trim() || fileName;
  return (stem[0] ?? "").toUpperCase() + stem.slice(1);
}
