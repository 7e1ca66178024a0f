import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";

/** Debian's hunspell command, as a reference for the tests and benches. */

export interface DictionaryFiles {
  aff: Uint8Array;
  dic: Uint8Array;
}

/**
 * Whether the command knows each word, in order; null where it is not installed. Words are of
 * letters alone, since the command cuts others up.
 */
export function hunspellVerdicts(
  files: DictionaryFiles,
  words: readonly string[],
): boolean[] | null {
  const output = runHunspell(files, ["-l"], words);
  if (output === null) return null;
  const unknown = new Set(output.split("\n"));
  return words.map((word) => !unknown.has(word));
}

/** What the command would put in the place of each word; null where it is not installed. */
export function askHunspell(files: DictionaryFiles, words: readonly string[]): string[][] | null {
  // A caret keeps a line from being taken for a command.
  const lines = words.map((word) => `^${word}`);
  const output = runHunspell(files, ["-a"], lines);
  if (output === null) return null;
  const answers = output
    .split("\n")
    .slice(1)
    .filter((line) => line !== "");
  return words.map(
    (_, index) => /^& \S+ \d+ \d+: (.*)$/.exec(answers[index] ?? "")?.[1]?.split(", ") ?? [],
  );
}

function runHunspell(
  { aff, dic }: DictionaryFiles,
  options: readonly string[],
  lines: readonly string[],
): string | null {
  const folder = mkdtempSync(path.join(tmpdir(), "dry-run-"));
  try {
    writeFileSync(path.join(folder, "d.aff"), aff);
    writeFileSync(path.join(folder, "d.dic"), dic);
    const { stdout, status } = spawnSync(
      "hunspell",
      [...options, "-i", "utf-8", "-d", `${folder}/d`],
      {
        input: `${lines.join("\n")}\n`,
        encoding: "utf8",
        maxBuffer: 1 << 29,
        timeout: 500_000,
      },
    );
    return status === 0 ? stdout : null;
  } finally {
    rmSync(folder, { recursive: true });
  }
}

/**
 * Words of letters alone out of a list, evenly taken, every other one with a letter left out, so
 * that both verdicts occur.
 */
export function wordsAndSlips(words: readonly string[], count: number): string[] {
  const plain = [...new Set(words)].filter((word) => /^\p{L}{2,40}$/u.test(word));
  const step = Math.max(1, plain.length / count);
  const taken: string[] = [];
  for (let at = 0; at < plain.length && taken.length < count; at += step) {
    const word = plain[Math.floor(at)] ?? "";
    const cut = (Math.floor(at) * 7) % word.length;
    taken.push(taken.length % 2 ? word : word.slice(0, cut) + word.slice(cut + 1) || word);
  }
  return taken;
}
