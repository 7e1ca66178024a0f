import { existsSync, readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import type { Span } from "../../src/core/manuscript/model.ts";

/** A dictionary of slang with its essays, by several hands, for training. */
export const ESSAYS = ["/usr/share/doc/jargon-text"];

/**
 * Technical manuals as Debian's documentation packages hold them, in HTML: for training, for tuning
 * and for testing.
 */
export const MANUALS = {
  train: [
    "/usr/share/doc/python3.11/html",
    "/usr/share/doc/python-django-doc/html",
    "/usr/share/doc/rust-doc/html/book",
    "/usr/share/doc/rust-doc/html/reference",
  ],
  tune: ["/usr/share/doc/python3.11/html"],
  test: [
    "/usr/share/doc/git/html",
    "/usr/share/doc/sqlite3",
    "/usr/share/doc/apache2-doc/manual/en",
    "/usr/share/doc/postgresql-doc-15/html",
  ],
};

/** The pages under a folder, sorted; none where it is missing. */
export function htmlFiles(folder: string): string[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && /\.html?(?:\.en)?$/.test(entry.name))
    .map((entry) => path.join(entry.path, entry.name))
    .sort();
}

/** The text of a page: blocks as lines, inline code as code spans, listings left out. */
export function readPage(file: string): { text: string; spans: Span[] } {
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
