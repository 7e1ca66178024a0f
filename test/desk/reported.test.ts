import assert from "node:assert/strict";
import { describe, test } from "node:test";
import type { Mark, Report } from "../../src/core/engine/mark.ts";
import { SettledPlaces } from "../../src/core/ledger/settled.ts";
import { shiftBlocks } from "../../src/core/manuscript/layout.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import type { Edit } from "../../src/core/manuscript/model.ts";
import { placesOf, Reported } from "../../src/ui/desk/reported.ts";

const TEXT = "teh tide and teh ebb\nteh moon";

function mark(block: number, from: number, to: number, text = "teh"): Mark {
  return {
    id: `${block}:${from}`,
    rule: "spelling/unknown-word",
    pass: "spelling",
    weight: "fix",
    code: "sp",
    block,
    from,
    to,
    text,
    reason: "",
    group: text,
    follows: false,
  };
}

function reportOf(marks: [number, Mark[]][], rest: Partial<Report> = {}): Report {
  return {
    document: "log",
    whole: false,
    groups: new Map(),
    tables: {},
    ...rest,
    marks: new Map(marks),
  };
}

function start() {
  const { blocks } = linesManuscript(TEXT);
  const made = new Reported(blocks, "log");
  made.report(
    reportOf([
      [0, [mark(0, 0, 3), mark(0, 13, 16)]],
      [1, [mark(1, 0, 3)]],
    ]),
    0,
  );
  const shift = (edits: Edit[]) => {
    const places = placesOf(blocks, edits);
    shiftBlocks(blocks, edits);
    return made.shift(edits, places);
  };
  return { made, shift };
}

const starts = (made: Reported) => made.all().map(({ from, to }) => [from, to]);

describe("the marks on the desk", () => {
  test("name the document they stand in, and are taken from no other's report", () => {
    const { made } = start();
    assert.deepEqual([...new Set(made.all().map(({ document }) => document))], ["log"]);
    assert.throws(() => made.report(reportOf([], { document: "letter" }), 0), /letter/);
    assert.equal(made.all().length, 3);
  });

  test("stand at their places in the document", () => {
    assert.deepEqual(starts(start().made), [
      [0, 3],
      [13, 16],
      [21, 24],
    ]);
  });

  test("move with edits before them, in their block and in others", () => {
    const { made, shift } = start();
    assert.deepEqual(shift([{ from: 4, to: 8, insert: "spring tide" }]), [0]);
    assert.deepEqual(starts(made), [
      [0, 3],
      [20, 23],
      [28, 31],
    ]);
  });

  test("go when their own text is touched, and not when something is put beside them", () => {
    const { made, shift } = start();
    shift([{ from: 16, to: 16, insert: "x" }]);
    assert.equal(made.all().length, 3);
    shift([{ from: 14, to: 15, insert: "" }]);
    assert.deepEqual(starts(made), [
      [0, 3],
      [21, 24],
    ]);
  });

  test("of an older report are moved through what was changed since", () => {
    const { made, shift } = start();
    const { revision } = made;
    shift([{ from: 0, to: 0, insert: "A " }]);
    shift([{ from: 15, to: 18, insert: "the" }]);
    const late = reportOf([[0, [mark(0, 0, 3), mark(0, 4, 8, "tide"), mark(0, 13, 16)]]]);
    assert.deepEqual(made.report(late, revision), [0]);
    assert.deepEqual(starts(made), [
      [2, 5],
      [6, 10],
      [23, 26],
    ]);
    assert.deepEqual(made.report(reportOf([[0, []]]), made.revision), [0]);
    assert.equal(made.all().length, 1);
  });

  test("stay settled while something is typed before them", () => {
    const { made, shift } = start();
    const anchor = { rule: "spelling/unknown-word", text: "teh", from: 13, to: 16 };
    const settled = new SettledPlaces();
    const entry = { at: "", act: "stet", scope: "here", edits: [], inverse: [] } as const;
    settled.add({ ...entry, seq: 1, marks: [anchor], edits: [], inverse: [] });
    const typed = [{ from: 0, to: 0, insert: "So " }];
    shift(typed);
    assert.deepEqual(
      made.openOf(made.all(), settled, [typed]).map(({ from }) => from),
      [3, 24],
    );
  });

  test("are open unless a decision settled that very place, or all like it", () => {
    const { made } = start();
    const anchor = { rule: "spelling/unknown-word", text: "teh", from: 13, to: 16 };
    const entry = { at: "", edits: [], inverse: [], marks: [anchor], act: "stet" } as const;
    const settled = new SettledPlaces();
    settled.add({ ...entry, seq: 1, scope: "here", marks: [anchor], edits: [], inverse: [] });
    assert.deepEqual(
      made.openOf(made.all(), settled).map(({ from }) => from),
      [0, 21],
    );
    settled.add({ ...entry, seq: 2, scope: "everywhere", marks: [anchor], edits: [], inverse: [] });
    assert.deepEqual(made.openOf(made.all(), settled), []);
  });

  test("and groups and tables are the latest told; a whole report leaves nothing of those before", () => {
    const { made } = start();
    const told = (id: string, note: string) => ({ id, rule: "spelling/unknown-word", note });
    const groups = (...all: [string, string][]) =>
      new Map(all.map(([id, note]) => [id, told(id, note)]));
    made.report(reportOf([], { groups: groups(["a", "once"], ["b", "twice"]) }), 0);
    made.report(
      reportOf([], {
        groups: new Map([
          ["a", told("a", "thrice")],
          ["b", null],
        ]),
      }),
      0,
    );
    assert.deepEqual(
      [...made.groups.values()].map(({ note }) => note),
      ["thrice"],
    );
    made.report(reportOf([], { tables: { withheld: new Map([["x", 2]]) } }), 0);
    assert.equal(made.tables.counts.words, 0);
    assert.equal(made.tables.withheld.get("x"), 2);
    made.report(reportOf([], { whole: true, groups: groups(["c", "once"]) }), 0);
    assert.deepEqual([...made.groups.keys()], ["c"]);
  });
});
