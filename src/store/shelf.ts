import { z } from "zod";
import { APPETITES, PASSES } from "../core/checks/card.ts";
import { LEAVES } from "../core/checks/leave.ts";
import { STYLE_IDS } from "../core/citations/styles/style.ts";
import { handSchema, NO_HAND } from "../core/house/sheet.ts";
import { FORMATS, KINDS, VARIETIES } from "../core/manuscript/model.ts";
import { dropLedgerDatabase, originalsDatabase, shelfDatabase } from "./databases.ts";
import { keep } from "./failure.ts";
import { forgetDocument } from "./house.ts";
import { forgetAnswers } from "./outside.ts";
import { forgetAllTyped } from "./typing.ts";

/** What the shelf shows of a document. */
export const shelfRecordSchema = z.object({
  id: z.string(),
  title: z.string(),
  fileName: z.string(),
  format: z.enum(FORMATS),
  kind: z.enum(KINDS),
  variety: z.enum(VARIETIES),
  hash: z.string(),
  /** ISO 8601. */
  addedAt: z.string(),
  /** Ships with the application. */
  demo: z.boolean(),
  /** Null until the checks have run once. */
  run: z
    .object({
      /** ISO 8601. */
      at: z.string(),
      words: z.number(),
      fix: z.number(),
      settle: z.number(),
      weigh: z.number(),
      /** Standing decisions. */
      decided: z.number(),
      /** Passes that were not read to their end. */
      unread: z.array(z.enum(PASSES)).default([]),
      /** The house style it was run under, by `styleStamp`. */
      style: z.string().default(""),
      /** The median of the measures in school grades (`readings/measures.ts`); null for a text without. */
      grade: z.number().nullable().default(null),
      /** The share of its words that stand in sources, when it was last compared; null before that. */
      overlap: z.number().nullable().default(null),
    })
    .nullable(),
  /** Checks switched off, as records kept it before there were appetites. */
  off: z.array(z.string()).default([]),
  /** How much of each check is wanted in this document, against the house and the kind of copy. */
  appetites: z.record(z.string(), z.enum(APPETITES)).default({}),
  /** Subject lists switched on for this document, shipped and own. */
  subjects: z.array(z.string()).default([]),
  /** Whom it is for (`readings/readers.ts`); null for whoever usually reads its kind. */
  reader: z.string().nullable().default(null),
  /** What was chosen in this document, by group of forms: a form, or "" where all stand on purpose. */
  forms: z.record(z.string(), z.string()).default({}),
  /** Houses it follows, beside the style that holds for every document; the first is heard first. */
  houses: z.array(z.string()).default([]),
  /** The style its citations follow; null for the one that its list tells. */
  citationStyle: z.enum(STYLE_IDS).nullable().default(null),
  /** The document that it is the next version of; null for none. */
  revises: z.string().nullable().default(null),
  /** What was changed by hand on its style sheet. */
  sheet: handSchema.default(NO_HAND),
  /** Kinds of unknown words left alone, or not, against the defaults. */
  leave: z.partialRecord(z.enum(LEAVES), z.boolean()).default({}),
  /** Where the reader was, as an offset in the text, and in which pass. */
  place: z.number(),
  pass: z.enum(PASSES).default("spelling"),
});
export type ShelfRecord = z.infer<typeof shelfRecordSchema>;

/** All records, newest first. A record that cannot be understood is passed over. */
export async function listShelf(): Promise<ShelfRecord[]> {
  const records: ShelfRecord[] = [];
  await shelfDatabase.iterate((value) => {
    const parsed = shelfRecordSchema.safeParse(value);
    if (parsed.success) records.push(parsed.data);
  });
  return records.sort((a, b) => b.addedAt.localeCompare(a.addedAt));
}

/** One record; null when there is no such document. */
export async function readRecord(id: string): Promise<ShelfRecord | null> {
  const parsed = shelfRecordSchema.safeParse(await shelfDatabase.getItem(id));
  return parsed.success ? parsed.data : null;
}

/** Puts a new document on the shelf: the original first, then its record. Throws NotKept. */
export async function shelve(record: ShelfRecord, bytes: Uint8Array): Promise<void> {
  await keep(async () => {
    await originalsDatabase.setItem(record.id, bytes);
    await shelfDatabase.setItem(record.id, record);
  });
}

/** Changes some of a record; does nothing when the document is gone. Throws NotKept. */
export async function updateRecord(id: string, changes: Partial<ShelfRecord>): Promise<void> {
  const update = async () => {
    const record = await readRecord(id);
    if (record) await keep(() => shelfDatabase.setItem(id, { ...record, ...changes }));
  };
  // Two tabs that change one record at once must not read what the other is about to write.
  await (navigator.locks ? navigator.locks.request(`dry-run record ${id}`, update) : update());
}

/** The bytes a document came as; null when they are gone. */
export async function readOriginal(id: string): Promise<Uint8Array | null> {
  const bytes = await originalsDatabase.getItem(id);
  return bytes instanceof Uint8Array ? bytes : null;
}

/** Removes a document with its original and its ledger. */
export async function deleteDocument(id: string): Promise<void> {
  await shelfDatabase.removeItem(id);
  await originalsDatabase.removeItem(id);
  await dropLedgerDatabase(id);
  await forgetAllTyped(id);
  await forgetAnswers(id);
  await forgetDocument(id);
}
