import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { createElement, Fragment } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import type { ShelfRecord } from "../../src/store/shelf.ts";
import { COLUMNS, chosenColumns, USUAL_COLUMNS } from "../../src/ui/shelf/columns.tsx";

const record = (id: string, run: Partial<NonNullable<ShelfRecord["run"]>> | null): ShelfRecord => ({
  id,
  title: id,
  fileName: `${id}.txt`,
  format: "txt",
  kind: "letter",
  variety: "en-GB",
  hash: "",
  addedAt: "2031-04-02T10:00:00.000Z",
  demo: false,
  run: run && {
    at: "2031-04-03T10:00:00.000Z",
    words: 100,
    fix: 2,
    settle: 0,
    weigh: 1,
    decided: 4,
    unread: [],
    style: "",
    grade: 8,
    overlap: null,
    ...run,
  },
  off: [],
  appetites: {},
  subjects: [],
  forms: {},
  houses: [],
  citationStyle: null,
  revises: null,
  sheet: { added: [], hidden: [], notes: {} },
  leave: {},
  reader: null,
  place: 0,
  pass: "spelling",
});

const RECORDS = [
  record("a", {}),
  record("b", { words: 1200, fix: 0, grade: 12.25 }),
  record("c", null),
];

const shown = (node: React.ReactNode) =>
  renderToStaticMarkup(createElement(Fragment, null, node))
    .replace(/<[^>]*>/g, " ")
    .replace(/\s+/g, " ")
    .trim();

const column = (id: string) => {
  const found = COLUMNS.find((one) => one.id === id);
  assert.ok(found, id);
  return found;
};

describe("the columns of the shelf", () => {
  test("are the usual ones until others are chosen, in their own order, and nonsense is none", () => {
    assert.deepEqual(
      chosenColumns(null).map(({ id }) => id),
      USUAL_COLUMNS,
    );
    assert.deepEqual(
      chosenColumns(["run", "nonsense", "words"]).map(({ id }) => id),
      ["words", "run"],
    );
    assert.deepEqual(chosenColumns([]), []);
  });

  test("add up over the documents that are shown", () => {
    assert.equal(shown(column("words").total(RECORDS)), "1,300");
    assert.equal(shown(column("decided").total(RECORDS)), "8");
    assert.equal(shown(column("marks").total(RECORDS)), "2 to fix 2 to weigh");
    assert.equal(shown(column("grade").total(RECORDS)), "8.0 to 12.3");
    assert.equal(column("run").total(RECORDS), null);
    assert.equal(column("grade").total([RECORDS[2] as ShelfRecord]), null);
  });

  test("show a document that was not run as such, and sort it first", () => {
    const [ran, , not] = RECORDS as [ShelfRecord, ShelfRecord, ShelfRecord];
    assert.equal(shown(column("marks").cell(not)), "not run yet");
    assert.equal(shown(column("grade").cell(not)), "–");
    for (const id of ["words", "marks", "decided", "grade", "run"]) {
      const { value } = column(id);
      assert.ok(value(not) < value(ran), id);
    }
  });

  test("say which passes were not read", () => {
    const partly = record("d", { unread: ["grammar", "sentences"] });
    assert.match(shown(column("marks").cell(partly)), /not read yet: grammar, sentences$/);
    const done = record("e", { fix: 0, weigh: 0 });
    assert.equal(shown(column("marks").cell(done)), "none open, 4 decided");
  });
});
