import assert from "node:assert/strict";
import { describe, test } from "node:test";
import type { Draft } from "../../src/core/ledger/decision.ts";
import { append, enter, replay, undo } from "../../src/core/ledger/ledger.ts";
import { logRows, recurringSlips } from "../../src/core/ledger/log.ts";

const TEXT = "It was recieved and and Recieved again, teh end.";
const RULE = "spelling/unknown-word";

function decided(drafts: readonly Draft[], undoes: readonly number[] = []) {
  let ledger = replay(TEXT, []);
  for (const draft of drafts) ledger = append(ledger, enter(ledger, draft, "2031-03-01T09:00:00Z"));
  for (const seq of undoes) {
    const result = undo(ledger, seq);
    assert.ok("draft" in result);
    ledger = append(ledger, enter(ledger, result.draft, "2031-03-01T10:00:00Z"));
  }
  return ledger.decisions;
}

const mark = (text: string, from: number) => ({ rule: RULE, text, from, to: from + text.length });
const received: Draft = {
  act: "correct",
  scope: "everywhere",
  marks: [mark("recieved", 7), mark("Recieved", 24)],
  edits: [
    { from: 7, to: 15, insert: "received" },
    { from: 24, to: 32, insert: "Received" },
  ],
};
const doubled: Draft = {
  act: "correct",
  scope: "here",
  marks: [{ rule: "spelling/doubled-word", text: "and and", from: 16, to: 23 }],
  edits: [{ from: 19, to: 23, insert: "" }],
};

describe("the log", () => {
  test("has a row for each different change, as the mark would read", () => {
    const rows = logRows("a", decided([doubled]));
    assert.deepEqual(
      rows.map(({ mistake, correction, rule }) => [mistake, correction, rule]),
      [["and and", "and", "spelling/doubled-word"]],
    );
    assert.equal(logRows("a", decided([received])).length, 2);
  });

  test("tells what was taken back, and lists no undoing", () => {
    const rows = logRows("a", decided([received, doubled], [2]));
    assert.deepEqual(
      rows.map(({ seq, standing }) => [seq, standing]),
      [
        [1, true],
        [1, true],
        [2, false],
      ],
    );
  });

  test("counts slips that come again, capitals aside, over all documents", () => {
    const rows = [...logRows("a", decided([received])), ...logRows("b", decided([received]))];
    assert.deepEqual(
      recurringSlips(rows).map(({ mistake, correction, times, documents }) => [
        mistake,
        correction,
        times,
        documents,
      ]),
      [["recieved", "received", 4, 2]],
    );
    assert.deepEqual(recurringSlips(logRows("a", decided([received], [1]))), []);
  });
});
