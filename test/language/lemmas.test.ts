import assert from "node:assert/strict";
import { readFileSync } from "node:fs";
import path from "node:path";
import { describe, test } from "node:test";
import { dictionary } from "cmu-pronouncing-dictionary";
import irregularPlurals from "irregular-plurals";
import { basesOf, fitLike, formsOf } from "../../src/core/language/words/about-word.ts";
import { IrregularForms, inflect, lemmasOf } from "../../src/core/language/words/lemmas.ts";
import { NOUN } from "../../src/core/language/words/lexicon.ts";
import { Syllables } from "../../src/core/language/words/syllables.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();
const { lexicon, irregular } = language;
const exists = (lemma: string, trait: number) => (lexicon.traits(lemma) & trait) !== 0;

describe("lemmas", () => {
  test("are found by rule and by the list of irregular forms", () => {
    const lemma = (word: string) => lemmasOf(word, irregular, exists).map((one) => one.lemma);
    assert.ok(lemma("tides").includes("tide"));
    assert.ok(lemma("stopped").includes("stop"));
    assert.ok(lemma("carries").includes("carry"));
    assert.ok(lemma("wrote").includes("write"));
    assert.ok(lemma("children").includes("child"));
    assert.ok(lemma("better").includes("good"));
    assert.ok(lemma("making").includes("make"));
    assert.deepEqual(basesOf("Harbours’", language), ["harbours", "harbour"]);
  });

  test("and inflection lead back to each other", () => {
    for (const [base, form, inflection] of [
      ["write", "written", "VBN"],
      ["stop", "stopping", "VBG"],
      ["carry", "carried", "VBD"],
      ["tide", "tides", "NNS"],
      ["heavy", "heaviest", "JJS"],
      ["lie", "lying", "VBG"],
      ["potato", "potatoes", "NNS"],
    ] as const) {
      assert.equal(inflect(base, inflection, irregular, lexicon, "en-GB"), form);
      assert.ok(
        lemmasOf(form, irregular, exists).some(
          (one) => one.lemma === base && one.inflection === inflection,
        ),
        form,
      );
    }
    assert.equal(inflect("travel", "VBD", irregular, lexicon, "en-GB"), "travelled");
    assert.equal(inflect("travel", "VBD", irregular, lexicon, "en-US"), "traveled");
  });

  test("give a verb whose past alone is listed the same participle, and prefer the form in use", () => {
    const forms = (verb: string) =>
      (["VBD", "VBN"] as const).map((one) => inflect(verb, one, irregular, lexicon, "en-US"));
    assert.deepEqual(forms("say"), ["said", "said"]);
    assert.deepEqual(forms("have"), ["had", "had"]);
    assert.deepEqual(forms("sit"), ["sat", "sat"]);
    assert.deepEqual(forms("work"), ["worked", "worked"]);
    assert.deepEqual(forms("clothe"), ["clothed", "clothed"]);
    assert.deepEqual(forms("find"), ["found", "found"]);
    assert.deepEqual(forms("lie"), ["lay", "lain"]);
    assert.deepEqual(forms("write"), ["wrote", "written"]);
  });

  test("plurals agree with the irregular-plurals package where both know the word", () => {
    let compared = 0;
    const differing: string[] = [];
    for (const [base, plural] of irregularPlurals) {
      if (!/^[a-z]+$/.test(base) || !exists(base, NOUN) || lexicon.varieties(plural) === 0)
        continue;
      // Uncountable nouns are listed there as their own plurals; a dictionary may give them one.
      if (plural === base) continue;
      compared++;
      const ours = inflect(base, "NNS", irregular, lexicon, "en-US");
      if (ours !== plural) differing.push(`${base}: ${ours}, ${plural}`);
    }
    assert.ok(compared > 100);
    // Words with two plurals ("hoofs", "hooves") make up the difference.
    assert.ok(
      differing.length / compared < 0.25,
      `${differing.length} of ${compared}: ${differing}`,
    );
  });

  test("a noun without a plural stays as it is", () => {
    for (const noun of ["series", "sheep", "aircraft"]) {
      assert.equal(inflect(noun, "NNS", irregular, lexicon, "en-GB"), noun);
    }
  });

  test("a line that is no irregular form is refused", () => {
    assert.throws(() => new IrregularForms("write VBX wrote"), RangeError);
  });
});

describe("a synonym", () => {
  const fit = (synonym: string, written: string, part: "noun" | "verb" | "adj") =>
    fitLike(synonym, written, part, language, "en-GB");

  test("takes the form, the capitals and the ending of the word it replaces", () => {
    assert.equal(fit("happen", "occurred", "verb"), "happened");
    assert.equal(fit("take place", "Occurs", "verb"), "Takes place");
    assert.equal(fit("landing stage", "pontoons", "noun"), "landing stages");
    assert.equal(fit("port", "harbour’s", "noun"), "port’s");
    assert.equal(fit("big", "larger", "adj"), "bigger");
    assert.equal(fit("port", "HARBOUR", "noun"), "PORT");
  });

  test("forms of a word are those of its parts of speech", () => {
    const forms = formsOf("write", language, "en-GB").map(({ form }) => form);
    for (const form of ["writes", "wrote", "written", "writing"]) assert.ok(forms.includes(form));
    assert.deepEqual(formsOf("tidally", language, "en-GB"), []);
  });

  test("a form of another word has none of its own but those that the lexicon knows", () => {
    for (const form of ["received", "broken", "seen", "lost", "tides", "running"]) {
      assert.deepEqual(formsOf(form, language, "en-GB"), [], form);
    }
    const saw = formsOf("saw", language, "en-GB").map(({ form }) => form);
    assert.deepEqual(saw, ["saws", "sawed", "sawing"]);
  });
});

describe("syllables", () => {
  const file = path.resolve(import.meta.dirname, "../../data/syllables.txt");
  const syllables = new Syllables(readFileSync(file, "utf8"));

  test("are those of the CMU Pronouncing Dictionary for the words of the lexicon", () => {
    let compared = 0;
    let wrong = 0;
    for (const [word, sounds] of Object.entries(dictionary)) {
      if (!/^[a-z]+$/.test(word) || lexicon.varieties(word) === 0) continue;
      const spoken = sounds.match(/\d/g)?.length ?? 0;
      if (spoken === 0) continue;
      compared++;
      if (syllables.count(word) !== spoken) wrong++;
    }
    assert.ok(compared > 30_000);
    assert.equal(wrong, 0);
  });

  test("follow the rule where no dictionary says otherwise", () => {
    assert.equal(syllables.count("tide’s"), 1);
    assert.equal(syllables.count("Gannethead"), 3);
    assert.equal(syllables.count("12"), 0);
  });
});
