import "../support/browser-globals.ts";
import assert from "node:assert/strict";
import { beforeEach, describe, mock, test } from "node:test";
import type { Decision } from "../../src/core/ledger/decision.ts";
import { makeBackup, restoreBackup } from "../../src/store/backup.ts";
import { houseDatabase, originalsDatabase, shelfDatabase } from "../../src/store/databases.ts";
import { keep, NotKept } from "../../src/store/failure.ts";
import { changeStyle, readSettings, readStyle, updateSettings } from "../../src/store/house.ts";
import {
  readDecisions,
  StorageCleared,
  writeDecision,
  writeDecisions,
} from "../../src/store/ledger.ts";
import { forgetAnswers, keepAnswers, readAnswers } from "../../src/store/outside.ts";
import {
  deleteDocument,
  listShelf,
  readOriginal,
  readRecord,
  type ShelfRecord,
  shelfRecordSchema,
  shelve,
  updateRecord,
} from "../../src/store/shelf.ts";

const BYTES = new TextEncoder().encode("The tide turned.\n");

const record = (id: string, changes: Partial<ShelfRecord> = {}): ShelfRecord =>
  shelfRecordSchema.parse({
    id,
    title: `Log ${id}`,
    fileName: `${id}.txt`,
    format: "txt",
    kind: "letter",
    variety: "en-GB",
    hash: "",
    addedAt: "2031-04-02T10:00:00.000Z",
    demo: false,
    run: null,
    place: 0,
    ...changes,
  });

const decision = (seq: number, at = `2031-04-02T10:00:0${seq}.000Z`): Decision => ({
  seq,
  at,
  act: "edit",
  scope: "here",
  marks: [],
  edits: [{ from: 0, to: 0, insert: "x" }],
  inverse: [{ from: 0, to: 1, insert: "" }],
});

let number = 0;
/** Ids that no other test has used: each document has a database of its own. */
const fresh = () => `d${++number}`;

beforeEach(async () => {
  await Promise.all([shelfDatabase.clear(), originalsDatabase.clear(), houseDatabase.clear()]);
});

describe("the shelf", () => {
  test("lists documents, the newest first, and passes over what it cannot understand", async () => {
    await shelve(record("old", { addedAt: "2031-01-01T00:00:00.000Z" }), BYTES);
    await shelve(record("new", { addedAt: "2031-06-01T00:00:00.000Z" }), BYTES);
    await shelfDatabase.setItem("odd", { id: "odd", title: 7 });
    assert.deepEqual(
      (await listShelf()).map(({ id }) => id),
      ["new", "old"],
    );
    assert.equal(await readRecord("odd"), null);
    assert.equal(await readRecord("nothing"), null);
  });

  test("keeps a document's bytes as they came", async () => {
    await shelve(record("a"), BYTES);
    assert.deepEqual(await readOriginal("a"), BYTES);
    assert.equal(await readOriginal("nothing"), null);
  });

  test("changes a record, not what else it says, and none that is gone", async () => {
    await shelve(record("a"), BYTES);
    await Promise.all([
      updateRecord("a", { title: "The log of the tide" }),
      updateRecord("a", { place: 12 }),
      updateRecord("gone", { place: 3 }),
    ]);
    const kept = await readRecord("a");
    assert.equal(kept?.fileName, "a.txt");
    assert.ok(kept?.title === "The log of the tide" || kept?.place === 12);
    assert.equal(await readRecord("gone"), null);
  });

  test("reads records as they were kept before, with what has come since at its default", async () => {
    const { appetites: _a, reader: _r, subjects: _s, leave: _l, ...old } = record("a");
    await shelfDatabase.setItem("a", { ...old, off: ["spelling/two-capitals"] });
    const kept = await readRecord("a");
    assert.deepEqual(
      [kept?.appetites, kept?.subjects, kept?.leave, kept?.reader],
      [{}, [], {}, null],
    );
    assert.deepEqual(kept?.off, ["spelling/two-capitals"]);
    assert.equal(kept?.pass, "spelling");
  });

  test("lets go of a document with all that belongs to it", async () => {
    const id = fresh();
    await shelve(record(id), BYTES);
    await writeDecision(id, decision(1));
    await changeStyle((style) => ({
      ...style,
      words: [{ word: "ebb", list: "personal", addedAt: "", document: id }],
    }));
    await deleteDocument(id);
    assert.deepEqual(await listShelf(), []);
    assert.equal(await readOriginal(id), null);
    assert.deepEqual(await readDecisions(id), []);
    assert.deepEqual(
      (await readStyle()).words.map(({ word, document }) => [word, document]),
      [["ebb", undefined]],
    );
  });
});

describe("decisions on disk", () => {
  test("come back in order, however many there are", async () => {
    const id = fresh();
    for (let seq = 1; seq <= 12; seq++) await writeDecision(id, decision(seq));
    assert.deepEqual(
      (await readDecisions(id)).map(({ seq }) => seq),
      Array.from({ length: 12 }, (_, index) => index + 1),
    );
  });

  test("end before the first that is missing", async () => {
    const id = fresh();
    await writeDecisions(id, [decision(1), decision(2), decision(4)]);
    assert.deepEqual(
      (await readDecisions(id)).map(({ seq }) => seq),
      [1, 2],
    );
  });

  test("are not written after one that is gone", async () => {
    const id = fresh();
    await writeDecision(id, decision(1));
    await assert.rejects(writeDecision(id, decision(3)), StorageCleared);
    await writeDecisions(id, [decision(1), decision(2), decision(3)]);
    assert.equal((await readDecisions(id)).length, 3);
  });
});

describe("a refusal of the storage", () => {
  const refused = async (name: string) => {
    const error = Object.assign(new Error("no"), { name });
    return keep(() => Promise.reject(error)).catch((thrown: unknown) => thrown);
  };

  test("is told as a sentence that says what to do", async () => {
    for (const [name, sentence] of [
      ["QuotaExceededError", /storage is full.*Export the document now, then delete others/],
      ["UnknownError", /could not write this down.*Export the document now/],
    ] as const) {
      const thrown = await refused(name);
      assert.ok(thrown instanceof NotKept);
      assert.match(thrown.sentence, sentence);
    }
  });

  test("is no refusal where the storage was cleared, nor where nothing went wrong", async () => {
    const cleared = new StorageCleared();
    await assert.rejects(
      keep(() => Promise.reject(cleared)),
      StorageCleared,
    );
    assert.equal(await keep(async () => 7), 7);
  });

  test("leaves nothing of a document on the shelf that could not be kept", async () => {
    const set = mock.method(originalsDatabase, "setItem", () =>
      Promise.reject(Object.assign(new Error("no"), { name: "QuotaExceededError" })),
    );
    await assert.rejects(shelve(record("a"), BYTES), NotKept);
    set.mock.restore();
    assert.deepEqual(await listShelf(), []);
  });
});

describe("a backup of this browser", () => {
  test("brings back documents, decisions and lists into an empty one", async () => {
    const id = fresh();
    await shelve(record(id), BYTES);
    await writeDecisions(id, [decision(1), decision(2)]);
    await changeStyle((style) => ({
      ...style,
      words: [{ word: "ebb", list: "personal", addedAt: "" }],
    }));
    await updateSettings({ author: "M. Aldous", whileTyping: false });
    const asked = { at: "2031-04-30T00:00:00.000Z", found: {} };
    await keepAnswers(id, { works: asked, notices: null });
    const { bytes, documents } = await makeBackup("2031-05-01T00:00:00.000Z");
    assert.equal(documents, 1);
    await deleteDocument(id);
    await forgetAnswers(id);
    await houseDatabase.clear();
    await updateSettings({ author: "Somebody here" });
    assert.deepEqual(await restoreBackup(bytes), { added: 1, continued: 0, known: 0, left: [] });
    assert.deepEqual(await readOriginal(id), BYTES);
    assert.equal((await readDecisions(id)).length, 2);
    assert.deepEqual(
      (await readStyle()).words.map(({ word }) => word),
      ["ebb"],
    );
    assert.deepEqual((await readAnswers(id)).works, asked);
    const { author, whileTyping } = await readSettings();
    assert.deepEqual([author, whileTyping], ["Somebody here", false], "what was set here stands");
  });

  test("goes on where the one here ends, knows what is further on, and leaves what differs", async () => {
    const [behind, further, other] = [fresh(), fresh(), fresh()];
    for (const id of [behind, further, other]) await shelve(record(id), BYTES);
    await writeDecisions(behind, [decision(1), decision(2)]);
    await writeDecisions(further, [decision(1)]);
    await writeDecisions(other, [decision(1)]);
    const { bytes } = await makeBackup("2031-05-01T00:00:00.000Z");
    for (const id of [behind, other]) await deleteDocument(id);
    await shelve(record(behind), BYTES);
    await writeDecisions(behind, [decision(1)]);
    await writeDecision(further, decision(2));
    await shelve(record(other), BYTES);
    await writeDecisions(other, [decision(1, "2031-09-09T00:00:00.000Z")]);
    assert.deepEqual(await restoreBackup(bytes), {
      added: 0,
      continued: 1,
      known: 1,
      left: [`Log ${other}`],
    });
    assert.equal((await readDecisions(behind)).length, 2);
    assert.equal((await readDecisions(further)).length, 2);
  });
});
