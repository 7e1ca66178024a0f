import "../support/browser-globals.ts";
import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { replay } from "../../src/core/ledger/ledger.ts";
import { Combined } from "../../src/core/manuscript/combined.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import { readDecisions } from "../../src/store/ledger.ts";
import { deleteSet, keepSet, listSets, readSet } from "../../src/store/sets.ts";
import { readRecord } from "../../src/store/shelf.ts";
import { SetSession } from "../../src/ui/set/set-session.ts";
import { takeIn } from "../../src/ui/shelf/intake.ts";
import { localProofreader } from "../support/desk.ts";

const worker = localProofreader();
const CHAPTERS = [
  "The stilling-well was cleared. He closed the stilling-well at dusk.",
  "She saw a stilling-well there. The stilling well was dry.",
  "A stilling well damps the waves.",
];

async function shelved(text: string, number: number): Promise<string> {
  const bytes = new TextEncoder().encode(text);
  const taken = await takeIn(worker, `chapter-${number}.txt`, bytes, false);
  assert.ok("record" in taken);
  return taken.record.id;
}

async function opened(chapters: readonly string[] = CHAPTERS) {
  const documents: string[] = [];
  for (const [number, text] of chapters.entries()) documents.push(await shelved(text, number));
  const session = new SetSession({ id: "s", name: "The book", documents }, worker);
  await session.open();
  await session.check(() => undefined);
  return { session, documents };
}

describe("documents read as one", () => {
  test("know which of them a place is in, and whose an edit is", () => {
    const parts = ["The tide.\nIt turned.", "Another."].map((text, index) => ({
      id: `${index}`,
      title: `${index}`,
      ...linesManuscript(text),
    }));
    const combined = new Combined(parts);
    assert.equal(combined.text, "The tide.\nIt turned.\nAnother.");
    const from = combined.text.indexOf("Another");
    assert.deepEqual(combined.placeOf({ from, to: from + 7 }), { part: 1, from: 0, to: 7 });
    const edits = [
      { from: 4, to: 8, insert: "ebb" },
      { from, to: from, insert: "x" },
    ];
    assert.deepEqual(
      [...combined.apart(edits)],
      [
        [0, [{ from: 4, to: 8, insert: "ebb" }]],
        [1, [{ from: 0, to: 0, insert: "x" }]],
      ],
    );
    assert.equal(new Set(combined.blocks.map(({ id }) => id)).size, combined.blocks.length);
  });
});

describe("a set of documents", () => {
  test("is kept with its order, and taken apart without its documents", async () => {
    await keepSet({ id: "a", name: "The book", documents: ["2", "1"] });
    assert.deepEqual((await readSet("a"))?.documents, ["2", "1"]);
    assert.equal((await listSets()).length, 1);
    await deleteSet("a");
    assert.equal(await readSet("a"), null);
  });

  test("is settled as one: each fix is in its own document’s ledger, and taken back there", async () => {
    const { session, documents } = await opened();
    const [first] = session.groups();
    assert.ok(first);
    const { id } = first.group;
    assert.match(id, /compound/);
    const places = await session.places(id, "stilling-well");
    assert.deepEqual(
      places.map(({ part, form }) => [part, form]),
      [
        [0, "stilling-well"],
        [0, "stilling-well"],
        [1, "stilling-well"],
        [1, "stilling well"],
        [2, "stilling well"],
      ],
    );
    const odd = places.filter((place) => place.odd);
    await session.write(id, "stilling-well", odd);
    const textOf = async (part: number) =>
      replay(CHAPTERS[part] ?? "", await readDecisions(documents[part] ?? "")).text;
    const formsOf = async (part: number) => (await readRecord(documents[part] ?? ""))?.forms[id];
    assert.equal(await textOf(1), "She saw a stilling-well there. The stilling-well was dry.");
    assert.equal(await textOf(2), "A stilling-well damps the waves.");
    assert.equal(await formsOf(2), "stilling-well");
    await session.check(() => undefined);
    assert.deepEqual(session.groups(), []);
    assert.match(await session.undoLast(), /Taken back/);
    assert.equal(await textOf(2), CHAPTERS[2]);
    assert.equal(await formsOf(2), undefined);
    session.close();
  });

  test("gathers abbreviations over all of it, and says what is gone", async () => {
    const { session, documents } = await opened([
      "The Tide Gauge Office (TGO) met. The TGO left.",
      "The TGO came back, and the TGO slept.",
    ]);
    const [row] = await session.abbreviations();
    assert.deepEqual([row?.row.abbreviation, row?.documents], ["TGO", [0, 1]]);
    session.close();
    const again = new SetSession({ id: "s", name: "x", documents: [...documents, "gone"] }, worker);
    await again.open();
    assert.equal(again.titles.length, 2);
    assert.equal(again.problems.length, 1);
    again.close();
  });

  test("gathers terms over all of it: one is written everywhere, or they are told apart for good", async () => {
    const chapters = [
      "The data logger is old. A data logger has a clock.",
      "The dataloggers stopped. A data logger did not.",
    ];
    const { session, documents } = await opened(chapters);
    const [first] = await session.families();
    const [one, other] = first?.family.terms ?? [];
    assert.ok(first && one && other);
    assert.deepEqual([one.term, other.term], ["data logger", "datalogger"]);
    assert.deepEqual(first.documents, [0, 1]);
    const textOf = async (part: number) =>
      replay(chapters[part] ?? "", await readDecisions(documents[part] ?? "")).text;
    assert.equal(await session.mergeTerms(other.term, [one]), 3);
    assert.equal(await textOf(0), "The datalogger is old. A datalogger has a clock.");
    assert.equal(await textOf(1), "The dataloggers stopped. A datalogger did not.");
    assert.match(await session.undoLast(), /Taken back/);
    assert.equal(await textOf(1), chapters[1]);
    await session.check(() => undefined);
    assert.equal(await session.mergeTerms(one.term, [other]), 1);
    assert.match(await textOf(1), /^The data loggers stopped/, "in the number it has there");
    await session.undoLast();
    await session.check(() => undefined);
    await session.partTerms(first.family);
    assert.deepEqual(await session.families(), []);
    assert.match(await session.undoLast(), /Taken back/);
    assert.equal((await session.families()).length, 1);
    session.close();
  });
});
