import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { checkText } from "../../src/command/checking.ts";
import { CHECKS } from "../../src/core/checks/index.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();

function marksOf(text: string) {
  const options = { variety: "en-GB", kind: "report", passes: ["spelling"] } as const;
  return checkText(linesManuscript(text), language, options).marks;
}

for (const check of CHECKS) {
  describe(`the check “${check.title}”`, () => {
    test("says what, why and on what ground", () => {
      assert.match(check.id, /^[a-z]+\/[a-z-]+$/);
      assert.ok(check.why.length > 40 && check.source.length > 5 && check.code.length <= 4);
      assert.ok(check.examples.length >= 3);
    });

    for (const example of check.examples) {
      if ("leave" in example) {
        test(`leaves alone: ${example.leave}`, () => {
          assert.deepEqual(marksOf(example.leave), []);
        });
      } else {
        test(`makes “${example.right}” of “${example.wrong}”`, () => {
          const marks = marksOf(example.wrong);
          assert.deepEqual(
            marks.map(({ rule }) => rule),
            [check.id],
          );
          assert.equal(applyEdits(example.wrong, marks[0]?.choices[0]?.edits ?? []), example.right);
        });
      }
    }
  });
}
