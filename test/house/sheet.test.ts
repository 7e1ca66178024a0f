import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { ruleSchema } from "../../src/core/house/rules.ts";
import { choicesOf, draftOfEntry, NO_HAND, sheetOf } from "../../src/core/house/sheet.ts";
import { newHouse } from "../../src/core/house/style.ts";
import type { Decision, Draft } from "../../src/core/ledger/decision.ts";
import {
  manualParts,
  sheetCsv,
  sheetMarkdown,
  sheetParts,
} from "../../src/core/report/sheet-parts.ts";

const AT = "2031-04-02T10:00:00.000Z";
const ledger = (...drafts: Partial<Draft & Decision>[]): Decision[] =>
  drafts.map((draft, index) => ({
    seq: index + 1,
    at: AT,
    act: "setting",
    scope: "everywhere",
    marks: [],
    edits: [],
    inverse: [],
    ...draft,
  }));
const form = (of: string, after: string | null, edits = 0): Partial<Decision> => ({
  setting: { name: "form", of, before: null, after },
  edits: Array.from({ length: edits }, (_, at) => ({ from: at, to: at, insert: "x" })),
});

describe("a style sheet of a text with citations", () => {
  const texts = (...drafts: Partial<Draft & Decision>[]) =>
    sheetOf(ledger(...drafts), NO_HAND, (id) => id.toUpperCase()).map(
      ({ group, text }) => `${group}: ${text}`,
    );
  const cited = (name: "citations", after: string | null): Partial<Decision> => ({
    setting: { name, before: null, after },
  });

  test("has its style, and that the list is sorted", () => {
    assert.deepEqual(texts(cited("citations", "apa-7"), form("citations:sorted", "yes")), [
      "citations: References and citations: APA-7",
      "citations: The list leaves in its right order",
    ]);
    assert.deepEqual(
      texts(
        cited("citations", "apa-7"),
        cited("citations", null),
        form("citations:sorted", "yes"),
        form("citations:sorted", ""),
      ),
      [],
    );
  });

  test("has nothing of ties, overlaps, and corrections of citations", () => {
    const mark = (rule: string, at: number) => ({ rule, text: "1982", from: at, to: at + 4 });
    const marks = [mark("citations/near-year", 0), mark("citations/near-year", 9)];
    const edits = [{ from: 0, to: 4, insert: "1981" }];
    assert.deepEqual(
      texts(
        form("citations:tie:orrin:2004", "weller"),
        form("overlap:limit", "0.1"),
        form("terms:a|b", "apart"),
        { act: "correct", marks, edits },
        { act: "stet", marks: [mark("citations/no-entry", 0)] },
      ),
      [],
    );
  });
});

describe("a style sheet", () => {
  const decisions = ledger(
    { act: "word", word: "siltation" },
    form("consistency/percent:percent", "5%", 3),
    form("consistency/compound:stillingwell", "stilling-well", 4),
    form("consistency/capitals:duty keeper", ""),
    {
      act: "stet",
      marks: [{ rule: "spelling/unknown-word", text: "Skerryvane", from: 0, to: 10 }],
    },
    {
      act: "query",
      scope: "here",
      note: "By whom?",
      marks: [{ rule: "a/b", text: "was", from: 0, to: 3 }],
    },
  );

  test("has what was chosen, grouped as editors do, with its places", () => {
    assert.deepEqual(
      sheetOf(decisions, NO_HAND).map(({ group, text, note, places }) => [
        group,
        text,
        note,
        places,
      ]),
      [
        ["words", "siltation", "", 0],
        ["words", "Skerryvane", "let stand", 0],
        ["words", "stilling-well", "", 4],
        ["numbers", "Percentages: 5%", "", 3],
        ["capitals", "duty keeper", "all its forms are meant", 0],
        ["queries", "By whom?", "at “was”", 0],
      ],
    );
  });

  test("follows what is chosen otherwise later, and what is taken back", () => {
    const later = ledger(
      form("consistency/percent:percent", "5%"),
      form("consistency/percent:percent", "5 per cent"),
      { act: "word", word: "siltation" },
      { act: "undo", undoes: 3 },
    );
    assert.deepEqual(
      sheetOf(later, NO_HAND).map(({ text }) => text),
      ["Percentages: 5 per cent"],
    );
    const cleared = ledger(
      form("consistency/percent:percent", "5%"),
      form("consistency/percent:percent", null),
    );
    assert.deepEqual(sheetOf(cleared, NO_HAND), []);
  });

  test("is edited by hand: entries added and taken off, notes beside them", () => {
    const hand = {
      added: [{ id: "hand:1", group: "names" as const, text: "Maren Aldous", note: "" }],
      hidden: ["word:siltation"],
      notes: { "form:consistency/percent:percent": "as the board asked" },
    };
    const entries = sheetOf(decisions, hand);
    assert.ok(!entries.some(({ text }) => text === "siltation"));
    assert.equal(entries.find(({ group }) => group === "names")?.at, "");
    assert.equal(entries.find(({ group }) => group === "numbers")?.note, "as the board asked");
  });

  test("makes rules of its entries, and a start for the next document", () => {
    const entries = sheetOf(decisions, NO_HAND);
    const draft = (text: string) => {
      const entry = entries.find((one) => one.text === text);
      const made = entry && draftOfEntry(entry);
      return made && [made.type, made.use];
    };
    assert.deepEqual(draft("Percentages: 5%"), ["form", "5%"]);
    assert.deepEqual(draft("stilling-well"), ["compound", "stilling-well"]);
    assert.equal(draft("By whom?"), null);
    const { forms, added } = choicesOf(entries);
    assert.deepEqual(forms, {
      "consistency/percent:percent": "5%",
      "consistency/compound:stillingwell": "stilling-well",
    });
    assert.ok(added.every(({ group }) => group !== "queries"));
  });

  test("goes out as Markdown, as a table and as a document’s parts", () => {
    const entries = sheetOf(decisions, NO_HAND);
    assert.match(
      sheetMarkdown("The *log*", entries),
      /# Style sheet: The \\\*log\\\*\n\n## Words, A to Z\n\n- siltation\n/,
    );
    assert.match(sheetCsv(entries), /"?Numbers, dates, units"?,Percentages: 5%,,3/);
    assert.deepEqual(
      sheetParts(entries).map(({ title }) => title),
      ["Words, A to Z", "Numbers, dates, units", "Capitals", "Queries"],
    );
  });
});

test("a house’s manual has its rules kind by kind, and its words", () => {
  const rules = [
    {
      id: "a",
      type: "term",
      not: ["utilise"],
      use: ["use"],
      reason: "plain words",
      exceptions: ["fully utilised"],
    },
    { id: "b", type: "form", of: "consistency/percent:percent", form: "5%" },
    { id: "c", type: "abbreviation", short: "TGO", full: "Tide Gauge Office", explained: false },
    { id: "d", type: "name", write: "Maren Aldous", off: true },
  ].map((one) => ruleSchema.parse(one));
  const words = [{ word: "siltation", list: "house", addedAt: AT }];
  const parts = manualParts({ ...newHouse("p", "Press"), rules, words });
  assert.deepEqual(
    parts.map(({ title }) => title),
    ["Terms", "Abbreviations", "Numbers, dates, marks", "Words that are right"],
  );
  assert.deepEqual(parts[0]?.tables[0]?.rows, [
    ["use", "utilise", "plain words; not in fully utilised"],
  ]);
  assert.deepEqual(parts[2]?.tables[0]?.rows, [["Percentages", "5%"]]);
});
