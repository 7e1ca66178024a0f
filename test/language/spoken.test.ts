import assert from "node:assert/strict";
import { readFileSync } from "node:fs";
import path from "node:path";
import { describe, test } from "node:test";
import { dictionary } from "cmu-pronouncing-dictionary";
import numbers from "number-to-words";
import { spokenSyllables } from "../../src/core/language/words/spoken.ts";
import { spokenNumber } from "../../src/core/language/words/spoken-numbers.ts";
import { Syllables } from "../../src/core/language/words/syllables.ts";
import { loadLanguage } from "../support/language.ts";
import { seeded } from "../support/random.ts";

const { toOrdinal, toWords, toWordsOrdinal } = numbers;
const data = path.resolve(import.meta.dirname, "../../data/syllables.txt");
const syllables = new Syllables(readFileSync(data, "utf8"));
const { lexicon } = loadLanguage();
const spoken = (run: string) =>
  spokenSyllables(run, syllables, (form) => lexicon.varieties(form) !== 0);

/** Syllables of words written out, so that a number can be held against its reading. */
const readOut = (words: string) =>
  words.split(/[ -]/).reduce((sum, word) => sum + syllables.count(word), 0);

describe("syllables", () => {
  test("are those of the CMU Pronouncing Dictionary for 98 words in 100 and more", () => {
    let all = 0;
    let right = 0;
    for (const [word, sounds] of Object.entries(dictionary)) {
      if (!/^[a-z][a-z'-]*$/.test(word)) continue;
      const theirs = sounds.match(/\d/g)?.length ?? 0;
      if (theirs === 0) continue;
      all++;
      if (syllables.count(word) === theirs) right++;
    }
    assert.ok(all > 100_000);
    assert.ok(right / all >= 0.98, `${right} of ${all}`);
  });

  test("of possessives follow from their owners", () => {
    assert.equal(syllables.count("tide’s"), syllables.count("tides"));
    assert.equal(syllables.count("gauge's"), syllables.count("gauge") + 1);
  });

  /** Written out by the package `number-to-words`, grouped by commas lest a number be read as a year. */
  test("of numbers are those of the words they are written out in", () => {
    const next = seeded(17);
    const written = (value: number) => value.toLocaleString("en-GB");
    const words = (value: number) => toWords(value).replaceAll(",", "");
    const values = Array.from({ length: 1000 }, (_, value) => value);
    for (let round = 0; round < 1500; round++) values.push(Math.floor(10 ** (next() * 9)));
    for (const value of values) {
      assert.equal(spokenNumber(written(value)), readOut(words(value)), `${value}`);
    }
    for (let value = 1; value < 1000; value++) {
      const ordinal = toOrdinal(value);
      const theirs = readOut(toWordsOrdinal(value).replaceAll(",", ""));
      assert.equal(spokenNumber(ordinal), theirs, ordinal);
    }
  });

  /** Readings: common practice of reading aloud. */
  for (const [written, reading] of [
    ["0", "zero"],
    ["7", "seven"],
    ["12", "twelve"],
    ["17", "seventeen"],
    ["20", "twenty"],
    ["71", "seventy-one"],
    ["100", "one hundred"],
    ["4,900", "four thousand nine hundred"],
    ["12,345", "twelve thousand three hundred forty-five"],
    ["1000000", "one million"],
    ["3.14", "three point one four"],
    ["1981", "nineteen eighty-one"],
    ["1905", "nineteen oh five"],
    ["1900", "nineteen hundred"],
    ["2005", "two thousand five"],
    ["2030", "twenty thirty"],
    ["1,981", "one thousand nine hundred eighty-one"],
    ["10:30", "ten thirty"],
    ["007", "zero zero seven"],
    ["1st", "first"],
    ["2nd", "second"],
    ["12th", "twelfth"],
    ["20th", "twentieth"],
    ["21st", "twenty-first"],
    ["42nd", "forty-second"],
  ] as const) {
    test(`${written} is read as ${reading}`, () => {
      assert.equal(spokenNumber(written), readOut(reading));
    });
  }

  for (const [written, reading] of [
    ["Dr", "doctor"],
    ["Dr.", "doctor"],
    ["etc.", "et cetera"],
    ["(e.g.", "for example"],
    ["fig", "fig"],
    ["fig.", "figure"],
    ["km", "kilometre"],
    ["5km", "five kilometre"],
    ["5%", "five per cent"],
    ["£3", "three pounds"],
    ["USA", "u s a"],
    ["BBC", "b b c"],
    ["NATO", "nato"],
    ["WARNING", "warning"],
    ["R&D", "r and d"],
    ["well-known", "well known"],
    ["“harbour”,", "harbour"],
    ["tide/ebb", "tide ebb"],
    ["keepers’", "keepers"],
    ["it’s", "its"],
  ] as const) {
    test(`${written} has the syllables of ${reading}`, () => {
      const expected = reading
        .split(" ")
        .reduce((sum, word) => sum + (/^[a-z]$/.test(word) ? 1 : syllables.count(word)), 0);
      assert.equal(spoken(written), expected);
    });
  }

  test("are one at least for whatever counts as a word", () => {
    for (const run of ["…a…", "x", "7", "Ω", "m³", "—b—"]) assert.ok(spoken(run) >= 1, run);
  });
});
