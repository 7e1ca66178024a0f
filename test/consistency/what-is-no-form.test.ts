import assert from "node:assert/strict";
import { describe, test } from "node:test";
import type { Kind } from "../../src/core/manuscript/model.ts";
import { engineOf } from "../support/engines.ts";

/** Texts of a check whose marks are told: what looks like another form of a thing and is none. */
function marked(rule: string, text: string, kind: Kind = "general"): string[] {
  const engine = engineOf(text, { variety: "en-US", kind }, ["consistency"]);
  return engine
    .allMarks()
    .filter((mark) => mark.rule === `consistency/${rule}`)
    .map((mark) => `${mark.text}:${mark.weight}`);
}

const THOUGHTS = "The lamp — the old one — went out.\nThe door — it was oak — held.\n";

describe("a dash that parts no thought", () => {
  test("stands between an entry and what is said of it", () => {
    assert.deepEqual(marked("dash", `${THOUGHTS}tidewatch - Shows the tide of the day\n`), []);
    assert.deepEqual(marked("dash", `${THOUGHTS}Section A -- What is a mole?\n`), []);
  });

  test("stands between a saying and who said it", () => {
    assert.deepEqual(
      marked("dash", `${THOUGHTS}A stopped clock is right twice a day. -- Orrin Pell\n`),
      [],
    );
  });

  test("but a thought in other dashes is marked", () => {
    assert.equal(marked("dash", `${THOUGHTS}The keeper slept -- he was old.\n`).length, 1);
  });
});

describe("quotation marks", () => {
  const SPEECH = 'He said "it is late" and she said "it is not" and "so what" he said.\n';

  test("of a literal of a program are no quotation", () => {
    assert.deepEqual(marked("quotation-marks", `${SPEECH}The branch 'next' has it.\n`), []);
  });

  test("of other words are", () => {
    assert.equal(
      marked("quotation-marks", `${SPEECH}They called it 'the long watch' then.\n`).length,
      1,
    );
  });
});

describe("an abbreviation without its words", () => {
  const USES = "The QZV was read. The QZV is new. We moved the QZV.\n";

  test("is asked about as a doubt where a text explains none of its abbreviations", () => {
    assert.deepEqual(marked("abbreviation-undefined", USES), ["QZV:weigh"]);
  });

  test("is to be settled where it explains another, and in kinds of copy that ask for it", () => {
    const explains = `${USES}The long tide board (LTB) was painted. The LTB is dry. An LTB lasts.\n`;
    assert.deepEqual(marked("abbreviation-undefined", explains), ["QZV:settle"]);
    assert.deepEqual(marked("abbreviation-undefined", USES, "paper"), ["QZV:settle"]);
  });

  test("and again as a doubt once that explanation is gone", () => {
    const engine = engineOf(
      `${USES}The long tide board (LTB) was painted. The LTB is dry. An LTB lasts.\n`,
      { variety: "en-US", kind: "general" },
      ["consistency"],
    );
    const { from, to } = engine.blockRange(1);
    engine.edit([{ from, to, insert: "It was painted." }]);
    const weights = engine
      .allMarks()
      .filter(({ rule }) => rule === "consistency/abbreviation-undefined")
      .map(({ weight }) => weight);
    assert.deepEqual(weights, ["weigh"]);
  });
});
