import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { familyOf } from "../../src/core/language/words/families.ts";
import { diversityOf, movingAverage, mtld } from "../../src/core/readings/diversity.ts";
import { reachOf } from "../../src/core/readings/reach.ts";
import { costBound, READERS, readerOf, readerSetting } from "../../src/core/readings/readers.ts";
import { runsOf } from "../../src/core/readings/rhythm.ts";
import {
  binLabel,
  binned,
  countTable,
  listedSections,
  measureTable,
  rhythmTable,
  sectionTable,
  sentenceBars,
  sentenceTable,
  shownCells,
  wordTable,
} from "../../src/core/readings/tables.ts";
import { mostUsed } from "../../src/core/readings/words.ts";
import { loadLanguage } from "../support/language.ts";
import { seeded } from "../support/random.ts";
import { reading } from "../support/reading.ts";

function randomWords(count: number, different: number): string[] {
  const next = seeded(count + different);
  return Array.from({ length: count }, () => `w${Math.floor(next() * different)}`);
}

describe("diversity", () => {
  /** Straight from the definition of Covington and McFall 2010. */
  test("in windows is the mean of what each window has, however it is added up", () => {
    const words = randomWords(400, 150);
    let sum = 0;
    for (let from = 0; from + 100 <= words.length; from++) {
      sum += new Set(words.slice(from, from + 100)).size / 100;
    }
    assert.ok(Math.abs((movingAverage(words) ?? 0) - sum / 301) < 1e-12);
    assert.equal(movingAverage(randomWords(99, 50)), null);
  });

  /** McCarthy and Jarvis 2010: a factor is complete where the share falls to 0.72. */
  test("by factors is the length of a text that never falls to their share, and short where words recur", () => {
    const all = Array.from({ length: 120 }, (_, index) => `w${index}`);
    assert.equal(mtld(all), 120);
    const one = Array.from({ length: 120 }, () => "tide");
    assert.equal(mtld(one), 2, "two words of which one is new are half");
    assert.equal(mtld(randomWords(99, 50)), null);
    const rich = mtld(randomWords(1000, 600)) ?? 0;
    const poor = mtld(randomWords(1000, 40)) ?? 0;
    assert.ok(rich > 2 * poor, `${rich}, ${poor}`);
  });

  test("hardly hangs on the length of a text of one kind", () => {
    const [short, long] = [randomWords(500, 200), randomWords(5000, 200)].map(diversityOf);
    assert.ok(Math.abs((short?.mtld ?? 0) - (long?.mtld ?? 0)) < 0.25 * (long?.mtld ?? 1));
  });
});

describe("rhythm", () => {
  const sentences = (lengths: number[], openings: string[] = []) =>
    lengths.map((words, index) => ({ words, opening: openings[index] ?? `w${index}` }));

  test("is monotonous where five sentences in a row are of one length, nearly", () => {
    assert.deepEqual(runsOf(sentences([12, 3, 20, 21, 19, 20, 22, 40])), [
      { kind: "length", first: 2, last: 6, of: "19 to 22 words" },
    ]);
    assert.deepEqual(runsOf(sentences([20, 21, 19, 20])), []);
  });

  test("is heard where three sentences begin alike, unless with an article", () => {
    const openings = ["it", "it", "it", "the", "the", "the", "we"];
    assert.deepEqual(runsOf(sentences([5, 15, 25, 35, 45, 55, 65], openings)), [
      { kind: "opening", first: 0, last: 2, of: "it" },
    ]);
  });

  test("is none in a text without sentences", () => assert.deepEqual(runsOf([]), []));
});

describe("readers", () => {
  test("have bounds that grow with what they take", () => {
    for (const reader of READERS) {
      assert.ok(reader.shortest < reader.longest && reader.grade > 0, reader.id);
      assert.ok(costBound(reader) > 0);
    }
    const specialist = readerOf("specialist", "letter");
    assert.ok(costBound(specialist) > costBound(readerOf("public", "letter")));
  });

  test("are named, or kept by their bounds; nonsense is whoever usually reads that kind", () => {
    const own = { shortest: 5, longest: 18, grade: 6.5 };
    assert.equal(readerSetting(own), "5-18@6.5");
    assert.deepEqual(readerOf(readerSetting(own), "paper"), own);
    assert.equal(readerOf(readerSetting("law"), "paper").id, "law");
    for (const nonsense of [null, undefined, "", "nobody", "18-5@6", "0-0@0", "5-18@"]) {
      assert.equal(readerOf(nonsense, "paper").id, "specialist", `${nonsense}`);
      assert.equal(readerOf(nonsense, "letter").id, "public");
    }
  });
});

const LONG =
  "The office sent a letter to the harbour master in the spring, and he read it to the keepers at the pier, and they wrote an answer in the gauge house that night, and a boy took it to the office.";

describe("a section beyond a reader", () => {
  const copy = `# Easy\n\nIt rained. The tide came in. We went home.\n\n# Long\n\n${LONG} ${LONG} It rained. The tide came in.\n\n# Hard\n\nNotwithstanding meteorological considerations. Administrative responsibilities necessitate reconsideration. Hydrographical irregularities predominate.\n`;
  const readings = reading(copy);
  const reach = reachOf(readings, { shortest: 5, longest: 15, grade: 9 });

  test("is told by its length and its grade", () => {
    assert.deepEqual(
      reach.map(({ isLong, isHard }) => [isLong, isHard]),
      [
        [false, false],
        [true, false],
        [false, true],
      ],
    );
  });

  test("comes within reach by the fewest sentences made two, the hardest first", () => {
    const soonest = reach[1]?.soonest ?? [];
    assert.equal(soonest.length, 2);
    assert.ok(soonest.every(({ words }) => words > 30));
    const after = (reach[1]?.mean ?? 0) * 4;
    assert.ok(after / 6 <= 15, "its words over two sentences more");
  });

  test("whose words are what is hard is said to be so", () =>
    assert.equal(reach[2]?.soonest, null));

  test("of fewer than three sentences is not judged", () => {
    const [only] = reachOf(reading(`# One\n\n${LONG}\n`), { shortest: 5, longest: 15, grade: 9 });
    assert.deepEqual([only?.isLong, only?.isHard, only?.soonest], [false, false, []]);
  });
});

describe("charts and tables", () => {
  const readings = reading(`# A\n\n${LONG} It rained.\n\n# B\n\nThe tide came in.\n`);
  const bounds = readerOf("teenager", "report");

  test("have a bar for every sentence, or the hardest of several where there are too many", () => {
    const bars = sentenceBars(readings.sentences, bounds);
    assert.deepEqual(
      bars.map(({ words, of, isHard }) => [words, of, isHard]),
      [
        [41, 1, true],
        [2, 1, false],
        [4, 1, false],
      ],
    );
    const few = sentenceBars(readings.sentences, bounds, 2);
    assert.deepEqual(
      few.map(({ sentence, of, words }) => [sentence, of, words]),
      [
        [0, 2, 41],
        [2, 1, 4],
      ],
    );
    assert.deepEqual(sentenceBars([], bounds), []);
  });

  test("count every length in one bin, the longest in the last", () => {
    const bins = binned([1, 5, 6, 10, 11, 61, 500], 5, 60);
    assert.equal(
      bins.reduce((sum, { count }) => sum + count, 0),
      7,
    );
    assert.deepEqual(
      [bins[0], bins[1], bins[2]].map((bin) => bin?.count),
      [2, 2, 1],
    );
    const last = bins.at(-1);
    assert.equal(last && binLabel(last), "61 and more");
    assert.deepEqual(binned([], 5, 60), [{ from: 1, to: 5, count: 0 }]);
  });

  test("list every section, or of very many those beyond reach first", () => {
    const reach = (isLong: boolean) => ({
      section: 0,
      mean: 0,
      grade: null,
      isLong,
      isHard: false,
      soonest: [],
    });
    const many = Array.from({ length: 10 }, (_, index) => reach(index >= 8));
    assert.deepEqual(listedSections(many, 10).length, 10);
    assert.deepEqual(listedSections(many, 4), [0, 1, 8, 9]);
  });

  test("say the same: a row for each thing, a cell for each column", () => {
    const text = "";
    const reach = reachOf(readings, bounds);
    for (const table of [
      sectionTable(readings, reach),
      sentenceTable(readings, text),
      measureTable(readings.measures, null),
      measureTable(readings.measures, readings.measures),
      countTable(readings, null),
      countTable(readings, readings.counts),
      wordTable(readings),
      rhythmTable(readings, text),
    ]) {
      for (const row of table.rows) assert.equal(row.length, table.columns.length, table.title);
    }
  });

  test("are shown with one decimal in every row of a column, or in none", () => {
    const table = {
      title: "",
      columns: ["a", "b", "c"],
      rows: [
        ["x", 1, 2],
        ["y", 2.5, 12_345],
      ],
    };
    assert.deepEqual(shownCells(table), [
      ["x", "1.0", "2"],
      ["y", "2.5", "12,345"],
    ]);
  });
});

describe("words used most", () => {
  const { irregular, lexicon } = loadLanguage();
  const root = (form: string) => familyOf(form, irregular, lexicon);

  for (const [form, family] of [
    ["measurements", "measure"],
    ["measured", "measure"],
    ["dredger", "dredge"],
    ["kept", "keep"],
    ["children", "child"],
    ["happiness", "happy"],
    ["readable", "read"],
    ["tides", "tide"],
    ["harbour", "harbour"],
    ["nation", "nation"],
  ] as const) {
    test(`“${form}” belongs to “${family}”`, () => assert.equal(root(form), family));
  }

  test("are counted with their families, words of every text and figures left out", () => {
    const forms = "the measured measure of a measurement is 12 and tide tides once".split(" ");
    assert.deepEqual(
      mostUsed(forms, root, 5).map(({ word, count, forms: own }) => [word, count, own.length]),
      [
        ["measure", 3, 3],
        ["tide", 2, 2],
      ],
    );
  });
});
