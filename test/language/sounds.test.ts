import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { dictionary } from "cmu-pronouncing-dictionary";
import { openingSound } from "../../src/core/language/words/sounds.ts";
import { loadLanguage } from "../support/language.ts";

const { lexicon } = loadLanguage();

describe("the sound a word begins with", () => {
  test("is that of the CMU Pronouncing Dictionary for 99.5% of common words", () => {
    let all = 0;
    const wrong: string[] = [];
    for (const [word, sounds] of Object.entries(dictionary)) {
      if (!/^[a-z]+$/.test(word) || lexicon.frequency(word) < 8) continue;
      const sound = openingSound(word);
      if (sound === "either") continue;
      all++;
      const vowel = /^[AEIOU][A-Z]\d/.test(sounds);
      if ((sound === "vowel") !== vowel) wrong.push(word);
    }
    assert.ok(all > 6000);
    assert.ok(
      wrong.length < 0.005 * all,
      `${wrong.length} of ${all}: ${wrong.slice(0, 60).join(" ")}`,
    );
  });

  test("goes by the letters' names in abbreviations and by the words in numbers", () => {
    const vowel = ["MP", "HTML", "X-ray", "8", "18", "800", "11", "hour", "honest"];
    const consonant = ["BBC", "U-turn", "one-way", "1", "100", "unit", "European", "usual"];
    for (const word of vowel) assert.equal(openingSound(word), "vowel", word);
    for (const word of consonant) assert.equal(openingSound(word), "consonant", word);
    for (const word of ["historic", "hotel", "NATO", "1100"]) {
      assert.notEqual(openingSound(word), word === "NATO" ? "vowel" : "consonant", word);
    }
  });
});
