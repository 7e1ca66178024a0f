import assert from "node:assert/strict";
import { readFileSync } from "node:fs";
import path from "node:path";
import { test } from "node:test";
import { choiceSets } from "../../scripts/choice-sets.ts";
import { readSentence } from "../../scripts/corpus/sentences.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();
const file = path.resolve(import.meta.dirname, "../../data/choice-sets.txt");

test("sets are read with what sounds alike and what is two words", () => {
  assert.deepEqual(choiceSets("# a note\n= into in_to\nlater latter\n"), [
    { words: ["into", "in to"], soundAlike: true },
    { words: ["later", "latter"], soundAlike: false },
  ]);
});

test("no set stands twice, none has a word twice, and the models are those of the sets", () => {
  const sets = choiceSets(readFileSync(file, "utf8"));
  const keys = sets.map(({ words }) => [...words].sort().join(" "));
  assert.deepEqual(
    keys.filter((key, at) => keys.indexOf(key) !== at),
    [],
  );
  for (const { words } of sets) assert.equal(new Set(words).size, words.length, words.join(" "));
  const models = (language.choices?.models ?? []).filter(({ kind }) => kind === "words");
  assert.deepEqual(
    models.map(({ classes }) => classes),
    sets.map(({ words }) => words),
  );
});

/** Sentences of our own; each has one word of a set where another belongs. */
const CASES: readonly [string, string][] = [
  ["We use the boat for our every day work.", "everyday"],
  ["He was to tired to read the gauge.", "too"],
  ["The council gave him good advise on the matter.", "advice"],
  ["Do not loose the key to the gauge house.", "lose"],
  ["The storm had past before the boats were in.", "passed"],
];
for (const [text, meant] of CASES) {
  test(`“${meant}” is found for: ${text}`, () => {
    const { choices, trigrams } = language;
    assert.ok(choices && trigrams);
    const better = choices
      .better(readSentence(text, language), trigrams)
      .map(({ model, best }) => choices.models[model]?.classes[best]);
    assert.ok(better.includes(meant), `${better}`);
  });
}
