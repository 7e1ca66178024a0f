import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { Engine } from "../../src/core/engine/engine.ts";
import type { CheckSettings } from "../../src/core/engine/mark.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();
const settings: CheckSettings = { variety: "en-GB", kind: "report", appetites: {}, words: [] };

const CLEAN = Array.from(
  { length: 12 },
  () => "The keeper read the gauge at noon and wrote the level of the water into the log.",
);
/** The model of articles and agreement is not sure of either. */
const DOUBTFUL = "The use of old lamps and of the oil that the boats bring make sense to him.";
const SLIPS = "It was recieved. He beleived it. They was late. The boats is untill now seperate.";

function checked(lines: readonly string[], own: CheckSettings = settings): Engine {
  const engine = new Engine(linesManuscript(lines.join("\n")), language, own);
  for (const _ of engine.examineAll());
  return engine;
}

const doubtful = (engine: Engine) =>
  engine
    .allMarks()
    .filter(({ weight, rule }) => weight === "weigh" && rule === "grammar/agreement");

describe("doubtful places of the grammar pass", () => {
  test("are not shown in a text with hardly an error", () => {
    const engine = checked([...CLEAN, DOUBTFUL]);
    assert.equal(engine.showsItsDoubts, false);
    assert.deepEqual(doubtful(engine), []);
  });

  test("are shown in a short text, in one of many errors, and where they are asked for", () => {
    const short = doubtful(checked([DOUBTFUL]));
    assert.equal(short.length, 1);
    const many = checked([...CLEAN, DOUBTFUL, SLIPS]);
    assert.equal(many.showsItsDoubts, true);
    assert.equal(doubtful(many).length, 1);
    const asked = { ...settings, appetites: { "grammar/agreement": "all" } } as const;
    assert.equal(doubtful(checked([...CLEAN, DOUBTFUL], asked)).length, 1);
  });

  test("stay when the errors are corrected, and come when they are made", () => {
    const engine = checked([...CLEAN, DOUBTFUL, SLIPS]);
    const { from, to } = engine.blockRange(13);
    engine.edit([{ from, to, insert: "It was received." }]);
    assert.equal(doubtful(engine).length, 1);
    const clean = checked([...CLEAN, DOUBTFUL, "It was received."]);
    const place = clean.blockRange(13);
    const report = clean.edit([{ ...place, insert: SLIPS }]);
    assert.equal(doubtful(clean).length, 1);
    assert.ok(report.marks.has(12), "the block of the doubt is reported");
  });
});
