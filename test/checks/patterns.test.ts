import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { readSentence } from "../../scripts/corpus/sentences.ts";
import { CHECKS } from "../../src/core/checks/index.ts";
import { type Match, Matcher } from "../../src/core/checks/patterns/matcher.ts";
import { choicesOf, markedRange, replaceBy } from "../../src/core/checks/patterns/mend.ts";
import { parsePattern } from "../../src/core/checks/patterns/pattern.ts";
import { WORD_LISTS } from "../../src/core/checks/patterns/word-lists.ts";
import { baseLanguage } from "../../src/core/language/analysis.ts";
import { PHRASE_LISTS, phraseLines } from "../../src/core/language/phrases/phrase-lists.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import { loadLanguage } from "../support/language.ts";

const shared = loadLanguage();

/** What a pattern makes of a sentence: each match put right by its first way to mend. */
function mended(line: string, text: string): string[] {
  // Words get their numbers when patterns are read, so each test has a table of its own.
  const language = baseLanguage(shared);
  const pattern = parsePattern(line, language.words, WORD_LISTS);
  const matcher = new Matcher([[pattern]], language.words, (form) =>
    shared.lexicon.frequency(form),
  );
  const syntax = readSentence(text, language);
  const found: Match[] = [];
  matcher.match(syntax, (_, match) => found.push(match));
  return found.map((match) => {
    const [choice] = choicesOf(match, syntax, language.words);
    const { from, to } = markedRange(match, syntax);
    return choice ? applyEdits(text, choice.edits) : text.slice(from, to);
  });
}

describe("a pattern", () => {
  test("takes words in any case, and keeps the capital of what it replaces", () => {
    assert.deepEqual(mended("prior to => before", "Prior to noon it fell."), [
      "Before noon it fell.",
    ]);
  });

  test("takes every inflection of a word, and inflects what stands in its place alike", () => {
    const line = "make~ a decision => decide~1";
    assert.deepEqual(mended(line, "She makes a decision now."), ["She decides now."]);
    assert.deepEqual(mended(line, "They were making a decision."), ["They were deciding."]);
    assert.deepEqual(mended(line, "It was made a decision of."), ["It was decided of."]);
  });

  test("marks what its brackets hold, and no more", () => {
    assert.deepEqual(mended("be~ [suppose] to => supposed", "You are suppose to sign."), [
      "You are supposed to sign.",
    ]);
  });

  test("asks for parts of speech, alone, in sets and with a word", () => {
    assert.deepEqual(mended("MD [of] VBN|RB => have", "They could of seen it."), [
      "They could have seen it.",
    ]);
    assert.deepEqual(mended("use/NN [wisely]", "They use wisely what they have."), []);
  });

  test("lets elements be missing, repeat, be denied, or stand at a sentence's edge", () => {
    const line = "<s> [for example] !,|of => $2 $3,";
    assert.deepEqual(mended(line, "For example it fell."), ["For example, it fell."]);
    assert.deepEqual(mended(line, "For example, it fell."), []);
    assert.deepEqual(mended("was very* [good] .", "It was very very good."), ["good"]);
    assert.deepEqual(mended("the [end] </s>", "This is the end."), ["end"]);
  });

  test("copies and joins what its elements took", () => {
    assert.deepEqual(mended("a [well known] NOUN => $2-$3", "It is a well known fact."), [
      "It is a well-known fact.",
    ]);
    assert.deepEqual(mended("[to VB] it => $2:VBG", "They like to read it."), [
      "They like reading it.",
    ]);
  });

  test("never goes over a sentence's end", () => {
    const language = baseLanguage(shared);
    const pattern = parsePattern("end [the] tide", language.words);
    const matcher = new Matcher([[pattern]], language.words, () => 1);
    let found = 0;
    matcher.match(readSentence("That is the end the tide makes.", language), () => found++);
    assert.equal(found, 1);
  });

  test("that cannot be read says which line it was", () => {
    const { words } = baseLanguage(shared);
    for (const line of ["[open", "NOPE the", "word/NOPE", "@nolist", "a => $x"]) {
      assert.throws(
        () => parsePattern(line, words, WORD_LISTS),
        (error: Error) => {
          return error instanceof RangeError && error.message.includes(line);
        },
      );
    }
  });
});

describe("a replacement", () => {
  test("by nothing takes a space along, and gives the next word its capital", () => {
    const drop = (text: string, word: string) => {
      const from = text.indexOf(word);
      return applyEdits(text, replaceBy(text, from, from + word.length, "").edits);
    };
    assert.equal(drop("It was very high.", "very"), "It was high.");
    assert.equal(drop("It rained hard.", "hard"), "It rained.");
    assert.equal(drop("Basically it fell.", "Basically"), "It fell.");
    assert.equal(drop("(very high)", "very"), "(high)");
  });
});

describe("the phrase lists", () => {
  test("are patterns from the first line to the last, each of them once", () => {
    const { words } = baseLanguage(shared);
    for (const name of PHRASE_LISTS) {
      const lines = phraseLines(shared.phrases.get(name) ?? "");
      for (const line of lines) parsePattern(line, words, WORD_LISTS);
      assert.equal(new Set(lines).size, lines.length, name);
    }
  });

  test("hold eight hundred long-winded phrases and more", () => {
    assert.ok(phraseLines(shared.phrases.get("wordy") ?? "").length >= 800);
    assert.ok(phraseLines(shared.phrases.get("prepositions") ?? "").length >= 200);
  });

  test("are each read by a check", () => {
    for (const name of PHRASE_LISTS) {
      const lines = phraseLines(shared.phrases.get(name) ?? "");
      assert.ok(CHECKS.some(({ phraseList }) => phraseList === name) && lines.length > 20, name);
    }
  });
});
