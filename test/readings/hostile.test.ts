import assert from "node:assert/strict";
import { describe, test } from "node:test";
import type { TextReadings } from "../../src/core/engine/reading.ts";
import { NO_COUNTS } from "../../src/core/readings/counts.ts";
import { reachOf } from "../../src/core/readings/reach.ts";
import { costBound, READERS, readerOf } from "../../src/core/readings/readers.ts";
import { sentenceBars } from "../../src/core/readings/tables.ts";
import { reportHtml } from "../../src/core/report/html.ts";
import { partsOf } from "../../src/core/report/parts.ts";
import { type ReportSources, reportOf } from "../../src/core/report/report.ts";
import { seeded } from "../support/random.ts";
import { reading } from "../support/reading.ts";

/** Texts that nobody writes, and some file holds all the same. */
const HOSTILE: Record<string, string> = {
  "punctuation alone": "— … ?! ()\n\n“”\n",
  "one word": "tide",
  "one very long word": `${"a".repeat(20_000)}.`,
  "one sentence without an end": "the tide and ".repeat(3_000),
  "stops without words": ". ".repeat(2_000),
  "half of a pair of surrogates": "The tide \ud83d turned. \udc00 It fell.",
  "letters of many scripts": "Ω ß é 水 ع Ж ۳ ⅷ. Vier ÆØÅ čšž.",
  "marks on letters": `Tide${"\u0301".repeat(500)} turned.`,
  "numbers alone": "1 2,000 3.14 10:30 1st 007 12345678901234567890 1/2 .5 5. 1,2,3\n",
  capitals: "NATO AND THE BBC MET IN THE USA. IT WAS COLD.",
  "negations without end": `It is ${"not un".repeat(200)}likely.`,
  "clauses without end": `He said ${"that she said ".repeat(150)}so.`,
  "quotation marks without end": "“".repeat(500),
};

/** What holds of any readings whatever. */
function holds(readings: TextReadings, name: string): void {
  const { counts, measures, sections, sentences, paragraphs, hardest, parts } = readings;
  for (const [count, value] of Object.entries(counts)) {
    assert.ok(Number.isInteger(value) && value >= 0, `${name}: ${count} ${value}`);
  }
  for (const { id, value } of measures) {
    assert.ok(value === null || Number.isFinite(value), `${name}: ${id} ${value}`);
  }
  const total = (of: (one: { words: number }) => number) =>
    sentences.reduce((sum, one) => sum + of(one), 0);
  assert.equal(
    total(({ words }) => words),
    counts.words,
    name,
  );
  assert.equal(sentences.length, counts.sentences, name);
  assert.equal(
    sections.reduce((sum, { counts: own }) => sum + own.words, 0),
    counts.words,
    name,
  );
  assert.ok(counts.distinctWords <= counts.words && counts.unfamiliarWords <= counts.words);
  assert.ok(counts.polysyllables <= counts.words && counts.syllables >= counts.words, name);
  assert.ok(counts.characters >= counts.letters);
  assert.equal(paragraphs.length, counts.paragraphs);
  assert.ok(Object.values(parts).every((words) => words <= readings.document.words));
  let last = 0;
  for (const { from, to, cost } of sentences) {
    assert.ok(from >= last && to > from && cost >= 0 && Number.isFinite(cost), name);
    last = to;
  }
  for (const { from, to, shown, told } of hardest) {
    assert.ok(shown.from >= from && shown.to <= to && shown.to > shown.from, name);
    assert.match(told, /\d/);
  }
  for (const bounds of READERS) {
    const bars = sentenceBars(sentences, bounds);
    assert.ok(bars.length <= 360);
    assert.equal(
      bars.reduce((sum, { of }) => sum + of, 0),
      sentences.length,
    );
    for (const { mean, soonest } of reachOf(readings, bounds)) {
      assert.ok(Number.isFinite(mean) && (soonest === null || soonest.length <= sentences.length));
    }
    assert.ok(costBound(bounds) > 0);
  }
}

describe("readings of texts that nobody writes", () => {
  for (const [name, text] of Object.entries(HOSTILE)) {
    test(name, () => holds(reading(text), name));
  }

  test("of random pieces of all of these", () => {
    const next = seeded(11);
    const pieces = Object.values(HOSTILE).map((text) => text.slice(0, 60));
    for (let round = 0; round < 60; round++) {
      let text = "Ebb. ";
      for (let count = next() * 12; count > 0; count--) {
        text += pieces[Math.floor(next() * pieces.length)] ?? "";
        text += ["\n\n", " ", ". ", "\n\n# ", "\n\n- ", "\n\n> "][Math.floor(next() * 6)] ?? "";
      }
      holds(reading(text, { headings: true, code: true }), JSON.stringify(text).slice(0, 300));
    }
  });
});

describe("a reader’s setting of any kind", () => {
  test("gives bounds that can be read by", () => {
    const next = seeded(5);
    const signs = [..."0123456789-@. abc"];
    for (let round = 0; round < 2_000; round++) {
      let setting = "";
      for (let count = next() * 9; count > 0; count--) {
        setting += signs[Math.floor(next() * signs.length)] ?? "";
      }
      const { shortest, longest, grade } = readerOf(setting, "report");
      assert.ok(shortest < longest && longest > 0 && grade > 0, setting);
    }
  });
});

test("a report of any text is a page of text", () => {
  for (const [name, text] of Object.entries(HOSTILE)) {
    const sources: ReportSources = {
      title: `<script>${text.slice(0, 40)}</script>`,
      fileName: text.slice(0, 40),
      at: "2031-04-02T12:00:00.000Z",
      settings: { variety: "en-GB", kind: "report", appetites: {}, words: [] },
      house: "",
      decisions: [],
      marks: [],
      open: [],
      tables: { counts: NO_COUNTS, withheld: new Map() },
      unread: [],
      readings: reading(text),
      text,
      queries: [],
      sectionAt: () => "",
    };
    const html = reportHtml(sources.title, partsOf(reportOf(sources), true));
    assert.doesNotMatch(html, /<script/, name);
    assert.doesNotMatch(html, /NaN|undefined|Infinity/, name);
  }
});
