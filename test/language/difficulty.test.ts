import assert from "node:assert/strict";
import { readFileSync } from "node:fs";
import path from "node:path";
import { describe, test } from "node:test";
import { analyse } from "../../src/core/language/analysis.ts";
import {
  CAUSES,
  causesOf,
  causeTold,
  costOf,
  priceOf,
} from "../../src/core/language/phrases/causes.ts";
import {
  keepFigures,
  keptFigures,
  plainFigures,
  sentenceFigures,
} from "../../src/core/language/phrases/sentence-figures.ts";
import { loadLanguage } from "../support/language.ts";
import { spearman } from "../support/ranks.ts";

const language = loadLanguage();

function figuresOf(text: string) {
  return sentenceFigures(analyse("paragraph", text, [], language), language);
}

function only(text: string) {
  const [figures] = figuresOf(text);
  assert.ok(figures);
  return figures;
}

const stretch = (text: string, { from, to }: { from: number; to: number }) => text.slice(from, to);

describe("what makes a sentence hard", () => {
  test("is nothing in a plain sentence", () => {
    for (const text of [
      "The gauge is read twice a day.",
      "When the tide turned, the boats came in.",
      "We know that the level rises.",
      "She is taller than he is.",
    ]) {
      assert.equal(costOf(only(text)), 0, text);
    }
  });

  test("is words between subject and verb, found where they stand", () => {
    const text =
      "The volume removed by the bucket dredger, which was known to the office from hopper counts, cannot be compared.";
    const figures = only(text);
    assert.equal(figures.distance, 14);
    assert.match(stretch(text, figures.stretches.distance), /^removed by .* counts,$/);
    assert.equal(causesOf(figures)[0], "distance");
    assert.equal(only("In 1981, after the storm, the office closed.").distance, 0);
    assert.equal(only("Sand, silt and weed came in.").distance, 0, "a series has its last noun");
    assert.equal(
      only("The well is a measure of what the pipe that the office laid carries.").distance,
      0,
      "what follows a verb is no subject",
    );
  });

  test("is clauses that lie in each other", () => {
    assert.equal(only("The keeper who read the gauge slept.").depth, 1);
    const text = "The keeper who read the gauge that the office which he hated had bought slept.";
    const figures = only(text);
    assert.equal(figures.depth, 3);
    assert.match(stretch(text, figures.stretches.depth), /^which he hated/);
    assert.equal(only("He said that it rose and that it fell.").depth, 1);
    assert.equal(only("Which of the gauges is it?").depth, 0, "a question nests nothing");
  });

  test("is nouns in a row", () => {
    const text = "The harbour depth survey results were late.";
    const figures = only(text);
    assert.equal(figures.nouns, 4);
    assert.equal(stretch(text, figures.stretches.nouns), "harbour depth survey results");
  });

  test("is one negation beside another, prefixes too", () => {
    const figures = only("It is not unlikely that nobody came.");
    assert.deepEqual([figures.negations, figures.prefixed], [2, 1]);
    assert.equal(priceOf("negations", figures), 10);
    assert.equal(only("The unlikely guest came.").negations, 0);
    assert.equal(priceOf("negations", only("He did not come.")), 0);
  });

  test("is rare words, of which names are none", () => {
    assert.ok(only("Heteroscedastic residuals obfuscate harmonic constituents.").rare >= 3);
    assert.equal(only("Pellow and Quillfrost came to Leetmoor.").rare, 0);
  });

  test("is told by a figure for each cause, and costs more the more there is", () => {
    const figures = only("The gauge is read twice a day.");
    for (const cause of CAUSES) {
      assert.match(causeTold(cause, figures), /\d/);
      const name = cause === "length" ? "words" : cause;
      const worse = { ...figures, [name]: figures[name] + 40 };
      assert.ok(priceOf(cause, worse) > priceOf(cause, figures), cause);
      assert.deepEqual(causesOf(worse), [cause]);
    }
  });
});

test("the cost of sixty sentences agrees with a ranking by hand made before it was measured", () => {
  const file = path.resolve(import.meta.dirname, "../../bench/data/hard-sentences.tsv");
  const rows = readFileSync(file, "utf8")
    .trim()
    .split("\n")
    .filter((line) => !line.startsWith("#"))
    .map((line) => line.split("\t"));
  assert.equal(rows.length, 60);
  const hand = rows.map(([rank]) => Number(rank));
  const costs = rows.map(([, text = ""]) => costOf(only(text)));
  const agreement = spearman(hand, costs);
  assert.ok(agreement >= 0.7, agreement.toFixed(3));
  const lengths = rows.map(([, text = ""]) => text.split(" ").length);
  assert.ok(agreement > spearman(hand, lengths) + 0.1, "length alone says much less");
});

describe("figures that are kept", () => {
  const text = "The keeper, who slept, was woken. Who woke him? Not I.";

  test("are what they were, moved to where their text stands", () => {
    const found = figuresOf(text);
    const again = keptFigures(keepFigures(found), 100);
    assert.equal(again.length, 3);
    for (const [index, { stretches: _, ...figures }] of found.entries()) {
      assert.deepEqual(again[index], {
        ...figures,
        from: figures.from + 100,
        to: figures.to + 100,
      });
    }
    assert.deepEqual(keptFigures(keepFigures([])), []);
  });

  test("of a block without phrases are its words", () => {
    const block = analyse("code", "gauge --read. gauge --log!", [], language);
    assert.deepEqual(
      sentenceFigures(block, language).map(({ words, clauses, passives }) => [
        words,
        clauses,
        passives,
      ]),
      [[4, 1, 0]],
    );
    assert.deepEqual(plainFigures(analyse("paragraph", "— …", [], language)), []);
  });
});
