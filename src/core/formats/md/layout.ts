import { decodeNamedCharacterReference } from "decode-named-character-reference";
import type { Nodes, Parents, Root } from "mdast";
import { fromMarkdown } from "mdast-util-from-markdown";
import { frontmatterFromMarkdown } from "mdast-util-frontmatter";
import { gfmFootnoteFromMarkdown } from "mdast-util-gfm-footnote";
import { gfmStrikethroughFromMarkdown } from "mdast-util-gfm-strikethrough";
import { gfmTableFromMarkdown } from "mdast-util-gfm-table";
import { gfmTaskListItemFromMarkdown } from "mdast-util-gfm-task-list-item";
import { frontmatter } from "micromark-extension-frontmatter";
import { gfmFootnote } from "micromark-extension-gfm-footnote";
import { gfmStrikethrough } from "micromark-extension-gfm-strikethrough";
import { gfmTable } from "micromark-extension-gfm-table";
import { gfmTaskListItem } from "micromark-extension-gfm-task-list-item";
import {
  type BlockKind,
  type Cell,
  LINE_SEPARATOR,
  OBJECT_CHARACTER,
  type Span,
  type SpanKind,
} from "../../manuscript/model.ts";
import { type Assembled, assemble, type RawBlock } from "../assemble.ts";
import { FormatProblem } from "../problem.ts";
import { SourceMap } from "../source-map.ts";

/** Markdown (CommonMark 0.31 with tables, footnotes, strike-through and task lists) as blocks. */
export interface MarkdownLayout extends Assembled {
  map: SourceMap;
  starts: number[];
  /** Title given in YAML front matter. */
  title: string | null;
}

/** Lays out a source whose line ends are "\n". */
export function layOutMarkdown(source: string): MarkdownLayout {
  refuseHostile(source);
  const tree = parse(source);
  const walker = new Walker(source);
  walker.blocks(tree, { kind: "paragraph", level: 0, marker: "" });
  const assembled = assemble(walker.raw);
  const map = new SourceMap(assembled.text.length);
  for (const [index, origin] of walker.origins.entries()) {
    const from = assembled.blocks[index]?.from ?? 0;
    for (const [order, [start, end]] of origin.entries()) map.set(from + order, start, end);
  }
  return { ...assembled, map, starts: walker.starts, title: frontMatterTitle(tree) };
}

/** Quotations and lists inside one another at the start of a line; no document has so many. */
const MOST_NESTED = 64;
const NESTED = /^(?:[ \t]*(?:>|[-+*](?=[ \t])|\d{1,9}[.)](?=[ \t])))+/;
/** Columns that a line may be indented by. */
const MOST_INDENT = 1024;
/** Emphasis marks of one paragraph: telling which belong together takes their number squared. */
const MOST_MARKS = 4000;
const MARKS = /[*_~]+|`+|[[\]]/g;
/** Backticks in one run, and cells in one row. */
const LONG_RUN = /`{65}/;
const MOST_CELLS = 1000;

/** Refuses what only a file made to hold up its reader has. Throws FormatProblem. */
function refuseHostile(source: string): void {
  let marks = 0;
  for (let from = 0; from <= source.length; ) {
    const newline = source.indexOf("\n", from);
    const to = newline < 0 ? source.length : newline;
    const head = source.slice(from, Math.min(to, from + 2 * MOST_INDENT));
    if (head.trim() === "") {
      if (head.length >= MOST_INDENT && to - from > head.length) throw hostile();
      marks = 0;
    } else {
      const nested = NESTED.exec(head)?.[0].replace(/[ \t\d]/g, "").length ?? 0;
      const indent = head.length - head.trimStart().length;
      if (nested > MOST_NESTED || indent > MOST_INDENT) throw hostile();
      const line = source.slice(from, to);
      marks += line.match(MARKS)?.length ?? 0;
      const cells = line.match(/\|/g)?.length ?? 0;
      if (marks > MOST_MARKS || cells > MOST_CELLS || LONG_RUN.test(line)) throw hostile();
    }
    from = to + 1;
  }
}

function hostile(): FormatProblem {
  return new FormatProblem(
    "hostile",
    "This file nests or repeats its marks more than any document does, so it was not read.",
  );
}

function parse(source: string): Root {
  return fromMarkdown(source, {
    extensions: [
      gfmTable(),
      gfmStrikethrough({ singleTilde: false }),
      gfmFootnote(),
      gfmTaskListItem(),
      frontmatter(["yaml", "toml"]),
    ],
    mdastExtensions: [
      gfmTableFromMarkdown(),
      gfmStrikethroughFromMarkdown(),
      gfmFootnoteFromMarkdown(),
      gfmTaskListItemFromMarkdown(),
      frontmatterFromMarkdown(["yaml", "toml"]),
    ],
  });
}

function frontMatterTitle(tree: Root): string | null {
  const [first] = tree.children;
  if (first?.type !== "yaml") return null;
  return /^title:\s*["']?(.+?)["']?\s*$/m.exec(first.value)?.[1] ?? null;
}

interface Context {
  kind: BlockKind;
  level: number;
  marker: string;
}

/** Source range of one character. */
type CharacterOrigin = [from: number, to: number];

class Walker {
  readonly raw: RawBlock[] = [];
  readonly origins: CharacterOrigin[][] = [];
  readonly starts: number[] = [];
  private tables = 0;
  private notes = 0;
  private readonly noteNumbers = new Map<string, string>();

  constructor(private readonly source: string) {}

  blocks(parent: Parents, context: Context): void {
    for (const [index, child] of parent.children.entries()) {
      this.block(child, index > 0 ? { ...context, marker: "" } : context);
    }
  }

  private block(node: Nodes, context: Context): void {
    switch (node.type) {
      case "heading":
        this.inlineBlock(node, { kind: "heading", level: node.depth, marker: "" });
        break;
      case "paragraph":
        this.inlineBlock(node, context);
        break;
      case "blockquote":
        this.blocks(node, { kind: "quote", level: 0, marker: "" });
        break;
      case "list":
        for (const [index, item] of node.children.entries()) {
          const marker = node.ordered ? `${(node.start ?? 1) + index}.` : "•";
          this.blocks(item, { kind: "item", level: context.level + 1, marker });
        }
        break;
      case "footnoteDefinition":
        this.blocks(node, { kind: "note", level: 0, marker: this.noteNumber(node.identifier) });
        break;
      case "table":
        this.tables++;
        for (const [row, line] of node.children.entries()) {
          for (const [column, cell] of line.children.entries()) {
            this.inlineBlock(
              cell,
              { kind: "cell", level: 0, marker: "" },
              {
                sheet: `Table ${this.tables}`,
                address: `${String.fromCharCode(65 + (column % 26))}${row + 1}`,
                column,
                columns: line.children.length,
              },
            );
          }
        }
        break;
      case "code":
        this.codeBlock(node.value, offsetOf(node), endOf(node));
        break;
      default:
        break;
    }
  }

  private inlineBlock(node: Parents, context: Context, cell?: Cell): void {
    const line = new InlineText(this.source, (identifier) => this.noteNumber(identifier));
    line.read(node);
    const start = node.children[0] ? offsetOf(node.children[0]) : endOf(node);
    this.add(line.text, line.origin, line.spans, context, start, cell);
  }

  private codeBlock(value: string, from: number, to: number): void {
    const context: Context = { kind: "code", level: 0, marker: "" };
    let position = this.source.indexOf("\n", from);
    if (position < 0 || position >= to) position = from;
    for (const line of value.split("\n")) {
      const found = line === "" ? position : this.source.indexOf(line, position);
      const at = found < 0 || found + line.length > to ? position : found;
      const origin = Array.from(
        { length: line.length },
        (_, unit): CharacterOrigin => [at + unit, at + unit + 1],
      );
      const lock: Span = { kind: "locked", from: 0, to: line.length, label: "Code is kept" };
      if (line.trim() !== "") this.add(line, origin, [lock], context, at);
      position = at + line.length;
    }
  }

  private add(
    text: string,
    origin: CharacterOrigin[],
    spans: Span[],
    { kind, level, marker }: Context,
    start: number,
    cell?: Cell,
  ): void {
    this.raw.push({
      kind,
      text,
      story: kind === "note" ? "note" : "body",
      spans,
      ...(level > 0 ? { level } : {}),
      ...(marker ? { marker } : {}),
      ...(cell ? { cell } : {}),
    });
    this.origins.push(origin);
    this.starts.push(start);
  }

  private noteNumber(identifier: string): string {
    const known = this.noteNumbers.get(identifier);
    if (known !== undefined) return known;
    const number = String(++this.notes);
    this.noteNumbers.set(identifier, number);
    return number;
  }
}

const INLINE_SPANS = new Map<string, SpanKind>([
  ["emphasis", "emphasis"],
  ["strong", "strong"],
  ["link", "link"],
  ["linkReference", "link"],
]);

/** The characters of a block's inline content, with their origins and spans. */
class InlineText {
  text = "";
  readonly origin: CharacterOrigin[] = [];
  readonly spans: Span[] = [];

  constructor(
    private readonly source: string,
    private readonly noteNumber: (identifier: string) => string,
  ) {}

  read(node: Parents): void {
    for (const child of node.children) this.inline(child);
  }

  private inline(node: Nodes): void {
    const from = this.text.length;
    switch (node.type) {
      case "text":
        this.aligned(node.value, offsetOf(node), endOf(node));
        break;
      case "inlineCode":
        this.code(node.value, offsetOf(node), endOf(node));
        break;
      case "break":
        this.push(LINE_SEPARATOR, offsetOf(node), endOf(node));
        break;
      case "footnoteReference": {
        const label = this.noteNumber(node.identifier);
        this.spans.push({ kind: "note-anchor", from, to: from, label });
        break;
      }
      default:
        if ("children" in node) {
          this.read(node);
          const kind = INLINE_SPANS.get(node.type);
          if (kind && this.text.length > from) {
            this.spans.push({ kind, from, to: this.text.length });
          }
          if (isOwnTarget(node, this.source)) this.lock(from, "This is the link’s address as well");
        } else {
          this.push(OBJECT_CHARACTER, offsetOf(node), endOf(node));
          this.lock(from, "An image or markup stands here");
        }
    }
  }

  private code(value: string, from: number, to: number): void {
    const start = this.text.length;
    const inner = this.source.indexOf(value, from);
    if (inner >= 0 && inner + value.length <= to) this.literal(value, inner);
    else {
      for (const unit of value) this.push(unit, from, to);
      this.lock(start, "This code can’t be changed here");
    }
    this.spans.push({ kind: "code", from: start, to: this.text.length });
  }

  private aligned(value: string, from: number, to: number): void {
    const origins = alignText(this.source, from, to, value);
    const start = this.text.length;
    if (origins) {
      this.text += value.replace(/\n/g, " ");
      for (const one of origins) this.origin.push(one);
      return;
    }
    for (const unit of value.replace(/\n/g, " ")) this.push(unit, from, to);
    this.lock(start, "This text is written in a way that can’t be changed here");
  }

  private literal(value: string, at: number): void {
    for (let index = 0; index < value.length; index++) {
      this.push(value[index] === "\n" ? " " : (value[index] ?? ""), at + index, at + index + 1);
    }
  }

  private push(character: string, from: number, to: number): void {
    for (let unit = 0; unit < character.length; unit++) this.origin.push([from, to]);
    this.text += character;
  }

  private lock(from: number, label: string): void {
    this.spans.push({ kind: "locked", from, to: this.text.length, label });
  }
}

/** Whether the text of a link is also what it points with: <address>, [label] or [label][]. */
function isOwnTarget(node: Nodes, source: string): boolean {
  if (node.type === "linkReference") return node.referenceType !== "full";
  return node.type === "link" && source[offsetOf(node)] === "<";
}

const REFERENCE = /^&(?:#[xX]([0-9a-fA-F]{1,6})|#(\d{1,7})|([A-Za-z0-9]+));/;

/**
 * Origins of the characters of a text node: source[from, to) with escapes, character references and
 * the prefixes of continued lines taken off. Null where the two cannot be brought together.
 */
function alignText(
  source: string,
  from: number,
  to: number,
  value: string,
): CharacterOrigin[] | null {
  const origins: CharacterOrigin[] = [];
  let position = from;
  let index = 0;
  while (index < value.length) {
    const character = source[position];
    if (position >= to || character === undefined) return null;
    const escaped = source[position + 1];
    if (character === "\\" && escaped === value[index] && /[!-/:-@[-`{-~]/.test(escaped ?? "")) {
      origins.push([position, position + 2]);
      position += 2;
      index++;
      continue;
    }
    const reference = character === "&" ? characterReference(source, position, to) : null;
    if (reference && value.startsWith(reference.text, index)) {
      for (let unit = 0; unit < reference.text.length; unit++) {
        origins.push([position, position + reference.length]);
      }
      index += reference.text.length;
      position += reference.length;
      continue;
    }
    if (value[index] === "\n") {
      const next = continuedLine(source, position, to, value[index + 1]);
      if (next === null) return null;
      origins.push([position, next]);
      position = next;
      index++;
      continue;
    }
    if (character !== value[index] && !(character === "\0" && value[index] === "\ufffd"))
      return null;
    origins.push([position, position + 1]);
    position++;
    index++;
  }
  return origins;
}

function characterReference(
  source: string,
  position: number,
  to: number,
): { text: string; length: number } | null {
  const match = REFERENCE.exec(source.slice(position, Math.min(to, position + 40)));
  if (!match) return null;
  const [whole, hexadecimal, decimal, name] = match;
  const text = name
    ? decodeNamedCharacterReference(name)
    : codePoint(Number.parseInt(hexadecimal ?? decimal ?? "0", hexadecimal ? 16 : 10));
  return text === false ? null : { text, length: whole.length };
}

function codePoint(code: number): string {
  const invalid = code === 0 || code > 0x10ffff || (code >= 0xd800 && code <= 0xdfff);
  return invalid ? "\ufffd" : String.fromCodePoint(code);
}

/** Where a paragraph's next line starts, its indent and quote marks passed over. */
function continuedLine(
  source: string,
  position: number,
  to: number,
  next: string | undefined,
): number | null {
  let end = position;
  while (source[end] === " " || source[end] === "\t") end++;
  if (source[end] !== "\n") return null;
  end++;
  const prefix = /^[ \t>]*/.exec(source.slice(end, Math.min(to, end + 200)))?.[0].length ?? 0;
  if (next === undefined) return end;
  for (let length = prefix; length >= 0; length--) {
    const character = source[end + length];
    if (character === next || character === "\\" || character === "&") return end + length;
  }
  return null;
}

function offsetOf(node: Nodes): number {
  return node.position?.start.offset ?? 0;
}

function endOf(node: Nodes): number {
  return node.position?.end.offset ?? 0;
}
