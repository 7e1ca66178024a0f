import assert from "node:assert/strict";
import { readFileSync } from "node:fs";
import path from "node:path";
import { test } from "node:test";
import { loadLanguage } from "../../src/command/checking.ts";
import { SUBJECTS, type Subject } from "../../src/core/house/subjects.ts";

const { lexicon } = loadLanguage();

function wordsOf(subject: Subject): string[] {
  const file = path.resolve(import.meta.dirname, `../../data/subjects/${subject}.txt`);
  return readFileSync(file, "utf8").split("\n");
}

for (const { id } of SUBJECTS) {
  test(`the words of ${id} are single words, each once, which the lexicon lacks`, () => {
    const words = wordsOf(id);
    assert.ok(words.length > 100);
    assert.deepEqual([...new Set(words)], words);
    for (const word of words) {
      assert.match(word, /^\p{L}{3,}$/u);
      assert.equal(lexicon.varieties(word), 0, word);
    }
  });
}

test("the words of law have the parties, pleas and Latin of deeds and courts", () => {
  // Webster's Revised Unabridged Dictionary (1913), entries under “Law”.
  const law = new Set(wordsOf("law"));
  const parties = ["grantor", "covenantor", "promisor", "salvor", "vouchee"];
  const pleas = ["tortiously", "replevied", "attornment", "facias", "obiter", "duces"];
  for (const word of [...parties, ...parties.map((one) => `${one}s`), ...pleas])
    assert.ok(law.has(word) || lexicon.varieties(word) !== 0, word);
  for (const word of ["grantor", "tortiously", "attornment"]) assert.ok(law.has(word), word);
});

test("no misprint of the dictionary became a word of law", () => {
  const law = new Set(wordsOf("law"));
  // So printed there for “estopped” and “reviewing”; and verbs inflected against the rule.
  for (const word of ["estophed", "reveiwing", "begged", "beged", "finded", "breaked", "gived"])
    assert.ok(!law.has(word), word);
});
