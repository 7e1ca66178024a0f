import { readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { Lexicon } from "../src/core/language/lexicon.ts";
import {
  BACKOFF_STEP,
  BACKOFF_TOP,
  PAIRS_MAGIC,
  PROBABILITY_STEP,
  TRIPLES_MAGIC,
} from "../src/core/language/trigrams.ts";

/**
 * Builds data/pairs.bin and data/triples.bin from the trigram model of Debian's package
 * pocketsphinx-en-us. Words that the lexicon does not know are left out, and so are pairs and
 * triples whose score is nearly what the shorter history gives, weighed by how often they occur
 * (after Stolcke 1998, "Entropy-based pruning of backoff language models").
 */
const SOURCE = "/usr/share/pocketsphinx/model/en-us/en-us.lm.bin";
const FOLDER = path.resolve(import.meta.dirname, "../data");
const MAX_PAIRS = Number(process.env["PAIRS"] ?? 900_000);
const MAX_TRIPLES = Number(process.env["TRIPLES"] ?? 700_000);
const LOG = Math.log10(1.0001);

interface Entry {
  word: number;
  before: number;
  probability: number;
  backoff: number;
  triples: { first: number; probability: number; worth: number }[];
  worth: number;
}

/**
 * The file, little-endian: "Trie Language Model", the order as a byte, a count for each order, the
 * quantiser's kind; three tables of 65,536 floats (probabilities and back-offs of pairs,
 * probabilities of triples); for each word, and one more, probability, back-off and first pair; pairs
 * of 17 bits for the word before, 16 + 16 for table entries, 21 for the first triple; triples of
 * 17 + 16 bits; the words, each ended by a zero byte. Scores are logarithms to base 1.0001.
 */
function readModel(bytes: Buffer) {
  let at = "Trie Language Model".length;
  if (bytes.toString("latin1", 0, at) !== "Trie Language Model" || bytes[at] !== 3) {
    throw new Error("not the trigram model this script knows");
  }
  at += 1;
  const [words = 0, pairs = 0, triples = 0] = [0, 4, 8].map((step) =>
    bytes.readUInt32LE(at + step),
  );
  at += 16;
  const table = () => {
    const start = at;
    at += 4 * 65536;
    return (index: number) => bytes.readFloatLE(start + 4 * index) * LOG;
  };
  const pairProbability = table();
  const pairBackoff = table();
  const tripleProbability = table();
  const unigrams = at;
  at += 12 * (words + 1);
  const pairBits = 17 + 32 + 21;
  const pairStart = at;
  at += Math.floor(((1 + pairs) * pairBits + 7) / 8) + 8;
  const tripleStart = at;
  at += Math.floor(((1 + triples) * 33 + 7) / 8) + 8;
  const names = bytes
    .toString("utf8", at + 4, at + 4 + bytes.readInt32LE(at))
    .split("\0")
    .slice(0, words);
  const bits = (start: number, offset: number, count: number) =>
    (bytes.readUInt32LE(start + Math.floor(offset / 8)) >>> (offset % 8)) & (2 ** count - 1);
  return {
    names,
    word: (id: number) => ({
      probability: bytes.readFloatLE(unigrams + 12 * id) * LOG,
      backoff: bytes.readFloatLE(unigrams + 12 * id + 4) * LOG,
      pairs: [
        bytes.readUInt32LE(unigrams + 12 * id + 8),
        bytes.readUInt32LE(unigrams + 12 * id + 20),
      ] as const,
    }),
    pair: (index: number) => ({
      before: bits(pairStart, index * pairBits, 17),
      backoff: pairBackoff(bits(pairStart, index * pairBits + 17, 16)),
      probability: pairProbability(bits(pairStart, index * pairBits + 33, 16)),
      triples: [
        bits(pairStart, index * pairBits + 49, 21),
        bits(pairStart, (index + 1) * pairBits + 49, 21),
      ] as const,
    }),
    triple: (index: number) => ({
      first: bits(tripleStart, index * 33, 17),
      probability: tripleProbability(bits(tripleStart, index * 33 + 17, 16)),
    }),
  };
}

const model = readModel(readFileSync(SOURCE));
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
console.log(
  `${kept.length} pairs in ${pairs.length} bytes, ${all.length} triples in ${triples.length}`,
);
