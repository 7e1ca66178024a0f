import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { readSentence } from "../../scripts/corpus/sentences.ts";
import {
  isPlainNumber,
  isPlainPlural,
  isPlainWord,
} from "../../src/core/language/phrases/plain-places.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();

/** The unit of a word in a sentence, and the sentence read. */
function place(sentence: string, word: string) {
  const syntax = readSentence(sentence, language);
  const at = syntax.words.findIndex(({ form }) => form === word);
  assert.ok(at >= 0, word);
  return { syntax, at };
}

describe("places that need no model", () => {
  const right: [string, string][] = [
    ["The lamp is lit.", "is"],
    ["The keepers are in the tower.", "are"],
    ["The head of the crew left.", "of"],
    ["They sat on the quay.", "on"],
    ["She went to the harbour.", "to"],
    ["They want to go home.", "to"],
    ["It was read by the clerk.", "by"],
    ["They said that it was late.", "that"],
    ["The wire lay in its box.", "its"],
    ["Will the harbour office face it?", "will"],
    ["It will hardly be dry.", "will"],
    ["They wiped the salt off the glass.", "off"],
    ["No sooner had they left than the rain came.", "than"],
    ["Are there boats in the harbour?", "there"],
    ["They left early, there being no tide.", "there"],
    ["The keepers too were late.", "too"],
    ["And thus it was lost.", "thus"],
    ["They are in the tower.", "they"],
    ["They left the house.", "they"],
    ["They saw Will there.", "will"],
    ["The tide thus turns at noon.", "thus"],
    ["They left, thus further from home.", "thus"],
    ["The boats of the head are three.", "three"],
  ];
  for (const [sentence, word] of right) {
    test(`“${word}” in: ${sentence}`, () => {
      const { syntax, at } = place(sentence, word);
      assert.equal(isPlainWord(syntax, at), true);
    });
  }

  const doubtful: [string, string][] = [
    ["He hurt is hand.", "is"],
    ["They lamp was lit.", "they"],
    ["The head if the crew left.", "if"],
    ["There is on reason to go.", "on"],
    ["The tide was higher that the wall.", "that"],
    ["They want to by the boat.", "by"],
    ["He said its late.", "its"],
    ["It was handled in most cases will understanding.", "will"],
    ["They went over three.", "three"],
    ["They went will the keeper.", "will"],
    ["The head off the crew left.", "off"],
    ["He said than it was late.", "than"],
    ["They sat in there boat.", "there"],
    ["They want too go home.", "too"],
    ["They parked cars were wet.", "they"],
    ["The door turns to they left.", "they"],
    ["Thus was the clerk, and the keeper too.", "thus"],
    ["They sat with there heads down.", "there"],
    ["She washed it will water.", "will"],
    ["He fell on his face, one off his friends by him.", "off"],
    ["Thus lamp is lit.", "thus"],
    ["“Form the office we saw it,” he said.", "form"],
  ];
  for (const [sentence, word] of doubtful) {
    test(`not “${word}” in: ${sentence}`, () => {
      const { syntax, at } = place(sentence, word);
      assert.equal(isPlainWord(syntax, at), false);
    });
  }

  test("pronouns with a verb of their number, and no others", () => {
    const one = place("He was late.", "was");
    assert.equal(isPlainNumber(one.syntax, one.at, 0), true);
    const two = place("They was late.", "was");
    assert.equal(isPlainNumber(two.syntax, two.at, 0), false);
    const three = place("The lamps was lit.", "was");
    assert.equal(isPlainNumber(three.syntax, three.at, 0), false);
  });

  test("plurals that nothing follows which they could own", () => {
    const plural = place("The boats of the crew came in.", "boats");
    assert.equal(isPlainPlural(plural.syntax, plural.at), true);
    const owner = place("The keepers lamp was lit.", "keepers");
    assert.equal(isPlainPlural(owner.syntax, owner.at), false);
    const one = place("A boats of the crew came in.", "boats");
    assert.equal(isPlainPlural(one.syntax, one.at), false);
  });
});
