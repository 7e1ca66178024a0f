import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { CARDS } from "../../src/core/checks/cards.ts";
import { marksOfExample } from "../support/marks.ts";

/** One line of a slip. */
const LONGEST = 110;
/** What they speak of is a sentence or a section, or a mark that is not there. */
const OF_NO_WORD = new Set([
  "grammar/mark-slips",
  "grammar/final-mark",
  "spelling/missing-space",
  "spelling/sentence-start",
  "spelling/day-and-month",
  "sentences/hard-sentence",
  "wording/noun-string",
  "wording/passive-section",
]);

describe("what a mark says", () => {
  for (const card of CARDS) {
    test(`of “${card.title}” is short, plain and names the word`, () => {
      const told = card.examples.flatMap((example) => {
        if (!("wrong" in example)) return [];
        return marksOfExample(example.wrong).flatMap((mark) =>
          [mark, ...(mark.also ?? [])].filter(({ rule }) => rule === card.id),
        );
      });
      assert.ok(told.length > 0);
      for (const { reason } of told) {
        assert.ok(reason.length <= LONGEST, `${reason.length}: ${reason}`);
        assert.match(reason, /^[“\p{Lu}\d].*[.?”]$/u);
        assert.doesNotMatch(reason, /\bstands?\b/, reason);
        assert.doesNotMatch(reason, /[{}]|“”|\bundefined\b/, reason);
        assert.doesNotMatch(reason, /\ba [AEIO]\p{Ll}|\ban [BCDFGJKLMNPQRSTVWXZ]\p{Ll}/u, reason);
        // How a manual has it is told of the manual.
        if (!OF_NO_WORD.has(card.id) && card.pass !== "citations")
          assert.match(reason, /“[^”]+”/, reason);
      }
    });

    test(`the title and ground of “${card.title}” are a reader’s words`, () => {
      assert.ok(card.title.length <= 60, card.title);
      assert.doesNotMatch(card.title, /[.:]$/);
      assert.match(card.why, /^[“‘\p{Lu}].*[.”?]$/u);
      assert.doesNotMatch(card.why.replace(/let (?:it|them) stand/, ""), /\bstands\b/, card.why);
    });
  }
});
