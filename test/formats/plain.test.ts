import assert from "node:assert/strict";
import { readFileSync } from "node:fs";
import path from "node:path";
import { describe, test } from "node:test";
import { readDocx } from "../../src/core/formats/docx/read.ts";
import { readMd } from "../../src/core/formats/md/format.ts";
import { markdownText, plainText } from "../../src/core/formats/plain.ts";
import { docx, paragraph } from "../support/docx.ts";
import { realDocuments } from "../support/fixtures.ts";

const utf8 = (text: string) => new TextEncoder().encode(text);
const cell = (text: string) => `<w:tc>${paragraph(text)}</w:tc>`;

describe("a document written afresh", () => {
  test("as plain text keeps markers, sets cells with tabs and breaks lines", () => {
    const body = `${paragraph("First")}<w:p><w:r><w:t>one</w:t><w:br/><w:t>two</w:t></w:r></w:p><w:tbl><w:tr>${cell("a")}${cell("b")}</w:tr></w:tbl>`;
    assert.equal(plainText(readDocx(docx(body), "t.docx")), "First\n\none\ntwo\n\na\tb\n");
  });

  test("as Markdown gives a table its head line, and pipes in it no power", () => {
    const body = `<w:tbl><w:tr>${cell("a|b")}${cell("c")}</w:tr><w:tr>${cell("d")}${cell("e")}</w:tr></w:tbl>${paragraph("after")}`;
    const manuscript = readDocx(docx(body), "t.docx");
    assert.equal(markdownText(manuscript), "| a\\|b | c |\n| --- | --- |\n| d | e |\n\nafter\n");
    assert.equal(readMd(utf8(markdownText(manuscript)), "t.md").text, manuscript.text);
  });

  test("as Markdown leaves characters that only look like markup as they are", () => {
    const body = paragraph("2 * 3 * 4, [sic], _x_ and `y`");
    const manuscript = readDocx(docx(body), "t.docx");
    assert.equal(readMd(utf8(markdownText(manuscript)), "t.md").text, manuscript.text);
  });

  test("leaves out what is of no use outside its format", () => {
    const body = "<w:p><w:r><w:t>co</w:t><w:softHyphen/><w:t>operate</w:t><w:drawing/></w:r></w:p>";
    assert.equal(plainText(readDocx(docx(body), "t.docx")), "cooperate\n");
  });

  test("the demo report reads back with the same headings, tables, notes and words", () => {
    const file = path.resolve(import.meta.dirname, "../../public/demo/harbour-siltation.docx");
    const original = readDocx(new Uint8Array(readFileSync(file)), "h.docx");
    const again = readMd(utf8(markdownText(original)), "h.md");
    const words = (text: string) => text.split(/\s+/).filter(Boolean);
    assert.deepEqual(words(again.text), words(original.text));
    const count = (blocks: typeof original.blocks, kind: string) =>
      blocks.filter((block) => block.kind === kind).length;
    for (const kind of ["heading", "cell", "note", "item", "reference"]) {
      assert.equal(count(again.blocks, kind), count(original.blocks, kind), kind);
    }
    const anchors = (spans: typeof original.spans) =>
      spans.filter(({ kind }) => kind === "note-anchor").length;
    assert.equal(anchors(again.spans), anchors(original.spans));
  });

  test("as plain text loses no word of the real files", () => {
    let read = 0;
    for (const { name, bytes } of realDocuments()) {
      let manuscript: ReturnType<typeof readDocx>;
      try {
        manuscript = readDocx(bytes, name);
      } catch {
        continue;
      }
      const written = plainText(manuscript).replace(/\s+/g, "");
      for (const { from, to } of manuscript.blocks) {
        const text = manuscript.text.slice(from, to).replace(/[\s\ufffc\f\u00ad]/g, "");
        assert.ok(written.includes(text), `${name}: ${text.slice(0, 40)}`);
      }
      read++;
    }
    assert.ok(read > 100, `${read} files`);
  });
});
