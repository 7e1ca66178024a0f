import type { Span, SpanKind, Story } from "../../manuscript/model.ts";
import { LINE_SEPARATOR, OBJECT_CHARACTER } from "../../manuscript/model.ts";
import { FormatProblem, MOST_BLOCKS, tooMuch } from "../problem.ts";
import { columnLetters } from "../sheet.ts";
import { decodeWithOffsets } from "../xml/entities.ts";
import { attribute, scanXml, type XmlHandler } from "../xml/scan.ts";
import type { Insertion, Part, Piece, Run, SourceBlock } from "./source.ts";

/**
 * Reads one part into blocks. Existing changes are shown as if accepted: inserted and moved-to text
 * is there, deleted and moved-from text is not. `nextOrdinal` numbers the blocks of the document.
 */
export function readPart(
  name: string,
  source: string,
  story: Story,
  partIndex: number,
  nextOrdinal: () => number,
): Part {
  const reader = new PartReader(source, story, partIndex, nextOrdinal);
  scanXml(source, reader);
  return { name, source, story, blocks: reader.blocks };
}

/** Runs of one part: a book has some hundred thousand. */
const MOST_RUNS = 1_500_000;
/** Fields that are open inside one another; no program nests them deeper than a few. */
const MOST_FIELDS = 200;

function tooDeep(): FormatProblem {
  return new FormatProblem(
    "hostile",
    "This file nests its fields deeper than any document does, so it was not read. Save it again in the program it came from.",
  );
}

/** What to do at the end tag source[from, to). */
type Leave = (from: number, to: number) => void;

interface Frame {
  name: string;
  from: number;
  leave: Leave | null;
}

interface Field {
  stage: "instruction" | "result";
  instruction: string;
  link: boolean;
}

interface OpenBlock {
  block: SourceBlock;
  texts: string[];
  length: number;
  run: Run | null;
  links: number;
  /** The last span of each kind. */
  latest: Map<SpanKind, Span>;
}

interface OpenTable {
  name: string;
  row: number;
  column: number;
  rowBlocks: SourceBlock[];
}

/** Elements whose contents are no text of this document. */
const UNREAD = new Set([
  "w:sectPr",
  "w:tblPr",
  "w:tcPr",
  "w:trPr",
  "w:tblGrid",
  "w:pPrChange",
  "w:rPrChange",
  "w:del",
  "w:moveFrom",
  "w:rt",
]);

/** Children of a run that stand for one character. */
const CHARACTERS = new Map([
  ["w:tab", "\t"],
  ["w:ptab", "\t"],
  ["w:cr", LINE_SEPARATOR],
  ["w:noBreakHyphen", "\u2011"],
  ["w:softHyphen", "\u00ad"],
]);

const OBJECTS = new Set(["w:sym", "w:drawing", "w:pict", "w:object", "w:pgNum"]);

class PartReader implements XmlHandler {
  readonly blocks: SourceBlock[] = [];
  private readonly frames: Frame[] = [];
  private readonly outer: (OpenBlock | null)[] = [];
  private tables: OpenTable[] = [];
  private readonly insertions: Insertion[] = [];
  private readonly controls: (string | null)[] = [];
  private current: OpenBlock | null = null;
  private fields: Field[] = [];
  private skipping = 0;
  private shadows = 0;
  private box = 0;
  private boxes = 0;
  private tableCount = 0;
  private note: string | null = null;
  private runs = 0;

  constructor(
    private readonly source: string,
    private readonly story: Story,
    private readonly part: number,
    private readonly nextOrdinal: () => number,
  ) {}

  open(name: string, tag: string, from: number, to: number, selfClosing: boolean): void {
    if (this.skipping > 0) {
      this.skipping++;
      return;
    }
    const frame: Frame = { name, from, leave: null };
    frame.leave = this.enter(name, tag, from, to, selfClosing);
    this.frames.push(frame);
  }

  close(_name: string, _tag: string, from: number, to: number): void {
    if (this.skipping > 0) {
      this.skipping--;
      if (this.skipping > 0) return;
    }
    this.frames.pop()?.leave?.(from, to);
  }

  /** Everything inside the element being opened is passed over; its own end tag is still seen. */
  private skip(leave: Leave | null = null): Leave | null {
    this.skipping = 1;
    return leave;
  }

  private parentName(): string {
    return this.frames.at(-1)?.name ?? "";
  }

  private enter(
    name: string,
    tag: string,
    from: number,
    to: number,
    selfClosing: boolean,
  ): Leave | null {
    switch (name) {
      case "w:p":
        return this.enterParagraph(tag, from, to, selfClosing);
      case "w:pPr":
        return this.enterParagraphProperties(from);
      case "w:r":
        return this.enterRun(tag, from, to);
      case "w:rPr":
        return this.enterRunProperties(from);
      case "w:t":
        return this.enterText(from, to);
      case "w:instrText":
        return this.enterInstruction(from, to);
      case "w:br":
        return this.inRun() ? this.enterBreak(from, to) : this.skip();
      case "w:fldChar":
        return this.enterFieldCharacter(from, to);
      case "w:fldSimple":
        return this.enterSimpleField(from, to);
      case "w:hyperlink":
        return this.enterLink();
      case "w:ins":
      case "w:moveTo":
        return this.enterInsertion(tag, from, to);
      case "w:sdt":
        this.controls.push(null);
        return () => this.controls.pop();
      case "w:sdtPr":
        return this.skip((_from, end) => {
          this.controls[this.controls.length - 1] = controlLock(this.source.slice(from, end));
        });
      case "w:txbxContent":
        return this.enterTextBox();
      case "mc:Fallback":
        return this.enterFallback();
      case "w:ruby":
        return this.enterRuby(from, to);
      case "mc:AlternateContent":
        return this.inRun() ? this.enterObject(from, to, false) : null;
      case "w:tbl":
        return this.enterTable();
      case "w:tr":
        return this.enterRow();
      case "w:tc":
        return this.enterCell();
      case "m:oMath":
        return this.enterEquation(tag, from, to);
      case "w:footnote":
      case "w:endnote":
        return this.enterNote(from, to);
      case "w:commentRangeStart":
        return this.enterComment(from, to);
      case "w:commentReference":
        this.enterComment(from, to);
        return this.inRun() ? this.enterMark(from, to) : this.skip();
      case "w:footnoteReference":
      case "w:endnoteReference":
        return this.inRun() ? this.enterNoteReference(name, from, to) : this.skip();
      default:
        return this.enterOther(name, from, to);
    }
  }

  private enterOther(name: string, from: number, to: number): Leave | null {
    if (UNREAD.has(name)) return this.skip();
    if (!this.inRun()) return null;
    const character = CHARACTERS.get(name);
    if (character !== undefined) return this.enterCharacter(character, from, to);
    if (OBJECTS.has(name)) return this.enterObject(from, to, name === "w:sym");
    return this.enterMark(from, to);
  }

  private inRun(): boolean {
    return this.parentName() === "w:r" && this.current?.run != null;
  }

  private enterParagraph(tag: string, from: number, to: number, selfClosing: boolean): Leave {
    const table = this.tables.at(-1);
    const block: SourceBlock = {
      ordinal: this.nextOrdinal(),
      part: this.part,
      story: this.box > 0 ? "box" : this.story,
      text: "",
      segments: [],
      spans: [],
      at: -1,
      tag,
      openFrom: from,
      openTo: to,
      selfClosing,
      closeFrom: to,
      closeTo: to,
      contentFrom: to,
      style: null,
      list: null,
      outline: null,
      cell: table ? tableCell(table) : null,
      note: this.note,
      locked: this.controlLock(),
      box: this.box,
      comments: [],
      dropCap: false,
      shadow: this.shadows > 0,
      shadowOf: null,
    };
    table?.rowBlocks.push(block);
    if (this.blocks.push(block) > MOST_BLOCKS) throw tooMuch();
    this.outer.push(this.current);
    const open: OpenBlock = { block, texts: [], length: 0, run: null, links: 0, latest: new Map() };
    this.current = open;
    return (closeFrom, closeTo) => {
      block.closeFrom = closeFrom;
      block.closeTo = closeTo;
      block.text = open.texts.join("");
      this.current = this.outer.pop() ?? null;
    };
  }

  private enterParagraphProperties(from: number): Leave | null {
    const open = this.current;
    if (!open || open.run || this.parentName() !== "w:p") return this.skip();
    return this.skip((_from, end) => {
      const { block } = open;
      block.contentFrom = end;
      const raw = this.source.slice(from, end);
      block.style = propertyValue(raw, "pStyle");
      const list = propertyValue(raw, "numId");
      if (list !== null) block.list = { id: list, level: Number(propertyValue(raw, "ilvl") ?? 0) };
      const outline = propertyValue(raw, "outlineLvl");
      if (outline !== null) block.outline = Number(outline);
      block.dropCap = /<(?:\w+:)?framePr\s[^>]*dropCap\s*=\s*["'](?:drop|margin)["']/.test(raw);
    });
  }

  private enterRun(tag: string, from: number, to: number): Leave | null {
    const open = this.current;
    if (!open) return null;
    if (++this.runs > MOST_RUNS) throw tooMuch();
    const parent = this.frames.at(-1);
    const insertion = this.insertions.at(-1);
    const run: Run = {
      part: this.part,
      block: open.block,
      tag,
      from,
      openTo: to,
      to,
      propertiesFrom: to,
      propertiesTo: to,
      pieces: [],
      insertion: insertion ? { ...insertion, direct: parent?.from === insertion.from } : null,
      link: open.links > 0 || this.fields.some((field) => field.link),
      superscript: false,
      equation: false,
      locked: this.controlLock() ?? this.fieldLock(),
      parentFrom: parent?.from ?? 0,
    };
    const outerRun = open.run;
    open.run = run;
    return (_from, end) => {
      run.to = end;
      open.run = outerRun;
    };
  }

  private enterRunProperties(from: number): Leave | null {
    const run = this.current?.run;
    if (!run || this.parentName() !== "w:r") return this.skip();
    return this.skip((_from, end) => {
      run.propertiesFrom = from;
      run.propertiesTo = end;
      run.superscript = isSuperscript(this.source.slice(from, end));
    });
  }

  private enterText(from: number, to: number): Leave | null {
    const open = this.current;
    const run = open?.run;
    if (!open || !run || this.parentName() !== "w:r") return this.skip();
    return (closeFrom, closeTo) => {
      const piece = this.addPiece(run, "text", from, closeTo);
      piece.innerFrom = to;
      piece.innerTo = Math.max(to, closeFrom);
      if (closeFrom <= to || this.fields.some((field) => field.stage === "instruction")) return;
      let textFrom = to;
      let textTo = closeFrom;
      if (attribute(this.source, from, to, "space") !== "preserve") {
        while (textFrom < textTo && this.source.charCodeAt(textFrom) <= 32) textFrom++;
        while (textTo > textFrom && this.source.charCodeAt(textTo - 1) <= 32) textTo--;
      }
      if (textFrom >= textTo) return;
      const { text, offsets } = decodeWithOffsets(this.source, textFrom, textTo);
      this.addSegment(open, piece, run, text.replace(/[\n\r\t]/g, " "), offsets, textFrom);
    };
  }

  private enterInstruction(from: number, to: number): Leave | null {
    const run = this.current?.run;
    if (!run || this.parentName() !== "w:r") return this.skip();
    return (closeFrom, closeTo) => {
      this.addPiece(run, "mark", from, closeTo);
      const field = this.fields.at(-1);
      if (field?.stage !== "instruction" || closeFrom <= to) return;
      field.instruction += decodeWithOffsets(this.source, to, closeFrom).text;
      field.link = isLinkField(field.instruction);
    };
  }

  private enterBreak(from: number, to: number): Leave | null {
    const type = attribute(this.source, from, to, "type");
    const ordinary = type === undefined || type === "textWrapping";
    return this.enterCharacter(ordinary ? LINE_SEPARATOR : "\f", from, to);
  }

  private enterCharacter(character: string, from: number, to: number): Leave | null {
    const open = this.current;
    const run = open?.run;
    if (!open || !run) return null;
    const piece = this.addPiece(run, "character", from, to);
    this.addAtom(open, run, piece, character);
    return (_from, end) => {
      piece.to = end;
    };
  }

  /** Drawings can hold text boxes, which are read; a symbol holds nothing. */
  private enterObject(from: number, to: number, empty: boolean): Leave | null {
    const open = this.current;
    const run = open?.run;
    if (!open || !run) return null;
    const piece = this.addPiece(run, "object", from, to);
    this.addAtom(open, run, piece, OBJECT_CHARACTER);
    const leave: Leave = (_from, end) => {
      piece.to = end;
    };
    return empty ? this.skip(leave) : leave;
  }

  private enterMark(from: number, to: number): Leave | null {
    const run = this.current?.run;
    if (!run) return null;
    const piece = this.addPiece(run, "mark", from, to);
    return this.skip((_from, end) => {
      piece.to = end;
    });
  }

  private enterNoteReference(name: string, from: number, to: number): Leave | null {
    const open = this.current;
    const id = attribute(this.source, from, to, "id");
    if (open && id !== undefined) {
      const label = `${name === "w:endnoteReference" ? "endnote" : "footnote"}:${id}`;
      open.block.spans.push({ kind: "note-anchor", from: open.length, to: open.length, label });
    }
    return this.enterMark(from, to);
  }

  /** A comment's beginning, or its reference where it has no range. */
  private enterComment(from: number, to: number): null {
    const open = this.current;
    const id = attribute(this.source, from, to, "id");
    if (open && id !== undefined && !open.block.comments.some((one) => one.id === id)) {
      open.block.comments.push({ id, at: open.length });
    }
    return null;
  }

  private enterFieldCharacter(from: number, to: number): Leave | null {
    if (!this.current?.run) return this.skip();
    const type = attribute(this.source, from, to, "fldCharType");
    const field = this.fields.at(-1);
    if (type === "begin") {
      this.fields.push({ stage: "instruction", instruction: "", link: false });
      if (this.fields.length > MOST_FIELDS) throw tooDeep();
    }
    if (type === "separate" && field) field.stage = "result";
    else if (type === "end") this.fields.pop();
    return this.enterMark(from, to);
  }

  private enterSimpleField(from: number, to: number): Leave {
    const instruction = attribute(this.source, from, to, "instr") ?? "";
    this.fields.push({ stage: "result", instruction, link: isLinkField(instruction) });
    return () => this.fields.pop();
  }

  private enterLink(): Leave | null {
    const open = this.current;
    if (!open) return null;
    open.links++;
    return () => {
      open.links--;
    };
  }

  private enterInsertion(tag: string, from: number, to: number): Leave | null {
    // In properties these two mark a paragraph mark or a row, and hold no text.
    if (this.parentName() === "w:rPr" || this.parentName() === "w:trPr") return this.skip();
    this.insertions.push({ from, openTo: to, tag, direct: false });
    return () => this.insertions.pop();
  }

  /** Inside a run it is a second rendering of a text box; beside runs it repeats the Choice. */
  private enterFallback(): Leave | null {
    if (this.current && !this.current.run) return this.skip();
    this.shadows++;
    return () => this.shadows--;
  }

  private enterRuby(from: number, to: number): Leave | null {
    const run = this.current?.run;
    if (!run) return null;
    const piece = this.addPiece(run, "mark", from, to);
    this.controls.push("This word carries a reading above it");
    return (_from, end) => {
      piece.to = end;
      this.controls.pop();
    };
  }

  private enterTextBox(): Leave {
    const { box, fields, tables } = this;
    this.box = ++this.boxes;
    this.fields = [];
    this.tables = [];
    this.outer.push(this.current);
    this.current = null;
    return () => {
      this.box = box;
      this.fields = fields;
      this.tables = tables;
      this.current = this.outer.pop() ?? null;
    };
  }

  private enterTable(): Leave {
    this.tables.push({ name: `Table ${++this.tableCount}`, row: 0, column: 0, rowBlocks: [] });
    return () => this.tables.pop();
  }

  private enterRow(): Leave | null {
    const table = this.tables.at(-1);
    if (!table) return null;
    table.row++;
    table.column = 0;
    table.rowBlocks = [];
    return () => {
      for (const block of table.rowBlocks) if (block.cell) block.cell.columns = table.column;
      table.rowBlocks = [];
    };
  }

  private enterCell(): null {
    const table = this.tables.at(-1);
    if (table) table.column++;
    return null;
  }

  private enterEquation(tag: string, from: number, to: number): Leave | null {
    const open = this.current;
    if (!open || this.parentName() === "m:oMath") return this.skip();
    const run: Run = {
      part: this.part,
      block: open.block,
      tag,
      from,
      openTo: to,
      to,
      propertiesFrom: to,
      propertiesTo: to,
      pieces: [],
      insertion: null,
      link: false,
      superscript: false,
      equation: true,
      locked: "An equation is kept as it is",
      parentFrom: this.frames.at(-1)?.from ?? 0,
    };
    const piece = this.addPiece(run, "object", from, to);
    this.addAtom(open, run, piece, OBJECT_CHARACTER);
    return this.skip((_from, end) => {
      run.to = end;
      piece.to = end;
    });
  }

  private enterNote(from: number, to: number): Leave | null {
    const type = attribute(this.source, from, to, "type");
    if (type !== undefined && type !== "normal") return this.skip();
    const kind = this.source.slice(from, to).includes("endnote") ? "endnote" : "footnote";
    this.note = `${kind}:${attribute(this.source, from, to, "id") ?? ""}`;
    return () => {
      this.note = null;
    };
  }

  private controlLock(): string | null {
    return this.controls.findLast((lock) => lock !== null) ?? null;
  }

  private fieldLock(): string | null {
    const locked = this.fields.find((field) => field.stage === "result" && !field.link);
    if (!locked) return null;
    const name = locked.instruction.trim().split(/\s+/)[0] ?? "";
    return `This is filled in by the program that made the document (field ${name || "unnamed"})`;
  }

  private addPiece(run: Run, kind: Piece["kind"], from: number, to: number): Piece {
    const piece: Piece = { kind, from, to, innerFrom: from, innerTo: to, segment: null };
    run.pieces.push(piece);
    return piece;
  }

  private addAtom(open: OpenBlock, run: Run, piece: Piece, character: string): void {
    if (this.fields.some((field) => field.stage === "instruction")) return;
    this.addSegment(open, piece, run, character, null, piece.from);
  }

  private addSegment(
    open: OpenBlock,
    piece: Piece,
    run: Run,
    text: string,
    offsets: Uint32Array | null,
    sourceFrom: number,
  ): void {
    const from = open.length;
    const to = from + text.length;
    piece.segment = { run, piece, from, to, offsets, sourceFrom };
    open.block.segments.push(piece.segment);
    open.texts.push(text);
    open.length = to;
    for (const kind of this.spanKinds(run)) addSpan(open, kind, from, to, undefined);
    if (run.locked) addSpan(open, "locked", from, to, run.locked);
  }

  private spanKinds(run: Run): SpanKind[] {
    const kinds: SpanKind[] = [];
    if (run.propertiesTo > run.propertiesFrom) {
      const raw = this.source.slice(run.propertiesFrom, run.propertiesTo);
      if (isOn(raw, "b")) kinds.push("strong");
      if (isOn(raw, "i")) kinds.push("emphasis");
      if (run.superscript) kinds.push("superscript");
      if (/vertAlign[^>]*subscript/.test(raw)) kinds.push("subscript");
    }
    if (run.link) kinds.push("link");
    if (run.insertion) kinds.push("inserted");
    return kinds;
  }
}

function addSpan(
  { block, latest }: OpenBlock,
  kind: SpanKind,
  from: number,
  to: number,
  label: string | undefined,
): void {
  const last = latest.get(kind);
  if (last && last.to === from && last.label === label) {
    last.to = to;
    return;
  }
  const span: Span = { kind, from, to, ...(label === undefined ? {} : { label }) };
  latest.set(kind, span);
  block.spans.push(span);
}

/** Value of the first element with this local name in raw properties; null when absent. */
function propertyValue(raw: string, local: string): string | null {
  const match = new RegExp(`<(?:[^\\s>/:]+:)?${local}\\s[^>]*?val\\s*=\\s*["']([^"']*)["']`).exec(
    raw,
  );
  return match?.[1] ?? null;
}

/** Whether a toggle property is set (clause 17.17.4: present without a value means on). */
function isOn(raw: string, local: string): boolean {
  const match = new RegExp(`<(?:[^\\s>/:]+:)?${local}(\\s[^>]*)?/?>`).exec(raw);
  return match !== null && !/val\s*=\s*["'](?:0|false|off|none)["']/.test(match[1] ?? "");
}

function isSuperscript(raw: string): boolean {
  return /vertAlign[^>]*superscript|(?:Footnote|Endnote)Reference/.test(raw);
}

function isLinkField(instruction: string): boolean {
  return /^\s*HYPERLINK\b/.test(instruction);
}

/** Why the contents of a content control cannot be edited as text; null when they can. */
function controlLock(properties: string): string | null {
  if (/<(?:\w+:)?dataBinding[\s>]/.test(properties)) return "This is bound to the document’s data";
  if (/<(?:\w+:)?showingPlcHdr/.test(properties)) return "This is a placeholder in a form";
  if (/<(?:\w+:)?(?:dropDownList|comboBox|date|checkbox)[\s>/]/.test(properties)) {
    return "This is a choice in a form";
  }
  const locked = /<(?:\w+:)?lock\s[^>]*val="(?:contentLocked|sdtContentLocked)"/;
  return locked.test(properties) ? "This part of the document is locked" : null;
}

function tableCell(table: OpenTable): SourceBlock["cell"] {
  const column = Math.max(0, table.column - 1);
  return {
    sheet: table.name,
    address: `${columnLetters(column)}${table.row}`,
    column,
    columns: table.column,
  };
}
