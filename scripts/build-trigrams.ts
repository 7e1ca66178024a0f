import { readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import {
  BACKOFF_STEP,
  BACKOFF_TOP,
  PAIRS_MAGIC,
  PROBABILITY_STEP,
  TRIPLES_MAGIC,
} from "../src/core/language/models/trigrams.ts";
import { Lexicon } from "../src/core/language/words/lexicon.ts";
import { readTrigramModel } from "./corpus/trigram-model.ts";
import { recordInputs } from "./inputs.ts";

/**
 * Builds data/pairs.bin and data/triples.bin from the trigram model of Debian's package
 * pocketsphinx-en-us. Words that the lexicon does not know are left out, and so are pairs and
 * triples whose score is nearly what the shorter history gives, weighed by how often they occur
 * (after Stolcke 1998, "Entropy-based pruning of backoff language models").
 */
const FOLDER = path.resolve(import.meta.dirname, "../data");
const MAX_PAIRS = Number(process.env["PAIRS"] ?? 900_000);
const MAX_TRIPLES = Number(process.env["TRIPLES"] ?? 700_000);

interface Entry {
  word: number;
  before: number;
  probability: number;
  backoff: number;
  triples: { first: number; probability: number; worth: number }[];
  worth: number;
}

const model = readTrigramModel();
const lexicon = new Lexicon(readFileSync(path.join(FOLDER, "lexicon.bin")));

/** The model cuts clitics off ("do n't" is "don't" in it); what it holds beside words is noise. */
function isWanted(word: string): boolean {
  if (word === "<s>" || word === "</s>") return true;
  const plain = word.replace(/'s$/, "");
  if (!/^[a-z][a-z'.]*$/.test(plain)) return false;
  return [plain, capital(plain), plain.toUpperCase()].some((form) => lexicon.varieties(form) > 0);
}

function capital(word: string): string {
  return (word[0] ?? "").toUpperCase() + word.slice(1);
}

const words = model.names
  .map((name, id) => ({ name, id, ...model.word(id) }))
  .filter(({ name }) => isWanted(name))
  .sort((a, b) => b.probability - a.probability)
  .slice(0, 65_535);
const newId = new Map(words.map(({ id }, index) => [id, index]));

const entries: Entry[] = [];
for (const [word, { probability: own, pairs }] of words.entries()) {
  for (let index = pairs[0]; index < pairs[1]; index++) {
    const pair = model.pair(index);
    const before = newId.get(pair.before);
    if (before === undefined) continue;
    const history = words[before];
    if (!history) continue;
    const joint = 10 ** (history.probability + pair.probability);
    const entry: Entry = {
      word,
      before,
      probability: pair.probability,
      backoff: pair.backoff,
      triples: [],
      worth: joint * Math.abs(pair.probability - history.backoff - own),
    };
    for (let at = pair.triples[0]; at < pair.triples[1]; at++) {
      const { first, probability } = model.triple(at);
      const id = newId.get(first);
      if (id === undefined) continue;
      entry.triples.push({ first: id, probability, worth: joint * (words[id]?.probability ?? 0) });
    }
    entries.push(entry);
  }
}
console.log(`${words.length} words, ${entries.length} pairs`);

// A triple is worth its joint probability times what the pair's own score misses it by.
const byPair = new Map(entries.map((entry) => [entry.before * 65_536 + entry.word, entry]));
const worths: number[] = [];
for (const entry of entries) {
  for (const triple of entry.triples) {
    const history = byPair.get(triple.first * 65_536 + entry.before);
    const first = words[triple.first]?.probability ?? -9;
    const second = history ? history.probability : (words[entry.before]?.probability ?? -9);
    const guess = entry.probability + (history?.backoff ?? 0);
    triple.worth =
      10 ** (first + second + triple.probability) * Math.abs(triple.probability - guess);
    worths.push(triple.worth);
  }
}
const tripleCut = worths.sort((a, b) => b - a)[MAX_TRIPLES] ?? 0;
for (const entry of entries) {
  entry.triples = entry.triples.filter(({ worth }) => worth > tripleCut);
  // A pair with a kept triple stays.
  if (entry.triples.length > 0) entry.worth = Number.POSITIVE_INFINITY;
}
const pairCut = entries.map(({ worth }) => worth).sort((a, b) => b - a)[MAX_PAIRS] ?? 0;
const kept = entries.filter(({ worth }) => worth > pairCut);
kept.sort((a, b) => a.word - b.word || a.before - b.before);

function varint(bytes: number[], value: number): void {
  let rest = value;
  while (rest > 127) {
    bytes.push((rest & 127) | 128);
    rest >>>= 7;
  }
  bytes.push(rest);
}

function encodeLists(lists: Iterable<readonly number[]>): Buffer {
  const bytes: number[] = [];
  for (const members of lists) {
    varint(bytes, members.length);
    let previous = 0;
    for (const member of members) {
      varint(bytes, member - previous);
      previous = member;
    }
  }
  return Buffer.from(bytes);
}

function header(...numbers: number[]): Buffer {
  const bytes = Buffer.alloc(4 * numbers.length);
  for (const [index, value] of numbers.entries()) bytes.writeUInt32LE(value, 4 * index);
  return bytes;
}

const probabilityByte = (log: number) =>
  Math.max(0, Math.min(255, Math.round(-log / PROBABILITY_STEP)));
const backoffByte = (log: number) =>
  Math.max(0, Math.min(255, Math.round((BACKOFF_TOP - log) / BACKOFF_STEP)));

const predecessors: number[][] = words.map(() => []);
for (const { word, before } of kept) predecessors[word]?.push(before);
const list = Buffer.from(words.map(({ name }) => `${name}\n`).join(""));
const plane = encodeLists(predecessors);
const pairs = Buffer.concat([
  header(PAIRS_MAGIC, words.length, kept.length, list.length, plane.length),
  list,
  Uint8Array.from(words, ({ probability }) => probabilityByte(probability)),
  Uint8Array.from(words, ({ backoff }) => backoffByte(backoff)),
  plane,
  Uint8Array.from(kept, ({ probability }) => probabilityByte(probability)),
  Uint8Array.from(kept, ({ backoff }) => backoffByte(backoff)),
]);
for (const { triples } of kept) triples.sort((a, b) => a.first - b.first);
const all = kept.flatMap(({ triples }) => triples);
const triplePlane = encodeLists(kept.map(({ triples }) => triples.map(({ first }) => first)));
const triples = Buffer.concat([
  header(TRIPLES_MAGIC, all.length, triplePlane.length),
  triplePlane,
  Uint8Array.from(all, ({ probability }) => probabilityByte(probability)),
]);
writeFileSync(path.join(FOLDER, "pairs.bin"), pairs);
writeFileSync(path.join(FOLDER, "triples.bin"), triples);
recordInputs("pairs.bin", "triples.bin");
console.log(
  `${kept.length} pairs in ${pairs.length} bytes, ${all.length} triples in ${triples.length}`,
);
