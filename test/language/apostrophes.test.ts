import assert from "node:assert/strict";
import { describe, test } from "node:test";
import {
  hasStraightApostrophes,
  withStraightApostrophes,
} from "../../src/core/language/text/apostrophes.ts";
import { engineOf } from "../support/engines.ts";

function firstChoice(text: string, marked: string): string {
  const engine = engineOf(text, { kind: "general" });
  const mark = engine.allMarks().find((one) => one.text === marked);
  assert.ok(mark, `“${marked}” is marked`);
  return engine.choices(mark)[0]?.label ?? "";
}

describe("apostrophes of a document", () => {
  test("are straight where most of them are, or where the quotation marks are", () => {
    assert.equal(hasStraightApostrophes(["It's the keeper's lamp.", "We’ll see."]), true);
    assert.equal(hasStraightApostrophes(["It’s the keeper’s lamp.", "We'll see."]), false);
    assert.equal(hasStraightApostrophes(['He said "go" and went.']), true);
    assert.equal(hasStraightApostrophes(["He said “go” and went."]), false);
    assert.equal(hasStraightApostrophes(["Nothing tells."]), false);
  });

  test("are put in as the document writes them, in whatever paragraph it does", () => {
    const slip = "The gauge dont work in frost.";
    assert.equal(firstChoice(slip, "dont"), "don’t");
    assert.equal(firstChoice(`${slip}\nIt's the keeper's lamp.`, "dont"), "don't");
    assert.equal(firstChoice(`${slip}\nIt’s the keeper’s lamp.`, "dont"), "don’t");
  });

  test("of owners of many end a word", () => {
    assert.equal(
      withStraightApostrophes("the keepers’ lamps, it’s said"),
      "the keepers' lamps, it's said",
    );
  });
});
