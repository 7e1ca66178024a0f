import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { correctWord, type Surroundings } from "../../src/core/language/corrections/corrections.ts";
import { Trigrams } from "../../src/core/language/models/trigrams.ts";
import { splitSentences } from "../../src/core/language/text/sentences.ts";
import { surroundingsOf } from "../../src/core/language/text/surroundings.ts";
import { tokenise } from "../../src/core/language/text/tokens.ts";
import { DocumentVocabulary } from "../../src/core/language/words/vocabulary.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();
const trigrams = language.trigrams as Trigrams;

describe("the trigram model", () => {
  const score = (one: string, two: string, three: string) =>
    trigrams.score(trigrams.id(one), trigrams.id(two), trigrams.id(three));

  test("finds what stands together likelier than what does not", () => {
    assert.ok(score("one", "of", "the") > score("one", "of", "weather") + 2);
    assert.ok(score("in", "the", "weather") > score("in", "the", "whether"));
    assert.ok(score("i", "don't", "know") > -1);
  });

  test("is a probability: over all words that may follow it adds up to no more than one", () => {
    const words = ["the", "a", "it", "his", "this", "my", "what", "course", "all", "them", "that"];
    const sum = words.reduce((total, word) => total + 10 ** score("because", "of", word), 0);
    assert.ok(sum > 0.3 && sum <= 1.02, String(sum));
  });

  test("knows no word that is none, and refuses bytes that are no model", () => {
    assert.equal(trigrams.id("recieved"), -1);
    assert.ok(score("one", "of", "recieved") < -7);
    assert.throws(() => new Trigrams(new Uint8Array(40), new Uint8Array(40)), RangeError);
  });
});

describe("corrections in context", () => {
  const first = (word: string, around: Surroundings) =>
    correctWord(word, { ...language, variety: "en-GB" }, 5, around)[0];

  test("are chosen by the words around", () => {
    assert.equal(first("thier", { before: ["they", "read"], after: ["gauge"] }), "their");
    assert.equal(first("wich", { before: ["the", "gauge"], after: ["fell"] }), "which");
    assert.equal(first("form", { before: ["letter"], after: ["the"] }) !== undefined, true);
    assert.equal(first("teh", { before: ["in"], after: ["harbour"] }), "the");
  });

  test("take the document’s own words and the word lists for candidates", () => {
    const text = "Quillfrost wrote. Quillfrost read. Then Quillfrost left, with Quilfrost’s hat.";
    const vocabulary = new DocumentVocabulary([text], ["tidewaiter"], language.lexicon);
    const sources = { ...language, variety: "en-GB" as const, vocabulary };
    assert.equal(correctWord("Quilfrost", sources, 5)[0], "Quillfrost");
    assert.ok(correctWord("tidewaitr", sources, 5).includes("tidewaiter"));
    assert.equal(vocabulary.count("quillfrost"), 3);
    vocabulary.replace("Then Quillfrost left", "Then he left");
    assert.equal(vocabulary.count("quillfrost"), 2);
  });

  test("take the person’s sound rules for how words are written by ear", () => {
    const soundRules = [{ typed: "kw", meant: "qu" }];
    const sources = { ...language, variety: "en-GB" as const, soundRules };
    assert.equal(correctWord("kwestion", sources, 5)[0], "question");
    assert.equal(correctWord("Kwiet", sources, 5)[0], "Quiet");
  });

  test("give an irregular form for one made by rule", () => {
    const sources = { ...language, variety: "en-GB" as const };
    assert.equal(correctWord("teached", sources, 3)[0], "taught");
    assert.equal(correctWord("seeked", sources, 3)[0], "sought");
  });

  test("see the sentence only, with its ends marked", () => {
    const text = "It fell. The gague rose again.";
    const from = text.indexOf("gague");
    const place = { from, to: from + 5 };
    const around = surroundingsOf(text, tokenise(text), splitSentences(text), place);
    assert.deepEqual(around, { before: ["<s>", "the"], after: ["rose", "again"] });
  });
});
