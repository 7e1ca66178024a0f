import { readdir, readFile } from "node:fs/promises";
import path from "node:path";
import { promisify } from "node:util";
import { brotliDecompress } from "node:zlib";
import { z } from "zod";
import {
  type AnsweredPassages,
  type AnsweredPlace,
  answeredPlaces,
  MOST_WORDS_ASKED,
  PREFIX_BITS,
  type SourceList,
  type Stretch,
  type ToldSource,
} from "../core/originality/asking.ts";
import { fingerprintsOf, OF_FRAMES } from "../core/originality/fingerprints.ts";
import { frameOf } from "../core/originality/frames.ts";
import { SourceIndex } from "../core/originality/source-index.ts";
import { comparedWords } from "../core/originality/words.ts";

/**
 * The collection that ships: texts that others may use, and the invented sources of the demo. It answers
 * where fingerprints stand and what stands there, and never sees a document.
 */

const unpack = promisify(brotliDecompress);

const catalogueSchema = z.array(
  z.object({
    id: z.string(),
    title: z.string(),
    origin: z.string(),
    licence: z.string(),
    characters: z.number(),
    file: z.number().int(),
  }),
);
const textsSchema = z.array(z.string());

/** Rows of one answer of the list. */
const ROWS = 50;
/** Texts in one packed file; the last has fewer. */
const TEXTS_A_FILE = 128;
/** Packed files kept unpacked, some 700 kB each. */
const FILES_KEPT = 12;

interface Known {
  sources: readonly ToldSource[];
  words: SourceIndex;
  frames: SourceIndex;
  /** Texts of the invented sources, by number. */
  invented: ReadonlyMap<number, string>;
  /** The first number of an invented source; those before it are in packed files. */
  packed: number;
  version: string;
}

let reading: Promise<Known> | null = null;
const files = new Map<number, Promise<readonly string[]>>();

function known(): Promise<Known> {
  reading ??= read();
  reading.catch(() => {
    reading = null;
  });
  return reading;
}

function folder(name: string): string {
  return path.join(process.env["DRY_RUN_DATA"] ?? path.resolve("data"), name);
}

async function unpacked(name: string): Promise<unknown> {
  const bytes = await unpack(await readFile(path.join(folder("collection"), name)));
  return JSON.parse(bytes.toString("utf8"));
}

/** The texts of one packed file, kept for a while. */
function textsOf(file: number): Promise<readonly string[]> {
  const kept = files.get(file) ?? unpacked(`${file}.br`).then((value) => textsSchema.parse(value));
  files.delete(file);
  files.set(file, kept);
  kept.catch(() => files.delete(file));
  for (const oldest of files.keys()) {
    if (files.size <= FILES_KEPT) break;
    files.delete(oldest);
  }
  return kept;
}

/** Reads everything once; between files others get their turn. */
async function read(): Promise<Known> {
  const catalogue = catalogueSchema.parse(await unpacked("catalogue.br"));
  const sources: ToldSource[] = [];
  const prints: [string, Uint32Array][] = [];
  for (const [number, { id, title, origin, licence, file }] of catalogue.entries()) {
    const text = (await textsOf(file))[number % TEXTS_A_FILE] ?? "";
    const { hashes } = comparedWords(text);
    prints.push([String(number), hashes]);
    sources.push({ number, id, title, origin, licence, words: hashes.length, closed: false });
    if (number % TEXTS_A_FILE === 0) await new Promise((resolve) => setImmediate(resolve));
  }
  const packed = sources.length;
  const invented = new Map<number, string>();
  for (const one of await inventedSources()) {
    const number = sources.length;
    const { hashes } = comparedWords(one.text);
    prints.push([String(number), hashes]);
    sources.push({ ...one.told, number, words: hashes.length });
    invented.set(number, one.text);
  }
  const version = `${sources.length}-${sources.reduce((sum, { words }) => sum + words, 0)}`;
  return {
    sources,
    words: new SourceIndex(prints.map(([id, words]) => [id, fingerprintsOf(words)] as const)),
    frames: new SourceIndex(
      prints.map(([id, words]) => [id, fingerprintsOf(frameOf(words), OF_FRAMES)] as const),
    ),
    invented,
    packed,
    version,
  };
}

/** The invented sources: lines of “Name: value”, an empty line, the text. */
async function inventedSources() {
  const names = (await readdir(folder("sources"))).filter((name) => name.endsWith(".txt")).sort();
  return Promise.all(
    names.map(async (name) => {
      const whole = await readFile(path.join(folder("sources"), name), "utf8");
      const end = whole.indexOf("\n\n");
      const head = new Map(
        whole
          .slice(0, end)
          .split("\n")
          .map((line) => {
            const colon = line.indexOf(":");
            return [line.slice(0, colon), line.slice(colon + 1).trim()] as const;
          }),
      );
      const year = Number(head.get("Year"));
      const author = head.get("Author");
      return {
        text: whole.slice(end + 2),
        told: {
          id: name,
          title: head.get("Title") ?? name,
          origin: "made up for the demo",
          licence: "as Dry Run",
          closed: head.get("Closed") === "yes",
          ...(author ? { author } : {}),
          ...(year ? { year } : {}),
        },
      };
    }),
  );
}

/** The places of all fingerprints that begin so. */
export async function placesWith(asked: {
  words: readonly number[];
  frame: readonly number[];
}): Promise<Uint8Array> {
  const { words, frames } = await known();
  const placesIn = (index: SourceIndex, prefixes: readonly number[]): AnsweredPlace[] =>
    prefixes.flatMap((prefix) =>
      index
        .withPrefix(prefix, PREFIX_BITS)
        .map(({ hash, source, word }) => ({ hash, source: Number(source), word })),
    );
  return answeredPlaces(placesIn(words, asked.words), placesIn(frames, asked.frame));
}

/** What stands in stretches of sources: text, or for closed sources the hashes of the words. */
export async function passagesAt(stretches: readonly Stretch[]): Promise<AnsweredPassages> {
  const { sources, version } = await known();
  const told = new Map<number, ToldSource>();
  const passages: AnsweredPassages["passages"] = [];
  const read = new Map<number, { text: string; words: ReturnType<typeof comparedWords> }>();
  for (const [number, from, to] of stretches) {
    const source = sources[number];
    if (!source || to <= from || to - from > MOST_WORDS_ASKED) continue;
    told.set(number, source);
    let own = read.get(number);
    if (!own) {
      const text = await textOf(number);
      own = { text, words: comparedWords(text) };
      read.set(number, own);
    }
    const last = Math.min(to, own.words.hashes.length);
    if (from >= last) continue;
    passages.push({
      source: number,
      from,
      text: source.closed
        ? null
        : own.text.slice(own.words.from[from] ?? 0, own.words.to[last - 1] ?? 0),
      words: source.closed ? [...own.words.hashes.subarray(from, last)] : null,
    });
  }
  return { version, sources: [...told.values()], passages };
}

async function textOf(number: number): Promise<string> {
  const { packed, invented } = await known();
  if (number >= packed) return invented.get(number) ?? "";
  return (await textsOf(Math.floor(number / TEXTS_A_FILE)))[number % TEXTS_A_FILE] ?? "";
}

/** The whole text of an open source; null for a closed one, and for none. */
export async function openText(
  number: number,
): Promise<{ source: ToldSource; text: string } | null> {
  const source = (await known()).sources[number];
  if (!source || source.closed) return null;
  return { source, text: await textOf(number) };
}

/** The sources whose title, origin or author has these words, some at a time. */
export async function listSources(search: string, from: number): Promise<SourceList> {
  const { sources, version } = await known();
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const matching = sources.filter(({ title, origin, id, author = "" }) => {
    const text = `${title} ${origin} ${id} ${author}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
  // What was made up for the demo is what a newcomer looks for.
  const ordered = [...matching].sort((one, other) => rank(one) - rank(other));
  return {
    version,
    sources: sources.length,
    words: sources.reduce((sum, one) => sum + one.words, 0),
    matching: matching.length,
    rows: ordered.slice(from, from + ROWS),
  };
}

function rank({ origin }: ToldSource): number {
  return origin === "made up for the demo" ? 0 : 1;
}
