import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { brownTexts } from "../../scripts/corpus/brown.ts";
import { foldTag } from "../../scripts/corpus/brown-tags.ts";
import { wordsAndSlips } from "../../scripts/corpus/hunspell-command.ts";
import { misspellingPairs } from "../../scripts/corpus/misspellings.ts";
import { TAGS } from "../../src/core/language/tags/tags.ts";

const texts = brownTexts();

/** The corpus as its manual describes it (Francis and Kučera 1979, "Brown Corpus Manual"). */
describe("the Brown corpus as it is read", () => {
  test("has its 500 texts but the held-out ones, each in one part", () => {
    assert.ok(texts.length > 300 && texts.length < 500, `${texts.length}`);
    assert.equal(new Set(texts.map(({ id }) => id)).size, texts.length);
    const shares = { train: 0, tune: 0, test: 0 };
    for (const { part } of texts) shares[part]++;
    assert.ok(shares.tune > 0.08 * texts.length && shares.test > 0.08 * texts.length);
    assert.ok(shares.train > 0.7 * texts.length);
  });

  test("has some two thousand words a text", () => {
    for (const { id, blocks } of texts) {
      const words = blocks.reduce(
        (sum, { text }) => sum + text.split(/\s+/).filter((word) => /\p{L}/u.test(word)).length,
        0,
      );
      assert.ok(words > 1500 && words < 2700, `${id}: ${words}`);
    }
  });

  test("has tokens and sentences that lie in its blocks, in order and without overlap", () => {
    for (const { id, blocks } of texts.slice(0, 60)) {
      for (const { text, tokens, sentences } of blocks) {
        for (const places of [tokens, sentences]) {
          let last = 0;
          for (const { from, to } of places) {
            assert.ok(from >= last && to > from && to <= text.length, `${id} ${from}`);
            last = to;
          }
        }
      }
    }
  });

  test("has one space between words, none before a comma, and quotation marks as they are printed", () => {
    for (const { id, blocks } of texts) {
      for (const { text } of blocks) {
        assert.doesNotMatch(text, / {2}|^ | $/, id);
        assert.doesNotMatch(text, /\w [,;](?! )/, id);
        assert.ok(!text.includes("``"), id);
      }
    }
  });

  test("has the tags of the tagger and no others, of which all but the rarest occur", () => {
    const seen = new Set(
      texts.flatMap(({ blocks }) => blocks.flatMap(({ tokens }) => tokens.map(({ tag }) => tag))),
    );
    for (const tag of seen) assert.ok(TAGS.includes(tag), tag);
    assert.ok(seen.size >= TAGS.length - 2, [...TAGS].filter((tag) => !seen.has(tag)).join(" "));
  });
});

describe("a tag of the corpus", () => {
  for (const [brown, form, tag] of [
    ["nn", "gauge", "NN"],
    ["nns-hl", "gauges", "NNS"],
    ["np", "Pellow", "NNP"],
    ["bedz", "was", "VBD"],
    ["hvz", "has", "VBZ"],
    ["md", "can", "MD"],
    ["ppss", "they", "PPSS"],
    ["ppo", "them", "PPO"],
    ["in", "of", "IN"],
    ["to", "to", "TO"],
    ["fw-nn", "sic", "FW"],
    ["jj-tl", "Royal", "NNP"],
    ["nn-tl", "House", "NNP"],
  ] as const) {
    test(`${brown} of “${form}” is ${tag}`, () => assert.equal(foldTag(brown, form), tag));
  }
});

describe("data that are learned from", () => {
  test("published misspellings have a tuning and a test part that share nothing", () => {
    const [tune, held] = [misspellingPairs("tune"), misspellingPairs("test")];
    const seen = new Set(tune.map(({ wrong }) => wrong));
    assert.ok(held.length > 500 && tune.length > 2 * held.length);
    assert.ok(held.every(({ wrong }) => !seen.has(wrong)));
    for (const { wrong, right } of [...tune, ...held]) assert.notEqual(wrong, right);
  });

  test("words and slips of them are the same whenever they are asked for", () => {
    const words = ["gauge", "harbour", "tide", "keeper"];
    const asked = wordsAndSlips(words, 40);
    assert.deepEqual(wordsAndSlips(words, 40), asked);
    assert.ok(asked.some((word) => words.includes(word)));
    assert.ok(asked.some((word) => !words.includes(word)));
  });
});
