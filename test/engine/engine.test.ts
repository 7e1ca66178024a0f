import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { Engine } from "../../src/core/engine/engine.ts";
import type { CheckSettings } from "../../src/core/engine/mark.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import { copyLayout, shiftBlocks } from "../../src/core/manuscript/layout.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import type { Edit } from "../../src/core/manuscript/model.ts";
import { loadLanguage } from "../support/language.ts";
import { seeded } from "../support/random.ts";

const language = loadLanguage();
const settings: CheckSettings = { variety: "en-GB", kind: "report", appetites: {}, words: [] };

function checked(manuscript: Parameters<typeof copyLayout>[0] & { text: string }): Engine {
  const engine = new Engine(manuscript, language, settings);
  for (const _ of engine.examineAll());
  return engine;
}

const TEXT = [
  "The book was recieved too wet to read, and the the rest is lost.",
  "",
  "Quillfrost read it. We met Quillfrost, and Quillfrost's aunt, by the lock.",
  "It was recieved again, untill the tide turned.",
].join("\n");

describe("the engine", () => {
  test("after any edits has the marks and counts that a fresh check has", () => {
    const random = seeded(9);
    for (let run = 0; run < 60; run++) {
      const start = linesManuscript(TEXT);
      const layout = copyLayout(start);
      let text = TEXT;
      const engine = checked(start);
      for (let step = 0; step < 8; step++) {
        const edits: Edit[] = [];
        for (const { from, to } of layout.blocks) {
          if (random() < 0.5) continue;
          const at = from + Math.floor(random() * (to - from + 1));
          const end = Math.min(to, at + Math.floor(random() * 9));
          edits.push({
            from: at,
            to: end,
            insert: ["", " ebb ", "Quillfrost", "x"][step % 4] ?? "",
          });
        }
        engine.edit(edits);
        text = applyEdits(text, edits);
        shiftBlocks(layout.blocks, edits);
        const fresh = checked({ text, blocks: layout.blocks, spans: [] });
        assert.deepEqual(engine.allMarks(), fresh.allMarks());
        assert.deepEqual(engine.counts(), fresh.counts());
      }
    }
  });

  test("reports the blocks whose marks changed and no others", () => {
    const engine = checked(linesManuscript(TEXT));
    const update = engine.edit([{ from: 13, to: 21, insert: "received" }]);
    assert.deepEqual([...update.marks.keys()], [0]);
    assert.deepEqual(
      update.marks.get(0)?.map(({ text }) => text),
      ["the the"],
    );
  });

  test("an edit in one place can change marks in another", () => {
    const engine = checked(
      linesManuscript("By Leetmoor.\nTo Leetmoor.\nFrom Leetmoor.\nFor Leetmoar."),
    );
    assert.deepEqual(
      engine.allMarks().map(({ text }) => text),
      ["Leetmoar"],
    );
    const update = engine.edit([{ from: 3, to: 11, insert: "Harbour" }]);
    assert.deepEqual([...update.marks.keys()].sort(), [0, 3]);
  });

  test("yields while it examines, so that it can be stopped", () => {
    const long = linesManuscript(Array.from({ length: 1000 }, () => "The tide turns.").join("\n"));
    const engine = new Engine(long, language, settings);
    const steps = [...engine.examineAll()];
    assert.ok(steps.length > 10);
    assert.deepEqual(
      steps,
      [...steps].sort((a, b) => a - b),
    );
    assert.equal(steps.at(-1), 1000);
  });

  test("names a mark so that edits elsewhere leave its name alone", () => {
    const engine = checked(linesManuscript(TEXT));
    const before = engine.allMarks().map(({ id }) => id);
    engine.edit([{ from: 0, to: 3, insert: "That" }]);
    assert.deepEqual(
      engine.allMarks().map(({ id }) => id),
      before,
    );
  });
});

test("the blocks of an edit are reported though their marks are what they were", () => {
  const engine = checked(linesManuscript("It was recieved.\nIt was read."));
  const update = engine.edit([{ from: 24, to: 28, insert: "seen" }]);
  assert.deepEqual([...update.marks], [[1, []]]);
});
