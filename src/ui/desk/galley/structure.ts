import { type Extension, type Range, StateField } from "@codemirror/state";
import {
  Decoration,
  type DecorationSet,
  EditorView,
  MatchDecorator,
  ViewPlugin,
  type ViewUpdate,
  WidgetType,
} from "@codemirror/view";
import { columnLetters } from "../../../core/formats/sheet.ts";
import type { Block, BlockKind, Manuscript, Span, Story } from "../../../core/manuscript/model.ts";

/** Headings, lists, tables, notes and emphasis, shown as what they are. */

type Laid = Pick<Manuscript, "text" | "blocks" | "spans">;

/** Columns a table row is laid out in; what lies beyond shares the last. */
const MAX_COLUMNS = 12;

const WRAPPED_KINDS = new Set<BlockKind>(["heading", "item", "quote", "note", "caption", "code"]);
/** The editor takes its line height from plain lines on screen; text in a mark is passed over. */
const WRAP = Decoration.mark({ class: "dr-set" });

const STORY_TITLES: Partial<Record<Story, string>> = {
  note: "Notes",
  header: "Page header",
  footer: "Page footer",
  box: "Text box",
};

class StoryTitle extends WidgetType {
  constructor(readonly title: string) {
    super();
  }

  override eq(other: StoryTitle): boolean {
    return other.title === this.title;
  }

  override get estimatedHeight(): number {
    return 48;
  }

  toDOM(): HTMLElement {
    const element = document.createElement("div");
    element.className = "dr-story";
    element.textContent = this.title;
    return element;
  }
}

/** The name of a sheet, and the letters of its columns. */
class SheetHead extends WidgetType {
  constructor(
    readonly name: string,
    readonly columns: number,
  ) {
    super();
  }

  override eq(other: SheetHead): boolean {
    return other.name === this.name && other.columns === this.columns;
  }

  override get estimatedHeight(): number {
    return 66;
  }

  toDOM(): HTMLElement {
    const element = document.createElement("div");
    element.className = "dr-sheet-head";
    const title = document.createElement("div");
    title.className = "dr-sheet-name";
    title.textContent = this.name;
    const letters = document.createElement("div");
    letters.className = `dr-sheet-letters dr-columns-${this.columns}`;
    for (let column = 0; column < this.columns; column++) {
      const letter = document.createElement("span");
      letter.className = `dr-cell-${column}`;
      letter.textContent = columnLetters(column);
      letters.append(letter);
    }
    element.append(title, letters);
    return element;
  }
}

class NoteNumber extends WidgetType {
  constructor(readonly label: string) {
    super();
  }

  override eq(other: NoteNumber): boolean {
    return other.label === this.label;
  }

  toDOM(): HTMLElement {
    const element = document.createElement("sup");
    element.className = "dr-note-number";
    element.textContent = this.label;
    return element;
  }
}

/** The decorations of a manuscript as it is opened; they move with the text from then on. */
export function structure(manuscript: Laid): Extension {
  const initial = Decoration.set(
    [...lineRanges(manuscript), ...spanRanges(manuscript.spans)],
    true,
  );
  const cells = Decoration.set(cellRanges(manuscript), true);
  const field = (value: DecorationSet) =>
    StateField.define<DecorationSet>({
      create: () => value,
      update: (current, transaction) => current.map(transaction.changes),
    });
  const lines = field(initial);
  const rows = field(cells);
  return [
    isSheet(manuscript.blocks) ? columnWidths(manuscript) : [],
    lines,
    EditorView.decorations.from(lines),
    rows,
    EditorView.outerDecorations.from(rows),
    specialCharacters,
  ];
}

/** Characters of a column's longest texts, between which widths are shared out. */
const NARROWEST = 5;
const WIDEST = 34;

/** Letters of a column's longest word that its least width holds. */
const LONGEST_WORD = 12;
/** A letter of the sheet’s type, on the wide side. */
const LETTER_PX = 8.6;

/** Columns of a sheet as wide, in proportion, as what most of their cells hold. */
function columnWidths({ text, blocks }: Laid): Extension {
  const lengths: number[][] = [];
  const longest: number[] = [];
  for (const { cell, from, to } of blocks) {
    const column = Math.min(MAX_COLUMNS - 1, cell?.column ?? 0);
    const own = lengths[column] ?? [];
    lengths[column] = own;
    own.push(to - from);
    for (const word of text.slice(from, to).split(/\s+/)) {
      longest[column] = Math.max(longest[column] ?? 0, word.length);
    }
  }
  const widths = Array.from({ length: Math.max(1, lengths.length) }, (_, column) => {
    const own = (lengths[column] ?? []).toSorted((a, b) => a - b);
    const most = own[Math.floor(own.length * 0.9)] ?? 0;
    const least = Math.min(LONGEST_WORD, longest[column] ?? 0);
    return `minmax(${Math.round(least * LETTER_PX) + 17}px, ${Math.max(NARROWEST, Math.min(WIDEST, most))}fr)`;
  });
  return EditorView.theme({
    ".cm-line.dr-sheet-row, .dr-sheet-letters": { gridTemplateColumns: widths.join(" 0 ") },
  });
}

/** Whether the whole document is a sheet, and not one with tables in it. */
export function isSheet(blocks: readonly Block[]): boolean {
  return blocks.length > 0 && blocks.every(({ cell }) => cell !== undefined);
}

function lineRanges({ blocks }: Laid): Range<Decoration>[] {
  const ranges: Range<Decoration>[] = [];
  const sheet = isSheet(blocks);
  let before: Block | undefined;
  for (const block of blocks) {
    const title = STORY_TITLES[block.story];
    if (title && block.story !== before?.story) {
      const widget = new StoryTitle(title);
      ranges.push(Decoration.widget({ widget, block: true, side: -1 }).range(block.from));
    }
    if (sheet && block.cell && before?.cell?.sheet !== block.cell.sheet) {
      const widget = new SheetHead(block.cell.sheet, Math.min(MAX_COLUMNS, block.cell.columns));
      ranges.push(Decoration.widget({ widget, block: true, side: -1 }).range(block.from));
    }
    if (block.cell) {
      const opensRow = before?.cell?.sheet !== block.cell.sheet || row(before) !== row(block);
      if (opensRow) ranges.push(rowDecoration(block, before, sheet).range(block.from));
    } else if (block.kind !== "paragraph") {
      ranges.push(lineDecoration(block).range(block.from));
      if (block.to > block.from && WRAPPED_KINDS.has(block.kind)) {
        ranges.push(WRAP.range(block.from, block.to));
      }
    }
    before = block;
  }
  return ranges;
}

function lineDecoration(block: Block): Decoration {
  const level = block.level ? ` dr-level-${Math.min(4, block.level)}` : "";
  const marker = block.marker ? { attributes: { "data-marker": block.marker } } : {};
  return Decoration.line({ class: `dr-${block.kind}${level}`, ...marker });
}

function rowDecoration(block: Block, before: Block | undefined, sheet: boolean): Decoration {
  const columns = Math.min(MAX_COLUMNS, block.cell?.columns ?? 1);
  const first = before?.cell?.sheet !== block.cell?.sheet ? " dr-row-first" : "";
  if (sheet) {
    return Decoration.line({
      class: `dr-row dr-sheet-row dr-columns-${columns}`,
      attributes: { "data-row": row(block) },
    });
  }
  return Decoration.line({ class: `dr-row dr-columns-${columns}${first}` });
}

function row(block: Block | undefined): string {
  return block?.cell?.address.replace(/^[A-Z]+/, "") ?? "";
}

function cellRanges({ text, blocks }: Laid): Range<Decoration>[] {
  const ranges: Range<Decoration>[] = [];
  for (let index = 0; index < blocks.length; index++) {
    const block = blocks[index];
    if (!block?.cell) continue;
    let to = block.to;
    while (blocks[index + 1]?.cell?.address === block.cell.address && text[to] === "\u2028") {
      index++;
      to = blocks[index]?.to ?? to;
    }
    const column = Math.min(MAX_COLUMNS - 1, block.cell.column);
    if (to > block.from) {
      const fixed = block.fixed ? " dr-fixed" : "";
      const mark = Decoration.mark({ class: `dr-cell dr-cell-${column}${fixed}` });
      ranges.push(mark.range(block.from, to));
    }
    if (text[to] === "\t") ranges.push(Decoration.mark({ class: "dr-tab" }).range(to, to + 1));
  }
  return ranges;
}

const SPAN_CLASSES: Partial<Record<Span["kind"], string>> = {
  emphasis: "dr-emphasis",
  strong: "dr-strong",
  superscript: "dr-super",
  subscript: "dr-sub",
  link: "dr-link",
  code: "dr-code",
  locked: "dr-locked",
  inserted: "dr-inserted",
};

function spanRanges(spans: readonly Span[]): Range<Decoration>[] {
  return spans.flatMap((span) => {
    if (span.kind === "note-anchor") {
      const widget = new NoteNumber(span.label ?? "");
      return [Decoration.widget({ widget, side: 1 }).range(span.from)];
    }
    const name = SPAN_CLASSES[span.kind];
    return name && span.to > span.from
      ? [Decoration.mark({ class: name }).range(span.from, span.to)]
      : [];
  });
}

/** A character that shows as something else: a line break, a page break, an object. */
class Sign extends WidgetType {
  constructor(readonly character: string) {
    super();
  }

  override eq(other: Sign): boolean {
    return other.character === this.character;
  }

  override get lineBreaks(): number {
    return this.character === "\u2028" ? 1 : 0;
  }

  toDOM(): HTMLElement {
    if (this.character === "\u2028") return document.createElement("br");
    const element = document.createElement("span");
    element.className = "dr-sign";
    element.textContent = this.character === "\f" ? "page break" : "object";
    return element;
  }
}

const signs = new MatchDecorator({
  regexp: /[\u2028\f\ufffc]/g,
  decoration: ([character]) => Decoration.replace({ widget: new Sign(character) }),
});

const specialCharacters = ViewPlugin.fromClass(
  class {
    decorations: DecorationSet;

    constructor(view: EditorView) {
      this.decorations = signs.createDeco(view);
    }

    update(update: ViewUpdate): void {
      this.decorations = signs.updateDeco(update, this.decorations);
    }
  },
  { decorations: (plugin) => plugin.decorations },
);
