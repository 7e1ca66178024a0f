import { z } from "zod";
import { guessDelimiter, parseRecords, writeField } from "../formats/csv/records.ts";
import { guardFormula } from "../formats/sheet.ts";
import { decodeText } from "../formats/text-source.ts";
import { decodeDictionary } from "../language/hunspell/decode.ts";
import { HunspellDictionary } from "../language/hunspell/dictionary.ts";
import { wordForms } from "../language/hunspell/forms.ts";
import type { Rule } from "./rules.ts";
import { type HouseStyle, type ListedWord, type Replacement, readHouseStyle } from "./style.ts";
import { readTerms, TERM_COLUMNS, termRows } from "./term-file.ts";

/** Word lists and replacements as files: text, Hunspell dictionaries, CSV and JSON. */

export const EXCHANGE_FORMS = ["txt", "dic", "csv", "json"] as const;
export type ExchangeForm = (typeof EXCHANGE_FORMS)[number];

/** More words than this are a dictionary for a language, not a list. */
export const MAX_WORDS = 400_000;

export interface Imported {
  words: { word: string; note?: string }[];
  replacements: Pick<Replacement, "from" | "to" | "exceptions">[];
  /** Rules, where the file is a list of them. */
  rules?: Rule[];
  /** The whole style, where the file is one. */
  style: HouseStyle | null;
  /** What was passed over, as sentences. */
  notes: string[];
}

export interface NamedFile {
  name: string;
  bytes: Uint8Array;
}

/**
 * Reads a list from a file, or from a .dic with the .aff beside it. Throws RangeError with a
 * sentence where the file is no list.
 */
export function importFiles(files: readonly NamedFile[]): Imported {
  const dic = files.find(({ name }) => /\.dic$/i.test(name));
  const aff = files.find(({ name }) => /\.aff$/i.test(name));
  if (dic) return importDictionary(dic.bytes, aff?.bytes ?? new Uint8Array(0));
  if (aff)
    throw new RangeError(
      "An .aff file is the rules of a dictionary: choose its .dic file with it.",
    );
  const [file] = files;
  if (!file) throw new RangeError("Choose a file.");
  const { text } = decodeText(file.bytes);
  if (/\.json$/i.test(file.name)) return importJson(text);
  if (/\.csv$/i.test(file.name)) return importCsv(text);
  if (/\.txt$/i.test(file.name)) return importText(text);
  throw new RangeError("Lists are read from .txt, .dic with .aff, .csv and .json files.");
}

const nothing = (): Imported => ({ words: [], replacements: [], style: null, notes: [] });

function importText(text: string): Imported {
  const imported = nothing();
  for (const line of text.split("\n")) {
    const word = line.trim();
    if (word === "" || word.startsWith("#")) continue;
    const arrow = /^(.+?)\s*(?:→|->|=>)\s*(.+)$/.exec(word);
    if (arrow?.[1] && arrow[2]) {
      imported.replacements.push({ from: arrow[1], to: arrow[2], exceptions: [] });
    } else if (isWord(word)) imported.words.push({ word });
    else passOver(imported, word);
  }
  return limited(imported);
}

/** Columns "word, note", or "from, to, exceptions" where the first line says so. */
function importCsv(text: string): Imported {
  const imported = nothing();
  const rows = parseRecords(text, guessDelimiter(text)).map((row) =>
    row.map((field) => withoutGuard(field.text.trim())),
  );
  const head = rows[0]?.map((name) => name.toLowerCase()) ?? [];
  if (head.includes("not") && (head.includes("use") || head.includes("write"))) {
    return { ...imported, ...readTerms(head, rows.slice(1)) };
  }
  const replaces = head.includes("from") && head.includes("to");
  const titled = replaces || head.includes("word");
  const column = (name: string, otherwise: number) => {
    const at = head.indexOf(name);
    return titled ? at : otherwise;
  };
  for (const row of titled ? rows.slice(1) : rows) {
    if (replaces) {
      const [from, to] = [row[column("from", 0)], row[column("to", 1)]];
      const exceptions = (row[column("exceptions", 2)] ?? "").split(";").map((one) => one.trim());
      if (from && to) {
        imported.replacements.push({
          from,
          to,
          exceptions: exceptions.filter((one) => one !== ""),
        });
      }
      continue;
    }
    const word = row[column("word", 0)] ?? "";
    const note = row[column("note", 1)] ?? "";
    if (word === "") continue;
    if (isWord(word)) imported.words.push(note ? { word, note } : { word });
    else passOver(imported, word);
  }
  return limited(imported);
}

function importJson(text: string): Imported {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new RangeError("This .json file is not complete: it can’t be read to its end.");
  }
  const imported = nothing();
  const plain = z.array(z.string()).safeParse(value);
  if (plain.success) {
    for (const word of plain.data) {
      if (isWord(word.trim())) imported.words.push({ word: word.trim() });
      else passOver(imported, word);
    }
    return limited(imported);
  }
  if (typeof value !== "object" || value === null || Array.isArray(value)) {
    throw new RangeError("This .json file holds neither a list of words nor a house style.");
  }
  return { ...imported, style: readHouseStyle(value) };
}

function importDictionary(dic: Uint8Array, aff: Uint8Array): Imported {
  const texts = decodeDictionary(aff, dic);
  const dictionary = new HunspellDictionary(texts.aff, texts.dic);
  const words = new Set<string>();
  for (const { word } of wordForms(dictionary)) {
    words.add(word);
    if (words.size > MAX_WORDS) {
      throw new RangeError(
        "This dictionary makes more than 400,000 words: it is one for a whole language, not a list.",
      );
    }
  }
  return { ...nothing(), words: [...words].map((word) => ({ word })) };
}

function isWord(text: string): boolean {
  return text.length <= 80 && /^[\p{L}\p{N}][\p{L}\p{N}\p{M}'’ .&/-]*$/u.test(text);
}

function passOver(imported: Imported, text: string): void {
  if (imported.notes.length < 5)
    imported.notes.push(`“${text.slice(0, 40)}” is no word and was passed over.`);
}

function limited(imported: Imported): Imported {
  if (imported.words.length <= MAX_WORDS) return imported;
  throw new RangeError("This file holds more than 400,000 words, which is no list.");
}

/** Takes off the apostrophe that keeps a spreadsheet program from running a text. */
function withoutGuard(text: string): string {
  return /^'[=+\-@]/.test(text) ? text.slice(1) : text;
}

/** Words of a list as a file. A .dic is without affixes, so that every program reads it alike. */
export function exportWords(words: readonly ListedWord[], form: ExchangeForm): string {
  const sorted = words.toSorted((a, b) => a.word.localeCompare(b.word, "en"));
  switch (form) {
    case "txt":
      return sorted.map(({ word }) => `${word}\n`).join("");
    case "dic":
      return `${sorted.length}\n${sorted.map(({ word }) => `${word.replaceAll("/", "\\/")}\n`).join("")}`;
    case "csv":
      return csv([
        ["word", "note", "added"],
        ...sorted.map((one) => [one.word, one.note ?? "", one.addedAt]),
      ]);
    case "json":
      return `${JSON.stringify(
        sorted.map(({ word }) => word),
        null,
        2,
      )}\n`;
  }
}

/** Replacements as CSV. */
export function exportReplacements(replacements: readonly Replacement[]): string {
  return csv([
    ["from", "to", "exceptions"],
    ...replacements.map(({ from, to, exceptions }) => [from, to, exceptions.join("; ")]),
  ]);
}

/** Rules of terms as CSV: one a line, with semicolons between several words. */
export function exportTerms(rules: readonly Rule[]): string {
  return csv([[...TERM_COLUMNS], ...termRows(rules)]);
}

/** Rows as CSV (RFC 4180), with what a spreadsheet program would run made plain text. */
export function csv(rows: readonly (readonly string[])[]): string {
  return rows
    .map((row) => `${row.map((text) => writeField(guardFormula(text), ",", false)).join(",")}\r\n`)
    .join("");
}
