import { writeFileSync } from "node:fs";
import path from "node:path";
import { differences } from "../src/core/language/corrections/edit-cost.ts";
import { rewriteKeys } from "../src/core/language/corrections/rewrites.ts";
import { misspellingPairs } from "./corpus/misspellings.ts";
import { recordInputs } from "./inputs.ts";

/** Counts data/rewrites.txt on the tuning part of the published misspellings. */

/** A slip seen once in all says more about one word than about spelling. */
const LEAST_TIMES = 2;

/** The table's lines, from pairs of words. */
export function countRewrites(pairs: readonly { wrong: string; right: string }[]): string {
  const times = new Map<string, number>();
  const chances = new Map<string, number>();
  const meantWords: string[] = [];
  for (const { wrong, right } of pairs) {
    if (!/^[a-z']+$/.test(right)) continue;
    meantWords.push(`^${right}$`);
    for (const { from, to, meantFrom, meantTo } of differences(wrong, right)) {
      const before = `^${right.slice(0, meantFrom)}`;
      const meant = right.slice(meantFrom, meantTo);
      const after = `${right.slice(meantTo)}$`;
      if (meant.length > 3 || to - from > 3) continue;
      const typed = wrong.slice(from, to);
      for (const key of rewriteKeys({ before, meant, after, typed })) {
        times.set(key, (times.get(key) ?? 0) + 1);
      }
    }
  }
  for (const word of meantWords) {
    for (let from = 0; from < word.length; from++) {
      for (let to = from + 1; to <= Math.min(word.length, from + 7); to++) {
        const piece = word.slice(from, to);
        chances.set(piece, (chances.get(piece) ?? 0) + 1);
      }
    }
  }
  const lines: string[] = [];
  for (const [key, count] of times) {
    const [before = "", meant = "", after = ""] = key.split("|");
    if (count >= LEAST_TIMES) lines.push(`${key}|${count}|${chances.get(before + meant + after)}`);
  }
  return lines.sort().join("\n");
}

if (process.argv[1] === import.meta.filename) {
  const text = countRewrites(misspellingPairs("tune"));
  writeFileSync(path.resolve(import.meta.dirname, "../data/rewrites.txt"), text);
  recordInputs("rewrites.txt");
  console.log(`${text.split("\n").length} lines, ${text.length} bytes`);
}
