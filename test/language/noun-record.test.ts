import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { readSentence } from "../../scripts/corpus/sentences.ts";
import {
  articleOf,
  RECORDS,
  recordFeature,
  recordIndex,
} from "../../src/core/language/models/noun-record.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();

/** The nouns of a sentence that are asked about, with the words of their article or "-". */
function places(text: string): string[] {
  const syntax = readSentence(text, language);
  return syntax.nounGroups.flatMap((group) => {
    const has = articleOf(syntax, group);
    if (has < 0) return [];
    const article = has === 1 ? syntax.words[group.from]?.form : "-";
    return [`${article} ${syntax.words[group.head]?.form}`];
  });
}

describe("where an article stands or could stand", () => {
  test("is at singular nouns that have it or no determiner at all", () => {
    assert.deepEqual(places("The keeper saw a boat and built wall along quay."), [
      "the keeper",
      "a boat",
      "- wall",
      "- quay",
    ]);
  });

  test("is neither at plurals, pronouns and names nor at nouns with another determiner", () => {
    assert.deepEqual(places("They saw her boat, three lamps, this wall and Orrin Vale."), []);
  });
});

describe("the record of a noun", () => {
  test("tells few places apart one by one, and many from more", () => {
    const index = (articled: number, bare: number) => recordIndex({ articled, bare });
    const all = new Set(
      [0, 1, 2, 3, 4, 7].flatMap((one) => [0, 1, 2, 3, 4, 7].map((other) => index(one, other))),
    );
    assert.equal(all.size, RECORDS);
    assert.equal(index(4, 0), index(6, 0));
    assert.notEqual(index(6, 0), index(7, 0));
    assert.equal(index(900, 900), RECORDS - 1);
  });

  test("has a feature of its own", () => {
    const features = Array.from({ length: RECORDS }, (_, index) => recordFeature(index));
    assert.equal(new Set(features).size, RECORDS);
  });

  test("counts for an article where the noun has one elsewhere, and against it where it has none", () => {
    const { choices } = language;
    const lead = (articled: number, bare: number) => choices?.leadOfRecord({ articled, bare }) ?? 0;
    assert.ok(lead(7, 0) > lead(0, 0));
    assert.ok(lead(0, 7) < lead(0, 0));
    assert.ok(lead(7, 0) - lead(0, 7) > 2);
  });
});
