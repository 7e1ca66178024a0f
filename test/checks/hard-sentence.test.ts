import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { splitsOf } from "../../src/core/checks/sentences/splits.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import { readerSetting } from "../../src/core/readings/readers.ts";
import { engineOf } from "../support/engines.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();

/** The ways to end a sentence sooner. */
function splits(text: string): string[] {
  return splitsOf(text, { from: 1, to: 2 }, language).map(({ edits }) => applyEdits(text, edits));
}

describe("a sentence ended sooner", () => {
  test("goes on with what follows “and”, and keeps “but” and “so”", () => {
    assert.deepEqual(
      splits("The crew took the soundings at noon, and the office drew the chart."),
      ["The crew took the soundings at noon. The office drew the chart."],
    );
    assert.deepEqual(splits("The crew took the soundings at noon, but nobody drew the chart."), [
      "The crew took the soundings at noon. But nobody drew the chart.",
    ]);
    assert.deepEqual(
      splits("The pump had stopped in the night, so the cellar was full of water."),
      ["The pump had stopped in the night. So the cellar was full of water."],
    );
  });

  test("parts what a semicolon joins", () => {
    assert.deepEqual(splits("The gauge stood in the well; however, the keeper never read it."), [
      "The gauge stood in the well. However, the keeper never read it.",
    ]);
  });

  test("makes a sentence of a relative clause at its end, with the number of what it is about", () => {
    assert.deepEqual(splits("The office sent for the old gauge, which was read twice a day."), [
      "The office sent for the old gauge. It was read twice a day.",
    ]);
    assert.deepEqual(splits("The office sent for the three old gauges, which were read daily."), [
      "The office sent for the three old gauges. They were read daily.",
    ]);
  });

  for (const text of [
    "The crew took the soundings at noon, at six, and at midnight in the rain.",
    "When the tide fell and the wind rose, and the lamp was lit, they slept in the hall.",
    "The gauge, which was read twice a day, stood in the well by the harbour steps.",
    "They read the gauge, the staff and the clock, and wrote all of it down.",
    "He said (and the keeper agreed, and the crew laughed at it) that it was late.",
  ]) {
    test(`is not offered where no clause begins: ${text}`, () =>
      assert.deepEqual(splits(text), []));
  }

  test("is offered nearest the middle first, and in the sentence asked about", () => {
    const text =
      "It rained. The crew rowed out at noon, and the wind rose in the west, and the boat came back at six, and the keeper lit the lamp.";
    const first = splitsOf(text, { from: 20, to: 24 }, language);
    assert.equal(first.length, 3);
    assert.equal(first[0]?.label, "End the sentence after “west”");
    assert.deepEqual(splitsOf(text, { from: 2, to: 3 }, language), []);
  });
});

const HARD =
  "The keeper who had read the gauge that was set in the well which the office had dug in the dry summer of the long war said nothing of it.";

describe("hard sentences", () => {
  const marked = (
    text: string,
    reader: string | null = null,
    kind: "report" | "fiction" = "report",
  ) =>
    engineOf(text, { reader, kind })
      .allMarks()
      .filter(({ rule }) => rule === "sentences/hard-sentence");

  test("are marked for the reader they are too hard for", () => {
    const bounds = (longest: number) => readerSetting({ shortest: 5, longest, grade: 9 });
    assert.equal(marked(HARD, bounds(20)).length, 1);
    assert.equal(marked(HARD, bounds(80)).length, 0);
    const [mark] = marked(HARD);
    assert.equal(mark?.weight, "weigh");
    assert.match(mark?.reason ?? "", /between subject and verb/);
  });

  test("follow the reader when another is named, without a second look at the text", () => {
    const engine = engineOf(HARD);
    const settings = { variety: "en-GB", kind: "report", appetites: {}, words: [] } as const;
    const own = () => engine.allMarks().filter(({ pass }) => pass === "sentences").length;
    assert.equal(own(), 1);
    engine.configure({ ...settings, reader: "5-99@20" });
    assert.equal(own(), 0);
    engine.configure({ ...settings, reader: "teenager" });
    assert.equal(own(), 1);
  });

  test("are none of a novel's business unless asked for, nor of a heading's", () => {
    assert.equal(marked(HARD, null, "fiction").length, 0);
    const asked = engineOf(HARD, {
      kind: "fiction",
      appetites: { "sentences/hard-sentence": "all" },
    });
    assert.equal(asked.allMarks().filter(({ pass }) => pass === "sentences").length, 1);
  });

  test("are two a page, and the others are counted", () => {
    const engine = engineOf(Array.from({ length: 5 }, () => HARD).join("\n"));
    const shown = engine.allMarks().filter(({ pass }) => pass === "sentences").length;
    assert.equal(shown, 2);
    assert.equal(engine.tables().withheld.get("sentences/hard-sentence"), 3);
  });

  test("keep their mark beside marks of other passes in them", () => {
    const text = HARD.replace("nothing", "nothng");
    const passes = new Set(
      engineOf(text)
        .allMarks()
        .map(({ pass }) => pass),
    );
    assert.ok(passes.has("sentences") && passes.has("spelling"));
  });
});
