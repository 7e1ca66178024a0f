import assert from "node:assert/strict";
import { describe, test } from "node:test";
import {
  assemble,
  type RawBlock,
  titleFromName,
  titleOf,
} from "../../src/core/formats/assemble.ts";
import { canExport, writeDocument } from "../../src/core/formats/document.ts";
import { ListCounter, readNumbering, roman } from "../../src/core/formats/docx/numbering.ts";
import {
  headingLevel,
  inherited,
  kindByStyle,
  readStyles,
} from "../../src/core/formats/docx/styles.ts";
import { guessKind } from "../../src/core/formats/guess-kind.ts";
import { keepWraps, SourceMap } from "../../src/core/formats/source-map.ts";
import { readTxt } from "../../src/core/formats/txt/format.ts";

const NAMESPACE = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"';
const raw = (kind: RawBlock["kind"], text: string, rest: Partial<RawBlock> = {}): RawBlock => ({
  kind,
  text,
  story: "body",
  spans: [],
  ...rest,
});

describe("laying blocks out", () => {
  test("gives ids, sections and positions, and moves spans along", () => {
    const laid = assemble([
      raw("heading", "One"),
      raw("paragraph", "text", { spans: [{ kind: "strong", from: 1, to: 3 }] }),
      raw("heading", "Two"),
      raw("paragraph", "more"),
    ]);
    assert.equal(laid.text, "One\ntext\nTwo\nmore");
    assert.deepEqual(
      laid.blocks.map(({ id, section, from, to }) => [id, section, from, to]),
      [
        ["b0", 1, 0, 3],
        ["b1", 1, 4, 8],
        ["b2", 2, 9, 12],
        ["b3", 2, 13, 17],
      ],
    );
    assert.deepEqual(laid.spans, [{ kind: "strong", from: 5, to: 7 }]);
  });

  test("knows a list of references by the heading above it, until the next heading", () => {
    const { blocks } = assemble([
      raw("heading", "7 References"),
      raw("paragraph", "Vale, T. (2011)."),
      raw("heading", "Appendix"),
      raw("paragraph", "text"),
    ]);
    assert.deepEqual(
      blocks.map(({ kind }) => kind),
      ["heading", "reference", "heading", "paragraph"],
    );
  });

  test("takes the title from the first heading, or from the file's name", () => {
    assert.equal(
      titleOf(assemble([raw("paragraph", "x"), raw("heading", " Tides ")]), "a.md"),
      "Tides",
    );
    assert.equal(titleOf(assemble([raw("paragraph", "x")]), "my_long-name.md"), "My long name");
    assert.equal(titleFromName(".docx"), ".docx");
  });

  test("guesses the kind of copy from its form", () => {
    const kind = (...texts: string[]) =>
      guessKind(assemble(texts.map((text) => raw("paragraph", text))));
    assert.equal(kind("Dear Mr. Vale,", "Thank you."), "letter");
    assert.equal(
      kind(...Array.from({ length: 10 }, (_, i) => `GH-${i} The well shall be deep.`)),
      "specification",
    );
    assert.equal(kind("A short note."), "general");
    assert.equal(kind("Opening hours", "Children are free; the path is steep."), "general");
    assert.equal(kind("Annual report of the tide observatory", "It was wet."), "report");
    assert.equal(
      kind(
        "7. The Lessee shall indemnify the Lessor against any claim under this agreement.",
        "8. Without prejudice to clause 7, the parties may end this agreement by notice.",
        "9. Either of the parties is liable for what is done by its servants.",
      ),
      "brief",
    );
    assert.equal(
      kind("Introduction", "We report soundings.", "Methods", "A lead line.", "Results", "Shoal."),
      "paper",
    );
    assert.equal(
      kind(
        "Patients aged 18 or over were randomised to 5 mg or placebo.",
        "Adverse events were graded by the investigators at each screening visit.",
      ),
      "clinical",
    );
    const paper = assemble([
      raw("paragraph", "Abstract"),
      raw("heading", "References"),
      raw("paragraph", "Vale."),
    ]);
    assert.equal(guessKind(paper), "paper");
  });
});

describe("list numbers", () => {
  test("in roman are those of the common tables", () => {
    const table: [number, string][] = [
      [1, "i"],
      [4, "iv"],
      [9, "ix"],
      [14, "xiv"],
      [40, "xl"],
      [90, "xc"],
      [400, "cd"],
      [1994, "mcmxciv"],
      [2026, "mmxxvi"],
    ];
    for (const [value, numeral] of table) assert.equal(roman(value), numeral);
  });

  test("start where the list says, and start again below a new parent", () => {
    const level = (index: number, format: string, text: string, start = 1) =>
      `<w:lvl w:ilvl="${index}"><w:start w:val="${start}"/><w:numFmt w:val="${format}"/><w:lvlText w:val="${text}"/></w:lvl>`;
    const numbering = readNumbering(
      `<w:numbering ${NAMESPACE}><w:abstractNum w:abstractNumId="0">${level(0, "upperRoman", "%1.", 3)}${level(1, "decimal", "%1.%2")}</w:abstractNum><w:num w:numId="2"><w:abstractNumId w:val="0"/></w:num></w:numbering>`,
    );
    const counter = new ListCounter(numbering);
    const shown = [0, 1, 1, 0, 1].map((depth) => counter.next("2", depth));
    assert.deepEqual(shown, ["III.", "III.1", "III.2", "IV.", "IV.1"]);
    assert.equal(counter.next("9", 0), "•");
  });
});

describe("styles", () => {
  const styles = readStyles(
    `<w:styles ${NAMESPACE}><w:style w:type="paragraph" w:styleId="a"><w:name w:val="Caption"/></w:style><w:style w:type="paragraph" w:styleId="b"><w:name w:val="Mine"/><w:basedOn w:val="c"/></w:style><w:style w:type="paragraph" w:styleId="c"><w:name w:val="List"/><w:basedOn w:val="b"/><w:pPr><w:numPr><w:numId w:val="4"/></w:numPr><w:outlineLvl w:val="2"/></w:pPr></w:style><w:style w:type="character" w:styleId="d"><w:name w:val="heading 1"/></w:style></w:styles>`,
  );

  test("pass properties on to those based on them, even when they go in a circle", () => {
    assert.deepEqual(inherited(styles, "b", "list"), { id: "4", level: 0 });
    assert.equal(headingLevel(styles, "b", null), 3);
    assert.equal(inherited(styles, "none", "list"), null);
  });

  test("tell kinds by name, and are no headings when they are for characters", () => {
    assert.equal(kindByStyle(styles, "a"), "caption");
    assert.equal(headingLevel(styles, "d", null), null);
    assert.equal(headingLevel(styles, null, 9), null);
  });
});

describe("the source map", () => {
  test("cuts around markup between characters, and inserts after the left neighbour", () => {
    const map = new SourceMap(4);
    // a**bc**d
    for (const [index, [from, to]] of [
      [0, 1],
      [3, 4],
      [4, 5],
      [7, 8],
    ].entries())
      map.set(index, from ?? 0, to ?? 0);
    assert.deepEqual(map.splice({ from: 0, to: 3, insert: "x" }, 0, 4, 0), [
      { from: 0, to: 1, insert: "x" },
      { from: 3, to: 5, insert: "" },
    ]);
    assert.deepEqual(map.splice({ from: 3, to: 3, insert: "y" }, 0, 4, 0), [
      { from: 5, to: 5, insert: "y" },
    ]);
    assert.deepEqual(map.splice({ from: 0, to: 0, insert: "y" }, 0, 0, 9), [
      { from: 9, to: 9, insert: "y" },
    ]);
  });

  test("moves a wrap to a space of the new text, the next space, or the one before", () => {
    const text = "ab cd ef gh";
    const wrapAtFive = (index: number) => index === 5;
    const move = (from: number, to: number, insert: string) =>
      keepWraps(text, { from, to, insert }, wrapAtFive, 0, text.length);
    assert.deepEqual(move(3, 8, "x y"), { from: 3, to: 8, insert: "x y", wrapAt: 1 });
    assert.deepEqual(move(3, 8, "x"), { from: 3, to: 9, insert: "x ", wrapAt: 1 });
    assert.deepEqual(move(3, 11, "x"), { from: 2, to: 11, insert: " x", wrapAt: 0 });
    assert.deepEqual(move(0, 2, "x"), { from: 0, to: 2, insert: "x", wrapAt: null });
  });
});

describe("leaving", () => {
  const bytes = new TextEncoder().encode("It was recieved.\n\nThe end.\n");
  const manuscript = readTxt(bytes, "t.txt");
  const request = {
    bytes,
    format: "txt",
    current: manuscript,
    edits: [],
    queries: [],
    author: "A",
    date: "2031-01-01T00:00:00Z",
  } as const;

  test("a text file has no tracked form, and its own form is its own bytes", () => {
    assert.equal(canExport("txt", "tracked"), false);
    assert.equal(canExport("docx", "tracked"), true);
    for (const form of ["clean", "txt"] as const) {
      assert.equal(writeDocument({ ...request, form }).bytes, bytes);
    }
  });

  test("in another form it is written afresh", () => {
    const { bytes: written, extension } = writeDocument({ ...request, form: "md" });
    assert.equal(extension, "md");
    assert.equal(new TextDecoder().decode(written), "It was recieved.\n\nThe end.\n");
  });
});
