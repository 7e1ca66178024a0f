import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { placesBehind, readText } from "../../src/core/engine/reading.ts";
import type { PlaceQuery } from "../../src/core/readings/places.ts";
import { PARTS, USUAL_SCOPE } from "../../src/core/readings/scope.ts";
import { WORD_KINDS } from "../../src/core/readings/words.ts";
import { loadLanguage } from "../support/language.ts";
import { reading, readingEngine } from "../support/reading.ts";

const COPY = `# The tide gauge

The gauge was built in 1904 by the harbour office. Who reads it now? Nobody has read it since.

The keeper needs three things:

- a lamp
- the long hook that hangs by the door
- patience

> “The removal of the staff was not unlikely,” he wrote.

| Year | Level of the water |
|------|--------------------|
| 1904 | 2.1 metres above the datum |

\`\`\`
gauge --read --well
\`\`\`

## What was lost

Observations of the instruments were interrupted repeatedly.
`;

describe("what is counted", () => {
  const { counts, document, parts } = reading(COPY);

  test("leaves headings, tables and code out of the measures, and not out of the document", () => {
    // 10 + 4 + 5 words in the first paragraph, 5 in the lead-in, 2 + 8 + 1 in the list, 10 quoted, 7.
    assert.equal(counts.words, 10 + 4 + 5 + 5 + 2 + 8 + 1 + 10 + 7);
    assert.equal(document.words, counts.words + 3 + 3 + 11 + parts.code);
    assert.deepEqual(
      { ...parts, code: 0 },
      { headings: 6, tables: 11, references: 0, code: 0, quotations: 10 },
    );
  });

  test("takes a list item, and a lead-in that ends with a colon, for a sentence", () => {
    assert.equal(counts.sentences, 3 + 1 + 3 + 1 + 1);
  });

  test("takes for a paragraph what is neither heading nor list item, cell or listing", () => {
    assert.equal(counts.paragraphs, 4);
    assert.equal(document.paragraphs, 4);
  });

  test("counts questions, passives, prepositions, negations, and what stands between quotation marks", () => {
    assert.equal(counts.questions, 1);
    assert.equal(counts.passives, 2);
    assert.equal(counts.prepositions, 5);
    assert.equal(counts.quoted, 8);
    assert.equal(counts.negations, 2);
  });

  test("changes by what a part has, when that is switched in or out", () => {
    for (const part of PARTS) {
      const other = reading(COPY, { [part]: !USUAL_SCOPE[part] });
      const sign = USUAL_SCOPE[part] ? -1 : 1;
      assert.equal(other.counts.words - counts.words, sign * parts[part], part);
      assert.equal(other.document.words, document.words);
    }
  });

  test("is told section by section, and the sections add up", () => {
    const { sections } = reading(COPY);
    assert.deepEqual(
      sections.map(({ title }) => title),
      ["The tide gauge", "What was lost"],
    );
    for (const name of ["words", "sentences", "syllables", "clauses", "letters"] as const) {
      assert.equal(
        sections.reduce((sum, section) => sum + section.counts[name], 0),
        counts[name],
        name,
      );
    }
    assert.equal(sections[1]?.counts.nominalisations, 1);
    assert.deepEqual(sections[1]?.diversity, { movingAverage: null, mtld: null });
    const long = `# Long\n\n${"The tide came in and the boats went out. ".repeat(20)}\n`;
    const { sections: one, diversity } = reading(long);
    assert.deepEqual(one[0]?.diversity, diversity);
    assert.ok((diversity.mtld ?? 0) > 0);
  });

  test("of another language, and of a mail's head, is never measured", () => {
    const foreign =
      "Die Flut kam in der Nacht, und der Turm stand bis an die Fenster im Wasser.\n\nThe keeper slept.\n";
    assert.equal(reading(foreign).counts.words, 3);
    assert.equal(reading(foreign).document.words, 19);
  });

  test("is nothing in a text without sentences", () => {
    const { counts: none, measures, grade, sections, hardest } = reading("# Only a heading\n");
    assert.equal(none.words, 0);
    assert.ok(measures.every(({ value }) => value === null));
    assert.deepEqual([grade, sections, hardest], [null, [], []]);
  });
});

describe("every count", () => {
  const engine = readingEngine(COPY);
  const language = loadLanguage();
  const { counts } = readText(engine, language, USUAL_SCOPE, null);
  const places = (query: PlaceQuery) => placesBehind(engine, language, USUAL_SCOPE, query);
  const text = engine
    .readBlocks()
    .map(({ text: own }) => own)
    .join("\n");

  for (const count of [
    "words",
    "sentences",
    "paragraphs",
    "questions",
    "passives",
    "nominalisations",
    "prepositions",
    "negations",
    ...WORD_KINDS,
  ] as const) {
    test(`opens to its places: ${count}`, () => {
      const found = places({ count });
      // Spache counts each unfamiliar word once, wherever it stands.
      const number =
        count === "unfamiliarWords"
          ? new Set(found.map(({ from, to }) => text.slice(from, to).toLowerCase())).size
          : found.length;
      assert.equal(number, counts[count]);
      assert.ok(found.every(({ from, to }) => from < to));
    });
  }

  test("of quoted words opens to what is quoted, as one stretch", () => {
    const [quoted, ...others] = places({ count: "quoted" });
    assert.ok(quoted);
    assert.match(text.slice(quoted.from, quoted.to), /^The removal.*unlikely/);
    assert.deepEqual(others, []);
  });

  test("of syllables and letters opens to the words that have most", () => {
    const figures = places({ count: "syllables" }).map(({ figure = 1 }) => figure);
    assert.equal(figures[0], 4);
    assert.deepEqual(
      figures,
      [...figures].sort((one, other) => other - one),
    );
    assert.equal(
      figures.reduce((sum, figure) => sum + figure, 0),
      counts.syllables,
    );
  });

  test("of a word opens to all its forms", () => {
    const found = places({ forms: ["reads", "read"] });
    assert.deepEqual(
      found.map(({ from, to }) => text.slice(from, to)),
      ["reads", "read"],
    );
  });
});

describe("the sentences that cost most", () => {
  const hard =
    "The keeper who had read the gauge that was set in the well which the office had dug in the dry summer of the long war said nothing of it.";
  const { hardest, sentences } = reading(`The lamp was lit.\n\n${hard}\n\nThe tide came in.\n`);

  test("come first, with what makes them hard and where it stands", () => {
    assert.equal(hardest.length, 1);
    assert.match(hardest[0]?.told ?? "", /^\d+ words between subject and verb; /);
    assert.equal(sentences.length, 3);
    assert.deepEqual(
      sentences.map(({ cost }) => cost > 0),
      [false, true, false],
    );
    const { shown, from, to } = hardest[0] ?? { shown: { from: 0, to: 0 }, from: 0, to: 0 };
    assert.ok(shown.from > from && shown.to < to);
  });
});

describe("before and after", () => {
  test("the readings of the original are those it had before it was changed", () => {
    const engine = readingEngine(COPY);
    const language = loadLanguage();
    const before = readText(engine, language, USUAL_SCOPE, null);
    const original = {
      text: engine
        .readBlocks()
        .map(({ text }) => text)
        .join("\n"),
      blocks: engine.readBlocks().map(({ block }) => ({ ...block })),
      spans: [],
    };
    const { from } = engine.blockRange(1);
    engine.edit([{ from, to: from, insert: "It rained. " }]);
    const after = readText(engine, language, USUAL_SCOPE, original);
    assert.equal(after.counts.sentences, before.counts.sentences + 1);
    assert.equal(after.before?.counts.sentences, before.counts.sentences);
    assert.equal(after.before?.lengths.length, before.sentences.length);
    assert.equal(before.before, null);
  });
});
