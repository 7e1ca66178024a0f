import assert from "node:assert/strict";
import { describe, test } from "node:test";
import dictionaryUs from "dictionary-en";
import dictionaryAu from "dictionary-en-au";
import dictionaryCa from "dictionary-en-ca";
import dictionaryGb from "dictionary-en-gb";
import nspell from "nspell";
import { correctWord } from "../../src/core/language/corrections/corrections.ts";
import { channelCost } from "../../src/core/language/corrections/edit-cost.ts";
import { guessVariety } from "../../src/core/language/text/variety.ts";
import { judgeWord } from "../../src/core/language/words/known.ts";
import { ABBREVIATION, Lexicon, NAME } from "../../src/core/language/words/lexicon.ts";
import { soundKey } from "../../src/core/language/words/sound-key.ts";
import type { Variety } from "../../src/core/manuscript/model.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();
const { lexicon } = language;

describe("the lexicon", () => {
  test("knows the words that nspell knows by the same dictionaries, and its own additions", () => {
    const spellers = {
      "en-US": dictionaryUs,
      "en-GB": dictionaryGb,
      "en-CA": dictionaryCa,
      "en-AU": dictionaryAu,
    };
    const differing: string[] = [];
    let count = 0;
    for (const [variety, { aff, dic }] of Object.entries(spellers)) {
      const speller = nspell({ aff: Buffer.from(aff), dic: Buffer.from(dic) });
      for (const { word, rare } of lexicon.words()) {
        if (++count % 11 !== 0) continue;
        const theirs = speller.correct(word);
        const ours = judgeWord(word, lexicon, variety as Variety) === "known";
        const added =
          rare ||
          lexicon.isRare(word.toLowerCase()) ||
          (lexicon.traits(word) & (NAME | ABBREVIATION)) !== 0;
        if (theirs ? !ours : ours && !added) differing.push(`${word} ${variety} ${theirs}`);
      }
    }
    assert.ok(count > 600_000);
    assert.deepEqual(differing.slice(0, 20), []);
  });

  test("knows a capitalised word by its lower-case entry and not the other way round", () => {
    const known = (word: string) => judgeWord(word, lexicon, "en-GB") === "known";
    assert.deepEqual(["tide", "Tide", "TIDE", "tIde"].map(known), [true, true, true, false]);
    assert.deepEqual(["Paris", "PARIS", "paris"].map(known), [true, true, false]);
    assert.deepEqual(["tide's", "tides'", "tide’s", "don’t", "co\u00adoperate"].map(known), [
      true,
      true,
      true,
      true,
      true,
    ]);
  });

  test("tells varieties apart, British with -ize from British with -ise", () => {
    assert.equal(judgeWord("color", lexicon, "en-GB"), "other-variety");
    assert.equal(judgeWord("colour", lexicon, "en-US"), "other-variety");
    assert.equal(judgeWord("organize", lexicon, "en-GB"), "other-variety");
    assert.equal(judgeWord("organize", lexicon, "en-GB-oxendict"), "known");
    assert.equal(judgeWord("organise", lexicon, "en-GB-oxendict"), "other-variety");
    assert.equal(judgeWord("analyse", lexicon, "en-GB-oxendict"), "known");
    assert.equal(judgeWord("colour", lexicon, "en-GB-oxendict"), "known");
    assert.equal(judgeWord("organise", lexicon, "en-US"), "other-variety");
    assert.equal(judgeWord("recieved", lexicon, "en-GB"), "unknown");
  });

  test("finds exactly the words within a distance, by a plain count of edits", () => {
    const words = [...lexicon.words()]
      .filter(({ varieties }) => varieties & 2)
      .map(({ word }) => word);
    for (const query of ["harbuor", "tde", "soundngs"]) {
      const wanted = new Set(words.filter((word) => distance(query, word.toLowerCase()) <= 2));
      const found = lexicon.near(query, 2, "en-GB", "names").map(({ word }) => word);
      const missing = [...wanted].filter((word) => !found.includes(word));
      // Words not to be offered are the only ones it may leave out.
      assert.ok(missing.length <= 3, `${query}: ${missing}`);
      assert.deepEqual(
        found.filter((word) => !wanted.has(word)),
        [],
      );
    }
  });

  test("refuses bytes that are no lexicon", () => {
    assert.throws(() => new Lexicon(new Uint8Array(10)), RangeError);
    assert.throws(() => new Lexicon(new Uint8Array(1000)), RangeError);
  });
});

describe("corrections", () => {
  const first = (word: string) => correctWord(word, { ...language, variety: "en-GB" }, 5)[0];

  test("of common slips come first", () => {
    assert.deepEqual(
      ["recieved", "teh", "alot", "seperate", "Febuary", "accomodate", "untill"].map(first),
      ["received", "the", "a lot", "separate", "February", "accommodate", "until"],
    );
  });

  test("keep capitals and possessives", () => {
    assert.equal(first("Recieved"), "Received");
    assert.equal(first("RECIEVED"), "RECEIVED");
    assert.equal(first("harbuor's"), "harbour's");
    assert.equal(first("harbuor’s"), "harbour’s");
  });

  test("cost nothing when nothing differs, less for a likely slip", () => {
    const cost = (typed: string, meant: string) => channelCost(typed, meant, language.rewrites);
    assert.equal(cost("tide", "tide"), 0);
    assert.ok(cost("teh", "the") < cost("tqe", "the"));
    assert.equal(soundKey("fotograf"), soundKey("photograph"));
  });
});

test("the variety is guessed from words that only one variety has", () => {
  const guess = (text: string) => guessVariety(text, lexicon, "en-GB");
  assert.equal(guess("The color of the harbor at the center."), "en-US");
  assert.equal(guess("The colour of the harbour at the centre."), "en-GB");
  assert.equal(guess("The tide turns."), "en-GB");
  assert.equal(guessVariety("The tide turns.", lexicon, "en-US"), "en-US");
});

/** Restricted Damerau-Levenshtein distance, written out. */
function distance(a: string, b: string): number {
  const rows = Array.from({ length: a.length + 1 }, () => new Array<number>(b.length + 1).fill(0));
  const at = (i: number, j: number) => rows[i]?.[j] ?? 0;
  for (let i = 0; i <= a.length; i++) {
    for (let j = 0; j <= b.length; j++) {
      let best = i === 0 ? j : j === 0 ? i : Number.POSITIVE_INFINITY;
      if (i > 0 && j > 0) {
        best = Math.min(
          at(i - 1, j) + 1,
          at(i, j - 1) + 1,
          at(i - 1, j - 1) + (a[i - 1] === b[j - 1] ? 0 : 1),
        );
        if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1]) {
          best = Math.min(best, at(i - 2, j - 2) + 1);
        }
      }
      const row = rows[i];
      if (row) row[j] = best;
    }
  }
  return at(a.length, b.length);
}
