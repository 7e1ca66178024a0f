import { applyEdits } from "../../manuscript/edits.ts";
import { type Edit, LINE_SEPARATOR } from "../../manuscript/model.ts";
import { assemble, type RawBlock, type ReadFile, titleFromName } from "../assemble.ts";
import { MOST_BLOCKS, noText, tooMuch } from "../problem.ts";
import {
  cellBlock,
  columnLetters,
  editsByCell,
  FIXED_FORMULA,
  FIXED_NUMBER,
  guardFormula,
  isNumeric,
  type Refusal,
} from "../sheet.ts";
import { canEncode, decodeText, encodeText } from "../text-source.ts";
import { type Field, guessDelimiter, parseRecords, writeField } from "./records.ts";

/** The cells of a .csv file that hold something, with the fields they came from. */
function layOutCsv(source: string): { raw: RawBlock[]; fields: Field[]; delimiter: string } {
  const delimiter = guessDelimiter(source);
  const records = parseRecords(source, delimiter);
  const columns = records.reduce((most, record) => Math.max(most, record.length), 0);
  const raw: RawBlock[] = [];
  const fields: Field[] = [];
  for (const [row, record] of records.entries()) {
    for (const [column, field] of record.entries()) {
      if (field.text.trim() === "") continue;
      if (raw.length >= MOST_BLOCKS) throw tooMuch();
      const address = `${columnLetters(column)}${row + 1}`;
      raw.push(cellBlock("Sheet", address, columns, field.text, fixedReason(field.text)));
      fields.push(field);
    }
  }
  return { raw, fields, delimiter };
}

function fixedReason(text: string): string | null {
  if (/^\s*[=@]/.test(text)) return FIXED_FORMULA;
  return isNumeric(text) ? FIXED_NUMBER : null;
}

/** Reads a .csv file as a sheet. Throws FormatProblem. */
export function readCsv(bytes: Uint8Array, fileName: string): ReadFile {
  const { raw } = layOutCsv(decodeText(bytes).text);
  if (raw.length === 0) throw noText();
  return { ...assemble(raw), title: titleFromName(fileName), kind: "sheet", warnings: [] };
}

/**
 * The original .csv with the edits made: only the fields they touch are written anew, in quotes
 * where they need them, and never as what a spreadsheet program would run as a formula. `edits`
 * refer to the original's text, sorted and not overlapping.
 */
export function writeCsv(
  bytes: Uint8Array,
  edits: readonly Edit[],
): { bytes: Uint8Array; refused: Refusal[] } {
  if (edits.length === 0) return { bytes, refused: [] };
  const source = decodeText(bytes);
  const { raw, fields, delimiter } = layOutCsv(source.text);
  const { text, blocks } = assemble(raw);
  const { byCell, refused } = editsByCell({ text, blocks }, edits, ({ insert }) =>
    canEncode(source, insert)
      ? null
      : "The file’s old encoding has no place for one of these characters.",
  );
  const cuts: Edit[] = [];
  for (const [index, own] of byCell) {
    const block = blocks[index];
    const field = fields[index];
    if (!block || !field) continue;
    const changed = applyEdits(text.slice(block.from, block.to), own);
    const plain = changed.replaceAll(LINE_SEPARATOR, "\n");
    const guarded = guardFormula(plain, {
      text: field.text,
      inserts: own.map(({ insert }) => insert),
    });
    cuts.push({
      from: field.from,
      to: field.to,
      insert: writeField(guarded, delimiter, field.quoted),
    });
  }
  return { bytes: encodeText(source, cuts), refused };
}
