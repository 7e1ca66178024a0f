import { z } from "zod";
import type { Decision } from "../core/ledger/decision.ts";
import { keep } from "./failure.ts";

/**
 * What was typed and is no decision yet, written as it comes: edits on the text that the decision
 * with number `after`, taken `at`, led to; 0 and "" for the original. It counts only while that very
 * decision is the last: another may have taken its number since.
 */
const typedSchema = z.object({
  after: z.number().int().nonnegative(),
  at: z.string(),
  typed: z.array(
    z.object({
      from: z.number().int().nonnegative(),
      to: z.number().int().nonnegative(),
      insert: z.string(),
    }),
  ),
});
export type Typed = z.infer<typeof typedSchema>;

/*
 * The database is spoken to directly: each key typed is on its way to the disk before the next one is
 * read, in order, and is committed without waiting for an answer that a page about to go never hears.
 */
const DATABASE = "dry-run typing";
const NOTES = "notes";

let opening: Promise<IDBDatabase> | null = null;

function open(): Promise<IDBDatabase> {
  opening ??= new Promise((resolve, reject) => {
    const request = indexedDB.open(DATABASE, 1);
    request.onupgradeneeded = () => request.result.createObjectStore(NOTES);
    request.onsuccess = () => {
      const database = request.result;
      const forget = () => {
        opening = null;
      };
      // Whoever deletes the database, as clearing the browser's storage does, must not wait for this page.
      database.onversionchange = () => {
        database.close();
        forget();
      };
      database.onclose = forget;
      resolve(database);
    };
    request.onerror = () => {
      opening = null;
      reject(request.error ?? new Error("the database did not open"));
    };
  });
  return opening;
}

async function change(work: (notes: IDBObjectStore) => unknown): Promise<void> {
  const database = await open();
  await new Promise<void>((resolve, reject) => {
    const transaction = database.transaction(NOTES, "readwrite");
    transaction.oncomplete = () => resolve();
    transaction.onabort = () => reject(transaction.error ?? new Error("the note was not written"));
    work(transaction.objectStore(NOTES));
    transaction.commit();
  });
}

function keyOf(document: string, after: number): string {
  return `${document} ${String(after).padStart(8, "0")}`;
}

/** Writes what was typed after a decision, in the place of what was written there. Throws NotKept. */
export function writeTyped(document: string, typed: Typed): Promise<void> {
  return keep(() => change((notes) => notes.put(typed, keyOf(document, typed.after))));
}

/** What was typed after the last of these decisions; null for nothing. */
export async function readTyped(
  document: string,
  decisions: readonly Decision[],
): Promise<Typed | null> {
  const database = await open();
  const value = await new Promise<unknown>((resolve, reject) => {
    const notes = database.transaction(NOTES).objectStore(NOTES);
    const request = notes.get(keyOf(document, decisions.length));
    request.onsuccess = () => resolve(request.result);
    request.onerror = () => reject(request.error ?? new Error("the note was not read"));
  });
  const parsed = typedSchema.safeParse(value);
  const counts = parsed.success && parsed.data.at === (decisions.at(-1)?.at ?? "");
  return counts && parsed.data.typed.length > 0 ? parsed.data : null;
}

/** Forgets what was typed before the decision after `after`, which holds it now. */
export function forgetTyped(document: string, after: number): Promise<void> {
  return change((notes) => notes.delete(keyOf(document, after)));
}

/** Forgets everything typed into a document. */
export function forgetAllTyped(document: string): Promise<void> {
  const all = IDBKeyRange.bound(keyOf(document, 0), `${document} \uffff`);
  return change((notes) => notes.delete(all));
}
