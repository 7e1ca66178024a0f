import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import dictionaryUs from "dictionary-en";
import dictionaryGb from "dictionary-en-gb";
import { misspellingPairs } from "../scripts/corpus/misspellings.ts";
import type { Variety } from "../src/core/manuscript/model.ts";

/**
 * Suggestions of Debian's hunspell command for the test pairs, asked once for each dictionary; the
 * returned function looks them up. Null where the command is not installed.
 */
export async function hunspellSuggestions(): Promise<
  ((word: string, variety: Variety) => string[]) | null
> {
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
    asked.set(variety, answers);
  }
  return (word, variety) => asked.get(variety)?.get(word) ?? [];
}

function askHunspell(
  { aff, dic }: { aff: Uint8Array; dic: Uint8Array },
  words: readonly string[],
): Map<string, string[]> | null {
  const folder = mkdtempSync(path.join(tmpdir(), "dry-run-bench-"));
  try {
    writeFileSync(path.join(folder, "d.aff"), aff);
    writeFileSync(path.join(folder, "d.dic"), dic);
    const { stdout, status } = spawnSync("hunspell", ["-a", "-i", "utf-8", "-d", `${folder}/d`], {
      input: `${words.map((word) => `^${word}`).join("\n")}\n`,
      encoding: "utf8",
      maxBuffer: 1 << 28,
    });
    if (status !== 0) return null;
    const answers = new Map<string, string[]>();
    for (const answer of stdout.split("\n")) {
      const match = /^& (\S+) \d+ \d+: (.*)$/.exec(answer);
      if (match) answers.set(match[1] ?? "", (match[2] ?? "").split(", "));
    }
    return answers;
  } finally {
    rmSync(folder, { recursive: true });
  }
}
