import assert from "node:assert/strict";
import { describe, test } from "node:test";
import dictionaryUs from "dictionary-en";
import dictionaryGb from "dictionary-en-gb";
import nspell from "nspell";
import { correctWord } from "../../src/core/language/corrections.ts";
import { channelCost, soundKey } from "../../src/core/language/edit-cost.ts";
import { judgeWord } from "../../src/core/language/known.ts";
import { Lexicon } from "../../src/core/language/lexicon.ts";
import { guessVariety } from "../../src/core/language/variety.ts";
import { loadLexicon } from "../support/lexicon.ts";

const lexicon = loadLexicon();

describe("the lexicon", () => {
  test("knows every word of the dictionaries it was built from, by nspell's reading of them", () => {
    const spellers = {
      "en-US": nspell({ aff: Buffer.from(dictionaryUs.aff), dic: Buffer.from(dictionaryUs.dic) }),
      "en-GB": nspell({ aff: Buffer.from(dictionaryGb.aff), dic: Buffer.from(dictionaryGb.dic) }),
    };
    const differing: string[] = [];
    let count = 0;
    for (const { word } of lexicon.words()) {
      if (++count % 7 !== 0) continue;
      for (const variety of ["en-US", "en-GB"] as const) {
        const theirs = spellers[variety].correct(word);
        const ours = judgeWord(word, lexicon, variety) === "known";
        const oxford = variety === "en-GB" && /iz/.test(word);
        if (theirs !== ours && !oxford) differing.push(`${word} ${variety} ${theirs}`);
      }
    }
    assert.ok(count > 90_000);
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

  test("tells varieties apart, and takes -ize for British too", () => {
    assert.equal(judgeWord("color", lexicon, "en-GB"), "other-variety");
    assert.equal(judgeWord("colour", lexicon, "en-US"), "other-variety");
    assert.equal(judgeWord("organize", lexicon, "en-GB"), "known");
    assert.equal(judgeWord("organise", lexicon, "en-US"), "other-variety");
    assert.equal(judgeWord("recieved", lexicon, "en-GB"), "unknown");
  });

  test("finds exactly the words within a distance, by a plain count of edits", () => {
    const words = [...lexicon.words()]
      .filter(({ varieties }) => varieties & 2)
      .map(({ word }) => word);
    for (const query of ["harbuor", "tde", "soundngs"]) {
      const wanted = new Set(words.filter((word) => distance(query, word.toLowerCase()) <= 2));
      const found = lexicon.near(query, 2, "en-GB").map(({ word }) => word);
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
  const first = (word: string) => correctWord(word, lexicon, "en-GB", 5)[0];

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
    assert.equal(channelCost("tide", "tide"), 0);
    assert.ok(channelCost("teh", "the") < channelCost("tqe", "the"));
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
