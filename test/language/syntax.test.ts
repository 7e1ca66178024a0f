import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { readSentence } from "../../scripts/corpus/sentences.ts";
import { subjectOf } from "../../src/core/language/phrases/clauses.ts";
import { BRACKETED, QUOTED, type Syntax } from "../../src/core/language/phrases/syntax.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();
const read = (text: string) => readSentence(text, language);

const textOf = ({ text, units }: Syntax, { from, to }: { from: number; to: number }) =>
  text.slice(units[from]?.from, units[to - 1]?.to);

describe("noun groups", () => {
  test("run from the determiner to the head, with its number", () => {
    const syntax = read("All the old tide gauges near her house need a new float.");
    assert.deepEqual(
      syntax.nounGroups.map((group) => `${textOf(syntax, group)}: ${group.number}`),
      ["All the old tide gauges: plural", "her house: singular", "a new float: singular"],
    );
  });
});

describe("verb groups", () => {
  test("hold their auxiliaries and adverbs, with tense, voice and negation", () => {
    const syntax = read("The log was not often read, but she has to keep it and will copy it.");
    assert.deepEqual(
      syntax.verbGroups.map((group) => [textOf(syntax, group), group.tense, group.passive]),
      [
        ["was not often read", "past", true],
        ["has", "present", false],
        ["to keep", "none", false],
        ["will copy", "modal", false],
      ],
    );
    assert.equal(syntax.verbGroups[0]?.negated, true);
    assert.equal(syntax.verbGroups[2]?.infinitive, true);
  });
});

describe("the subject of a verb", () => {
  /** The head and number of the subject of the sentence's last finite verb. */
  const subject = (text: string) => {
    const syntax = read(text);
    const verb = syntax.verbGroups.findLast(({ finite }) => finite >= 0);
    const found = verb && subjectOf(syntax, verb);
    return found ? `${syntax.words[found.group.head]?.form} ${found.number}` : null;
  };

  // The cases that handbooks of grammar list under agreement; sentences of our own.
  for (const [text, expected] of [
    ["The level of the tides is high.", "level singular"],
    ["The keys to the gauge house were lost.", "keys plural"],
    ["Each of the gauges has a log.", "each singular"],
    ["The keeper, who knew the men, is late.", "keeper singular"],
    ["There were three ways in.", "ways plural"],
    ["The float and the wire were new.", "wire plural"],
    ["They met the men who read it.", "men plural"],
    ["Two thirds of the water was lost.", "thirds unknown"],
    ["Is the gauge shut?", "gauge singular"],
  ] as const) {
    test(`of “${text}” is: ${expected}`, () => assert.equal(subject(text), expected));
  }

  test("is not guessed at where there is none", () => {
    assert.equal(subject("Read the gauge at noon."), null);
  });
});

describe("places", () => {
  test("between quotation marks, plain and typographic, and in brackets are known", () => {
    const flags = (text: string) => {
      const syntax = read(text);
      return syntax.words.map(({ form }, unit) => {
        const place = syntax.places[unit] ?? 0;
        return form + (place & QUOTED ? "q" : "") + (place & BRACKETED ? "b" : "");
      });
    };
    assert.deepEqual(flags("She said “it is” (so)."), [
      "she",
      "said",
      "“q",
      "itq",
      "isq",
      "”q",
      "(b",
      "sob",
      ")b",
      ".",
    ]);
    assert.ok(flags('He wrote "no" there.').includes("noq"));
    assert.ok(!flags("The keepers' log isn't his.").some((one) => one.endsWith("q")));
  });
});
