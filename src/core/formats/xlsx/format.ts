import { moveEdits } from "../../manuscript/edits.ts";
import { type Edit, LINE_SEPARATOR } from "../../manuscript/model.ts";
import { assemble, type RawBlock, type ReadFile, titleFromName } from "../assemble.ts";
import { noText } from "../problem.ts";
import {
  cellBlock,
  columnOf,
  editsByCell,
  FIXED_FORMULA,
  FIXED_NUMBER,
  type Refusal,
} from "../sheet.ts";
import { escapeText } from "../xml/entities.ts";
import { encodeParts } from "../zip/parts.ts";
import { patchArchive } from "../zip/patch.ts";
import { openWorkbook, type Run, type Sheet, type SheetCell, type Workbook } from "./workbook.ts";

/** A cell with something in it: where it is and the runs its text is made of, if it is text. */
interface PlacedCell {
  sheet: Sheet;
  cell: SheetCell;
  runs: readonly Run[];
}

function layOut(workbook: Workbook): { raw: RawBlock[]; placed: PlacedCell[] } {
  const raw: RawBlock[] = [];
  const placed: PlacedCell[] = [];
  for (const sheet of workbook.sheets) {
    const columns =
      1 + sheet.cells.reduce((most, { address }) => Math.max(most, columnOf(address)), 0);
    for (const cell of sheet.cells) {
      const runs =
        cell.kind === "shared" ? (workbook.strings?.items[cell.shared]?.runs ?? []) : cell.runs;
      const isText = cell.kind === "shared" || cell.kind === "inline";
      const text = isText ? runs.map((run) => run.text).join("") : cell.text;
      if (text.trim() === "") continue;
      const fixed = isText ? null : cell.kind === "formula" ? FIXED_FORMULA : FIXED_NUMBER;
      raw.push(cellBlock(sheet.name, cell.address, columns, text, fixed));
      placed.push({ sheet, cell, runs });
    }
  }
  return { raw, placed };
}

/** Reads a .xlsx workbook: every sheet's cells, row by row. Throws FormatProblem. */
export function readXlsx(bytes: Uint8Array, fileName: string): ReadFile {
  const workbook = openWorkbook(bytes);
  const { raw } = layOut(workbook);
  if (raw.length === 0) throw noText();
  const warnings = workbook.archive.find("xl/vbaProject.bin")
    ? ["The workbook holds macros. They are kept and not run."]
    : [];
  return { ...assemble(raw), title: titleFromName(fileName), kind: "sheet", warnings };
}

/**
 * The original .xlsx with the edits made. Only strings that change are touched: one that a single
 * cell shows is changed where it stands, and one that others show too is added anew for the changed
 * cells. Formulas, numbers, formats and every other part keep their bytes. `edits` refer to the
 * original's text, sorted and not overlapping. Throws FormatProblem.
 */
export function writeXlsx(
  bytes: Uint8Array,
  edits: readonly Edit[],
): { bytes: Uint8Array; refused: Refusal[] } {
  if (edits.length === 0) return { bytes, refused: [] };
  const workbook = openWorkbook(bytes);
  const { raw, placed } = layOut(workbook);
  const { byCell, refused } = editsByCell(assemble(raw), edits, () => null);
  return { bytes: patchArchive(workbook.archive, changedParts(workbook, placed, byCell)), refused };
}

function changedParts(
  workbook: Workbook,
  placed: readonly PlacedCell[],
  byCell: ReadonlyMap<number, Edit[]>,
): Map<string, Uint8Array> {
  const users = new Map<number, number>();
  for (const { cell } of placed) {
    if (cell.kind === "shared") users.set(cell.shared, (users.get(cell.shared) ?? 0) + 1);
  }
  const cuts = new Map<string, { source: string; edits: Edit[] }>();
  const cut = (part: string, source: string, edit: Edit) => {
    const known = cuts.get(part);
    if (known) known.edits.push(edit);
    else cuts.set(part, { source, edits: [edit] });
  };
  const added: string[] = [];
  const { strings } = workbook;
  for (const [index, edits] of byCell) {
    const one = placed[index];
    if (!one) continue;
    const { sheet, cell, runs } = one;
    const changes = runEdits(runs, edits);
    if (cell.kind === "inline") {
      for (const change of changes) cut(sheet.part, sheet.source, change);
    } else if (strings && users.get(cell.shared) === 1) {
      for (const change of changes) cut(strings.part, strings.source, change);
    } else if (strings) {
      const item = strings.items[cell.shared];
      if (!item) continue;
      const copy = splice(strings.source.slice(item.from, item.to), moveEdits(changes, -item.from));
      let place = added.indexOf(copy);
      if (place < 0) place = added.push(copy) - 1;
      const insert = String(strings.items.length + place);
      cut(sheet.part, sheet.source, { from: cell.valueFrom, to: cell.valueTo, insert });
    }
  }
  if (strings && added.length > 0) {
    const end = strings.source.lastIndexOf("</");
    cut(strings.part, strings.source, { from: end, to: end, insert: added.join("") });
    const unique = /uniqueCount="(\d+)"/.exec(strings.source);
    if (unique) {
      const insert = `uniqueCount="${Number(unique[1]) + added.length}"`;
      const from = unique.index;
      cut(strings.part, strings.source, { from, to: from + unique[0].length, insert });
    }
  }
  return encodeParts(
    workbook.archive,
    new Map([...cuts].map(([part, { source, edits }]) => [part, splice(source, edits)])),
  );
}

/** Edits of the source that change the runs of one string; each run keeps its own format. */
function runEdits(runs: readonly Run[], edits: readonly Edit[]): Edit[] {
  const ends: number[] = [];
  for (const run of runs) ends.push((ends.at(-1) ?? 0) + run.text.length);
  // What is put between two runs joins the one before.
  const owners = edits.map(({ from, to }) => {
    const owner = ends.findIndex((end) => (from === to ? from <= end : from < end));
    return owner < 0 ? runs.length - 1 : owner;
  });
  const changes: Edit[] = [];
  for (const [index, run] of runs.entries()) {
    const start = (ends[index] ?? 0) - run.text.length;
    const end = ends[index] ?? 0;
    let text = "";
    let at = start;
    for (const [order, { from, to, insert }] of edits.entries()) {
      const owned = owners[order] === index;
      if (!owned && (to <= start || from >= end)) continue;
      const until = Math.max(at, Math.min(from, end));
      text += run.text.slice(at - start, until - start) + (owned ? insert : "");
      at = Math.max(until, Math.min(to, end));
    }
    text += run.text.slice(at - start);
    if (text !== run.text) changes.push(...runChange(run, text));
  }
  return changes;
}

function runChange(run: Run, text: string): Edit[] {
  const plain = text.replaceAll(LINE_SEPARATOR, "\n");
  const escaped = escapeText(plain);
  const insert = run.returns ? escaped.replaceAll("\n", "&#13;\n") : escaped;
  const changes: Edit[] = [{ from: run.from, to: run.to, insert }];
  if (/^\s|\s$/.test(plain) && !/^\s|\s$/.test(run.text)) {
    const insert = ' xml:space="preserve"';
    changes.unshift({ from: run.openTo - 1, to: run.openTo - 1, insert });
  }
  return changes;
}

function splice(source: string, edits: readonly Edit[]): string {
  let out = "";
  let position = 0;
  for (const { from, to, insert } of [...edits].sort((a, b) => a.from - b.from)) {
    out += source.slice(position, from) + insert;
    position = to;
  }
  return out + source.slice(position);
}
