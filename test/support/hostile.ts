import { strToU8, zipSync } from "fflate";
import { docx, paragraph } from "./docx.ts";
import { seeded } from "./random.ts";
import { workbook } from "./workbook.ts";

/** Files made to hang a reader, to take all memory, or to be read as what they are not. */
export interface HostileFile {
  what: string;
  name: string;
  make(): Uint8Array;
}

const text = (source: string) => new TextEncoder().encode(source);
const run = (inner: string, properties = "") =>
  `<w:r>${properties ? `<w:rPr>${properties}</w:rPr>` : ""}<w:t>${inner}</w:t></w:r>`;

/** What the list of faults names, then variations of it and of other kinds, 120 in all. */
export function hostileFiles(): HostileFile[] {
  return [...named(), ...nested(), ...repeated(), ...archives(), ...broken()];
}

function named(): HostileFile[] {
  const numbering = (format: string, start: string) =>
    docx(
      '<w:p><w:pPr><w:numPr><w:ilvl w:val="0"/><w:numId w:val="1"/></w:numPr></w:pPr><w:r><w:t>One.</w:t></w:r></w:p>',
      {
        numbering: `<w:abstractNum w:abstractNumId="0"><w:lvl w:ilvl="0"><w:start w:val="${start}"/><w:numFmt w:val="${format}"/><w:lvlText w:val="%1."/></w:lvl></w:abstractNum><w:num w:numId="1"><w:abstractNumId w:val="0"/></w:num>`,
      },
    );
  const prefixes = Array.from({ length: 20_000 }, (_, index) => `xmlns:n${index}="u${index}"`);
  return [
    ...["1e300", "1000000000", "-5", "NaN", "32767"].flatMap((start) =>
      ["lowerRoman", "lowerLetter", "upperLetter"].map((format) => ({
        what: `a list in ${format} that starts at ${start}`,
        name: "a.docx",
        make: () => numbering(format, start),
      })),
    ),
    {
      what: "a million ampersands in a .docx",
      name: "a.docx",
      make: () => docx(paragraph("&".repeat(1_000_000))),
    },
    {
      what: "a million ampersands in an attribute",
      name: "a.docx",
      make: () => docx(`<w:p w:x="${"&".repeat(1_000_000)};">${run("One.")}</w:p>`),
    },
    {
      what: "20,000 namespaces on 200,000 elements",
      name: "a.docx",
      make: () => docx(`<w:p ${prefixes.join(" ")}>${'<w:r xmlns:a="b"/>'.repeat(200_000)}</w:p>`),
    },
    {
      what: "five million empty paragraphs",
      name: "a.docx",
      make: () => docx(`${paragraph("One.")}${"<w:p/>".repeat(5_000_000)}`),
    },
    {
      what: "italic in bold in 60,000 runs",
      name: "a.docx",
      make: () =>
        docx(`<w:p>${(run("a ", "<w:b/>") + run("b ", "<w:b/><w:i/>")).repeat(30_000)}</w:p>`),
    },
    {
      what: "50,000 open fields",
      name: "a.docx",
      make: () =>
        docx(
          `<w:p>${'<w:r><w:fldChar w:fldCharType="begin"/></w:r>'.repeat(50_000)}${run("One.")}</w:p>`,
        ),
    },
    { what: "Markdown a* 50,000 times", name: "a.md", make: () => text("a*".repeat(50_000)) },
    {
      what: "Markdown > 100,000 times",
      name: "a.md",
      make: () => text(`${">".repeat(100_000)} a`),
    },
    {
      what: "Markdown lists 3,000 deep on one line",
      name: "a.md",
      make: () => text(`${"- ".repeat(3000)}a`),
    },
    {
      what: "Markdown lists 3,000 deep, a line each",
      name: "a.md",
      make: () =>
        text(Array.from({ length: 3000 }, (_, depth) => `${"  ".repeat(depth)}- a`).join("\n")),
    },
    {
      what: "a million paragraphs of text",
      name: "a.txt",
      make: () => text("The tide.\n\n".repeat(1_000_000)),
    },
    {
      what: "a million paragraphs in a .docx",
      name: "a.docx",
      make: () => docx(paragraph("The tide.").repeat(1_000_000)),
    },
    {
      what: "one and a half million cells",
      name: "a.csv",
      make: () => text("tide,ebb,flood\n".repeat(500_000)),
    },
  ];
}

/** One thing inside another, some thousand times. */
function nested(): HostileFile[] {
  const word = (open: string, close: string, count: number) =>
    docx(`${open.repeat(count)}${paragraph("One.")}${close.repeat(count)}`);
  const depths = [400, 5000, 100_000];
  const kinds: [string, string, string][] = [
    ["tables", "<w:tbl><w:tr><w:tc>", "</w:tc></w:tr></w:tbl>"],
    ["content controls", "<w:sdt><w:sdtContent>", "</w:sdtContent></w:sdt>"],
    ["insertions", '<w:ins w:id="1">', "</w:ins>"],
    [
      "text boxes",
      "<w:p><w:r><w:drawing><w:txbxContent>",
      "</w:txbxContent></w:drawing></w:r></w:p>",
    ],
    ["alternatives", "<w:p><w:r><w:pict>", "</w:pict></w:r></w:p>"],
  ];
  const markdown: [string, (count: number) => string][] = [
    ["brackets", (count) => `${"[".repeat(count)}a`],
    ["links", (count) => `${"[a](".repeat(count)}`],
    ["images", (count) => `${"![a](b)".repeat(count)}`],
    ["underscores", (count) => "_a ".repeat(count)],
    ["strike-through", (count) => "~~a".repeat(count)],
    [
      "backticks",
      (count) =>
        Array.from({ length: Math.min(count, 3000) }, (_, n) => `${"`".repeat(n)}a`).join(""),
    ],
    ["angle brackets", (count) => "<a ".repeat(count)],
    ["entities", (count) => "&amp".repeat(count)],
    ["numbered lists", (count) => `${"1. ".repeat(count)}a`],
    ["mixed markers", (count) => `${"> - ".repeat(count)}a`],
    ["footnotes", (count) => "[^1]".repeat(count)],
    ["table cells", (count) => `|${"a|".repeat(count)}\n|${"-|".repeat(count)}\n`],
    ["escapes", (count) => "\\".repeat(count)],
  ];
  return [
    ...kinds.flatMap(([what, open, close]) =>
      depths.map((depth) => ({
        what: `${what} ${depth} deep`,
        name: "a.docx",
        make: () => word(open, close, depth),
      })),
    ),
    ...markdown.flatMap(([what, make]) =>
      [3000, 60_000].map((count) => ({
        what: `Markdown ${what}, ${count}`,
        name: "a.md",
        make: () => text(make(count)),
      })),
    ),
  ];
}

/** One thing after another, by the hundred thousand. */
function repeated(): HostileFile[] {
  const word: [string, (count: number) => string][] = [
    ["empty runs", (count) => `<w:p>${"<w:r/>".repeat(count)}${run("One.")}</w:p>`],
    ["tabs", (count) => `<w:p><w:r>${"<w:tab/>".repeat(count)}<w:t>One.</w:t></w:r></w:p>`],
    [
      "attributes",
      (count) =>
        `<w:p ${Array.from({ length: Math.min(count, 50_000) }, (_, n) => `a${n}="b"`).join(" ")}>${run("One.")}</w:p>`,
    ],
    [
      "bookmarks",
      (count) =>
        `<w:p>${'<w:bookmarkStart w:id="1" w:name="b"/>'.repeat(count)}${run("One.")}</w:p>`,
    ],
    [
      "note references",
      (count) =>
        `<w:p>${'<w:r><w:footnoteReference w:id="1"/></w:r>'.repeat(count)}${run("One.")}</w:p>`,
    ],
    [
      "empty cells",
      (count) =>
        `<w:tbl><w:tr>${"<w:tc><w:p/></w:tc>".repeat(count)}</w:tr></w:tbl>${paragraph("One.")}`,
    ],
    ["letters, a run each", (count) => `<w:p>${run("a").repeat(count)}</w:p>`],
    ["links", (count) => `<w:p>${`<w:hyperlink>${run("a")}</w:hyperlink>`.repeat(count)}</w:p>`],
  ];
  const plain: [string, string, (count: number) => string][] = [
    ["quotation marks", "a.csv", (count) => '"'.repeat(count)],
    ["separators", "a.csv", (count) => ",".repeat(count)],
    ["separators with text", "a.csv", (count) => "a,".repeat(count)],
    ["blank lines", "a.txt", (count) => `a${"\n".repeat(count)}b`],
    ["blanks", "a.txt", (count) => `${" ".repeat(count)}a`],
    ["carriage returns", "a.txt", (count) => `a${"\r".repeat(count)}b`],
    ["characters without a space", "a.txt", (count) => "a".repeat(count)],
    ["combining marks", "a.txt", (count) => `a${"\u0301".repeat(count)}`],
    ["joined emoji", "a.txt", (count) => "🌊\u200d".repeat(count)],
    ["dashes under a line", "a.txt", (count) => `a\n${"-".repeat(count)}`],
    ["dashes under a line", "a.md", (count) => `a\n${"-".repeat(count)}`],
    ["front matter", "a.md", (count) => `---\n${"a: b\n".repeat(count)}`],
    ["reference definitions", "a.md", (count) => "[a]: b\n".repeat(Math.min(count, 50_000))],
    ["hard breaks", "a.md", (count) => "a  \n".repeat(Math.min(count, 50_000))],
  ];
  return [
    ...word.map(([what, make]) => ({
      what: `${what} in a .docx, 300,000`,
      name: "a.docx",
      make: () => docx(make(300_000)),
    })),
    ...plain.map(([what, name, make]) => ({
      what: `${what} in ${name}, a million`,
      name,
      make: () => text(make(1_000_000)),
    })),
    {
      what: "a cell of two million characters",
      name: "a.xlsx",
      make: () => workbook("tide ".repeat(400_000)),
    },
    { what: "a cell of references", name: "a.xlsx", make: () => workbook("&amp;".repeat(300_000)) },
  ];
}

/** Archives that are not what they say. */
function archives(): HostileFile[] {
  const bomb = (name: string, size: number) =>
    zipSync({ "[Content_Types].xml": text("<Types/>"), [name]: new Uint8Array(size) });
  const patched = (at: number, value: number) => {
    const bytes = docx(paragraph("The tide turned."));
    bytes[at < 0 ? bytes.length + at : at] = value;
    return bytes;
  };
  return [
    { what: "400 MB of zeros", name: "a.docx", make: () => bomb("word/document.xml", 400_000_000) },
    {
      what: "200 MB of zeros as the text",
      name: "a.docx",
      make: () => withDocument(new Uint8Array(200_000_000)),
    },
    {
      what: "6,000 entries",
      name: "a.docx",
      make: () =>
        zipSync(
          Object.fromEntries(Array.from({ length: 6000 }, (_, n) => [`a${n}`, new Uint8Array()])),
        ),
    },
    {
      what: "a document type",
      name: "a.docx",
      make: () => withDocument(text('<!DOCTYPE a [<!ENTITY b "c">]><a>&b;</a>')),
    },
    { what: "names that climb", name: "a.docx", make: () => zipSync({ "../a": text("b") }) },
    {
      what: "only the end of an archive",
      name: "a.docx",
      make: () => docx(paragraph("a")).slice(-22),
    },
    {
      what: "an archive cut short",
      name: "a.docx",
      make: () => docx(paragraph("a")).slice(0, 200),
    },
    ...[-12, -10, -8, -6, -4, 8, 14, 18, 22, 26].map((at) => ({
      what: `a byte changed at ${at}`,
      name: "a.docx",
      make: () => patched(at, 0xff),
    })),
  ];
}

function withDocument(document: Uint8Array): Uint8Array {
  return zipSync({
    "[Content_Types].xml": strToU8("<Types/>"),
    "_rels/.rels": strToU8(
      '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="a" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="word/document.xml"/></Relationships>',
    ),
    "word/document.xml": document,
  });
}

/** Bytes by chance, and text cut anywhere. */
function broken(): HostileFile[] {
  return ["a.docx", "a.xlsx", "a.md", "a.txt", "a.csv"].flatMap((name, kind) =>
    [1, 2].map((round) => ({
      what: `bytes by chance as ${name}, ${round}`,
      name,
      make: () => {
        const random = seeded(kind * 10 + round);
        return Uint8Array.from({ length: 300_000 }, () => Math.floor(random() * 256));
      },
    })),
  );
}
