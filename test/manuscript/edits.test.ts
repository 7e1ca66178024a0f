import assert from "node:assert/strict";
import { describe, test } from "node:test";
import {
  applyEdits,
  invertEdits,
  mapPosition,
  sortEdits,
  touches,
  trimEdit,
  widenToWords,
} from "../../src/core/manuscript/edits.ts";
import { someEdits } from "../support/edits.ts";
import { seeded } from "../support/random.ts";

describe("edits", () => {
  test("inverted, they lead back, whatever they are", () => {
    const random = seeded(1);
    const text = "The gauge reads the level of the tide every six minutes.";
    for (let run = 0; run < 500; run++) {
      const edits = someEdits(text, random);
      const after = applyEdits(text, edits);
      assert.equal(applyEdits(after, invertEdits(text, edits)), text);
    }
  });

  test("map every untouched character to where it went", () => {
    const random = seeded(2);
    const text = "abcdefghijklmnopqrstuvwxyz0123456789";
    for (let run = 0; run < 500; run++) {
      const edits = someEdits(text, random);
      const after = applyEdits(text, edits);
      for (let at = 0; at < text.length; at++) {
        if (edits.some((edit) => at >= edit.from && at < edit.to)) continue;
        assert.equal(after[mapPosition(at, edits, "after")], text[at]);
      }
    }
  });

  test("at an insertion a position stays or moves as it leans", () => {
    const edits = [{ from: 3, to: 3, insert: "xx" }];
    assert.equal(mapPosition(3, edits, "before"), 3);
    assert.equal(mapPosition(3, edits, "after"), 5);
  });

  test("that overlap are refused", () => {
    assert.throws(
      () =>
        sortEdits(
          [
            { from: 0, to: 4, insert: "" },
            { from: 3, to: 5, insert: "" },
          ],
          10,
        ),
      RangeError,
    );
    assert.throws(() => sortEdits([{ from: 8, to: 12, insert: "" }], 10), RangeError);
  });

  test("trim what both sides share, and never cut a surrogate pair", () => {
    assert.deepEqual(trimEdit("recieved", { from: 0, to: 8, insert: "received" }), {
      from: 3,
      to: 5,
      insert: "ei",
    });
    assert.equal(trimEdit("tide", { from: 0, to: 4, insert: "tide" }), null);
    const text = "a😀b";
    const trimmed = trimEdit(text, { from: 1, to: 3, insert: "😁" });
    assert.deepEqual(trimmed, { from: 1, to: 3, insert: "😁" });
  });

  test("widen to whole words but not beyond what was replaced", () => {
    const text = "was recieved today";
    const within = { from: 4, to: 12 };
    assert.deepEqual(widenToWords(text, { from: 7, to: 9, insert: "ei" }, within), {
      from: 4,
      to: 12,
      insert: "received",
    });
    const narrow = { from: 6, to: 10 };
    assert.deepEqual(widenToWords(text, { from: 7, to: 9, insert: "ei" }, narrow), {
      from: 6,
      to: 10,
      insert: "ceiv",
    });
  });

  test("touch a range only from inside it", () => {
    const range = { from: 5, to: 9 };
    assert.equal(touches({ from: 5, to: 5, insert: "x" }, range), false);
    assert.equal(touches({ from: 9, to: 9, insert: "x" }, range), false);
    assert.equal(touches({ from: 7, to: 7, insert: "x" }, range), true);
    assert.equal(touches({ from: 2, to: 5, insert: "" }, range), false);
    assert.equal(touches({ from: 8, to: 12, insert: "" }, range), true);
  });
});
