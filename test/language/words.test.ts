import assert from "node:assert/strict";
import { readFileSync } from "node:fs";
import path from "node:path";
import { describe, test } from "node:test";
import { tokenise } from "../../src/core/language/text/tokens.ts";
import { unitsOf } from "../../src/core/language/text/units.ts";
import { IrregularForms } from "../../src/core/language/words/lemmas.ts";
import {
  BARE,
  FORMS,
  ING,
  PARTICIPLE,
  PAST,
  WordTable,
} from "../../src/core/language/words/words.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();
const { lexicon, tagger, words } = language;
const data = path.resolve(import.meta.dirname, "../../data");
const irregular = new IrregularForms(readFileSync(path.join(data, "irregular.txt"), "utf8"));

const read = (text: string) => tagger.tag(text, unitsOf(text, tokenise(text)), new Set([0])).words;

describe("words of a text", () => {
  test("are one object for all places with the same form", () => {
    const [first, second, third] = words.read(read("Tide and tide, and TIDE."));
    assert.equal(first?.form, "tide");
    assert.equal(first, words.read(read("TIDE"))[0]);
    assert.equal(second?.form, "and");
    assert.equal(third, first);
  });

  test("keep their own marks, though the tagger takes curly ones for straight ones", () => {
    const forms = words.read(read("“No,” she said.")).map(({ form }) => form);
    assert.deepEqual(forms.slice(0, 4), ["“", "no", ",", "”"]);
  });

  test("are read anew once a pattern has asked for one of them", () => {
    const table = new WordTable(lexicon, irregular);
    const places = read("The tide turned.");
    const before = table.read(places)[1];
    assert.equal(before?.id, 0);
    assert.equal(table.read(places)[1], before);
    const id = table.intern("tide");
    assert.equal(table.read(places)[1]?.id, id);
  });

  test("do not keep what another table read", () => {
    const table = new WordTable(lexicon, irregular);
    const places = read("The tide turned.");
    const own = words.read(places);
    assert.notEqual(table.read(places)[1], own[1]);
    assert.equal(words.read(places)[1], own[1]);
  });
});

describe("verbs", () => {
  const forms = (form: string) => FORMS.filter((_, one) => words.isForm(form, one)).join(" ");

  test("have the forms that they are written in", () => {
    assert.equal(forms("went"), "past");
    assert.equal(forms("gone"), "participle");
    assert.equal(forms("walks"), "third");
    assert.equal(forms("walked"), "past participle");
    assert.equal(forms("put"), "bare present past participle");
    assert.equal(forms("rowing"), "ing");
  });

  test("“lay” is the past of one and the base of another", () => {
    assert.ok(words.isForm("lay", BARE) && words.isForm("lay", PAST));
    assert.ok(!words.isForm("lay", PARTICIPLE) && !words.isForm("lay", ING));
  });

  test("come back to their base, and nouns to their singular", () => {
    assert.deepEqual(
      ["was", "carries", "'ve"].map((form) => words.verb(form)),
      ["be", "carry", "have"],
    );
    assert.deepEqual(
      ["boxes", "children", "tide"].map((form) => words.noun(form)),
      ["box", "child", "tide"],
    );
  });
});
