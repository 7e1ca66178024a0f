import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { parse } from "csv-parse/sync";
import ExcelJS from "exceljs";
import { parseRecords } from "../../src/core/formats/csv/records.ts";
import { readDocument, writeDocument } from "../../src/core/formats/document.ts";
import { columnLetters, columnOf, guardFormula, isNumeric } from "../../src/core/formats/sheet.ts";
import { openArchive } from "../../src/core/formats/zip/archive.ts";
import { whyRefused } from "../../src/core/manuscript/layout.ts";
import type { Edit, Manuscript } from "../../src/core/manuscript/model.ts";
import { seeded } from "../support/random.ts";

const bytesOf = (text: string) => new TextEncoder().encode(text);

async function read(bytes: Uint8Array, name: string): Promise<Manuscript> {
  const result = await readDocument(bytes, name, () => "en-GB");
  if ("problem" in result) throw new Error(result.problem.sentence);
  return result.manuscript;
}

function write(manuscript: Manuscript, bytes: Uint8Array, edits: readonly Edit[]) {
  return writeDocument({
    bytes,
    format: manuscript.origin.format,
    current: manuscript,
    edits,
    queries: [],
    form: "clean",
    author: "Test",
    date: "2031-01-01T00:00:00Z",
  });
}

function replace({ text }: Manuscript, wrong: string, insert: string): Edit {
  const from = text.indexOf(wrong);
  assert.ok(from >= 0, wrong);
  return { from, to: from + wrong.length, insert };
}

const STOCK = [
  "Item,Name,Count,Note",
  'GH-104,"Tide staf, brass",12,"He said ""so"""',
  "GH-105,Stilling wel,3,=SUM(C2:C3)",
  "",
].join("\r\n");

describe("a .csv sheet", () => {
  test("is read cell by cell, with addresses, and numbers and formulas fixed", async () => {
    const sheet = await read(bytesOf(STOCK), "stock.csv");
    assert.equal(sheet.kind, "sheet");
    const cells = sheet.blocks.map(
      ({ cell, from, to, fixed }) =>
        `${cell?.address}:${sheet.text.slice(from, to)}${fixed ? " (fixed)" : ""}`,
    );
    assert.deepEqual(cells.slice(4, 8), [
      "A2:GH-104",
      "B2:Tide staf, brass",
      "C2:12 (fixed)",
      'D2:He said "so"',
    ]);
    assert.equal(cells[11], "D3:=SUM(C2:C3) (fixed)");
    const at = sheet.blocks[6]?.to ?? 0;
    assert.match(whyRefused(sheet.text, sheet, { from: at, to: at, insert: "1" }) ?? "", /number/);
  });

  test("is written back with only the changed field touched", async () => {
    const bytes = bytesOf(STOCK);
    const sheet = await read(bytes, "stock.csv");
    const { bytes: written, refused } = write(sheet, bytes, [
      replace(sheet, "staf", "staff"),
      replace(sheet, "wel", "well"),
    ]);
    assert.deepEqual(refused, []);
    const expected = STOCK.replace("staf,", "staff,").replace("wel,", "well,");
    assert.equal(new TextDecoder().decode(written), expected);
  });

  test("never becomes a formula by an edit, while what was one stays one", async () => {
    const bytes = bytesOf("a,b\nx1 note,-word\n");
    const sheet = await read(bytes, "s.csv");
    const { bytes: written } = write(sheet, bytes, [replace(sheet, "x1", "=x1")]);
    assert.equal(new TextDecoder().decode(written), "a,b\n'=x1 note,-word\n");
    assert.equal(guardFormula("@cmd"), "'@cmd");
    assert.equal(guardFormula("-12.5"), "-12.5");
    assert.equal(guardFormula("plain"), "plain");
  });

  test("is cut into the fields that the csv-parse package finds", () => {
    const random = seeded(3);
    const pieces = ["a", "tide", '"q"', '"x,y"', '"two\nlines"', '"d""d"', "", "7", "é"];
    for (let run = 0; run < 300; run++) {
      const rows = Array.from({ length: 1 + Math.floor(random() * 4) }, () =>
        Array.from(
          { length: 1 + Math.floor(random() * 4) },
          () => pieces[Math.floor(random() * pieces.length)] ?? "",
        ).join(","),
      );
      const source = `${rows.filter((row) => row !== "").join("\n")}\n`;
      if (source === "\n") continue;
      const ours = parseRecords(source, ",").map((row) => row.map(({ text }) => text));
      const theirs: unknown = parse(source, { relaxColumnCount: true, skipEmptyLines: false });
      assert.deepEqual(ours, theirs, JSON.stringify(source));
    }
  });

  test("addresses count in letters as spreadsheets do", () => {
    assert.deepEqual([0, 25, 26, 701, 702].map(columnLetters), ["A", "Z", "AA", "ZZ", "AAA"]);
    assert.deepEqual(["A1", "Z9", "AA3", "ZZ1", "AAA2"].map(columnOf), [0, 25, 26, 701, 702]);
    assert.deepEqual(
      ["12", "-3.5", "£4,900", "12%", "2031-01-02", "GH-104", "12 m"].map(isNumeric),
      [true, true, true, true, true, false, false],
    );
  });
});

async function workbook(): Promise<Uint8Array> {
  const book = new ExcelJS.Workbook();
  const stock = book.addWorksheet("Stock");
  stock.addRow(["Item", "Name", "Count", "Bought"]);
  stock.addRow(["GH-104", "Tide staf & rule", 12, new Date(Date.UTC(2031, 2, 1))]);
  stock.addRow(["GH-105", "recieved", 3, null]);
  stock.getCell("C4").value = { formula: "SUM(C2:C3)", result: 15 };
  stock.getCell("B4").value = {
    richText: [{ text: "Stilling " }, { font: { bold: true }, text: "wel here" }],
  };
  const notes = book.addWorksheet("Notes");
  notes.addRow(["recieved", "Read the gauge"]);
  return new Uint8Array(await book.xlsx.writeBuffer());
}

describe("a .xlsx workbook", () => {
  test("is read sheet by sheet, dates shown as dates, numbers and formulas fixed", async () => {
    const sheet = await read(await workbook(), "stock.xlsx");
    const cells = sheet.blocks.map(
      ({ cell, from, to, fixed }) =>
        `${cell?.sheet}!${cell?.address}:${sheet.text.slice(from, to)}${fixed ? " (fixed)" : ""}`,
    );
    assert.ok(cells.includes("Stock!B2:Tide staf & rule"));
    assert.ok(cells.includes("Stock!D2:2031-03-01 (fixed)"));
    assert.ok(cells.includes("Stock!C4:15 (fixed)"));
    assert.ok(cells.includes("Stock!B4:Stilling wel here"));
    assert.equal(cells.at(-1), "Notes!B1:Read the gauge");
  });

  test("is written back as the exceljs package reads it: strings changed, nothing else", async () => {
    const bytes = await workbook();
    const sheet = await read(bytes, "stock.xlsx");
    const { bytes: written } = write(sheet, bytes, [
      replace(sheet, "staf", "staff"),
      replace(sheet, "recieved", "received"),
      replace(sheet, "wel here", "well here"),
    ]);
    const book = new ExcelJS.Workbook();
    await book.xlsx.load(Buffer.from(written) as unknown as ArrayBuffer);
    const stock = book.getWorksheet("Stock");
    assert.equal(stock?.getCell("B2").value, "Tide staff & rule");
    assert.equal(stock?.getCell("B3").value, "received");
    // The other cell shows the same string and was not changed.
    assert.equal(book.getWorksheet("Notes")?.getCell("A1").value, "recieved");
    assert.equal(stock?.getCell("C2").value, 12);
    assert.equal(stock?.getCell("C4").formula, "SUM(C2:C3)");
    const rich = stock?.getCell("B4").value as ExcelJS.CellRichTextValue;
    assert.deepEqual(
      rich.richText.map(({ text }) => text),
      ["Stilling ", "well here"],
    );
    assert.equal(rich.richText[1]?.font?.bold, true);
  });

  test("keeps every part but the strings byte for byte when a string of one cell changes", async () => {
    const bytes = await workbook();
    const sheet = await read(bytes, "stock.xlsx");
    const { bytes: written } = write(sheet, bytes, [replace(sheet, "staf", "staff")]);
    const before = openArchive(bytes);
    const after = openArchive(written);
    for (const { name } of before.entries) {
      const same = Buffer.compare(
        Buffer.from(before.read(name) ?? []),
        Buffer.from(after.read(name) ?? []),
      );
      assert.equal(same === 0, name !== "xl/sharedStrings.xml", name);
    }
    assert.deepEqual(write(sheet, bytes, []).bytes, bytes);
  });

  test("takes random edits as the text takes them", async () => {
    const bytes = await workbook();
    const sheet = await read(bytes, "stock.xlsx");
    const random = seeded(11);
    for (let run = 0; run < 200; run++) {
      const edits: Edit[] = [];
      for (const { from, to, fixed } of sheet.blocks) {
        if (fixed || random() < 0.6) continue;
        const at = from + Math.floor(random() * (to - from));
        const end = Math.min(to, at + Math.floor(random() * 4));
        edits.push({ from: at, to: end, insert: ["", "<b>", "and ", "x"][run % 4] ?? "" });
      }
      const { bytes: written, refused } = write(sheet, bytes, edits);
      assert.deepEqual(refused, []);
      const again = await read(written, "stock.xlsx");
      let expected = sheet.text;
      for (const { from, to, insert } of edits.toReversed()) {
        expected = expected.slice(0, from) + insert + expected.slice(to);
      }
      const filled = (text: string) => text.split(/[\t\n]/).filter((cell) => cell.trim() !== "");
      assert.deepEqual(filled(again.text), filled(expected));
    }
  });

  test("named wrongly or damaged is refused with a sentence", async () => {
    const refusal = async (bytes: Uint8Array, name: string) => {
      const result = await readDocument(bytes, name, () => "en-GB");
      return "problem" in result ? result.problem.sentence : "";
    };
    assert.match(await refusal(bytesOf("a,b\n"), "s.xlsx"), /Rename it to \.csv/);
    assert.match(await refusal((await workbook()).slice(0, 900), "s.xlsx"), /./);
  });
});
