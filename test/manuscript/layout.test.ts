import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import {
  blockIndexAt,
  copyLayout,
  shiftBlocks,
  shiftSpans,
  whyRefused,
} from "../../src/core/manuscript/layout.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import type { Edit, Span } from "../../src/core/manuscript/model.ts";
import { seeded } from "../support/random.ts";

describe("a layout", () => {
  test("keeps its blocks on their texts through edits inside blocks", () => {
    const random = seeded(3);
    const manuscript = linesManuscript("first line\n\nthird one\nlast");
    for (let run = 0; run < 400; run++) {
      const layout = copyLayout(manuscript);
      const texts = layout.blocks.map(({ from, to }) => manuscript.text.slice(from, to));
      const edits: Edit[] = [];
      for (const [index, { from, to }] of layout.blocks.entries()) {
        if (random() < 0.4) continue;
        const start = from + Math.floor(random() * (to - from + 1));
        const end = start + Math.floor(random() * (to - start + 1));
        edits.push({ from: start, to: end, insert: "ebb" });
        const text = texts[index] ?? "";
        texts[index] = `${text.slice(0, start - from)}ebb${text.slice(end - from)}`;
      }
      const after = applyEdits(manuscript.text, edits);
      shiftBlocks(layout.blocks, edits);
      assert.deepEqual(
        layout.blocks.map(({ from, to }) => after.slice(from, to)),
        texts,
      );
    }
  });

  test("finds the block of a position", () => {
    const { blocks } = linesManuscript("ab\ncd\n\nef");
    assert.deepEqual(
      [0, 2, 3, 5, 6, 7, 9].map((at) => blockIndexAt(blocks, at)),
      [0, 0, 1, 1, 2, 3, 3],
    );
  });

  test("lets emphasis grow at its end and a link not", () => {
    const spans: Span[] = [
      { kind: "emphasis", from: 2, to: 5 },
      { kind: "link", from: 2, to: 5 },
    ];
    shiftSpans(spans, [{ from: 5, to: 5, insert: "xy" }]);
    assert.deepEqual(
      spans.map(({ to }) => to),
      [7, 5],
    );
  });

  test("says why an edit cannot be made", () => {
    const { text, blocks } = linesManuscript("read the \ufffc gauge 😀\nsecond");
    const spans: Span[] = [{ kind: "locked", from: 0, to: 4, label: "This is a field" }];
    const why = (edit: Edit) => whyRefused(text, { blocks, spans }, edit);
    assert.match(why({ from: 14, to: 22, insert: "" }) ?? "", /one paragraph/);
    assert.match(why({ from: 5, to: 5, insert: "a\nb" }) ?? "", /New paragraphs/);
    assert.match(why({ from: 8, to: 11, insert: "" }) ?? "", /image/);
    assert.match(why({ from: 1, to: 2, insert: "" }) ?? "", /This is a field/);
    assert.match(why({ from: 18, to: 18, insert: "x" }) ?? "", /cut one character/);
    assert.match(why({ from: 5, to: 5, insert: "\u0001" }) ?? "", /control character/);
    assert.equal(why({ from: 4, to: 4, insert: "s" }), null);
  });
});
