import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { slipsIn, writtenTexts } from "../../bench/real/writers.ts";

describe("texts with their slips marked up", () => {
  test("are taken apart into what was typed and what should stand there", () => {
    const { text, slips } = slipsIn("It was {recieved|received} by {us|us} at noon.");
    assert.equal(text, "It was recieved by us at noon.");
    assert.deepEqual(slips, [{ from: 7, to: 15, typed: "recieved", right: "received" }]);
  });

  test("have one space where a word is left out, and none before a comma", () => {
    const { text, slips } = slipsIn("We waited {|for} two hours {|,} and left.");
    assert.equal(text, "We waited two hours and left.");
    assert.deepEqual(
      slips.map(({ typed, right }) => [typed, right]),
      [
        ["", "for"],
        ["", ","],
      ],
    );
  });

  test("keep their slips in place when the file is read", async () => {
    const texts = await writtenTexts("writers");
    for (const { name, manuscript, slips } of texts) {
      assert.ok(slips.length > 10, name);
      for (const { from, to, typed } of slips) {
        const written = manuscript.text.slice(from, to).replace(/\s+/g, " ");
        assert.equal(written, typed.replace(/\s+/g, " "), `${name}: ${typed}`);
      }
    }
  });

  test("are of many writers, half for tuning, and the clean ones have no slip", async () => {
    const texts = await writtenTexts("writers");
    const clean = await writtenTexts("clean");
    assert.ok(texts.length >= 30);
    assert.ok(clean.length >= 12);
    const tune = texts.filter(({ half }) => half === "tune").length;
    assert.ok(Math.abs(2 * tune - texts.length) <= 1);
    assert.ok(texts.reduce((sum, { slips }) => sum + slips.length, 0) >= 800);
    assert.deepEqual(
      clean.flatMap(({ slips }) => slips),
      [],
    );
  });
});
