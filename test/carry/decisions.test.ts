import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { carryDecisions } from "../../src/core/carry/carry-decisions.ts";
import { compareVersions } from "../../src/core/carry/compare.ts";
import type { Draft } from "../../src/core/ledger/decision.ts";
import { append, enter, type Ledger, openLedger } from "../../src/core/ledger/ledger.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";

const ORIGINAL = [
  "The keeper recieved the log at noon and signed it.",
  "Skerryvane is a place that no map has, and so it stays.",
  "The float was lifted out in the winter of that year.",
].join("\n");

function decided(...drafts: Draft[]): Ledger {
  return drafts.reduce(
    (ledger, draft) => append(ledger, enter(ledger, draft, "2031-04-02T10:00:00.000Z")),
    openLedger(ORIGINAL),
  );
}

const at = (text: string, word: string) => ({
  from: text.indexOf(word),
  to: text.indexOf(word) + word.length,
});
const mark = (rule: string, text: string, word: string) => ({
  rule,
  text: word,
  ...at(text, word),
});

const correct: Draft = {
  act: "correct",
  scope: "here",
  marks: [mark("spelling/unknown-word", ORIGINAL, "recieved")],
  edits: [{ ...at(ORIGINAL, "recieved"), insert: "received" }],
};
const CORRECTED = ORIGINAL.replace("recieved", "received");
const stet: Draft = {
  act: "stet",
  scope: "here",
  marks: [mark("spelling/unknown-word", CORRECTED, "Skerryvane")],
  edits: [],
};
const query: Draft = {
  act: "query",
  scope: "here",
  marks: [mark("wording/passive", CORRECTED, "was lifted")],
  edits: [],
  note: "By whom?",
};

function carried(now: string, ...drafts: Draft[]) {
  const ledger = decided(...drafts);
  return carryDecisions(linesManuscript(ledger.text), ledger.decisions, linesManuscript(now));
}

describe("decisions carried onto a revised version", () => {
  test("keep their places, and change nothing", () => {
    const lines = CORRECTED.split("\n");
    const now = [lines[2], "A new paragraph here.", lines[0], lines[1]].join("\n");
    const { drafts, unplaced, stillRight, cameBack } = carried(now, correct, stet, query);
    assert.deepEqual(
      drafts.map(({ act, marks, note }) => [
        act,
        now.slice(marks[0]?.from, marks[0]?.to),
        note ?? "",
      ]),
      [
        ["stet", "Skerryvane", ""],
        ["query", "was lifted", "By whom?"],
      ],
    );
    assert.ok(drafts.every(({ edits }) => edits.length === 0));
    assert.deepEqual([unplaced, cameBack, stillRight], [[], [], 1]);
  });

  test("say what came back wrong, at its place", () => {
    const { cameBack, stillRight } = carried(`A preface.\n${ORIGINAL}`, correct, stet);
    const [back] = cameBack;
    assert.equal(stillRight, 0);
    assert.deepEqual([back?.wrong, back?.right], ["recieved", "received"]);
    assert.equal(`A preface.\n${ORIGINAL}`.slice(back?.from, back?.to), "recieved");
  });

  test("say what could not be placed, and what became of the paragraphs", () => {
    const now = CORRECTED.split("\n").slice(0, 1).join("\n");
    const { drafts, unplaced, fates } = carried(now, stet, query);
    assert.deepEqual(drafts, []);
    assert.deepEqual(
      unplaced.map(({ act, text }) => [act, text]),
      [
        ["stet", "Skerryvane"],
        ["query", "was lifted"],
      ],
    );
    assert.deepEqual(fates, { same: 0, moved: 0, changed: 1, gone: 2, added: 0 });
  });

  test("hold everywhere where they held everywhere, though their first place is gone", () => {
    const { drafts } = carried("Something else, and Skerryvane.", { ...stet, scope: "everywhere" });
    assert.deepEqual(
      drafts.map(({ act, scope, marks }) => [act, scope, marks[0]?.text]),
      [["stet", "everywhere", "Skerryvane"]],
    );
  });

  test("that were taken back are not carried", () => {
    const ledger = decided(stet);
    const undone = append(
      ledger,
      enter(ledger, { act: "undo", scope: "here", marks: [], edits: [], undoes: 1 }, "2031-04-03"),
    );
    const text = linesManuscript(ORIGINAL);
    assert.deepEqual(carryDecisions(text, undone.decisions, text).drafts, []);
  });
});

describe("two versions side by side", () => {
  test("show what each has alone", () => {
    const lines = CORRECTED.split("\n");
    const now = [lines[0]?.replace("noon", "dusk"), "New words.", lines[1]].join("\n");
    const rows = compareVersions(linesManuscript(CORRECTED), linesManuscript(now));
    assert.deepEqual(
      rows.map(({ fate }) => fate),
      ["changed", "added", "same", "gone"],
    );
    const alone = (side: "old" | "now") =>
      rows[0]?.[side].filter(({ isOnlyHere }) => isOnlyHere).map(({ text }) => text);
    assert.deepEqual([alone("old"), alone("now")], [["noon"], ["dusk"]]);
  });
});
