import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { XMLParser } from "fast-xml-parser";
import { type BlockOrder, inOrder } from "../../src/core/formats/block-order.ts";
import { type ExportForm, writeDocument } from "../../src/core/formats/document.ts";
import { readDocx } from "../../src/core/formats/docx/read.ts";
import { readMd } from "../../src/core/formats/md/format.ts";
import { readTxt } from "../../src/core/formats/txt/format.ts";
import type { Edit } from "../../src/core/manuscript/model.ts";
import { docx, paragraph, partOf } from "../support/docx.ts";
import { resolveChanges } from "../support/resolve-changes.ts";

const AUTHOR = "R. Penhale";
const utf8 = (text: string) => new TextEncoder().encode(text);
const read = { docx: readDocx, txt: readTxt, md: readMd };

/** The title, then four entries, of which “Orrin” and “Lock” move. */
const ENTRIES = ["References", "Ness 2019", "Weller 2016", "Orrin 2004", "Lock 1989"];
const ORDERS: readonly BlockOrder[] = [{ order: [4, 1, 3, 2], moved: [3, 4] }];
const SORTED = ["References", "Lock 1989", "Ness 2019", "Orrin 2004", "Weller 2016"];

function written(
  format: "docx" | "txt" | "md",
  bytes: Uint8Array,
  form: ExportForm,
  edits: readonly Edit[] = [],
) {
  const current = read[format](bytes, `t.${format}`);
  const date = "2031-04-29T10:00:00Z";
  const request = { bytes, format, current, edits, queries: [], form, author: AUTHOR, date };
  return writeDocument({ ...request, orders: ORDERS });
}

describe("blocks in another order", () => {
  const body = ENTRIES.map((entry) => paragraph(entry)).join("");

  test("take the places of each other", () => {
    const blocks = ENTRIES.map((_, from) => ({ from }));
    assert.deepEqual(
      inOrder(blocks, ORDERS).map(({ from }) => ENTRIES[from]),
      SORTED,
    );
  });

  test("are moved in place in a clean .docx, with all that is about them", () => {
    const styled = body.replace(
      '<w:r><w:t xml:space="preserve">Orrin',
      "<w:r><w:rPr><w:i/></w:rPr><w:t>Orrin",
    );
    assert.notEqual(styled, body);
    const { bytes } = written("docx", docx(styled), "clean");
    const { spans, text } = readDocx(bytes, "t.docx");
    assert.equal(text, SORTED.join("\n"));
    const [italic] = spans.filter(({ kind }) => kind === "emphasis");
    assert.equal(text.slice(italic?.from, italic?.to), "Orrin 2004");
  });

  test("are tracked moves otherwise: accepted they are sorted, rejected as they were", () => {
    const at = ENTRIES.join("\n").indexOf("2004");
    const edits = [{ from: at, to: at + 4, insert: "2005" }];
    const { bytes, unmoved } = written("docx", docx(body), "tracked", edits);
    assert.deepEqual(unmoved, []);
    const xml = partOf(bytes, "word/document.xml");
    assert.equal(xml.match(/<w:moveFromRangeStart /g)?.length, 2);
    assert.equal(xml.match(/<w:moveToRangeStart /g)?.length, 2);
    assert.ok(new XMLParser().parse(xml), "it is well formed");
    const ids = [...xml.matchAll(/<w:(?:ins|del|moveFrom|moveTo) w:id="(\d+)"/g)].map(
      ([, id]) => id,
    );
    assert.equal(new Set(ids).size, ids.length, "no id is there twice");
    const after = (take: "accept" | "reject") =>
      readDocx(resolveChanges(bytes, AUTHOR, take), "t.docx").text.split("\n");
    assert.deepEqual(
      after("accept"),
      SORTED.map((one) => one.replace("2004", "2005")),
    );
    assert.deepEqual(after("reject"), ENTRIES);
  });

  test("keep their own properties when they are moved with changes tracked", () => {
    const styled = body.replace(
      '<w:p><w:r><w:t xml:space="preserve">Lock',
      '<w:p><w:pPr><w:pStyle w:val="ref"/><w:rPr><w:b/></w:rPr></w:pPr><w:r><w:t>Lock',
    );
    assert.notEqual(styled, body);
    const { bytes } = written("docx", docx(styled), "tracked");
    const xml = partOf(bytes, "word/document.xml");
    assert.match(xml, /<w:pStyle w:val="ref"\/><w:rPr><w:moveTo [^>]*\/><w:b\/><\/w:rPr>/);
  });

  test("stay where they are where others’ changes are in them, and that is said", () => {
    const others = body.replace(
      '<w:r><w:t xml:space="preserve">Orrin 2004</w:t></w:r>',
      '<w:r><w:t xml:space="preserve">Orrin </w:t></w:r><w:ins w:id="9" w:author="A. Ness" w:date="2031-01-01T00:00:00Z"><w:r><w:t>2004</w:t></w:r></w:ins>',
    );
    assert.notEqual(others, body);
    const { bytes, unmoved } = written("docx", docx(others), "tracked");
    assert.match(unmoved?.[0] ?? "", /^1 of the entries stayed in place/);
    const { text } = readDocx(resolveChanges(bytes, AUTHOR, "accept"), "t.docx");
    assert.equal(text, "References\nLock 1989\nNess 2019\nWeller 2016\nOrrin 2004");
  });

  test("are whole lines of a .txt and a .md, whose other bytes stay", () => {
    const lines = (entries: readonly string[]) =>
      `\ufeff${entries.map((entry) => `${entry}, a work of several words.`).join("\r\n\r\n")}\r\n`;
    const plain = written("txt", utf8(lines(ENTRIES)), "clean");
    const decoder = new TextDecoder("utf-8", { ignoreBOM: true });
    assert.equal(decoder.decode(plain.bytes), lines(SORTED));
    const marked = (entries: readonly string[]) =>
      `${entries.map((entry, at) => (at === 0 ? `## ${entry}` : `*${entry}* \\[x].`)).join("\n\n")}\n`;
    const md = written("md", utf8(marked(ENTRIES)), "md");
    assert.equal(decoder.decode(md.bytes), marked(SORTED));
  });

  test("are so in a form that is written afresh", () => {
    const { bytes } = written("docx", docx(body), "txt");
    assert.equal(new TextDecoder().decode(bytes).trim(), SORTED.join("\n\n"));
  });
});
