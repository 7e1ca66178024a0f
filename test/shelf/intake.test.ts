import "../support/browser-globals.ts";
import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { readDecisions } from "../../src/store/ledger.ts";
import { readRecord, type ShelfRecord, updateRecord } from "../../src/store/shelf.ts";
import { needsRun, runForShelf, takeIn, turnKind } from "../../src/ui/shelf/intake.ts";
import { localProofreader, openSession, reopen } from "../support/desk.ts";

const TEXT =
  "It was recieved.\n\nThe level of the tides are high, due to the fact that it rained.\n";
const worker = localProofreader();

async function shelved(name: string, text = TEXT): Promise<ShelfRecord> {
  const taken = await takeIn(worker, name, new TextEncoder().encode(text), false);
  assert.ok("record" in taken);
  return taken.record;
}

async function recordOf(id: string): Promise<ShelfRecord> {
  const record = await readRecord(id);
  assert.ok(record);
  return record;
}

const counted = ({ run }: ShelfRecord) => run && [run.fix, run.settle, run.weigh, run.decided];

describe("a document on the shelf", () => {
  test("is counted when it is taken in, and not again before something changes", async () => {
    const record = await shelved("a.txt");
    assert.equal(await needsRun(record), true);
    const shares: number[] = [];
    await runForShelf(worker, record, (share) => shares.push(share));
    const now = await recordOf(record.id);
    assert.deepEqual(counted(now), [2, 0, 1, 0]);
    assert.equal(now.run?.words, 17);
    assert.equal(await needsRun(now), false);
    assert.ok(shares.every((share) => share >= 0 && share <= 1));
  });

  test("that was left while it was being read says what was not read, and is read to its end", async () => {
    const record = await shelved("b.txt");
    const { session } = await reopen(record.id);
    await session.close();
    const left = await recordOf(record.id);
    assert.ok(left.run);
    // As the desk leaves it when the later passes have not been read yet.
    await updateRecord(record.id, {
      run: { ...left.run, weigh: 0, unread: ["grammar", "wording"] },
    });
    const unread = await recordOf(record.id);
    assert.equal(await needsRun(unread), true);
    await runForShelf(worker, unread, () => undefined);
    const now = await recordOf(record.id);
    assert.deepEqual(now.run?.unread, []);
    assert.deepEqual(counted(now), [2, 0, 1, 0]);
  });

  test("is counted as it is corrected so far", async () => {
    const { session, id } = await openSession(TEXT);
    await session.deciding.takeShown(false);
    await session.close();
    await runForShelf(worker, await recordOf(id), () => undefined);
    assert.deepEqual(counted(await recordOf(id)), [1, 0, 1, 1]);
  });

  test("is another kind of copy by a decision in its ledger, and is then to be read anew", async () => {
    const record = await shelved("c.txt");
    await runForShelf(worker, record, () => undefined);
    assert.equal(await turnKind(await recordOf(record.id), "sheet"), "");
    const now = await recordOf(record.id);
    assert.equal(now.kind, "sheet");
    assert.equal(await needsRun(now), true);
    const [decision] = await readDecisions(record.id);
    assert.deepEqual(decision?.setting, { name: "kind", before: record.kind, after: "sheet" });
  });

  test("that can't be read stays off it, and says why", async () => {
    const empty = await takeIn(worker, "d.docx", new Uint8Array([1, 2, 3]), false);
    assert.ok("problem" in empty);
    assert.match(empty.problem, /\.docx|Word|zip|damaged|document/i);
  });
});
