import { writeFileSync } from "node:fs";
import path from "node:path";
import { dictionary } from "cmu-pronouncing-dictionary";
import { syllable } from "syllable";
import { recordInputs } from "./inputs.ts";

/**
 * Builds data/syllables.txt: words, names among them, that the `syllable` package counts otherwise
 * than the CMU Pronouncing Dictionary says them, as lines "word count". Possessives follow from their
 * owners.
 */
const lines: string[] = [];
let all = 0;
for (const [word, sounds] of Object.entries(dictionary)) {
  if (!/^[a-z]+$/.test(word)) continue;
  const spoken = sounds.match(/\d/g)?.length ?? 0;
  all++;
  if (spoken > 0 && spoken !== syllable(word)) lines.push(`${word} ${spoken}`);
}
const text = lines.sort().join("\n");
writeFileSync(path.resolve(import.meta.dirname, "../data/syllables.txt"), text);
recordInputs("syllables.txt");
console.log(`${lines.length} of ${all} words, ${text.length} bytes`);
