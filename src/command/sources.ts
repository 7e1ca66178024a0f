import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import path from "node:path";
import { z } from "zod";
import { readDocument } from "../core/formats/document.ts";
import { Collection } from "../core/originality/collection.ts";
import { StockPhrases } from "../core/originality/regions.ts";
import { collectionOf, TextSources } from "../core/originality/text-sources.ts";
import { DATA } from "./checking.ts";
import { FALLBACK_VARIETY } from "./files.ts";
import { parseJson } from "./json-line.ts";
import { UsageError } from "./options.ts";

const rowSchema = z.object({ id: z.union([z.string(), z.number()]), text: z.string() });

/**
 * Reads sources from a folder of documents or a file of rows {id, text}. The index is read from a file
 * where there is one of these sources, and otherwise made and written there.
 */
export async function openSources(from: string, indexFile?: string): Promise<TextSources> {
  if (!existsSync(from)) throw new UsageError(`There is no ${from}.`);
  const texts = statSync(from).isDirectory() ? await textsIn(from) : rowsOf(from);
  const known = indexFile && existsSync(indexFile) ? readIndex(indexFile, texts) : null;
  if (known) return new TextSources(texts, known);
  const collection = collectionOf(texts);
  if (indexFile) writeFileSync(indexFile, indexBytes(texts, collection));
  return new TextSources(texts, collection);
}

/** The stock phrases that ship. */
export function loadStockPhrases(): StockPhrases {
  return new StockPhrases(readFileSync(path.join(DATA, "stock-phrases.txt"), "utf8"));
}

const headSchema = z.record(z.string(), z.number());

/** The index as a file: which sources it is of, by the lengths of their texts, and the fingerprints. */
function indexBytes(texts: ReadonlyMap<string, string>, collection: Collection): Uint8Array {
  const head = new TextEncoder().encode(JSON.stringify(lengthsOf(texts)));
  const prints = collection.toBytes();
  const bytes = new Uint8Array(4 + head.length + prints.length);
  new DataView(bytes.buffer).setUint32(0, head.length);
  bytes.set(head, 4);
  bytes.set(prints, 4 + head.length);
  return bytes;
}

/** An index that is of these sources; null for any other file. */
function readIndex(file: string, texts: ReadonlyMap<string, string>): Collection | null {
  const bytes = new Uint8Array(readFileSync(file));
  if (bytes.length < 4) return null;
  const length = new DataView(bytes.buffer, bytes.byteOffset).getUint32(0);
  const head = headSchema.safeParse(
    parseJson(new TextDecoder().decode(bytes.subarray(4, 4 + length))),
  );
  if (!head.success || JSON.stringify(head.data) !== JSON.stringify(lengthsOf(texts))) return null;
  return Collection.fromBytes(bytes.slice(4 + length));
}

function lengthsOf(texts: ReadonlyMap<string, string>): Record<string, number> {
  return Object.fromEntries([...texts].map(([id, { length }]) => [id, length]));
}

function rowsOf(file: string): Map<string, string> {
  const texts = new Map<string, string>();
  for (const [index, line] of readFileSync(file, "utf8").split("\n").entries()) {
    if (line.trim() === "") continue;
    const row = rowSchema.safeParse(parseJson(line));
    if (row.success) texts.set(String(row.data.id), row.data.text);
    else process.stderr.write(`${file}, line ${index + 1}: ${z.prettifyError(row.error)}\n`);
  }
  return texts;
}

async function textsIn(folder: string): Promise<Map<string, string>> {
  const texts = new Map<string, string>();
  const names = readdirSync(folder, { recursive: true, encoding: "utf8" }).sort();
  for (const name of names) {
    const file = path.join(folder, name);
    if (!statSync(file).isFile()) continue;
    const read = await readDocument(
      new Uint8Array(readFileSync(file)),
      path.basename(name),
      () => FALLBACK_VARIETY,
    );
    if ("problem" in read) process.stderr.write(`${file}: ${read.problem.sentence}\n`);
    else texts.set(name, read.manuscript.text);
  }
  return texts;
}
