import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { checkText } from "../../src/command/checking.ts";
import { CHECKS } from "../../src/core/checks/index.ts";
import { Engine } from "../../src/core/engine/engine.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();
const options = { variety: "en-GB", kind: "report", passes: ["spelling"] } as const;
const words = (text: string) =>
  checkText(linesManuscript(text), language, options).marks.map(
    ({ text: word, weight }) => `${word}:${weight}`,
  );

describe("unknown words", () => {
  test("with a capital inside a sentence are likely names: to settle, not to fix", () => {
    assert.deepEqual(words("We met Harbourd by the lock."), ["Harbourd:settle"]);
    assert.deepEqual(words("We met harbourd by the lock."), ["harbourd:fix"]);
  });

  test("with a capital inside a sentence and near no common word are taken for names", () => {
    assert.deepEqual(words("We met Quillfrost by the lock."), []);
    assert.deepEqual(words("We met quillfrost by the lock."), [], "a term, near no word at all");
    assert.deepEqual(words("It was cold in Febuary."), ["Febuary:fix"]);
  });

  test("that the person's own sound rules explain are slips, though no word is near", () => {
    const engine = new Engine(linesManuscript("It was a kwestion of time."), language, {
      variety: "en-GB",
      kind: "report",
      appetites: {},
      words: [],
      soundRules: [{ typed: "kw", meant: "qu" }],
    });
    for (const _ of engine.examineAll());
    assert.deepEqual(
      engine.allMarks().map(({ text, weight }) => `${text}:${weight}`),
      ["kwestion:fix"],
    );
  });

  test("introduced by a title or an initial are names wherever they stand", () => {
    assert.deepEqual(
      words("We met Dr. Harbourd.\nHarbourd had read it. So had Harbourd’s aunt."),
      [],
    );
    assert.deepEqual(words("As A. B. Harbourd wrote."), []);
  });

  test("that recur with a capital each time are left alone", () => {
    assert.deepEqual(words("By Leetford. To Leetford, from Leetford and on."), []);
  });

  test("of another variety are said to be that", () => {
    const { marks } = checkText(linesManuscript("The color of it."), language, options);
    assert.match(marks[0]?.reason ?? "", /British spelling has “colour”/);
  });

  test("short capitals, roman numerals, prefixes and single letters are left alone", () => {
    assert.deepEqual(words("The GHTO and NTSLF, part XVII, a re-survey (see b), anti-harbuor."), [
      "harbuor:fix",
    ]);
  });

  test("on a word list are left alone in every form", () => {
    const text = "A quillfrost and two Quillfrost’s, the quillfrosts.";
    const engine = new Engine(linesManuscript(text), language, {
      ...options,
      appetites: {},
      words: ["quillfrost"],
      leave: { terms: false },
    });
    for (const _ of engine.examineAll());
    assert.deepEqual(
      engine.allMarks().map(({ text: word }) => word),
      ["quillfrosts"],
    );
  });
});

test("a check that is switched off marks nothing, and nothing else changes", () => {
  const text = "The the tide was recieved.";
  const settings = { ...options, appetites: {}, words: [] };
  const engine = new Engine(linesManuscript(text), language, settings);
  for (const _ of engine.examineAll());
  const all = engine.allMarks().map(({ rule }) => rule);
  assert.deepEqual(all, ["spelling/doubled-word", "spelling/unknown-word"]);
  for (const { id } of CHECKS) {
    engine.configure({ ...settings, appetites: { [id]: "off" } });
    assert.deepEqual(
      engine.allMarks().map(({ rule }) => rule),
      all.filter((rule) => rule !== id),
    );
  }
});
