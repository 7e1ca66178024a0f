import assert from "node:assert/strict";
import { test } from "node:test";
import { checkText } from "../../src/command/checking.ts";
import { counterpartOf } from "../../src/core/language/words/respell.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import type { Variety } from "../../src/core/manuscript/model.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();

/** Common practice on both sides; the pairs are those any style manual lists. */
const TWINS: readonly [string, string][] = [
  ["programme", "program"],
  ["grey", "gray"],
  ["kerb", "curb"],
  ["tyre", "tire"],
  ["spelt", "spelled"],
  ["plough", "plow"],
  ["colour", "color"],
  ["centre", "center"],
  ["organise", "organize"],
  ["analyse", "analyze"],
  ["travelled", "traveled"],
  ["defence", "defense"],
  ["catalogue", "catalog"],
  ["anaemia", "anemia"],
  ["fulfil", "fulfill"],
];

for (const [british, american] of TWINS) {
  test(`“${british}” and “${american}” are each other’s counterpart`, () => {
    const known = (word: string, variety: Variety) =>
      counterpartOf(word, variety, language.lexicon);
    assert.equal(known(british, "en-US"), american);
    // Where Britain has both there is nothing to change.
    if ((language.lexicon.varieties(american) & 2) === 0) {
      const back = known(american, "en-GB");
      assert.ok(back === british || back === null, `${american}: ${back}`);
    }
  });
}

test("a word of another variety offers its counterpart first, and never itself in capitals", () => {
  const { marks } = checkText(linesManuscript("The grey programme was about a kerb."), language, {
    variety: "en-US",
    kind: "report",
    passes: ["spelling"],
  });
  assert.deepEqual(
    marks.map(({ choices }) => choices[0]?.label),
    ["gray", "program", "curb"],
  );
});
