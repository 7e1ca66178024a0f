import { execFileSync } from "node:child_process";
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync } from "node:fs";
import path from "node:path";
import { Cite, plugins } from "@citation-js/core";
import "@citation-js/plugin-bibtex";
import type { CslItem } from "../../test/support/csl.ts";

const CACHE = path.resolve(".cache/records");
/** A Debian package with bibliographies (LPPL and public domain). */
const PACKAGE = "texlive-bibtex-extra";
/** Bibliographies of real works, and how many records of each are taken. */
const FILES: Record<string, number> = {
  "biblatex/biblatex/biblatex-examples.bib": 100,
  "beebe/epodd.bib": 70,
  "beebe/texjourn.bib": 50,
  "beebe/tugboat.bib": 120,
  "beebe/typeset.bib": 120,
  "beebe/texbook3.bib": 110,
  "beebe/font.bib": 80,
  "beebe/printing-history.bib": 80,
  "beebe/serif.bib": 60,
  "beebe/texgraph.bib": 70,
  "archaeologie/archaeologie-examples.bib": 40,
  "jurabib/jbtest.bib": 20,
};

/** The folder the package is unpacked into; it is downloaded when first asked for. */
export function recordsFolder(): string {
  const unpacked = path.join(CACHE, "usr");
  if (!existsSync(unpacked)) {
    mkdirSync(CACHE, { recursive: true });
    execFileSync("apt-get", ["download", PACKAGE], { cwd: CACHE, stdio: "pipe" });
    for (const file of readdirSync(CACHE).filter((name) => name.endsWith(".deb"))) {
      execFileSync("dpkg", ["-x", file, "."], { cwd: CACHE });
      rmSync(path.join(CACHE, file));
    }
  }
  return unpacked;
}

/** Types of records that are set; others have no form of their own in most manuals. */
const TYPES = new Set([
  "article-journal",
  "article-magazine",
  "article-newspaper",
  "book",
  "chapter",
  "paper-conference",
  "report",
  "thesis",
  "webpage",
]);

/** Real records of all files, thinned evenly; every other one of a file is for tuning, the rest for the test. */
export function realRecords(part: "tune" | "test"): CslItem[] {
  // Manuals that set titles in small letters take them so; what stands in braces keeps its capitals.
  plugins.config.get("@bibtex").parse.sentenceCase = "always";
  return Object.entries(FILES).flatMap(([file, wanted]) => {
    const whole = path.join(recordsFolder(), "share/texlive/texmf-dist/bibtex/bib", file);
    const items = readBib(decoded(readFileSync(whole))).filter(isSound);
    const step = Math.max(1, items.length / wanted);
    const taken = items.filter(
      (_, index) => Math.floor(index / step) !== Math.floor((index - 1) / step),
    );
    return taken.filter((_, index) => (index % 2 === 0) === (part === "tune"));
  });
}

/** Whether a record has what every manual asks for, in text that is text. */
function isSound(item: CslItem): boolean {
  const names = item.author ?? item.editor ?? [];
  const year = item.issued?.["date-parts"]?.[0]?.[0];
  const people = names.map(({ family, given, literal }) => [family, given, literal].join(" "));
  const text = [item.title, item["container-title"], item.publisher, ...people].join(" ");
  const isPart = /^(?:chapter|paper-conference|article)/.test(item.type);
  if (isPart && !item["container-title"]) return false;
  return (
    TYPES.has(item.type) &&
    names.length > 0 &&
    names.every(
      ({ family, given, literal }) =>
        (family && given && !/\(|Corporation|jen/.test(given + family)) || literal,
    ) &&
    year !== undefined &&
    year > 1500 &&
    (item.title ?? "").length > 3 &&
    !/\?\?|[\\{}$<>~`]|\ufffd|--|Ã/.test(text)
  );
}

/** A file record by record, so that one that can't be read costs no other. */
function readBib(text: string): CslItem[] {
  const strings = [...text.matchAll(/^@string\s*\{[^\n]*(?:\n(?!@)[^\n]*)*/gim)].map(
    ([one]) => one,
  );
  const records = text
    .split(/^(?=@)/m)
    .filter((one) => /^@(?!string|preamble|comment)/i.test(one))
    .map((one) =>
      // What is not set is left out before it is read: notes are full of commands.
      one.replaceAll(
        /^\s*(?:abstract|annotation|annote|keywords|note|bibsource|bibdate|acknowledgement|indextitle|abstract-\d|note-\d)\s*=\s*(?:"[^"]*"|\{(?:[^{}]|\{(?:[^{}]|\{[^{}]*\})*\})*\}|[\w#\s-]+),?\s*$/gim,
        "",
      ),
    );
  return records.flatMap((record) => {
    const used = strings.filter((one) => {
      const name = /^@string\s*\{\s*([^\s=]+)/i.exec(one)?.[1];
      return name !== undefined && record.includes(name);
    });
    try {
      return (new Cite(`${used.join("\n")}\n${record}`).data as unknown as CslItem[]).map(cleaned);
    } catch {
      return [];
    }
  });
}

/** Fields that are set; what else a record holds is for its reader. */
const FIELDS = [
  "type",
  "title",
  "author",
  "editor",
  "issued",
  "container-title",
  "volume",
  "issue",
  "page",
  "publisher",
  "publisher-place",
  "edition",
  "number",
  "genre",
  "collection-title",
  "DOI",
  "URL",
  "accessed",
];
/** Every third article is given a made-up identifier where it has none, in the registry's prefix for tests. */
const DOI_EACH = 3;

/** A record without markup and without what is no page, no volume and no address. */
function cleaned(item: CslItem): CslItem {
  const kept = Object.fromEntries(
    FIELDS.flatMap((field) => (field in item ? [[field, item[field]]] : [])),
  );
  const plain = JSON.parse(
    JSON.stringify(kept)
      .replaceAll("\\\\-", "")
      .replaceAll("\\\\emdash", ": ")
      .replaceAll(/<\/?(?:span|i|b|sc|sup|sub)[^<>]*>/g, ""),
  ) as CslItem;
  const article = plain.type.startsWith("article");
  const page = /^(\w?\d+)(?:[-–]+(\w?\d+))?$/.exec(plain.page?.trim() ?? "");
  const isPart = article || plain.type === "chapter" || plain.type === "paper-conference";
  if (!page || !isPart) delete plain.page;
  else plain.page = page[2] && page[2] !== page[1] ? `${page[1]}-${page[2]}` : (page[1] ?? "");
  if (!/^\w+(?:[-–/]\w+)?$/.test(plain.volume ?? "")) delete plain.volume;
  if (!/^\w+(?:[-–/]\w+)?$/.test(plain.issue ?? "")) delete plain.issue;
  if (plain.DOI) plain.DOI = plain.DOI.replace(/^https?:\/\/(?:dx\.)?doi\.org\//, "");
  const seed = [...`${item.id}`].reduce(
    (sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 9973,
    7,
  );
  if (!plain.DOI && article && seed % DOI_EACH === 0)
    plain.DOI = `10.5555/${seed}.${plain.volume ?? 1}`;
  if (plain.DOI) delete plain.URL;
  if (plain["genre"] === "resreport" || !/^[A-Za-z. ]+$/.test(`${plain["genre"]}`))
    delete plain["genre"];
  if (/^phdthesis$/i.test(`${plain["genre"]}`)) plain["genre"] = "PhD thesis";
  if (Array.isArray(plain.publisher)) plain.publisher = plain.publisher[0];
  for (const part of plain.issued?.["date-parts"] ?? []) if (article) part.splice(1);
  return { ...plain, id: `${item.id}` };
}

/** Most files are old, and some are in the encoding of today. */
function decoded(bytes: Buffer): string {
  const text = bytes.toString("utf8");
  return text.includes("\ufffd") ? bytes.toString("latin1") : text;
}
