import assert from "node:assert/strict";
import { readFileSync } from "node:fs";
import path from "node:path";
import { describe, test } from "node:test";
import { matchesOf } from "../../src/core/checks/patterns/all-patterns.ts";
import { analyse } from "../../src/core/language/analysis.ts";
import { PHRASE_LISTS, phraseLines } from "../../src/core/language/phrases/phrase-lists.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();
const folder = path.resolve(import.meta.dirname, "../../data/phrases");

/**
 * The words that a line of nothing but words asks for, the first of each choice; null for a line that
 * asks for parts of speech or names a list, which takes a sentence of its own.
 */
function wordsOf(line: string): string | null {
  const [left = ""] = line.split(/ => | :: /);
  const words: string[] = [];
  for (const piece of left.replace(/[[\]]/g, " ").trim().split(/\s+/)) {
    if (piece === "<s>" || piece === "</s>" || /^[^?*]+[?*]$/.test(piece)) continue;
    const [first = ""] = piece === "|" ? [piece] : piece.split("|");
    const word = first.replace(/~$/, "");
    if (/^[!@_]|[A-Z/]/.test(word) || word === "") return null;
    words.push(word);
  }
  return words
    .join(" ")
    .replace(/ (?=['’.,;:?!]|n['’]t\b)/g, "")
    .replace(/^./, (letter) => letter.toUpperCase());
}

describe("every line of a phrase list finds what it asks for", () => {
  for (const list of PHRASE_LISTS) {
    test(list, () => {
      const lines = phraseLines(readFileSync(path.join(folder, `${list}.txt`), "utf8"));
      const missed: string[] = [];
      let asked = 0;
      for (const line of lines) {
        const words = wordsOf(line);
        if (words === null) continue;
        asked++;
        const block = analyse("paragraph", words, [], language);
        const found = matchesOf(block, language).some((own) =>
          own?.some(({ pattern }) => pattern.source === line),
        );
        if (!found) missed.push(`${line} in “${words}”`);
      }
      assert.ok(asked > 0);
      assert.deepEqual(missed, []);
    });
  }

  test("and no line stands twice in one list", () => {
    for (const list of PHRASE_LISTS) {
      const lines = phraseLines(readFileSync(path.join(folder, `${list}.txt`), "utf8"));
      const twice = lines.filter((line, at) => lines.indexOf(line) !== at);
      assert.deepEqual(twice, [], list);
    }
  });
});
