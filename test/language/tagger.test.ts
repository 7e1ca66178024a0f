import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { brownTexts } from "../../scripts/corpus/brown.ts";
import { Tagger } from "../../src/core/language/tags/tagger.ts";
import { TAGS } from "../../src/core/language/tags/tags.ts";
import { splitSentences } from "../../src/core/language/text/sentences.ts";
import { tokenise } from "../../src/core/language/text/tokens.ts";
import { unitsOf } from "../../src/core/language/text/units.ts";
import { loadLanguage } from "../support/language.ts";

const { tagger } = loadLanguage();

function tagged(text: string): string[] {
  const units = unitsOf(text, tokenise(text));
  const opens = new Set(splitSentences(text).map(({ from }) => from));
  const { tags } = tagger.tag(text, units, opens);
  return units.map(({ from, to }, index) => `${text.slice(from, to)}/${TAGS[tags[index] ?? 0]}`);
}

describe("typeset marks", () => {
  const texts = [
    ['The "old" lamp was "shut," she said.', "The “old” lamp was “shut,” she said."],
    ['"Is anybody out there?" he cried.', "“Is anybody out there?” he cried."],
    ["The lamp — an old one — was lit.", "The lamp – an old one – was lit."],
  ] as const;
  for (const [typed, typeset] of texts) {
    test(`leave the words of ${typeset} as they are`, () => {
      const kinds = (text: string) => tagged(text).map((one) => one.slice(one.lastIndexOf("/")));
      assert.deepEqual(kinds(typeset), kinds(typed));
    });
  }

  test("and words that every object has are words", () => {
    for (const word of ["constructor", "toString", "valueOf"]) {
      assert.equal(tagged(`The ${word} was read.`).length, 5);
    }
  });

  test("and signs of money are numbers", () => {
    assert.deepEqual(tagged("It cost £30 and €40.").slice(2, 7), [
      "£/CD",
      "30/CD",
      "and/CC",
      "€/CD",
      "40/CD",
    ]);
  });
});

describe("units", () => {
  const units = (text: string) =>
    unitsOf(text, tokenise(text)).map(({ from, to }) => text.slice(from, to));

  test("cut clitics off their words and keep full stops with abbreviations and initials", () => {
    assert.deepEqual(units("They don't; she'll say it’s Vale's."), [
      "They",
      "do",
      "n't",
      ";",
      "she",
      "'ll",
      "say",
      "it",
      "’s",
      "Vale",
      "'s",
      ".",
    ]);
    assert.deepEqual(units("Dr. J. K. Vale cannot, e.g. now."), [
      "Dr.",
      "J.",
      "K.",
      "Vale",
      "can",
      "not",
      ",",
      "e.g.",
      "now",
      ".",
    ]);
  });

  test("cover every token once, in order", () => {
    const text =
      "Mr. O'Dell's boats (4,900 m³) won't wait, U.S. or not – see www.gannet-head.example.";
    let at = 0;
    for (const { from, to } of unitsOf(text, tokenise(text))) {
      assert.ok(from >= at && to > from);
      assert.match(text.slice(at, from), /^\s*$/);
      at = to;
    }
    assert.equal(at, text.length);
  });
});

describe("the tagger", () => {
  test("tells a noun from a verb by what stands around it", () => {
    assert.ok(tagged("They record the tide.").includes("record/VB"));
    assert.ok(tagged("The record was lost.").includes("record/NN"));
    assert.ok(tagged("She saw that that gauge had slipped.").includes("had/VBD"));
    assert.deepEqual(tagged("It doesn't matter."), [
      "It/PPS",
      "does/VBZ",
      "n't/NOT",
      "matter/VB",
      "./.",
    ]);
  });

  test("is right for most of the tokens of Brown texts it was not trained on", () => {
    let all = 0;
    let right = 0;
    for (const { blocks } of brownTexts()
      .filter(({ part }) => part === "test")
      .slice(0, 8)) {
      for (const { text, sentences, tokens } of blocks) {
        const { tags } = tagger.tag(text, tokens, new Set(sentences.map(({ from }) => from)));
        all += tokens.length;
        right += tokens.filter(({ tag }, index) => TAGS[tags[index] ?? 0] === tag).length;
      }
    }
    assert.ok(all > 15_000);
    assert.ok(right / all > 0.965, `${right} of ${all}`);
  });

  test("gives the same tags when asked again, and whatever stood in blocks before", () => {
    const before = tagged("The gauge was read at noon.");
    tagged("Noon read the gauge, was at.");
    assert.deepEqual(tagged("The gauge was read at noon."), before);
  });

  test("refuses bytes that are no model", () => {
    assert.throws(() => new Tagger(new Uint8Array(64), () => 0), RangeError);
    assert.throws(() => new Tagger(new Uint8Array(3), () => 0), RangeError);
  });
});
