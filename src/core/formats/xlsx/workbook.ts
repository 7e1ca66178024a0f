import { FormatProblem } from "../problem.ts";
import { columnLetters } from "../sheet.ts";
import { decode, decodeWithOffsets } from "../xml/entities.ts";
import { attribute, scanXml } from "../xml/scan.ts";
import { type Archive, openArchive } from "../zip/archive.ts";
import { partText, relationships } from "../zip/parts.ts";

/** The parts of a workbook (ISO/IEC 29500-1, SpreadsheetML) that hold text, with their places. */
export interface Workbook {
  archive: Archive;
  sheets: Sheet[];
  strings: SharedStrings | null;
}

export interface Sheet {
  name: string;
  part: string;
  source: string;
  cells: SheetCell[];
}

/** One text run: source[from, to) is what stands inside its element. */
export interface Run {
  /** Where the element begins, for the attribute that keeps its spaces. */
  openFrom: number;
  openTo: number;
  from: number;
  to: number;
  text: string;
  /** Its line ends are written with a carriage return, as a reference. */
  returns: boolean;
}

export interface SheetCell {
  address: string;
  kind: "shared" | "inline" | "number" | "date" | "formula" | "boolean" | "error";
  /** Index of the shared string, for that kind. */
  shared: number;
  /** Runs of an inline string. */
  runs: Run[];
  /** What a cell of another kind shows. */
  text: string;
  /** Where the value stands in the sheet's source. */
  valueFrom: number;
  valueTo: number;
}

export interface SharedStrings {
  part: string;
  source: string;
  items: { from: number; to: number; runs: Run[] }[];
}

/** Opens a workbook. Throws FormatProblem for anything that is not one. */
export function openWorkbook(bytes: Uint8Array): Workbook {
  const archive = openArchive(bytes);
  const main = relationships(archive, "").find(({ type }) => type === "officeDocument");
  const name = main && archive.find(main.target)?.name;
  if (!name) throw notAWorkbook();
  const source = partText(archive, name);
  const targets = new Map(relationships(archive, name).map((one) => [one.id, one]));
  const related = (type: string) => {
    const found = [...targets.values()].find((one) => one.type === type);
    return found ? archive.find(found.target)?.name : undefined;
  };
  const stringsPart = related("sharedStrings");
  const strings = stringsPart ? readStrings(stringsPart, partText(archive, stringsPart)) : null;
  const stylesPart = related("styles");
  const dates = stylesPart ? dateStyles(partText(archive, stylesPart)) : new Set<number>();
  const sheets: Sheet[] = [];
  let isWorkbook = false;
  scanXml(source, {
    open(element, _tag, from, to) {
      if (element === "x:workbook") isWorkbook = true;
      if (element !== "x:sheet") return;
      const target = targets.get(attribute(source, from, to, "id") ?? "");
      const part = target && archive.find(target.target)?.name;
      if (!part || target.type !== "worksheet") return;
      const text = partText(archive, part);
      const title = decode(attribute(source, from, to, "name") ?? `Sheet ${sheets.length + 1}`);
      sheets.push({ name: title, part, source: text, cells: readCells(text, dates) });
    },
    close() {},
  });
  if (!isWorkbook) throw notAWorkbook();
  return { archive, sheets, strings };
}

function notAWorkbook(): FormatProblem {
  return new FormatProblem(
    "wrong-type",
    "This file is named .xlsx but no workbook is in it. Save it again from the program it came from.",
  );
}

/** Collects the text runs of a string element; phonetic guides are no text. */
class RunReader {
  runs: Run[] = [];
  private openFrom = -1;
  private openTo = -1;
  private phonetic = 0;

  constructor(private readonly source: string) {}

  open(element: string, from: number, to: number, selfClosing: boolean): void {
    if (element === "x:rPh") this.phonetic++;
    if (element !== "x:t" || selfClosing || this.phonetic > 0) return;
    this.openFrom = from;
    this.openTo = to;
  }

  close(element: string, from: number): void {
    if (element === "x:rPh") this.phonetic--;
    if (element !== "x:t" || this.openFrom < 0) return;
    // Line ends become one character each, as in every XML text; the cell and its edits know no other.
    const decoded = decodeWithOffsets(this.source, this.openTo, from).text;
    const text = decoded.replace(/\r\n?/g, "\n");
    const { openFrom, openTo } = this;
    const returns = decoded.includes("\r");
    this.runs.push({ openFrom, openTo, from: openTo, to: from, text, returns });
    this.openFrom = -1;
  }
}

function readStrings(part: string, source: string): SharedStrings {
  const items: SharedStrings["items"] = [];
  let reader: RunReader | null = null;
  let start = 0;
  scanXml(source, {
    open(element, _tag, from, to, selfClosing) {
      if (element === "x:si") {
        reader = new RunReader(source);
        start = from;
      } else reader?.open(element, from, to, selfClosing);
    },
    close(element, _tag, from, to) {
      if (element === "x:si" && reader) {
        items.push({ from: start, to, runs: reader.runs });
        reader = null;
      } else reader?.close(element, from);
    },
  });
  return { part, source, items };
}

const KINDS: Record<string, SheetCell["kind"]> = {
  s: "shared",
  inlineStr: "inline",
  str: "formula",
  b: "boolean",
  e: "error",
  d: "date",
};

function readCells(source: string, dates: ReadonlySet<number>): SheetCell[] {
  const cells: SheetCell[] = [];
  let cell: SheetCell | null = null;
  let reader: RunReader | null = null;
  let styled = 0;
  let row = 0;
  let column = 0;
  scanXml(source, {
    open(element, _tag, from, to, selfClosing) {
      if (element === "x:row") {
        row = Number(attribute(source, from, to, "r") ?? row + 1);
        column = 0;
      } else if (element === "x:c") {
        const address = attribute(source, from, to, "r") ?? `${columnLetters(column)}${row}`;
        column++;
        styled = Number(attribute(source, from, to, "s") ?? -1);
        const kind = KINDS[attribute(source, from, to, "t") ?? ""] ?? "number";
        cell = { address, kind, shared: -1, runs: [], text: "", valueFrom: to, valueTo: to };
        reader = new RunReader(source);
      } else if (element === "x:f" && cell) {
        cell.kind = "formula";
      } else if (element === "x:v" && cell && !selfClosing) {
        cell.valueFrom = to;
      }
      reader?.open(element, from, to, selfClosing);
    },
    close(element, _tag, from) {
      reader?.close(element, from);
      if (element === "x:v" && cell) {
        cell.valueTo = from;
        cell.text = decode(source.slice(cell.valueFrom, from));
      } else if (element === "x:c" && cell) {
        finish(cell, reader?.runs ?? [], dates.has(styled));
        cells.push(cell);
        cell = null;
        reader = null;
      }
    },
  });
  return cells;
}

function finish(cell: SheetCell, runs: Run[], dated: boolean): void {
  if (cell.kind === "shared") cell.shared = Number(cell.text);
  if (cell.kind === "inline") cell.runs = runs;
  if (cell.kind === "boolean") cell.text = cell.text === "1" ? "TRUE" : "FALSE";
  if (cell.kind === "number" && dated && cell.text !== "") {
    cell.kind = "date";
    cell.text = dateOf(Number(cell.text));
  }
}

/** Day 0 is 30 December 1899, so that day 61 is 1 March 1900 (the format counts a 29 February 1900). */
const DAY_ZERO = Date.UTC(1899, 11, 30);
const DAY_MS = 86_400_000;

function dateOf(serial: number): string {
  if (!Number.isFinite(serial)) return "";
  const iso = new Date(DAY_ZERO + Math.round(serial * DAY_MS)).toISOString();
  if (serial < 1) return iso.slice(11, 16);
  return Number.isInteger(serial) ? iso.slice(0, 10) : iso.slice(0, 16).replace("T", " ");
}

/** Built-in number formats that show dates or times (ISO/IEC 29500-1, 18.8.30). */
const isBuiltInDate = (id: number) => (id >= 14 && id <= 22) || (id >= 45 && id <= 47);

/** Cell styles whose number format shows a date or time. */
function dateStyles(source: string): Set<number> {
  const custom = new Set<number>();
  const styles = new Set<number>();
  let inCells = false;
  let index = 0;
  scanXml(source, {
    open(element, _tag, from, to) {
      if (element === "x:numFmt") {
        const code = decode(attribute(source, from, to, "formatCode") ?? "");
        const bare = code.replace(/"[^"]*"|\\.|\[[^\]]*\]/g, "");
        if (/[dmyhs]/i.test(bare)) custom.add(Number(attribute(source, from, to, "numFmtId")));
      } else if (element === "x:cellXfs") inCells = true;
      else if (element === "x:xf" && inCells) {
        const format = Number(attribute(source, from, to, "numFmtId") ?? 0);
        if (isBuiltInDate(format) || custom.has(format)) styles.add(index);
        index++;
      }
    },
    close(element) {
      if (element === "x:cellXfs") inCells = false;
    },
  });
  return styles;
}
