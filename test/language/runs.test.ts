import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { countWords, wordRuns } from "../../src/core/language/text/runs.ts";
import { seeded } from "../support/random.ts";

const words = (text: string) => wordRuns(text).map(({ from, to }) => text.slice(from, to));

describe("words as they are counted", () => {
  test("are runs without spaces that hold a letter or digit", () => {
    assert.deepEqual(words("A well-known 4,900 m³ — see www.gannet-head.example!"), [
      "A",
      "well-known",
      "4,900",
      "m³",
      "see",
      "www.gannet-head.example!",
    ]);
    assert.equal(countWords("– • … ? “”"), 0);
    assert.equal(countWords("and/or, 3rd; é ß Ω 水"), 6);
    assert.equal(countWords(""), 0);
  });

  test("are parted by every white space there is", () => {
    assert.equal(
      countWords("one\u00a0two\u2009three\u202ffour\u3000five\u2028six\nseven\teight"),
      8,
    );
    assert.equal(countWords("one\u200btwo"), 1, "a space of no width parts nothing");
  });

  test("are found in a range, whose ends cut nothing", () => {
    assert.deepEqual(wordRuns("The tide turned", 4, 8), [{ from: 4, to: 8 }]);
  });

  test("are those that splitting at white space gives, on random texts", () => {
    const next = seeded(3);
    const signs = ["a", "Z", "7", "-", "—", ".", "’", " ", "\u00a0", "\n", "é", "\u2003", "𝒳", "٣"];
    for (let round = 0; round < 500; round++) {
      let text = "";
      for (let length = next() * 40; length > 0; length--) {
        text += signs[Math.floor(next() * signs.length)] ?? "";
      }
      const split = text.split(/\s+/u).filter((run) => /[\p{L}\p{N}]/u.test(run));
      assert.deepEqual(words(text), split, JSON.stringify(text));
    }
  });
});
