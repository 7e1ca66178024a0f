import dictionaryUs from "dictionary-en";
import dictionaryGb from "dictionary-en-gb";
import { askHunspell } from "../scripts/corpus/hunspell-command.ts";
import { misspellingPairs } from "../scripts/corpus/misspellings.ts";
import type { Variety } from "../src/core/manuscript/model.ts";

/**
 * Suggestions of the hunspell command for the test pairs, asked once for each dictionary; the
 * returned function looks them up. Null where the command is not installed.
 */
export function hunspellSuggestions(): ((word: string, variety: Variety) => string[]) | null {
  const words = misspellingPairs("test").map(({ wrong }) => wrong);
  const asked = new Map<string, Map<string, string[]>>();
  for (const [variety, dictionary] of [
    ["en-US", dictionaryUs],
    ["en-GB", dictionaryGb],
  ] as const) {
    const started = performance.now();
    const answers = askHunspell(dictionary, words);
    if (!answers) return null;
    const each = (performance.now() - started) / words.length;
    console.log(`hunspell command, ${variety}: ${each.toFixed(1)} ms each, start included`);
    asked.set(variety, new Map(words.map((word, index) => [word, answers[index] ?? []])));
  }
  return (word, variety) => asked.get(variety)?.get(word) ?? [];
}
