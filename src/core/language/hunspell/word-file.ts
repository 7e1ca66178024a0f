import { type AffixFile, without } from "./affix-file.ts";
import { type Flags, NO_FLAGS } from "./flags.ts";

/** One entry of a .dic file; words spelled alike are homonyms with flags of their own. */
export interface Stem {
  word: string;
  flags: Flags;
}

/**
 * Marks the capitalised twin that a mixed-case word gets, so that it is found when written in
 * capitals only. No flag of a dictionary can have this value.
 */
export const ONLY_UPPER_CASE = -1;

export type Stems = ReadonlyMap<string, readonly Stem[]>;

/** Reads a .dic file's text: a count, then a word a line with flags after a slash. */
export function parseWordFile(text: string, affixes: AffixFile): Stems {
  const stems = new Map<string, Stem[]>();
  const add = (stem: Stem) => {
    const homonyms = stems.get(stem.word);
    if (!homonyms) stems.set(stem.word, [stem]);
    else if (homonyms[0]?.flags.includes(ONLY_UPPER_CASE)) homonyms[0] = stem;
    else homonyms.push(stem);
  };
  const lines = text.replace(/^\ufeff/, "").split(/\r?\n/);
  for (const [number, line] of lines.entries()) {
    if (number === 0 && /^\s*\d+\s*$/.test(line)) continue;
    const stem = parseLine(line, affixes);
    if (!stem) continue;
    add(stem);
    const twin = upperCaseTwin(stem, affixes);
    if (twin && !stems.has(twin.word)) add(twin);
  }
  return stems;
}

function parseLine(line: string, affixes: AffixFile): Stem | null {
  // A tab, or a space before a morphological field such as "po:noun", ends the word.
  let entry = line.replace(/\t.*$/, "");
  const field = /\s+[a-z]{2}:/.exec(entry);
  if (field) entry = entry.slice(0, field.index);
  entry = entry.trimEnd();
  if (entry === "") return null;
  let slash = entry.indexOf("/", 1);
  while (slash > 0 && entry[slash - 1] === "\\") slash = entry.indexOf("/", slash + 1);
  const written = slash < 0 ? entry : entry.slice(0, slash);
  const flags = slash < 0 ? NO_FLAGS : affixes.reader.read(entry.slice(slash + 1));
  return { word: without(written.replaceAll("\\/", "/"), affixes.ignore), flags };
}

/** How a word's letters are cased. */
export type Casing = "none" | "initial" | "all" | "mixed" | "mixed-initial";

/** The casing of a word; letters without case count as small. */
export function casingOf(word: string): Casing {
  let upper = 0;
  let neutral = 0;
  for (const letter of word) {
    if (letter !== letter.toLowerCase()) upper++;
    else if (letter === upperCase(letter)) neutral++;
  }
  if (upper === 0) return "none";
  const first = word[0] ?? "";
  const initial = first !== first.toLowerCase();
  if (initial && upper === 1) return "initial";
  const letters = [...word].length;
  if (upper === letters || upper + neutral === letters) return "all";
  return initial ? "mixed-initial" : "mixed";
}

function upperCaseTwin(stem: Stem, affixes: AffixFile): Stem | null {
  const casing = casingOf(stem.word);
  const mixed = casing === "mixed" || casing === "mixed-initial";
  const inflected = casing === "all" && stem.flags.length > 0;
  if (!mixed && !inflected) return null;
  if (stem.flags.includes(affixes.forbiddenWord) && affixes.forbiddenWord !== 0) return null;
  return { word: capitalise(stem.word.toLowerCase()), flags: [...stem.flags, ONLY_UPPER_CASE] };
}

/** A word with its first letter in upper case. */
export function capitalise(word: string): string {
  return upperCase(word[0] ?? "") + word.slice(1);
}

/** Upper case letter by letter: a letter whose capital is two letters, such as ß, stays. */
export function upperCase(letter: string): string {
  const upper = letter.toUpperCase();
  return upper.length === letter.length ? upper : letter;
}
