import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { analyse } from "../../src/core/language/analysis.ts";
import type { BlockKind } from "../../src/core/manuscript/model.ts";
import {
  addCounts,
  countBlock,
  NO_COUNTS,
  subtractCounts,
} from "../../src/core/readings/counts.ts";
import { loadLanguage } from "../support/language.ts";

const count = (text: string, kind: BlockKind = "paragraph") =>
  countBlock(analyse(kind, text, [], loadLanguage()));

describe("counts", () => {
  test("take hyphenated words, numbers and addresses for one word each, and no punctuation", () => {
    assert.equal(count("A well-known 4,900 m³ — see www.gannet-head.example!").words, 6);
    assert.equal(count("“…” – ?").words, 0);
  });

  test("find sentences in prose only", () => {
    assert.equal(count("One. Two? Three!").sentences, 3);
    const heading = count("What the records show", "heading");
    assert.deepEqual([heading.sentences, heading.proseWords, heading.words], [0, 0, 4]);
  });

  test("agree with Intl.Segmenter on the words of plain sentences", () => {
    const segmenter = new Intl.Segmenter("en", { granularity: "word" });
    for (const text of [
      "The gauge in the float well records a level every six minutes.",
      "It’s the keepers’ own daybook, isn't it?",
      "Soundings were taken along nine lines every spring and autumn since 1981.",
    ]) {
      const theirs = [...segmenter.segment(text)].filter(({ isWordLike }) => isWordLike).length;
      assert.equal(count(text).words, theirs, text);
    }
  });

  test("add up", () => {
    const total = addCounts([count("One. Two."), count(""), count("Head", "heading")]);
    assert.deepEqual(total, {
      words: 3,
      sentences: 2,
      proseWords: 2,
      characters: 13,
      paragraphs: 1,
      code: 0,
      columns: 0,
      mail: 0,
      foreign: 0,
    });
  });

  test("tell what no check reads, by what it is", () => {
    const total = addCounts([
      count("const depth = gauge.read(well); if (depth > 4) { warn(); }"),
      count("gauge --log /var/log/tide.log", "code"),
      count("> I read the gauge at noon, as you asked."),
      count("Die Flut kam in der Nacht, und der Turm stand bis an die Fenster im Wasser."),
      count("The keeper reads the gauge at noon."),
    ]);
    assert.deepEqual(
      [total.code, total.columns, total.mail, total.foreign, total.paragraphs],
      [2, 0, 1, 1, 4],
    );
    assert.deepEqual(subtractCounts(total, total), NO_COUNTS);
  });
});
