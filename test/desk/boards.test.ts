import assert from "node:assert/strict";
import { describe, test } from "node:test";
import type { Pass, Weight } from "../../src/core/checks/card.ts";
import type { Mark } from "../../src/core/engine/mark.ts";
import { countedBy, filtered, NO_FILTER, sectionOf } from "../../src/ui/desk/boards/filters.ts";
import type { PlacedMark } from "../../src/ui/desk/reported.ts";

function placed(block: number, pass: Pass, weight: Weight, rule: string): PlacedMark {
  const mark = { id: `${block}${rule}`, block, pass, weight, rule } as Mark;
  return { document: "log", mark, from: block * 10, to: block * 10 + 3 };
}

const BLOCKS = [{ section: 0 }, { section: 1 }, { section: 1 }, { section: 2 }];
const MARKS = [
  placed(0, "spelling", "fix", "spelling/unknown-word"),
  placed(1, "spelling", "settle", "spelling/unknown-word"),
  placed(2, "grammar", "fix", "grammar/agreement"),
  placed(3, "grammar", "weigh", "grammar/agreement"),
  placed(3, "wording", "weigh", "wording/wordy"),
];

describe("the marks on a board", () => {
  test("are all there without a filter, in their order", () => {
    assert.deepEqual(filtered(MARKS, NO_FILTER, BLOCKS), MARKS);
  });

  test("are left by pass, weight, check and section, and by these together", () => {
    const left = (changes: Partial<typeof NO_FILTER>) =>
      filtered(MARKS, { ...NO_FILTER, ...changes }, BLOCKS).map((one) => MARKS.indexOf(one));
    assert.deepEqual(left({ pass: "grammar" }), [2, 3]);
    assert.deepEqual(left({ weight: "fix" }), [0, 2]);
    assert.deepEqual(left({ rule: "spelling/unknown-word" }), [0, 1]);
    assert.deepEqual(left({ section: "1" }), [1, 2]);
    assert.deepEqual(left({ section: "0" }), [0]);
    assert.deepEqual(left({ section: "1", weight: "fix" }), [2]);
    assert.deepEqual(left({ pass: "wording", weight: "fix" }), []);
  });

  test("are counted by any of these, most first", () => {
    assert.deepEqual(
      countedBy(MARKS, ({ mark }) => mark.rule),
      [
        ["spelling/unknown-word", 2],
        ["grammar/agreement", 2],
        ["wording/wordy", 1],
      ],
    );
    assert.deepEqual(
      countedBy(MARKS, ({ mark }) => sectionOf(mark.block, BLOCKS)),
      [
        ["1", 2],
        ["2", 2],
        ["0", 1],
      ],
    );
  });
});
