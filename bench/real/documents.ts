import { existsSync, readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { gunzipSync } from "node:zlib";
import { readPage } from "../../scripts/corpus/manuals.ts";
import { loadLanguage } from "../../src/command/checking.ts";
import { readDocument } from "../../src/core/formats/document.ts";
import { guessVariety } from "../../src/core/language/text/variety.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import type { Kind, Manuscript, Variety } from "../../src/core/manuscript/model.ts";
import { SOURCES, type Source } from "./sources.ts";

export type Half = "tune" | "test";

/** A document as somebody opens it. */
export interface RealDocument {
  name: string;
  /** What kind of document it is, as the list of sources has it. */
  genre: string;
  half: Half;
  variety: Variety;
  kind: Kind;
  manuscript: Pick<Manuscript, "text" | "blocks" | "spans">;
}

/** Characters of a text that are read: some 1,500 words. */
const LONGEST = 9_000;
/** Texts shorter than this say nothing. */
const SHORTEST = 400;
const ROOT = path.resolve(import.meta.dirname, "../..");

function filesOf({ folder, files }: Source): string[] {
  const place = path.resolve(ROOT, folder);
  if (!existsSync(place)) return [];
  return readdirSync(place, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => path.join(entry.path, entry.name))
    .filter((file) => files.test(path.relative(place, file)))
    .sort();
}

/** So many of a list, evenly spread over it. */
function spread<T>(list: readonly T[], count: number): T[] {
  const step = Math.max(1, list.length / count);
  const found: T[] = [];
  for (let at = 0; at < list.length && found.length < count; at += step) {
    found.push(list[Math.floor(at)] as T);
  }
  return found;
}

function bytesOf(file: string): Uint8Array {
  const bytes = readFileSync(file);
  return file.endsWith(".gz") ? gunzipSync(bytes) : bytes;
}

/** What is told in a game's files stands between grave accents; the rest steers the game. */
function dialogue(text: string): string {
  return Array.from(text.matchAll(/`([^`\n]+)`/g), ([, told]) => told ?? "").join("\n\n");
}

/** The descriptions of a list of packages, without what else is said of them. */
function description(text: string): string {
  return text
    .split(/\n(?=Package: )/)
    .flatMap((one) => /\nDescription: ((?:.*)(?:\n .*)*)/.exec(one)?.[1] ?? [])
    .map((one) => one.replace(/\n \./g, "\n").replace(/\n /g, "\n"))
    .join("\n\n");
}

/** Up to the last line that ends within the length read. */
function opening(text: string): string {
  if (text.length <= LONGEST) return text;
  const end = text.lastIndexOf("\n", LONGEST);
  return text.slice(0, end > LONGEST / 2 ? end : LONGEST);
}

async function opened(
  bytes: Uint8Array,
  name: string,
): Promise<Pick<RealDocument, "manuscript" | "variety" | "kind"> | null> {
  const { lexicon } = loadLanguage();
  const read = await readDocument(bytes, name, (text) => guessVariety(text, lexicon, "en-US"));
  if ("problem" in read) return null;
  const { manuscript } = read;
  return { manuscript, variety: manuscript.variety, kind: manuscript.kind };
}

async function documentOf(file: string, source: Source, part = 0) {
  const { lexicon } = loadLanguage();
  if (/\.html?(?:\.en)?$/.test(file)) {
    const page = readPage(file);
    const text = opening(page.text);
    const spans = page.spans.filter(({ to }) => to <= text.length);
    const variety = guessVariety(text, lexicon, "en-US");
    const kind: Kind = "specification";
    return { manuscript: { ...linesManuscript(text), spans }, variety, kind };
  }
  if (file.endsWith(".docx")) return await opened(bytesOf(file), path.basename(file));
  let text = new TextDecoder().decode(bytesOf(file));
  if (source.parted) {
    const parts = spread(text.split(source.parted), source.take * 16);
    text = description(parts.slice(part * 16, part * 16 + 16).join("\n\n"));
  }
  if (source.kind === "game dialogue") text = dialogue(text);
  if (source.kind === "quotations") text = text.replace(/^%$/gm, "");
  const name = /\.md$/i.test(file) ? path.basename(file) : `${path.basename(file)}.txt`;
  return await opened(new TextEncoder().encode(opening(text)), name);
}

/** All real documents that are installed here, every second one of each kind for tuning. */
export async function realDocuments(): Promise<RealDocument[]> {
  const found: RealDocument[] = [];
  for (const source of SOURCES) {
    const files = filesOf(source);
    const wanted = source.parted
      ? Array.from({ length: source.take }, (_, part) => ({ file: files[0] ?? "", part }))
      : spread(files, source.take).map((file) => ({ file, part: 0 }));
    let count = 0;
    for (const { file, part } of wanted) {
      if (file === "") continue;
      const document = await documentOf(file, source, part);
      if (!document || document.manuscript.text.length < SHORTEST) continue;
      const half: Half = count++ % 2 === 0 ? "tune" : "test";
      const name = `${path.relative(ROOT, file)}${part > 0 ? ` ${part}` : ""}`;
      found.push({ ...document, name, genre: source.kind, half });
    }
  }
  return found;
}
