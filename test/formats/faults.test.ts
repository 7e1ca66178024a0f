import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { strToU8, unzipSync, zipSync } from "fflate";
import { type Query, readDocument, writeDocument } from "../../src/core/formats/document.ts";
import { readDocx } from "../../src/core/formats/docx/read.ts";
import { writeDocx } from "../../src/core/formats/docx/write.ts";
import { readMd, writeMd } from "../../src/core/formats/md/format.ts";
import { guardFormula } from "../../src/core/formats/sheet.ts";
import { readTxt, writeTxt } from "../../src/core/formats/txt/format.ts";
import { readXlsx, writeXlsx } from "../../src/core/formats/xlsx/format.ts";
import { whyRefused } from "../../src/core/manuscript/layout.ts";
import type { Edit } from "../../src/core/manuscript/model.ts";
import { docx, paragraph, partOf } from "../support/docx.ts";
import { resolveChanges } from "../support/resolve-changes.ts";
import { workbook } from "../support/workbook.ts";

const STYLE = { author: "R. Penhale", date: "2031-03-12T10:42:00Z" } as const;

/** The edit that replaces the first place of one text by another. */
function edit(text: string, from: string, to: string): Edit {
  const at = text.indexOf(from);
  assert.ok(at >= 0, `no “${from}” in “${text}”`);
  return { from: at, to: at + from.length, insert: to };
}

function tracked(bytes: Uint8Array, edits: Edit[], queries: Query[] = []) {
  return writeDocx(bytes, edits, queries, { as: "tracked", ...STYLE });
}

describe("a workbook", () => {
  test("whose strings hold line ends of two characters is changed where the edit is", () => {
    for (const lineEnd of ["\r\n", "\r", "\n", "&#13;&#10;"]) {
      const bytes = workbook(`First line.${lineEnd}It was recieved there.`);
      const { text } = readXlsx(bytes, "a.xlsx");
      const written = writeXlsx(bytes, [edit(text, "recieved", "received")]);
      assert.deepEqual(written.refused, []);
      const again = readXlsx(written.bytes, "a.xlsx").text;
      assert.equal(again, text.replace("recieved", "received"), JSON.stringify(lineEnd));
    }
  });

  test("whose strings are in UTF-16 keeps its encoding", () => {
    const utf16 = workbook("It was recieved.", "utf-16");
    const { text } = readXlsx(utf16, "a.xlsx");
    const { bytes } = writeXlsx(utf16, [edit(text, "recieved", "received")]);
    const part = unzipSync(bytes)["xl/sharedStrings.xml"];
    assert.deepEqual([...(part?.slice(0, 2) ?? [])], [0xff, 0xfe]);
    assert.equal(readXlsx(bytes, "a.xlsx").text, "It was received.");
  });
});

describe("rare and legal XML in a .docx", () => {
  test("CDATA is text, and can be changed", () => {
    const bytes = docx("<w:p><w:r><w:t><![CDATA[Rock & tide recieved <here>]]></w:t></w:r></w:p>");
    const { text } = readDocx(bytes, "a.docx");
    assert.equal(text, "Rock & tide recieved <here>");
    const written = tracked(bytes, [edit(text, "recieved", "received")]);
    assert.equal(readDocx(written.bytes, "a.docx").text, "Rock & tide received <here>");
    const rejected = resolveChanges(written.bytes, STYLE.author, "reject");
    assert.equal(readDocx(rejected, "a.docx").text, text);
  });

  test("comments and instructions inside text are no text", () => {
    const bytes = docx("<w:p><w:r><w:t>The ti<!-- & < -->de tur<?x y?>ned.</w:t></w:r></w:p>");
    const { text } = readDocx(bytes, "a.docx");
    assert.equal(text, "The tide turned.");
    const written = tracked(bytes, [edit(text, "turned", "rose")]);
    assert.equal(readDocx(written.bytes, "a.docx").text, "The tide rose.");
  });

  test("a part in UTF-16 is written in UTF-16, as it declares", () => {
    const files = unzipSync(docx(paragraph("It was recieved.")));
    const source = new TextDecoder().decode(files["word/document.xml"]).replace("UTF-8", "UTF-16");
    const utf16 = new Uint8Array(Buffer.from(`\ufeff${source}`, "utf16le"));
    const bytes = zipSync({ ...files, "word/document.xml": utf16 });
    const { text } = readDocx(bytes, "a.docx");
    const written = writeDocx(bytes, [edit(text, "recieved", "received")], [], {
      as: "clean",
      ...STYLE,
    });
    const part = unzipSync(written.bytes)["word/document.xml"];
    assert.deepEqual([...(part?.slice(0, 2) ?? [])], [0xff, 0xfe]);
    assert.equal(readDocx(written.bytes, "a.docx").text, "It was received.");
  });

  test("a query's id is none of the file's, also of a comment without an anchor", () => {
    const bytes = docx(paragraph("The tide turned."), {
      comments: '<w:comment w:id="1" w:author="A"><w:p/></w:comment>',
    });
    const written = tracked(bytes, [], [{ from: 4, to: 8, text: "Which?" }]);
    const ids = [...partOf(written.bytes, "word/comments.xml").matchAll(/w:id="(\d+)"/g)];
    assert.equal(new Set(ids.map(([, id]) => id)).size, 2);
  });

  test("what follows the last comment loses no query", () => {
    const files = unzipSync(
      docx(paragraph("The tide turned."), {
        comments: '<w:comment w:id="7" w:author="A"><w:p/></w:comment>',
      }),
    );
    const source = `${new TextDecoder().decode(files["word/comments.xml"])}<!-- end -->`;
    const bytes = zipSync({ ...files, "word/comments.xml": strToU8(source) });
    const written = tracked(bytes, [], [{ from: 4, to: 8, text: "Which tide?" }]);
    assert.match(partOf(written.bytes, "word/comments.xml"), /Which tide\?.*<!-- end -->$/s);
  });

  test("a query of no width begins before it ends", () => {
    for (const at of [0, 4, 8, 16]) {
      const bytes = docx(paragraph("The ", "tide", " turned."));
      const written = tracked(bytes, [], [{ from: at, to: at, text: "?" }]);
      const source = partOf(written.bytes, "word/document.xml");
      const start = source.indexOf("commentRangeStart");
      assert.ok(start >= 0 && start < source.indexOf("commentRangeEnd"), `at ${at}`);
    }
  });

  test("an insertion at the edge of another author's leaves no empty element", () => {
    const ins = '<w:ins w:id="9" w:author="A" w:date="2030-01-01T00:00:00Z">';
    const bytes = docx(`<w:p>${ins}<w:r><w:t>tide</w:t></w:r></w:ins></w:p>`);
    for (const at of [0, 2, 4]) {
      const written = tracked(bytes, [{ from: at, to: at, insert: "X" }]);
      const source = partOf(written.bytes, "word/document.xml");
      assert.doesNotMatch(source, /<w:ins[^>]*><\/w:ins>|\ufffe/, `at ${at}`);
      const { text } = readDocx(written.bytes, "a.docx");
      assert.equal(text, `${"tide".slice(0, at)}X${"tide".slice(at)}`);
    }
  });

  test("two insertions into a self-closing paragraph both arrive", () => {
    const bytes = docx(`${paragraph("One.")}<w:p/>`);
    const edits = [
      { from: 5, to: 5, insert: "first " },
      { from: 5, to: 5, insert: "second" },
    ];
    const written = tracked(bytes, edits);
    assert.equal(readDocx(written.bytes, "a.docx").text, "One.\nfirst second");
  });

  test("a locked control without text lets nothing in, on screen as in the export", () => {
    const bytes = docx(
      '<w:sdt><w:sdtPr><w:lock w:val="sdtContentLocked"/></w:sdtPr><w:sdtContent><w:p/></w:sdtContent></w:sdt>',
    );
    const whole = docx(
      `${paragraph("One.")}<w:sdt><w:sdtPr><w:lock w:val="sdtContentLocked"/></w:sdtPr><w:sdtContent><w:p/></w:sdtContent></w:sdt>`,
    );
    assert.throws(() => readDocx(bytes, "a.docx"), /no text/);
    const { text, blocks, spans } = readDocx(whole, "a.docx");
    const into = { from: 5, to: 5, insert: "x" };
    assert.match(whyRefused(text, { blocks, spans }, into) ?? "", /locked/);
    assert.equal(tracked(whole, [into]).refused.length, 1);
  });

  test("a file whose text is all deleted is told so", () => {
    const bytes = docx(
      '<w:p><w:del w:id="1" w:author="A"><w:r><w:delText>gone</w:delText></w:r></w:del></w:p>',
    );
    assert.throws(() => readDocx(bytes, "a.docx"), /struck out as tracked changes/);
  });

  test("comments of the file are read with their places", () => {
    const bytes = docx(
      '<w:p><w:r><w:t xml:space="preserve">The </w:t></w:r><w:commentRangeStart w:id="3"/><w:r><w:t>tide</w:t></w:r><w:commentRangeEnd w:id="3"/><w:r><w:commentReference w:id="3"/></w:r></w:p>',
      {
        comments:
          '<w:comment w:id="3" w:author="R. Vale"><w:p><w:r><w:t>Which &amp; when?</w:t></w:r></w:p></w:comment><w:comment w:id="4" w:author="A"><w:p/></w:comment>',
      },
    );
    assert.deepEqual(readDocx(bytes, "a.docx").comments, [
      { author: "R. Vale", text: "Which & when?", at: 4 },
      { author: "A", text: "", at: null },
    ]);
  });

  test("a drop cap is one word with the paragraph it begins, and both can be changed", () => {
    const frame = '<w:pPr><w:framePr w:dropCap="drop" w:lines="3"/></w:pPr>';
    const bytes = docx(
      `<w:p>${frame}<w:r><w:t>T</w:t></w:r></w:p>${paragraph("he tide recieved us.")}${paragraph("End.")}`,
    );
    const { text } = readDocx(bytes, "a.docx");
    assert.equal(text, "The tide recieved us.\nEnd.");
    const edits = [edit(text, "The", "One"), edit(text, "recieved", "received")];
    const written = tracked(bytes, edits);
    assert.deepEqual(written.refused, []);
    assert.equal(readDocx(written.bytes, "a.docx").text, "One tide received us.\nEnd.");
    const rejected = resolveChanges(written.bytes, STYLE.author, "reject");
    assert.equal(readDocx(rejected, "a.docx").text, text);
    const clean = writeDocx(bytes, edits, [], { as: "clean", ...STYLE });
    assert.equal(readDocx(clean.bytes, "a.docx").text, "One tide received us.\nEnd.");
  });

  test("a .docm is read as what it is", async () => {
    const read = await readDocument(docx(paragraph("The tide.")), "a.docm", () => "en-GB");
    assert.ok("manuscript" in read && read.manuscript.text === "The tide.");
  });
});

describe("Markdown", () => {
  test("keeps a footnote's number when text around it is changed", () => {
    const source = "The tide[^1] turned.\n\n[^1]: A note.\n";
    const bytes = new TextEncoder().encode(source);
    const { text } = readMd(bytes, "a.md");
    for (const [from, to] of [
      ["tide turned", "ebb"],
      ["tide turned", ""],
      ["tide", "water"],
    ] as const) {
      const written = writeMd(bytes, [edit(text, from, to)]);
      assert.match(new TextDecoder().decode(written.bytes), /\[\^1\](?!:)/, `${from} → ${to}`);
    }
  });

  test("reads little more for one edit that can't be made among many that can", () => {
    const lines = Array.from({ length: 150 }, (_, index) => `Line ${index} was recieved.`);
    lines[70] = "*a* recieved";
    const bytes = new TextEncoder().encode(lines.join("\n\n"));
    const { text, blocks } = readMd(bytes, "a.md");
    const edits = blocks.map(({ from, to }, index) =>
      index === 70
        ? { from: from + 1, to: from + 2, insert: "\u2028" }
        : { ...edit(text.slice(from, to), "recieved", "received") },
    );
    for (const [index, one] of edits.entries()) {
      if (index === 70) continue;
      one.from += blocks[index]?.from ?? 0;
      one.to += blocks[index]?.from ?? 0;
    }
    const written = writeMd(bytes, edits);
    const source = new TextDecoder().decode(written.bytes);
    assert.ok(written.refused.length <= 1);
    assert.equal(source.match(/received/g)?.length, 149);
  });

  test("takes a paragraph of 200,000 characters", () => {
    const bytes = new TextEncoder().encode("The tide turned again. ".repeat(9000));
    assert.ok(readMd(bytes, "a.md").text.length > 200_000);
  });

  test("gives the line breaks of a table's cell out as such", () => {
    const text = "a\u2028b";
    const cell = { sheet: "T", address: "A1", column: 0, columns: 1 };
    const block = {
      id: "b0",
      kind: "cell",
      from: 0,
      to: 3,
      story: "body",
      section: 0,
      cell,
    } as const;
    const { bytes } = writeDocument({
      bytes: new Uint8Array(),
      format: "docx",
      current: { text, blocks: [block], spans: [] },
      edits: [],
      queries: [],
      form: "md",
      author: "",
      date: "",
    });
    assert.match(new TextDecoder().decode(bytes), /a<br>b/);
  });
});

describe("plain text", () => {
  test("of 120,000 lines without a blank one is read", () => {
    const bytes = new TextEncoder().encode("The tide turned at noon.\n".repeat(120_000));
    assert.equal(readTxt(bytes, "a.txt").blocks.length, 120_000);
  });

  test("and every other writer refuses half a character", () => {
    const text = "A 🌊 rose.";
    const bytes = new TextEncoder().encode(text);
    const half: Edit[] = [{ from: 2, to: 3, insert: "" }];
    const lone: Edit[] = [{ from: 0, to: 1, insert: "\ud83c" }];
    for (const edits of [half, lone]) {
      for (const write of [writeTxt, writeMd]) {
        const written = write(bytes, edits);
        assert.equal(written.refused.length, 1);
        assert.equal(new TextDecoder().decode(written.bytes).trimEnd(), text);
      }
      const sheet = workbook(text);
      assert.equal(writeXlsx(sheet, edits).refused.length, 1);
      const csv = writeDocument({
        bytes,
        format: "csv",
        current: { text, blocks: [], spans: [] },
        edits,
        queries: [],
        form: "clean",
        author: "",
        date: "",
      });
      assert.equal(csv.refused.length, 1);
    }
  });
});

describe("a cell that a spreadsheet would run (OWASP, CSV Injection)", () => {
  test("is never made by an edit", () => {
    const cases: [before: string, inserts: string[], after: string, wanted: string][] = [
      ["tide", ["=1+1"], "=1+1", "'=1+1"],
      ["tide", ["\u2028="], "\u2028=x", "'\u2028=x"],
      ["- ebb tide", ["s"], "- ebb tides", "- ebb tides"],
      ["-note", ["1+cmd|"], "-1+cmd|note", "'-1+cmd|note"],
      ["+44 call", ["="], "=44 call", "'=44 call"],
      ["@gannet", ["head"], "@gannethead", "@gannethead"],
      ["tide", [" high"], "tide high", "tide high"],
      ["-12", ["3"], "-123", "-123"],
    ];
    for (const [before, inserts, after, wanted] of cases) {
      assert.equal(guardFormula(after, { text: before, inserts }), wanted, after);
    }
  });
});

describe("a fault of the application's own", () => {
  test("is not told as a damaged file", async () => {
    const broken = () => {
      throw new TypeError("ours");
    };
    await assert.rejects(
      readDocument(new TextEncoder().encode("The tide."), "a.txt", broken),
      /ours/,
    );
  });
});
