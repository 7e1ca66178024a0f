import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { readSentence } from "../../scripts/corpus/sentences.ts";
import { isBareByCustom } from "../../src/core/checks/grammar/articles/bare-by-custom.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();

/** The heads of the noun groups of a sentence that may stand bare by custom. */
function bare(text: string): string[] {
  const syntax = readSentence(text, language);
  return syntax.nounGroups
    .filter((group) => group.determiner < 0 && !group.pronoun && isBareByCustom(syntax, group))
    .map(({ head }) => syntax.words[head]?.form ?? "");
}

describe("a noun that stands without an article by custom", () => {
  test("is one of a fixed phrase", () => {
    assert.deepEqual(bare("The launch came in at high tide."), ["tide"]);
    assert.deepEqual(bare("The keepers took part and the oar stood on end."), ["part", "end"]);
  });

  test("is either end of a way, or the same noun twice", () => {
    assert.deepEqual(bare("They walked from pier to quay."), ["pier", "quay"]);
    assert.deepEqual(bare("The height was read hour by hour."), ["hour", "hour"]);
  });

  test("is an office that one holds, or what one is after one's name", () => {
    assert.deepEqual(bare("She served as keeper for a year."), ["keeper"]);
    assert.deepEqual(bare("A letter came from Orrin Vale, keeper of the gauge."), ["keeper"]);
  });

  test("shares the determiner of the noun before “and”", () => {
    assert.deepEqual(bare("She noted the height and time of each reading."), ["time"]);
  });

  test("is no other one", () => {
    assert.deepEqual(bare("They built wall along the quay."), []);
    assert.deepEqual(bare("She wrote letter to office."), []);
    assert.deepEqual(bare("He cleaned lamp and float."), []);
  });
});
