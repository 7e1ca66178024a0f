import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { readSentence } from "../../scripts/corpus/sentences.ts";
import { finiteVerbAt } from "../../src/core/language/models/number-slots.ts";
import {
  Candidates,
  findCandidates,
  SUBJECT_TABLE,
  SubjectModel,
} from "../../src/core/language/models/subject-model.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();
const { words } = language;

/** The verb of a sentence by its form, with its base form and the phrases around it. */
function verbIn(text: string, form: string) {
  const syntax = readSentence(text, language);
  const unit = syntax.words.findIndex((word) => word.form === form);
  assert.ok(unit >= 0, `${form} stands in: ${text}`);
  return { syntax, unit, verb: finiteVerbAt(syntax, unit), lemma: words.word(words.verb(form)) };
}

function oddsOf(text: string, form: string): number {
  const { syntax, unit, verb, lemma } = verbIn(text, form);
  return language.choices?.subjects.pluralOdds(syntax, unit, verb, lemma) ?? 0;
}

/** Whatever number the verb is written in, the subject decides. */
const SINGULAR: [text: string, form: string][] = [
  ["The level of the tides are high.", "are"],
  ["The keeper of the two lamps were out.", "were"],
  ["A man who knows the tides know the boats.", "know"],
  ["The list of names that the clerks keep are long.", "are"],
  ["When the boats were in, the quay were full.", "were full"],
  ["The lamp, which the crews had painted, have gone out.", "have"],
];
const PLURAL: [text: string, form: string][] = [
  ["The levels of the tide is high.", "is"],
  ["The keepers of the lamp was out.", "was"],
  ["The pump and the lamp is old.", "is"],
  ["The boats that the keeper owns has been painted.", "has"],
  ["The pages of the log, in a clear hand, was kept.", "was"],
];

describe("the model of subjects", () => {
  for (const [text, form] of SINGULAR) {
    test(`takes the subject for singular in: ${text}`, () => {
      const first = form.split(" ")[0] ?? form;
      const odds = form.includes(" ") ? lastOdds(text, first) : oddsOf(text, first);
      assert.ok(odds < 0, `log odds of a plural: ${odds.toFixed(2)}`);
    });
  }
  for (const [text, form] of PLURAL) {
    test(`takes the subject for plural in: ${text}`, () => {
      const odds = oddsOf(text, form);
      assert.ok(odds > 0, `log odds of a plural: ${odds.toFixed(2)}`);
    });
  }

  test("gives odds within its bounds", () => {
    for (const [text, form] of [...SINGULAR, ...PLURAL]) {
      assert.ok(Math.abs(oddsOf(text, form.split(" ")[0] ?? form)) < 8.2);
    }
  });

  test("is refused when it is cut short", () => {
    assert.throws(() => SubjectModel.read(new Uint8Array(SUBJECT_TABLE - 1)), RangeError);
  });
});

/** The odds at the last place where a form stands. */
function lastOdds(text: string, form: string): number {
  const syntax = readSentence(text, language);
  const unit = syntax.words.findLastIndex((word) => word.form === form);
  const lemma = words.word(words.verb(form));
  return (
    language.choices?.subjects.pluralOdds(syntax, unit, finiteVerbAt(syntax, unit), lemma) ?? 0
  );
}

describe("what may be a subject", () => {
  const countOf = (text: string, form: string) => {
    const { syntax, unit, verb, lemma } = verbIn(text, form);
    const candidates = new Candidates();
    findCandidates(syntax, unit, verb, lemma, candidates);
    return candidates.count;
  };

  test("is each noun group before the verb, or none of them", () => {
    assert.equal(countOf("The level of the tides rises.", "rises"), 3);
    assert.equal(countOf("The keeper of the lamps on the pier waits.", "waits"), 4);
  });

  test("and the one after it where the verb may come first", () => {
    assert.equal(
      countOf("There are two lamps.", "are"),
      countOf("There stand two lamps.", "stand") + 1,
    );
  });

  test("is never more than six before the verb", () => {
    const phrases = Array.from({ length: 12 }, (_, index) => `of the lamp number ${index}`);
    const count = countOf(`The keeper ${phrases.join(" ")} waits.`, "waits");
    assert.ok(count <= 7, `${count} candidates`);
  });
});
