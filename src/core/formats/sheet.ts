import { moveEdits, whyHalf } from "../manuscript/edits.ts";
import { blockIndexAt } from "../manuscript/layout.ts";
import { type Edit, LINE_SEPARATOR, type Manuscript } from "../manuscript/model.ts";
import type { RawBlock } from "./assemble.ts";

/** What the readers of sheets share. */

/** Why a cell is left as it is. */
export const FIXED_NUMBER = "This is a number, and numbers in sheets are left as they are.";
export const FIXED_FORMULA = "This is a formula, and formulas are left as they are.";

/** The letters of a zero-based column: 0 is A, 26 is AA. */
export function columnLetters(column: number): string {
  let letters = "";
  for (let rest = column; rest >= 0; rest = Math.floor(rest / 26) - 1) {
    letters = String.fromCharCode(65 + (rest % 26)) + letters;
  }
  return letters;
}

/** The zero-based column of an address such as "AB12". */
export function columnOf(address: string): number {
  let column = 0;
  for (const letter of /^[A-Z]+/.exec(address)?.[0] ?? "") {
    column = column * 26 + letter.charCodeAt(0) - 64;
  }
  return column - 1;
}

/** A cell as a block. `fixed` is why it cannot be changed, or null. */
export function cellBlock(
  sheet: string,
  address: string,
  columns: number,
  text: string,
  fixed: string | null,
): RawBlock {
  return {
    kind: "cell",
    text: text.replace(/\r\n?|\n/g, LINE_SEPARATOR),
    story: "body",
    cell: { sheet, address, column: columnOf(address), columns },
    ...(fixed ? { fixed } : {}),
    spans: [],
  };
}

/** Whether a cell's text is a number, an amount, a percentage or a date in figures. */
export function isNumeric(text: string): boolean {
  return /^[-+\u2212(]?\s*[$£€¥]?\s*\d[\d\s,.:/'\u00a0\u202f-]*\s*(?:%|‰|[$£€¥])?\)?$/.test(
    text.trim(),
  );
}

/** What a spreadsheet program runs as a formula, also behind spaces and line breaks. */
const RUNS = /^[\s\u2028]*[=+\-@]|^[\t\r]/;
/** What a formula is made with: text put in that has none of it makes none. */
const FORMULA_SIGNS = /[=+\-@|!(\t\r\n\u2028]/;

/**
 * A text that a spreadsheet program would run as a formula when it opens a CSV file gets an
 * apostrophe before it (OWASP, "CSV Injection"), unless it is a number. A cell that began so when it
 * came, and to which nothing was added that formulas are made with, is the author's own.
 */
export function guardFormula(
  text: string,
  before: { text: string; inserts: readonly string[] } = { text: "", inserts: [] },
): string {
  if (!RUNS.test(text) || isNumeric(text)) return text;
  const own = RUNS.test(before.text) && before.text.trimStart()[0] === text.trimStart()[0];
  if (own && !before.inserts.some((insert) => FORMULA_SIGNS.test(insert))) return text;
  return `'${text}`;
}

/** An edit that cannot be made, with the reason as a sentence. */
export interface Refusal {
  edit: Edit;
  reason: string;
}

/**
 * Edits by the number of the cell they change, their offsets in the cell's text, and those that no
 * cell takes. `whyNot` gives a format's own reason against an edit, or null.
 */
export function editsByCell(
  { text, blocks }: Pick<Manuscript, "text" | "blocks">,
  edits: readonly Edit[],
  whyNot: (edit: Edit) => string | null,
): { byCell: Map<number, Edit[]>; refused: Refusal[] } {
  const byCell = new Map<number, Edit[]>();
  const refused: Refusal[] = [];
  for (const edit of edits) {
    const index = blockIndexAt(blocks, edit.from);
    const block = blocks[index];
    const reason =
      !block || edit.to > block.to
        ? "This change runs over the end of a cell."
        : (block.fixed ?? whyHalf(text, edit) ?? whyNot(edit));
    if (!block || reason) refused.push({ edit, reason: reason ?? "" });
    else byCell.set(index, [...(byCell.get(index) ?? []), ...moveEdits([edit], -block.from)]);
  }
  return { byCell, refused };
}
