import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { Engine } from "../../src/core/engine/engine.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import type { Kind } from "../../src/core/manuscript/model.ts";
import { loadLanguage } from "../support/language.ts";

/** The grammar marks of a text with what is offered for each. */
function marked(text: string, kind: Kind = "report") {
  const engine = new Engine(linesManuscript(text), loadLanguage(), {
    variety: "en-GB",
    kind,
    appetites: {},
    words: [],
  });
  for (const _ of engine.examineAll(["grammar"]));
  return engine.allMarks().map((mark) => ({
    ...mark,
    offered: engine.choices(mark).map(({ label }) => label),
  }));
}

describe("the corrections of a verb after “can”", () => {
  test("are the plain form and the passive, which comes first where what follows asks for it", () => {
    assert.deepEqual(marked("Options can passed to the gauge.")[0]?.offered, ["be passed", "pass"]);
    assert.deepEqual(marked("The crew must reads the gauge.")[0]?.offered, ["read"]);
    assert.deepEqual(marked("The crew could wrote the log.")[0]?.offered, ["write"]);
  });
});

describe("a word in another's place", () => {
  test("is marked alone where its neighbour only looks wrong beside it", () => {
    const texts = marked("They new the tides well.").map(({ text }) => text);
    assert.deepEqual(texts, ["new"]);
  });
});

describe("an article that lacks", () => {
  const WALL = "They built wall along the quay.";
  const OTHERS = "The wall is old. A wall of stone was planned. The crew looked at the wall.";

  test("is told by the place alone, and by the other places of its noun", () => {
    const alone = marked(WALL).find(({ rule }) => rule === "grammar/missing-article");
    assert.match(alone?.reason ?? "", /can be counted/);
    const among = marked(`${OTHERS}\n${WALL}`).find(
      ({ rule }) => rule === "grammar/missing-article",
    );
    assert.match(among?.reason ?? "", /but in every other place where it could\./);
    assert.deepEqual(among?.offered, ["a wall", "the wall"]);
  });

  test("is not asked for between quotation marks, nor in fiction where it is in doubt", () => {
    const rules = (text: string, kind?: Kind) => marked(text, kind).map(({ rule }) => rule);
    assert.ok(!rules(`“${WALL}” she said.`).includes("grammar/missing-article"));
    const doubtful = "It was important decision.";
    assert.ok(rules(doubtful).includes("grammar/missing-article"));
    assert.ok(!rules(doubtful, "fiction").includes("grammar/missing-article"));
  });

  test("is not asked for where the noun is one of a pair, or what stands before belongs to it", () => {
    for (const text of [
      "Taken year by year the record shows two periods.",
      "We recommend a smaller, yearly campaign in its place.",
      "They went from pier to pier.",
      "Gannet Head is a small harbour.",
    ]) {
      assert.deepEqual(
        marked(text).map((mark) => mark.text),
        [],
        text,
      );
    }
  });

  test("is not asked for in a title, nor under a letter", () => {
    const rules = (text: string) => marked(text).map(({ rule }) => rule);
    assert.ok(!rules("Notes on harbour wall").includes("grammar/missing-article"));
    assert.ok(!rules("Keeper of the records").includes("grammar/missing-article"));
    assert.ok(rules("They wrote notes on harbour wall.").includes("grammar/missing-article"));
  });

  test("is found again as the text around it is edited", () => {
    const text = `${OTHERS}\n${WALL}`;
    const engine = new Engine(linesManuscript(text), loadLanguage(), {
      variety: "en-GB",
      kind: "report",
      appetites: {},
      words: [],
    });
    for (const _ of engine.examineAll(["grammar"]));
    const reason = () =>
      engine.allMarks().find(({ rule }) => rule === "grammar/missing-article")?.reason ?? "";
    assert.match(reason(), /every other place/);
    const at = text.indexOf("A wall of stone");
    engine.edit([{ from: at, to: at + 6, insert: "A plan" }]);
    assert.match(reason(), /can be counted/);
  });
});
