import { existsSync, readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { checkText, loadLanguage, type PrintedMark } from "../src/command/checking.ts";
import { linesManuscript } from "../src/core/manuscript/lines.ts";
import type { Span } from "../src/core/manuscript/model.ts";

/**
 * Technical manuals as Debian's documentation packages hold them, in HTML. Python's is for tuning;
 * the others are for testing.
 */
const MANUALS = {
  tune: ["/usr/share/doc/python3.11/html"],
  test: [
    "/usr/share/doc/git/html",
    "/usr/share/doc/sqlite3",
    "/usr/share/doc/apache2-doc/manual/en",
    "/usr/share/doc/postgresql-doc-15/html",
  ],
};
const FILES = 60;

function htmlFiles(folder: string): string[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder, { recursive: true, encoding: "utf8" })
    .filter((name) => /\.html?(?:\.en)?$/.test(name))
    .sort()
    .map((name) => path.join(folder, name));
}

/** The text of a page: blocks as lines, inline code as code spans, listings left out. */
function readPage(file: string): { text: string; spans: Span[] } {
  const source = readFileSync(file, "utf8")
    .replace(/<![\s\S]*?>/g, "")
    .replace(/<(head|script|style|nav|pre|table)\b[\s\S]*?<\/\1>/gi, "\n")
    .replace(/<dt class="sig[\s\S]*?<\/dt>/gi, "\n")
    .replace(/<div class="(?:sphinxsidebar|related|navheader|navfooter)[\s\S]*?<\/div>/gi, "\n")
    .replace(/\s+/g, " ");
  let text = "";
  let code = -1;
  const spans: Span[] = [];
  for (const [piece] of source.matchAll(/<[^>]*>|[^<]+/g)) {
    const tag = /^<(\/?)(\w+)/.exec(piece);
    if (!tag) {
      text += decode(piece);
    } else if (/^(?:code|tt|kbd|samp|var)$/i.test(tag[2] ?? "")) {
      if (tag[1] === "") code = code < 0 ? text.length : code;
      else if (code >= 0) {
        spans.push({ kind: "code", from: code, to: text.length });
        code = -1;
      }
    } else if (
      !/^(?:a|b|i|em|strong|span|sup|sub|q|cite|dfn|abbr|small|font|u)$/i.test(tag[2] ?? "")
    ) {
      text += "\n";
      code = -1;
    }
  }
  return { text, spans: spans.filter(({ from, to }) => !text.slice(from, to).includes("\n")) };
}

function decode(text: string): string {
  const named: Record<string, string> = { lt: "<", gt: ">", amp: "&", quot: '"', nbsp: " " };
  return text
    .replace(/&#(\d+);/g, (_, code) => String.fromCodePoint(Number(code)))
    .replace(/&#x([0-9a-f]+);/gi, (_, code) => String.fromCodePoint(Number.parseInt(code, 16)))
    .replace(/&(\w+);/g, (whole, name) => named[name] ?? whole);
}

export type ManualMark = PrintedMark & { context: string };

/** Marks on a sample of the pages of each manual, each manual checked as one document. */
export function manualMarks(part: "tune" | "test"): {
  name: string;
  words: number;
  marks: ManualMark[];
}[] {
  return MANUALS[part].flatMap((folder) => {
    const files = htmlFiles(folder);
    if (files.length === 0) return [];
    const step = Math.max(1, Math.floor(files.length / FILES));
    let text = "";
    const spans: Span[] = [];
    for (const file of files.filter((_, index) => index % step === 0)) {
      const page = readPage(file);
      const at = text.length;
      for (const span of page.spans) {
        spans.push({ ...span, from: span.from + at, to: span.to + at });
      }
      text += `${page.text}\n`;
    }
    const options = {
      variety: "en-US",
      kind: "specification",
      passes: ["spelling"],
    } as const;
    const { words, marks } = checkText(
      { ...linesManuscript(text), spans },
      loadLanguage(),
      options,
    );
    return [
      {
        name: folder,
        words,
        marks: marks.map((mark) => ({
          ...mark,
          context: text.slice(Math.max(0, mark.from - 30), mark.to + 20),
        })),
      },
    ];
  });
}

export function benchManuals(): void {
  const manuals = manualMarks("test");
  if (manuals.length === 0) {
    console.log(
      "\nNo technical manuals here: install git-doc, sqlite3-doc, apache2-doc, postgresql-doc",
    );
    return;
  }
  console.log("\nSpelling marks on technical manuals (goal 6 per 1,000 words)");
  let all = 0;
  let marked = 0;
  for (const { name, words, marks } of manuals) {
    all += words;
    marked += marks.length;
    console.log(`  ${((1000 * marks.length) / words).toFixed(2)}  ${name}, ${words} words`);
  }
  console.log(`  ${((1000 * marked) / all).toFixed(2)}  together`);
}
