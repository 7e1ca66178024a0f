import { readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { Trigrams } from "../src/core/language/models/trigrams.ts";
import { readTrigramModel } from "./corpus/trigram-model.ts";
import { recordInputs } from "./inputs.ts";
import { seeded } from "./seeded.ts";

/**
 * Builds data/word-classes.bin: classes of words that keep the same company, such as nouns that are
 * counted, or verbs that people do. Words are told by which common words stand right before and
 * after them in the trigram model of Debian's package pocketsphinx-en-us: positive pointwise mutual
 * information, brought down to few dimensions by a randomised singular value decomposition (Halko,
 * Martinsson and Tropp 2011), then spherical k-means.
 */
const CLASSES = 255;
const CONTEXTS = 2000;
const DIMENSIONS = 64;
const POWER_ROUNDS = 3;
const ROUNDS = 25;
/** Contexts below which a word is in no class. */
const LEAST_CONTEXTS = 6;
const DATA = path.resolve(import.meta.dirname, "../data");

const model = readTrigramModel();
const bytes = (name: string) => readFileSync(path.join(DATA, name));
const words = new Trigrams(bytes("pairs.bin"), bytes("triples.bin")).words();
const idOf = new Map(words.map((word, id) => [word, id]));

/** For each word its contexts and what they are worth, as rows of a sparse matrix. */
function readRows() {
  const mass = new Map<number, number>();
  const left = new Float64Array(CONTEXTS);
  const right = new Float64Array(CONTEXTS);
  const own = new Float64Array(words.length);
  const add = (word: number, context: number, joint: number) => {
    const key = word * 2 * CONTEXTS + context;
    mass.set(key, (mass.get(key) ?? 0) + joint);
    own[word] = (own[word] ?? 0) + joint;
  };
  for (const [index, name] of model.names.entries()) {
    const word = idOf.get(name);
    if (word === undefined) continue;
    const { pairs } = model.word(index);
    for (let at = pairs[0]; at < pairs[1]; at++) {
      const pair = model.pair(at);
      const before = idOf.get(model.names[pair.before] ?? "");
      if (before === undefined) continue;
      const joint = 10 ** (model.word(pair.before).probability + pair.probability);
      if (before < CONTEXTS) {
        add(word, before, joint);
        left[before] = (left[before] ?? 0) + joint;
      }
      if (word < CONTEXTS) {
        add(before, CONTEXTS + word, joint);
        right[word] = (right[word] ?? 0) + joint;
      }
    }
  }
  const smooth = (all: Float64Array) => {
    const raised = all.map((one) => one ** 0.75);
    const sum = raised.reduce((total, one) => total + one, 0);
    return raised.map((one) => one / sum);
  };
  const shares = [...smooth(left), ...smooth(right)];
  const columns: number[][] = words.map(() => []);
  const values: number[][] = words.map(() => []);
  for (const [key, joint] of mass) {
    const word = Math.floor(key / (2 * CONTEXTS));
    const context = key % (2 * CONTEXTS);
    // Each word has two contexts a place.
    const information = Math.log((2 * joint) / ((own[word] ?? 1) * (shares[context] ?? 1)));
    if (!(information > 0)) continue;
    columns[word]?.push(context);
    values[word]?.push(information);
  }
  return { columns, values };
}

type Matrix = Float64Array[];

/** Makes rows of a tall matrix orthonormal, column by column (modified Gram and Schmidt). */
function orthonormalise(matrix: Matrix): void {
  for (let one = 0; one < DIMENSIONS; one++) {
    for (let other = 0; other < one; other++) {
      let dot = 0;
      for (const row of matrix) dot += (row[one] ?? 0) * (row[other] ?? 0);
      for (const row of matrix) row[one] = (row[one] ?? 0) - dot * (row[other] ?? 0);
    }
    let norm = 0;
    for (const row of matrix) norm += (row[one] ?? 0) ** 2;
    norm = Math.sqrt(norm) || 1;
    for (const row of matrix) row[one] = (row[one] ?? 0) / norm;
  }
}

const { columns, values } = readRows();
const random = seeded(3);
const blank = (rows: number): Matrix =>
  Array.from({ length: rows }, () => new Float64Array(DIMENSIONS));

/** The sparse matrix times a tall one. */
function forward(basis: Matrix): Matrix {
  const result = blank(words.length);
  for (const [word, row] of result.entries()) {
    const own = columns[word] ?? [];
    for (const [at, context] of own.entries()) {
      const value = values[word]?.[at] ?? 0;
      const from = basis[context];
      for (let one = 0; from && one < DIMENSIONS; one++)
        row[one] = (row[one] ?? 0) + value * (from[one] ?? 0);
    }
  }
  return result;
}

/** Its transpose times a tall matrix. */
function backward(projected: Matrix): Matrix {
  const result = blank(2 * CONTEXTS);
  for (const [word, from] of projected.entries()) {
    for (const [at, context] of (columns[word] ?? []).entries()) {
      const value = values[word]?.[at] ?? 0;
      const row = result[context];
      for (let one = 0; row && one < DIMENSIONS; one++)
        row[one] = (row[one] ?? 0) + value * (from[one] ?? 0);
    }
  }
  return result;
}

let basis = blank(2 * CONTEXTS);
for (const row of basis) for (let one = 0; one < DIMENSIONS; one++) row[one] = random() - 0.5;
orthonormalise(basis);
for (let round = 0; round < POWER_ROUNDS; round++) {
  basis = backward(forward(basis));
  orthonormalise(basis);
}
const vectors = forward(basis);
for (const vector of vectors) {
  const norm = Math.hypot(...vector) || 1;
  for (let one = 0; one < DIMENSIONS; one++) vector[one] = (vector[one] ?? 0) / norm;
}

// The commonest words seed the classes, and count for more in them.
const members = words
  .map((_, word) => word)
  .filter(
    (word) =>
      (columns[word]?.length ?? 0) >= LEAST_CONTEXTS && !(words[word] ?? "").startsWith("<"),
  );
const centres = members
  .slice(100)
  .filter((_, index) => index % 8 === 0)
  .slice(0, CLASSES)
  .map((word) => Float64Array.from(vectors[word] ?? []));
const assigned = new Uint8Array(words.length);
for (let round = 0; round < ROUNDS; round++) {
  let moved = 0;
  for (const word of members) {
    const vector = vectors[word];
    if (!vector) continue;
    let best = 0;
    let most = Number.NEGATIVE_INFINITY;
    for (const [index, centre] of centres.entries()) {
      let dot = 0;
      for (let one = 0; one < DIMENSIONS; one++) dot += (vector[one] ?? 0) * (centre[one] ?? 0);
      if (dot > most) {
        most = dot;
        best = index + 1;
      }
    }
    if (assigned[word] !== best) moved++;
    assigned[word] = best;
  }
  console.log(`round ${round}: ${moved} words moved`);
  for (const centre of centres) centre.fill(0);
  for (const word of members) {
    const centre = centres[(assigned[word] ?? 1) - 1];
    const weight = Math.log(2 + (columns[word]?.length ?? 0));
    for (let one = 0; centre && one < DIMENSIONS; one++)
      centre[one] = (centre[one] ?? 0) + weight * (vectors[word]?.[one] ?? 0);
  }
  for (const centre of centres) {
    const norm = Math.hypot(...centre) || 1;
    for (let one = 0; one < DIMENSIONS; one++) centre[one] = (centre[one] ?? 0) / norm;
  }
  if (moved === 0) break;
}
writeFileSync(path.join(DATA, "word-classes.bin"), assigned);
recordInputs("word-classes.bin");
if (process.argv.includes("--show")) {
  for (let one = 1; one <= CLASSES; one++) {
    const own = members.filter((word) => assigned[word] === one);
    console.log(
      `${one} (${own.length}) ${own
        .slice(0, 14)
        .map((word) => words[word])
        .join(" ")}`,
    );
  }
}
console.log(`${members.length} of ${words.length} words in ${CLASSES} classes`);
