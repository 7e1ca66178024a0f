import "../support/browser-globals.ts";
import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { readDecisions } from "../../src/store/ledger.ts";
import { readRecord, updateRecord } from "../../src/store/shelf.ts";
import { takeInRevision } from "../../src/ui/shelf/revision.ts";
import { localProofreader, openSession } from "../support/desk.ts";

const worker = localProofreader();
const bytes = (text: string) => new TextEncoder().encode(text);

describe("a revised version", () => {
  test("takes settings, style sheet and decisions along, and leaves the version before as it is", async () => {
    const { session, id } = await openSession(
      "It was recieved at Skerryvane.\n\nThe keeper wrote the log.\n",
    );
    await session.deciding.takeShown(false);
    await session.deciding.stet(false);
    await session.close();
    const added = [{ id: "hand:1", group: "names" as const, text: "Skerryvane", note: "" }];
    await updateRecord(id, {
      kind: "report",
      houses: ["press"],
      sheet: { added, hidden: [], notes: {} },
    });
    const earlier = await readRecord(id);
    const before = await readDecisions(id);
    assert.ok(earlier);
    const text = "A new opening.\n\nThe keeper wrote the log.\n\nIt was received at Skerryvane.\n";
    const taken = await takeInRevision(worker, earlier, "second.txt", bytes(text));
    assert.ok("record" in taken);
    const record = await readRecord(taken.record.id);
    assert.deepEqual(
      [record?.kind, record?.houses, record?.sheet.added, record?.revises],
      ["report", ["press"], added, id],
    );
    const decisions = await readDecisions(taken.record.id);
    const stets = before.filter(({ act }) => act === "stet").length;
    assert.equal(decisions.filter(({ act }) => act === "stet").length, stets);
    assert.deepEqual(await readDecisions(id), before);
  });

  test("that can’t be read changes nothing", async () => {
    const { session, id } = await openSession("A text.\n");
    await session.close();
    const earlier = await readRecord(id);
    assert.ok(earlier);
    const taken = await takeInRevision(worker, earlier, "second.docx", bytes("no archive"));
    assert.ok("problem" in taken && taken.problem.length > 20);
  });
});
