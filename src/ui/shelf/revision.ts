import { append, enter, openLedger } from "../../core/ledger/ledger.ts";
import { readDecisions, writeDecisions } from "../../store/ledger.ts";
import { readOriginal, type ShelfRecord, updateRecord } from "../../store/shelf.ts";
import type { ProofreaderLink } from "../../worker/connect.ts";
import { DeskDocument } from "../desk/desk-document.ts";
import { takeIn } from "./intake.ts";

/** A revised version that was taken in, or why it was not. */
export type Revised = { record: ShelfRecord } | { problem: string };

/** A document as it was corrected; null where it can't be read. */
export async function corrected(
  worker: ProofreaderLink,
  record: ShelfRecord,
): Promise<DeskDocument | null> {
  const [bytes, decisions] = await Promise.all([readOriginal(record.id), readDecisions(record.id)]);
  if (!bytes) return null;
  const read = await worker.read(bytes, record.fileName, record.variety);
  return "problem" in read ? null : new DeskDocument(read.manuscript, decisions, record.id);
}

/**
 * Takes a file in as the next version of a document: with its settings, houses and style sheet, and with the
 * decisions whose places are still there. The version before stays as it is. Throws NotKept.
 */
export async function takeInRevision(
  worker: ProofreaderLink,
  earlier: ShelfRecord,
  name: string,
  bytes: Uint8Array,
): Promise<Revised> {
  const old = await corrected(worker, earlier);
  if (!old)
    return { problem: `“${earlier.title}” can’t be read, so nothing can be carried from it.` };
  const taken = await takeIn(worker, name, bytes, false);
  if ("problem" in taken) return taken;
  const { record } = taken;
  const { kind, variety, appetites, off, subjects, reader, forms, houses, sheet, leave } = earlier;
  const settings = { kind, variety, appetites, off, subjects, reader, forms, houses, sheet, leave };
  const read = await worker.read(bytes, name, variety);
  if ("problem" in read) return { problem: read.problem.sentence };
  const { text, blocks } = read.manuscript;
  const carried = await worker.carry(versionOf(old), old.decisions, { text, blocks });
  const now = new Date().toISOString();
  let ledger = openLedger(text);
  for (const draft of carried.drafts) ledger = append(ledger, enter(ledger, draft, now));
  await writeDecisions(record.id, ledger.decisions);
  await updateRecord(record.id, { ...settings, revises: earlier.id });
  return { record: { ...record, ...settings, revises: earlier.id } };
}

/** What of a document two versions are compared by. */
export function versionOf(document: DeskDocument) {
  const { text, blocks } = document.current();
  return { text, blocks: [...blocks] };
}
