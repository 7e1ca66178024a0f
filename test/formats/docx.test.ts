import assert from "node:assert/strict";
import { describe, test } from "node:test";
import mammoth from "mammoth";
import { readDocx } from "../../src/core/formats/docx/read.ts";
import { writeDocx } from "../../src/core/formats/docx/write.ts";
import type { Edit } from "../../src/core/manuscript/model.ts";
import { docx, paragraph, partOf } from "../support/docx.ts";
import { resolveChanges } from "../support/resolve-changes.ts";

const STYLE = { as: "tracked", author: "R. Penhale", date: "2031-04-29T10:00:00Z" } as const;
const DOCUMENT = "word/document.xml";

function replace(
  bytes: Uint8Array,
  from: string,
  insert: string,
  as: "tracked" | "clean" = "tracked",
) {
  const { text } = readDocx(bytes, "t.docx");
  const at = text.indexOf(from);
  assert.ok(at >= 0, `“${from}” in “${text}”`);
  const edit: Edit = { from: at, to: at + from.length, insert };
  return writeDocx(bytes, [edit], [], { ...STYLE, as });
}

describe("reading a .docx", () => {
  test("headings are told by style name, whatever the style's id", () => {
    const styles =
      '<w:style w:type="paragraph" w:styleId="berschrift2"><w:name w:val="heading 2"/></w:style><w:style w:type="paragraph" w:styleId="own"><w:name w:val="Own"/><w:basedOn w:val="berschrift2"/></w:style>';
    const body = `<w:p><w:pPr><w:pStyle w:val="own"/></w:pPr><w:r><w:t>Records</w:t></w:r></w:p>${paragraph("text")}`;
    const { blocks } = readDocx(docx(body, { styles }), "t.docx");
    assert.deepEqual(
      blocks.map(({ kind, level, section }) => [kind, level, section]),
      [
        ["heading", 2, 1],
        ["paragraph", undefined, 1],
      ],
    );
  });

  test("list items carry the number a reader sees", () => {
    const numbering =
      '<w:abstractNum w:abstractNumId="1"><w:lvl w:ilvl="0"><w:numFmt w:val="decimal"/><w:lvlText w:val="%1."/></w:lvl><w:lvl w:ilvl="1"><w:numFmt w:val="lowerLetter"/><w:lvlText w:val="%1%2)"/></w:lvl></w:abstractNum><w:num w:numId="7"><w:abstractNumId w:val="1"/></w:num>';
    const item = (level: number) =>
      `<w:p><w:pPr><w:numPr><w:ilvl w:val="${level}"/><w:numId w:val="7"/></w:numPr></w:pPr><w:r><w:t>x</w:t></w:r></w:p>`;
    const { blocks } = readDocx(docx([0, 1, 1, 0].map(item).join(""), { numbering }), "t.docx");
    assert.deepEqual(
      blocks.map(({ marker }) => marker),
      ["1.", "1a)", "1b)", "2."],
    );
  });

  test("cells have addresses, and the cells of a row are on one line", () => {
    const cell = (text: string) => `<w:tc>${paragraph(text)}</w:tc>`;
    const body = `<w:tbl><w:tr>${cell("a")}${cell("b")}</w:tr><w:tr>${cell("c")}<w:tc>${paragraph("d")}${paragraph("e")}</w:tc></w:tr></w:tbl>${paragraph("after")}`;
    const { text, blocks } = readDocx(docx(body), "t.docx");
    assert.equal(text, "a\tb\nc\td\u2028e\nafter");
    assert.deepEqual(
      blocks.flatMap(({ cell: one }) => (one ? [`${one.address}/${one.columns}`] : [])),
      ["A1/2", "B1/2", "A2/2", "B2/2", "B2/2"],
    );
  });

  test("notes come after the body and are anchored where their number stands", () => {
    const footnotes =
      '<w:footnote w:type="separator" w:id="0"><w:p><w:r><w:t>no</w:t></w:r></w:p></w:footnote><w:footnote w:id="5"><w:p><w:r><w:t>A note.</w:t></w:r></w:p></w:footnote>';
    const body = `<w:p><w:r><w:t>Text</w:t></w:r><w:r><w:footnoteReference w:id="5"/></w:r><w:r><w:t>, more</w:t></w:r></w:p>`;
    const { text, blocks, spans } = readDocx(docx(body, { footnotes }), "t.docx");
    assert.equal(text, "Text, more\nA note.");
    assert.deepEqual([blocks[1]?.kind, blocks[1]?.marker], ["note", "1"]);
    assert.deepEqual(spans, [{ kind: "note-anchor", from: 4, to: 4, label: "1" }]);
  });

  test("the results of fields are locked, of links not; instructions are not read", () => {
    const run = (inner: string) => `<w:r>${inner}</w:r>`;
    const field = (code: string, result: string) =>
      run('<w:fldChar w:fldCharType="begin"/>') +
      run(`<w:instrText>${code}</w:instrText>`) +
      run('<w:fldChar w:fldCharType="separate"/>') +
      run(`<w:t>${result}</w:t>`) +
      run('<w:fldChar w:fldCharType="end"/>');
    const body = `<w:p>${field(" PAGE ", "12")}${field(' HYPERLINK "x" ', "here")}</w:p>`;
    const bytes = docx(body);
    const { text, spans } = readDocx(bytes, "t.docx");
    assert.equal(text, "12here");
    const locked = spans.filter(({ kind }) => kind === "locked");
    assert.deepEqual(
      locked.map(({ from, to }) => [from, to]),
      [[0, 2]],
    );
    assert.match(replace(bytes, "12", "13").refused[0]?.reason ?? "", /field PAGE/);
    assert.deepEqual(replace(bytes, "here", "there").refused, []);
  });

  test("controls bound to data, placeholders and choices are locked; plain ones are not", () => {
    const control = (properties: string, text: string) =>
      `<w:sdt><w:sdtPr>${properties}</w:sdtPr><w:sdtContent>${paragraph(text)}</w:sdtContent></w:sdt>`;
    const body =
      control('<w:dataBinding w:xpath="x"/>', "bound") +
      control("<w:showingPlcHdr/>", "placeholder") +
      control("<w:dropDownList/>", "choice") +
      control('<w:alias w:val="a"/>', "free");
    const { spans, text } = readDocx(docx(body), "t.docx");
    const locked = spans.filter(({ kind }) => kind === "locked");
    assert.deepEqual(
      locked.map(({ from, to }) => text.slice(from, to)),
      ["bound", "placeholder", "choice"],
    );
  });

  test("existing changes are shown as if accepted, and said to be there", () => {
    const body =
      '<w:p><w:r><w:t>one </w:t></w:r><w:del w:id="1" w:author="A"><w:r><w:delText>two </w:delText></w:r></w:del><w:ins w:id="2" w:author="A"><w:r><w:t>three</w:t></w:r></w:ins></w:p>';
    const { text, spans, warnings } = readDocx(docx(body), "t.docx");
    assert.equal(text, "onethree");
    assert.equal(spans[0]?.kind, "inserted");
    assert.match(warnings.join(), /tracked changes already/);
  });
});

describe("writing a .docx", () => {
  test("a correction strikes the whole word and puts the whole word in", () => {
    const bytes = docx(paragraph("The book was recieved wet."));
    const xml = partOf(replace(bytes, "recieved", "received").bytes, DOCUMENT);
    assert.match(xml, /<w:delText xml:space="preserve">recieved<\/w:delText>/);
    assert.match(
      xml,
      /<w:ins [^>]*w:author="R. Penhale"[^>]*><w:r><w:t xml:space="preserve">received</,
    );
  });

  test("inside another author's insertion ours is nested, and that author keeps theirs", () => {
    const body =
      '<w:p><w:ins w:id="2" w:author="A"><w:r><w:t>recieved here</w:t></w:r></w:ins></w:p>';
    const bytes = docx(body);
    const written = replace(bytes, "recieved", "received").bytes;
    const xml = partOf(written, DOCUMENT);
    assert.match(xml, /<w:ins w:id="2" w:author="A">(?:(?!<\/w:ins>).)*<w:del /);
    const ids = [...xml.matchAll(/w:id="(\d+)"/g)].map((match) => match[1]);
    assert.equal(new Set(ids).size, ids.length);
    assert.equal(readDocx(written, "t.docx").text, "received here");
    assert.equal(
      readDocx(resolveChanges(written, "R. Penhale", "reject"), "t.docx").text,
      "recieved here",
    );
  });

  test("the formatting of the first struck character goes to what replaces it", () => {
    const body =
      "<w:p><w:r><w:rPr><w:i/></w:rPr><w:t>reci</w:t></w:r><w:r><w:t>eved</w:t></w:r></w:p>";
    const xml = partOf(replace(docx(body), "recieved", "received").bytes, DOCUMENT);
    assert.match(xml, /<w:ins [^>]*><w:r><w:rPr><w:i\/><\/w:rPr><w:t[^>]*>received/);
  });

  test("a clean change of letters leaves every other byte of the part alone", () => {
    const bytes = docx(paragraph("The tide was recieved &amp; kept.", " More."));
    const before = partOf(bytes, DOCUMENT);
    const after = partOf(replace(bytes, "recieved", "received", "clean").bytes, DOCUMENT);
    assert.equal(after, before.replace("recieved", "received"));
  });

  test("text typed into an empty paragraph is put in", () => {
    const bytes = docx(`${paragraph("first")}<w:p/>${paragraph("last")}`);
    const { bytes: written } = writeDocx(bytes, [{ from: 6, to: 6, insert: "new" }], [], STYLE);
    assert.equal(readDocx(written, "t.docx").text, "first\nnew\nlast");
    assert.equal(
      readDocx(resolveChanges(written, STYLE.author, "reject"), "t.docx").text,
      "first\n\nlast",
    );
  });

  test("a change in a text box is made in its second rendering too", () => {
    const box = (text: string) => `<w:txbxContent>${paragraph(text)}</w:txbxContent>`;
    const body = `<w:p xmlns:mc="http://schemas.openxmlformats.org/markup-compatibility/2006"><w:r><mc:AlternateContent><mc:Choice Requires="wps"><w:drawing>${box("recieved")}</w:drawing></mc:Choice><mc:Fallback><w:pict>${box("recieved")}</w:pict></mc:Fallback></mc:AlternateContent></w:r></w:p>`;
    const bytes = docx(body);
    assert.equal(readDocx(bytes, "t.docx").text, "\ufffc\nrecieved");
    const xml = partOf(replace(bytes, "recieved", "received", "clean").bytes, DOCUMENT);
    assert.equal(xml.match(/received/g)?.length, 2);
    assert.equal(xml.includes("recieved"), false);
  });

  test("a question becomes a comment that mammoth reads at its place", async () => {
    const bytes = docx(paragraph("The Sow is a bank of sand."));
    const query = { from: 4, to: 7, text: "The pilots' own word?" };
    const { bytes: written, unplaced } = writeDocx(bytes, [], [query], STYLE);
    assert.deepEqual(unplaced, []);
    const options = { styleMap: ["comment-reference => sup"] };
    const { value } = await mammoth.convertToHtml({ buffer: Buffer.from(written) }, options);
    assert.match(value, /The Sow<sup>/);
    assert.match(value, /The pilots' own word\?/);
    const xml = partOf(written, DOCUMENT);
    assert.match(
      xml,
      /commentRangeStart[^>]*\/><w:r><w:t[^>]*>Sow<\/w:t><\/w:r><w:commentRangeEnd/,
    );
  });

  test("a question about a note stands at the note's number in the body", () => {
    const footnotes = '<w:footnote w:id="5"><w:p><w:r><w:t>A note.</w:t></w:r></w:p></w:footnote>';
    const body = `<w:p><w:r><w:t>Text</w:t></w:r><w:r><w:footnoteReference w:id="5"/></w:r></w:p>`;
    const query = { from: 7, to: 11, text: "Which?" };
    const written = writeDocx(docx(body, { footnotes }), [], [query], STYLE);
    assert.deepEqual(written.unplaced, []);
    assert.match(partOf(written.bytes, DOCUMENT), /commentReference/);
    assert.equal(partOf(written.bytes, "word/footnotes.xml").includes("comment"), false);
  });

  test("comments that are there already are kept", () => {
    const comments =
      '<w:comment w:id="0" w:author="A"><w:p><w:r><w:t>old</w:t></w:r></w:p></w:comment>';
    const bytes = docx(paragraph("The Sow."), { comments });
    const { bytes: written } = writeDocx(bytes, [], [{ from: 4, to: 7, text: "new" }], STYLE);
    const xml = partOf(written, "word/comments.xml");
    assert.match(xml, /old/);
    assert.match(xml, /new/);
  });

  test("a change over the end of a paragraph is refused and the rest is made", () => {
    const bytes = docx(paragraph("one") + paragraph("two"));
    const edits = [
      { from: 0, to: 1, insert: "O" },
      { from: 2, to: 5, insert: "" },
    ];
    const written = writeDocx(bytes, edits, [], { ...STYLE, as: "clean" });
    assert.equal(written.refused.length, 1);
    assert.equal(readDocx(written.bytes, "t.docx").text, "One\ntwo");
  });
});
