import { existsSync, readFileSync } from "node:fs";

/** The word lists of Debian's package `scowl` (Kevin Atkinson's SCOWL). */
const FOLDER = "/usr/share/dict/scowl";
const SIZES = [10, 20, 35, 40, 50, 55, 60, 70, 80, 95];

/** Words of the lists of some kinds ("english-words") whose size lies between two, inclusive. */
export function scowlWords(kinds: readonly string[], from: number, to: number): Set<string> {
  if (!existsSync(FOLDER)) throw new Error(`${FOLDER} is missing; install the package scowl`);
  const words = new Set<string>();
  for (const kind of kinds) {
    for (const size of SIZES.filter((one) => one >= from && one <= to)) {
      const file = `${FOLDER}/${kind}.${size}`;
      if (!existsSync(file)) continue;
      for (const word of readFileSync(file, "latin1").split("\n")) if (word !== "") words.add(word);
    }
  }
  return words;
}
