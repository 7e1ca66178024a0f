import { existsSync } from "node:fs";
import { readFile } from "node:fs/promises";
import path from "node:path";
import { promisify } from "node:util";
import { gunzip } from "node:zlib";
import {
  parseSynset,
  SYNSETS_A_FILE,
  type Synset,
  senseOf,
  type WordEntry,
} from "../core/language/meanings/word-net.ts";

/** The meanings on disk: the index and each file of meanings, some 80, are read once and kept. */

const unpack = promisify(gunzip);

/** The folder with the data, beside the place the server was started from or in it. */
function folder(): string {
  const given = process.env["DRY_RUN_DATA"];
  const place = path.join(given ?? path.resolve("data"), "wordnet");
  if (!existsSync(place)) throw new Error(`${place} is missing`);
  return place;
}

let reading: Promise<Map<string, string>> | null = null;
const files = new Map<number, Promise<string[]>>();

function readIndex(): Promise<Map<string, string>> {
  reading ??= readText("index.gz").then(
    (text) =>
      new Map(
        text.split("\n").map((line) => {
          const tab = line.indexOf("\t");
          return [line.slice(0, tab), line.slice(tab + 1)];
        }),
      ),
  );
  reading.catch(() => {
    reading = null;
  });
  return reading;
}

async function readText(name: string): Promise<string> {
  return (await unpack(await readFile(path.join(folder(), name)))).toString("utf8");
}

/** A file of 1,500 meanings, about 0.3 MB of text: each is unpacked once, however many ask at once. */
function readMeanings(file: number): Promise<string[]> {
  const known = files.get(file);
  if (known) return known;
  const lines = readText(`${file}.gz`).then((text) => text.split("\n"));
  files.set(file, lines);
  lines.catch(() => files.delete(file));
  return lines;
}

async function readSynset(id: number): Promise<Synset> {
  const lines = await readMeanings(Math.floor(id / SYNSETS_A_FILE));
  return parseSynset(lines[id % SYNSETS_A_FILE] ?? "");
}

/** The entry of a word, in small letters; null when there is none. */
export async function findEntry(word: string): Promise<WordEntry | null> {
  const key = word.toLowerCase().replaceAll("’", "'");
  const numbers = (await readIndex()).get(key);
  if (numbers === undefined) return null;
  const synsets = await Promise.all(
    numbers.split(" ").map((number) => readSynset(Number.parseInt(number, 36))),
  );
  const related = new Set(synsets.flatMap(({ relations }) => relations.map(({ id }) => id)));
  const words = new Map<number, readonly string[]>();
  await Promise.all([...related].map(async (id) => words.set(id, (await readSynset(id)).words)));
  const senses = synsets.map((synset) => senseOf(key, synset, (id) => words.get(id) ?? []));
  return { word: key, senses };
}
