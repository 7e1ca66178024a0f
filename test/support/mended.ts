import assert from "node:assert/strict";
import { test } from "node:test";
import type { Pass } from "../../src/core/checks/card.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import { engineOf } from "./engines.ts";
import { speaksFor } from "./speaking.ts";

/** The marks of one check in a sentence, and what the first choice of each makes of it. */
function marksOf(rule: string, text: string): { text: string; mended: string }[] {
  const engine = engineOf(text, { kind: "general" }, [rule.split("/")[0] as Pass]);
  return engine
    .allMarks()
    .filter((mark) => speaksFor(mark, rule))
    .map((mark) => {
      const own = mark.also?.find((one) => one.rule === rule) ?? mark;
      const [choice] = engine.choices({ ...own, block: mark.block, group: mark.group });
      return { text: mark.text, mended: choice ? applyEdits(text, choice.edits) : "" };
    });
}

/** Tests that a check makes of each wrong sentence the right one, and finds nothing in that. */
export function testMended(rule: string, pairs: readonly (readonly [string, string])[]): void {
  for (const [wrong, right] of pairs) {
    test(`${wrong} → ${right}`, () => {
      assert.deepEqual(
        marksOf(rule, wrong).map(({ mended }) => mended),
        [right],
      );
      assert.deepEqual(marksOf(rule, right), []);
    });
  }
}

/** Tests that a check finds nothing in sentences. */
export function testLeft(rule: string, sentences: readonly string[]): void {
  for (const sentence of sentences) {
    test(`leaves alone: ${sentence}`, () => assert.deepEqual(marksOf(rule, sentence), []));
  }
}
