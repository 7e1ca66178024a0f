import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { CHECKS } from "../../src/core/checks/index.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import { marksOfExample } from "../support/marks.ts";
import { speaksFor } from "../support/speaking.ts";

for (const check of CHECKS) {
  describe(`the check “${check.title}”`, () => {
    test("says what, why and on what ground", () => {
      assert.match(check.id, /^[a-z]+\/[a-z-]+$/);
      assert.ok(check.why.length > 40 && check.source.length > 5 && check.code.length <= 4);
      assert.ok(check.examples.length >= (check.pass === "spelling" ? 3 : 2));
      assert.ok(check.examples.some((one) => "wrong" in one));
      assert.ok(check.examples.some((one) => "leave" in one));
    });

    for (const example of check.examples) {
      if ("leave" in example) {
        test(`leaves alone: ${example.leave}`, () => {
          const marks = marksOfExample(example.leave).filter((mark) => {
            return mark.rule === check.id || (check.pass !== "wording" && mark.pass === check.pass);
          });
          assert.deepEqual(
            marks.map(({ rule, text }) => `${rule}: ${text}`),
            [],
          );
        });
      } else if ("marked" in example) {
        test(`marks “${example.marked}” in: ${example.wrong}`, () => {
          const own = marksOfExample(example.wrong).find((mark) => speaksFor(mark, check.id));
          assert.equal(own?.text, example.marked);
        });
      } else {
        test(`makes “${example.right}” of “${example.wrong}”`, () => {
          const marks = marksOfExample(example.wrong);
          const own = marks.find((mark) => speaksFor(mark, check.id));
          assert.ok(own, `marked by ${marks.map(({ rule }) => rule).join(", ") || "nothing"}`);
          assert.equal(applyEdits(example.wrong, own.choices[0]?.edits ?? []), example.right);
        });
      }
    }
  });
}
