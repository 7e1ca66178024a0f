import { proxy } from "comlink";
import { PASSES } from "../../core/checks/card.ts";
import type { ReadResult } from "../../core/formats/document.ts";
import { layersStamp } from "../../core/house/layers.ts";
import { NO_HAND } from "../../core/house/sheet.ts";
import type { Kind, Variety } from "../../core/manuscript/model.ts";
import { USUAL_SCOPE } from "../../core/readings/scope.ts";
import { checkSettings } from "../../store/check-settings.ts";
import { holdDocument, isHeld } from "../../store/hold.ts";
import { readLayers } from "../../store/house.ts";
import { readDecisions, writeDecision } from "../../store/ledger.ts";
import { readOriginal, type ShelfRecord, shelve, updateRecord } from "../../store/shelf.ts";
import { type ProofreaderLink, WorkerGone } from "../../worker/connect.ts";
import { UNREADABLE } from "../desk/checking.ts";
import { DeskDocument } from "../desk/desk-document.ts";

/** Taking documents onto the shelf, and the first reading of each. */

export type Taken = { record: ShelfRecord } | { problem: string };

/** The variety to assume where a text does not tell: the browser's own. */
function browserVariety(): Variety {
  return navigator.language === "en-US" ? "en-US" : "en-GB";
}

/** Reads a file and, when it can be read, puts it on the shelf. Throws NotKept. */
export async function takeIn(
  worker: ProofreaderLink,
  name: string,
  bytes: Uint8Array,
  demo: boolean,
): Promise<Taken> {
  const read = await readIn(worker, name, bytes);
  if ("problem" in read) return { problem: read.problem.sentence };
  const { title, kind, variety, origin } = read.manuscript;
  const record: ShelfRecord = {
    id: newId(),
    title,
    fileName: name,
    format: origin.format,
    kind,
    variety,
    hash: origin.hash,
    addedAt: new Date().toISOString(),
    demo,
    run: null,
    off: [],
    appetites: {},
    subjects: [],
    forms: {},
    houses: [],
    sheet: NO_HAND,
    citationStyle: null,
    revises: null,
    leave: {},
    reader: null,
    place: 0,
    pass: "spelling",
  };
  await shelve(record, bytes);
  return { record };
}

function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(12));
  return [...bytes].map((byte) => byte.toString(16).padStart(2, "0")).join("");
}

/** Reads a file; a reader that hangs or stops at it is a problem like any other. */
async function readIn(
  worker: ProofreaderLink,
  name: string,
  bytes: Uint8Array,
): Promise<ReadResult> {
  try {
    return await worker.read(bytes, name, browserVariety());
  } catch (error) {
    if (!(error instanceof WorkerGone)) throw error;
    return { problem: { code: "too-large", sentence: UNREADABLE } };
  }
}

/** Whether a document's counts are missing, incomplete, or of another house style than today's. */
export async function needsRun({ run, houses }: ShelfRecord): Promise<boolean> {
  if (run === null || run.unread.length > 0) return true;
  return run.style !== layersStamp(await readLayers(houses));
}

/**
 * Runs the checks over a document as it is corrected so far, and notes the counts. Whoever has it on a
 * desk counts for themselves. A document that can't be read is passed over.
 */
export async function runForShelf(
  worker: ProofreaderLink,
  record: ShelfRecord,
  report: (share: number) => void,
): Promise<void> {
  const bytes = await readOriginal(record.id);
  if (!bytes) return;
  if (await isHeld(record.id)) return;
  const read = await worker.read(bytes, record.fileName, record.variety);
  if ("problem" in read) return;
  const layers = await readLayers(record.houses);
  const copy = new DeskDocument(read.manuscript, await readDecisions(record.id), record.id);
  const update = await worker.check(
    record.id,
    copy.editsSoFar(),
    0,
    checkSettings(record, layers),
    proxy(({ done, all }) => report(done / Math.max(1, all))),
    proxy(() => undefined),
  );
  if (!update || typeof update === "string") return;
  copy.reported.report(update, update.revision);
  const readings = await worker.readings(USUAL_SCOPE);
  const marks = copy.openMarks().filter(({ mark }) => !mark.follows);
  const of = (weight: string) => marks.filter(({ mark }) => mark.weight === weight).length;
  await updateRecord(record.id, {
    run: {
      at: record.run?.at ?? new Date().toISOString(),
      words: copy.reported.tables.counts.words,
      fix: of("fix"),
      settle: of("settle"),
      weigh: of("weigh"),
      decided: copy.decisions.filter(({ seq, act }) => act !== "undo" && copy.inForce.has(seq))
        .length,
      unread: [...update.unread],
      style: layersStamp(layers),
      grade: readings?.grade?.median ?? null,
      overlap: null,
    },
  });
}

/**
 * Takes a document for another kind of copy, as a decision in its ledger. Returns a sentence when it
 * can't be done now. Throws NotKept.
 */
export async function turnKind(record: ShelfRecord, kind: Kind): Promise<string> {
  const hold = await holdDocument(record.id);
  try {
    if (!hold.first) return `“${record.title}” is open on a desk; its kind is changed there.`;
    const decisions = await readDecisions(record.id);
    await writeDecision(record.id, {
      seq: decisions.length + 1,
      at: new Date().toISOString(),
      act: "setting",
      scope: "here",
      marks: [],
      edits: [],
      inverse: [],
      setting: { name: "kind", before: record.kind, after: kind },
    });
    // What was found as one kind is not what is found as another.
    const run = record.run && { ...record.run, unread: [...PASSES] };
    await updateRecord(record.id, { kind, run });
    return "";
  } finally {
    hold.release();
  }
}
