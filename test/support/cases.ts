import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import { marksOf } from "./marks.ts";
import { speaksFor } from "./speaking.ts";

/** What one check makes of whole sentences. */
export interface Cases {
  rule: string;
  /** Sentences, and what the first correction makes of them. */
  mends: readonly (readonly [wrong: string, right: string])[];
  /** What looks like a mistake and is none. */
  leaves: readonly string[];
}

export function testCases(all: readonly Cases[]): void {
  for (const { rule, mends, leaves } of all) {
    describe(`${rule} in a sentence`, () => {
      for (const [wrong, right] of mends) {
        test(`mends: ${wrong}`, () => {
          const mark = marksOf(wrong).find((one) => speaksFor(one, rule));
          assert.ok(mark, "is marked");
          assert.equal(applyEdits(wrong, mark.choices[0]?.edits ?? []), right);
        });
      }
      for (const sentence of leaves) {
        test(`leaves alone: ${sentence}`, () => {
          const own = marksOf(sentence).filter((one) => speaksFor(one, rule));
          assert.deepEqual(
            own.map(({ text }) => text),
            [],
          );
        });
      }
    });
  }
}
