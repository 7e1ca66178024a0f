import assert from "node:assert/strict";
import { describe, test } from "node:test";
import type { Engine } from "../../src/core/engine/engine.ts";
import { engineOf } from "../support/engines.ts";

const labels = (engine: Engine, text: string) => {
  const mark = engine.allMarks().find((one) => one.text === text);
  assert.ok(mark, `“${text}” is marked`);
  return engine.choices(mark).map(({ label }) => label);
};

describe("what a mark can be mended to", () => {
  test("is spelled as the document's variety has it", () => {
    const text = "They did an evaluation of the colour, and utilized it.";
    assert.ok(labels(engineOf(text, { variety: "en-US" }), "colour").includes("color"));
    const engine = engineOf("They made a realization of the plan.");
    for (const mark of engine.allMarks()) {
      for (const { label } of engine.choices(mark)) assert.doesNotMatch(label, /realiz/);
    }
  });

  test("has the capitals of what is marked", () => {
    assert.equal(labels(engineOf("Recieved at noon, it was read."), "Recieved")[0], "Received");
  });

  test("is never marked itself, however often the document has it", () => {
    const text = "We recieved it. They recieved it. He recieved it. She receved it.";
    const offered = labels(engineOf(text), "receved");
    assert.ok(offered.includes("received"));
    assert.ok(!offered.includes("recieved"), offered.join());
  });

  test("says how often the document has it elsewhere", () => {
    const engine = engineOf("The gauge is here. That gauge is old. Each gauge is red. One guage.");
    const mark = engine.allMarks().find((one) => one.text === "guage");
    assert.ok(mark);
    const [first] = engine.choices(mark);
    assert.equal(first?.label, "gauge");
    assert.match(first?.note ?? "", /in this document 3 times/);
  });

  test("changes its apostrophes when the document's change", () => {
    const engine = engineOf("It's late.\nThey dont know.");
    assert.deepEqual(labels(engine, "dont").slice(0, 1), ["don't"]);
    engine.edit([{ from: 2, to: 3, insert: "’" }]);
    assert.deepEqual(labels(engine, "dont").slice(0, 1), ["don’t"]);
  });

  test("counts as one variant in any capitals", () => {
    const engine = engineOf("Recieved at noon. It was recieved at noon.");
    const variants = engine
      .allMarks()
      .filter(({ text }) => text.toLowerCase() === "recieved")
      .map((mark) => engine.choices(mark)[0]?.variant);
    assert.deepEqual(variants, ["received", "received"]);
  });
});
