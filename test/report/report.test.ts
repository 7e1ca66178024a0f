import assert from "node:assert/strict";
import { describe, test } from "node:test";
import mammoth from "mammoth";
import { CARDS } from "../../src/core/checks/cards.ts";
import { readDocument } from "../../src/core/formats/document.ts";
import { EMPTY_STYLE, newHouse } from "../../src/core/house/style.ts";
import type { Decision } from "../../src/core/ledger/decision.ts";
import { NO_COUNTS } from "../../src/core/readings/counts.ts";
import { reportCsv } from "../../src/core/report/csv.ts";
import { reportDocx } from "../../src/core/report/docx.ts";
import { reportHtml } from "../../src/core/report/html.ts";
import { partsOf } from "../../src/core/report/parts.ts";
import {
  type CountedMark,
  outcomesByPass,
  type ReportSources,
  reportOf,
  sumOutcomes,
} from "../../src/core/report/report.ts";
import { houseLine } from "../../src/core/report/words.ts";
import { reading } from "../support/reading.ts";

const TEXT = "The log was recieved wet. It was usefull, and <b>read & filed</b>.";

const mark = (rule: string, weight: CountedMark["weight"], follows = false): CountedMark => ({
  rule,
  weight,
  follows,
  pass: rule.slice(0, rule.indexOf("/")) as CountedMark["pass"],
});

let seq = 0;
const decision = (changes: Partial<Decision> & Pick<Decision, "act">): Decision => ({
  seq: ++seq,
  at: "2031-04-02T10:00:00.000Z",
  scope: "here",
  marks: [],
  edits: [],
  inverse: [],
  ...changes,
});

const UNKNOWN = "spelling/unknown-word";
const anchor = (text: string, rule = UNKNOWN, from = 0) => ({
  rule,
  text,
  from,
  to: from + text.length,
});

function sources(changes: Partial<ReportSources> = {}): ReportSources {
  return {
    title: "Log & <letter>",
    fileName: "log.docx",
    at: "2031-04-02T12:00:00.000Z",
    settings: { variety: "en-GB", kind: "letter", appetites: {}, words: [] },
    house: houseLine([{ ...EMPTY_STYLE, words: [{ word: "ebb", list: "personal", addedAt: "" }] }]),
    decisions: [],
    marks: [],
    open: [],
    tables: { counts: { ...NO_COUNTS, code: 2 }, withheld: new Map([["wording/wordy", 3]]) },
    unread: [],
    readings: reading(`# The log\n\n${TEXT}\n`),
    text: TEXT,
    queries: [],
    sectionAt: () => "The log",
    ...changes,
  };
}

/** Two corrections, one taken back; one stet, one question, one word, an edit by hand. */
function decided(): ReportSources {
  seq = 0;
  const edits = [{ from: 0, to: 8, insert: "received" }];
  const inverse = [{ from: 0, to: 8, insert: "recieved" }];
  const decisions = [
    decision({ act: "correct", marks: [anchor("recieved")], edits, inverse }),
    decision({ act: "correct", marks: [anchor("usefull")], edits, inverse }),
    decision({ act: "undo", undoes: 2 }),
    decision({ act: "stet", marks: [anchor("gague")] }),
    decision({ act: "query", marks: [anchor("wet")], note: "How wet?" }),
    decision({ act: "word", marks: [anchor("Brundlemore")], word: "Brundlemore" }),
    decision({
      act: "edit",
      edits: [{ from: 3, to: 3, insert: "x" }],
      inverse: [{ from: 3, to: 4, insert: "" }],
    }),
    decision({
      act: "setting",
      setting: { name: "reader", before: null, after: "teenager" },
    }),
  ];
  const open = [mark(UNKNOWN, "fix"), mark("wording/wordy", "weigh"), mark(UNKNOWN, "settle")];
  const settled = [mark(UNKNOWN, "fix"), mark(UNKNOWN, "fix"), mark(UNKNOWN, "fix", true)];
  return sources({
    decisions,
    open,
    marks: [...open, ...settled],
    queries: [{ from: 20, to: 23, note: "How wet?" }],
  });
}

describe("a report", () => {
  test("counts what was found by what became of it", () => {
    const { outcomes, edits } = reportOf(decided());
    const fix = outcomes.find(({ rule, weight }) => rule === UNKNOWN && weight === "fix");
    assert.deepEqual(
      [fix?.corrected, fix?.stet, fix?.queried, fix?.listed, fix?.open, fix?.found],
      [1, 1, 1, 1, 1, 5],
    );
    assert.deepEqual(
      outcomes.map(({ rule, weight, found }) => [rule, weight, found]),
      [
        [UNKNOWN, "fix", 5],
        [UNKNOWN, "settle", 1],
        ["wording/wordy", "weigh", 1],
      ],
    );
    assert.equal(sumOutcomes(outcomes).found, 7);
    assert.deepEqual(
      outcomesByPass(outcomes).map(({ pass, weight, sum }) => [pass, weight, sum.open]),
      [
        ["spelling", "fix", 1],
        ["spelling", "settle", 1],
        ["wording", "weigh", 1],
      ],
    );
    assert.equal(edits, 1);
  });

  test("found is always what was corrected, let stand, asked, listed and is open", () => {
    for (const made of [sources(), decided()]) {
      for (const one of reportOf(made).outcomes) {
        assert.equal(one.found, one.corrected + one.stet + one.queried + one.listed + one.open);
      }
    }
  });

  test("names the house style it was read under by what that holds", () => {
    assert.equal(reportOf(sources()).house, "1 listed word");
    assert.equal(houseLine([EMPTY_STYLE]), "");
    const press = {
      ...newHouse("press", "Gannet Head Press"),
      soundRules: [{ typed: "f", meant: "ph" }],
    };
    assert.equal(houseLine([press, EMPTY_STYLE]), "Gannet Head Press: 1 sound rule");
    const [about] = partsOf(reportOf(sources({ house: "" })), false);
    assert.ok(
      about?.tables[0]?.rows.some(
        ([name, value]) => name === "House style" && value === "nothing kept",
      ),
    );
  });

  test("lists the questions with their words around them", () => {
    assert.deepEqual(
      reportOf(decided()).queries,
      [
        {
          text: "wet",
          before: "The log was recieved",
          after: ". It was usefull, and <b>read & filed</b>.",
          note: "How wet?",
          section: "The log",
        },
      ].map((query) => ({
        ...query,
        before: TEXT.slice(0, 20),
        text: TEXT.slice(20, 23),
        after: TEXT.slice(23),
      })),
    );
  });

  test("has the style of the document: what was decided alike in several places, and listed words", () => {
    const made = decided();
    const twice = decision({
      act: "correct",
      scope: "everywhere",
      marks: [
        anchor("gray", "spelling/other-variety", 0),
        anchor("gray", "spelling/other-variety", 10),
      ],
      edits: [
        { from: 0, to: 4, insert: "grey" },
        { from: 10, to: 14, insert: "grey" },
      ],
      inverse: [
        { from: 0, to: 4, insert: "gray" },
        { from: 10, to: 14, insert: "gray" },
      ],
    });
    const { style } = reportOf({ ...made, decisions: [...made.decisions, twice] });
    assert.deepEqual(style, [
      { what: "Brundlemore", decided: "on the word list", places: 1 },
      { what: "gray", decided: "“grey”", places: 2 },
    ]);
  });

  test("says what was not looked at", () => {
    const { notChecked } = reportOf(sources({ unread: ["grammar"] }));
    assert.ok(notChecked.checksOff.includes("String of nouns"), "off in letters");
    assert.ok(notChecked.leftAlone.includes("Names"));
    assert.deepEqual(notChecked.passes, ["grammar"]);
    assert.equal(notChecked.parts.code, 2);
    assert.equal(notChecked.withheld, 3);
    assert.ok(notChecked.checksOff.length < CARDS.length);
  });
});

describe("the parts of a report", () => {
  const titles = (made: ReportSources, all: boolean) =>
    partsOf(reportOf(made), all).map(({ title }) => title);

  test("are those that have something to say", () => {
    assert.deepEqual(titles(sources(), false), [
      "The document",
      "Marks",
      "Readings",
      "What was not checked",
    ]);
    assert.deepEqual(titles(decided(), true), [
      "The document",
      "Marks",
      "Readings",
      "Questions to the author",
      "Style sheet",
      "Every decision",
      "What was not checked",
    ]);
  });

  test("have every decision if wished, taken back or not, settings too", () => {
    const parts = partsOf(reportOf(decided()), true);
    const [table] = parts.find(({ title }) => title === "Every decision")?.tables ?? [];
    assert.deepEqual(
      table?.rows.map(([, done, text, now]) => [done, text, now]),
      [
        ["corrected", "recieved", "received"],
        ["corrected, taken back", "recieved", "received"],
        ["stet", "gague", ""],
        ["asked the author", "wet", ""],
        ["on a word list", "Brundlemore", ""],
        ["edited by hand", "", "x"],
        ["setting", "Reader: Teenagers", ""],
      ],
    );
  });

  test("promise nothing that no check can", () => {
    const last = partsOf(reportOf(sources()), false).at(-1);
    assert.match(last?.lines.at(-1) ?? "", /^No check can tell/);
    assert.ok(last?.lines.some((line) => line.includes("2 of code")));
    assert.ok(last?.lines.some((line) => line.startsWith("3 more pieces of advice")));
  });
});

describe("a report as a file", () => {
  const parts = partsOf(reportOf(decided()), true);

  test(".html is one page without script, in which everything is text", () => {
    const html = reportHtml("Log & <letter>", parts);
    assert.match(html, /^<!doctype html>/);
    assert.doesNotMatch(html, /<script|<link|<img|src=|href=|url\(/i);
    assert.ok(html.includes("<h1>Log &amp; &lt;letter&gt;</h1>"));
    assert.ok(html.includes("&lt;b&gt;read &amp; filed&lt;/b&gt;"));
    assert.match(html, /@bottom-center \{ content: counter\(page\)/);
    for (const { title } of parts) assert.ok(html.includes(`<h2>${title}</h2>`));
    const open = (tag: string) => html.match(new RegExp(`<${tag}[ >]`, "g"))?.length ?? 0;
    const closed = (tag: string) => html.match(new RegExp(`</${tag}>`, "g"))?.length ?? 0;
    for (const tag of ["section", "table", "tr", "td", "th", "p"]) {
      assert.equal(open(tag), closed(tag), tag);
    }
  });

  test(".csv has a row for every row, and nothing that a sheet would run", () => {
    const evil = partsOf(reportOf(sources({ title: "=1+1", fileName: "=cmd()" })), false);
    const csv = reportCsv(evil);
    assert.doesNotMatch(csv, /(?:^|,)"?[=+@]/m);
    const rows = evil.reduce(
      (sum, { lines, tables }) =>
        sum + lines.length + tables.reduce((all, { rows: own }) => all + own.length + 1, 0),
      0,
    );
    assert.equal(csv.trim().split("\r\n").length, rows);
  });

  /** Read back by the mammoth package, and by the reader of documents itself. */
  test(".docx is read by others, says the same, and numbers its pages", async () => {
    const bytes = await reportDocx("Log & <letter>\u0001", parts);
    const { value } = await mammoth.extractRawText({ buffer: Buffer.from(bytes) });
    for (const { title, lines } of parts) {
      assert.ok(value.includes(title));
      for (const line of lines) assert.ok(value.includes(line), line);
    }
    const read = await readDocument(bytes, "report.docx", () => "en-GB");
    assert.ok("manuscript" in read);
    const { blocks, text } = read.manuscript;
    const headings = blocks.filter(({ kind, level }) => kind === "heading" && level === 1);
    assert.ok(
      parts.every(({ title }) => headings.some(({ from, to }) => text.slice(from, to) === title)),
    );
    assert.ok(blocks.some(({ kind }) => kind === "cell"));
    assert.ok(blocks.some(({ story }) => story === "footer"));
  });
});
