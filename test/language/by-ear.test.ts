import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { loadLanguage } from "../../src/command/checking.ts";
import { correctWord } from "../../src/core/language/corrections/corrections.ts";
import { wordList } from "../../src/core/language/words/word-lists.ts";

const language = loadLanguage();
const first = (typed: string) =>
  correctWord(typed, { ...language, variety: "en-GB" }, 1)[0] ?? "none";
const five = (typed: string) => correctWord(typed, { ...language, variety: "en-GB" }, 5);

describe("words written by ear", () => {
  // Silent letters and sounds with several spellings, as primers list them; common practice.
  for (const [typed, right] of Object.entries({
    fone: "phone",
    nite: "night",
    enuf: "enough",
    sycology: "psychology",
    fotograf: "photograph",
    jiraf: "giraffe",
    rithem: "rhythm",
    nayber: "neighbour",
    shampain: "champagne",
    kemist: "chemist",
    kwestion: "question",
    skool: "school",
    tuff: "tough",
    laff: "laugh",
    neumonia: "pneumonia",
    rinkle: "wrinkle",
    gastly: "ghastly",
    eskape: "escape",
    riting: "writing",
  })) {
    test(`“${typed}” is heard as “${right}”`, () => assert.equal(first(typed), right));
  }

  test("a short one is among the five", () => assert.ok(five("yot").includes("yacht")));

  test("are heard in capitals too", () => {
    assert.equal(first("Fone"), "Phone");
    assert.equal(first("FONE"), "PHONE");
  });

  test("the trie gives each word once, with the fewest places that sound otherwise", () => {
    const heard = language.lexicon.heard("fotograf", "en-GB", 3);
    const words = heard.map(({ word }) => word);
    assert.deepEqual(words, [...new Set(words)]);
    assert.equal(heard.find(({ word }) => word === "photograph")?.times, 2);
    assert.equal(language.lexicon.heard("fotograf", "en-GB", 1).length, 0);
    const same = language.lexicon.heard("tide", "en-GB", 0).map(({ word }) => word);
    assert.ok(same.includes("tide") && same.every((word) => word.toLowerCase() === "tide"));
  });
});

describe("corrections", () => {
  test("of a word in small letters hold no second one that differs by a capital alone", () => {
    for (const typed of ["nite", "rite", "rithem", "polsh", "turky"]) {
      const lower = five(typed).map((one) => one.toLowerCase());
      assert.deepEqual(lower, [...new Set(lower)], typed);
    }
  });

  test("of a name or a term are never a crime, a part of the body or a slur", () => {
    const delicate = wordList("corrections/delicate");
    const isDelicate = (word: string) =>
      delicate.has(word.toLowerCase()) || delicate.has(word.toLowerCase().replace(/s$/, ""));
    let tried = 0;
    for (const word of delicate) {
      // A name one letter longer, and a term two letters away.
      for (const typed of [
        `${word[0]?.toUpperCase()}${word.slice(1)}o`,
        `${word[0]?.toUpperCase()}${word.slice(1, -1)}`,
        `${word}iq`,
      ]) {
        tried++;
        const offered = five(typed).filter(isDelicate);
        assert.deepEqual(offered, [], typed);
      }
    }
    assert.ok(tried > 300, String(tried));
  });

  test("of a plain slip in such a word still hold it", () => {
    assert.equal(first("muderer"), "murderer");
    assert.ok(five("brest").includes("breast"));
  });
});
