import { readFileSync } from "node:fs";

const SOURCE = "/usr/share/pocketsphinx/model/en-us/en-us.lm.bin";
const LOG = Math.log10(1.0001);

/**
 * Reads the trigram model of Debian's package pocketsphinx-en-us; scores as log10.
 *
 * The file, little-endian: "Trie Language Model", the order as a byte, a count for each order, the
 * quantiser's kind; three tables of 65,536 floats (probabilities and back-offs of pairs,
 * probabilities of triples); for each word, and one more, probability, back-off and first pair; pairs
 * of 17 bits for the word before, 16 + 16 for table entries, 21 for the first triple; triples of
 * 17 + 16 bits; the words, each ended by a zero byte. Scores are logarithms to base 1.0001.
 */
export function readTrigramModel() {
  const bytes = readFileSync(SOURCE);
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
