import { proxy } from "comlink";
import type { ReadResult } from "../../core/formats/document.ts";
import type { Variety } from "../../core/manuscript/model.ts";
import { checkSettings } from "../../store/check-settings.ts";
import { readStyle } from "../../store/house.ts";
import { readDecisions } from "../../store/ledger.ts";
import { readOriginal, type ShelfRecord, shelve, updateRecord } from "../../store/shelf.ts";
import type { ProofreaderLink } from "../../worker/connect.ts";

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
  const read: ReadResult = await worker.read(bytes, name, browserVariety());
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
    leave: {},
    place: 0,
  };
  await shelve(record, bytes);
  return { record };
}

function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(12));
  return [...bytes].map((byte) => byte.toString(16).padStart(2, "0")).join("");
}

/** Runs the checks over a document that has had none, and notes the counts. */
export async function firstRun(
  worker: ProofreaderLink,
  record: ShelfRecord,
  report: (share: number) => void,
): Promise<void> {
  const bytes = await readOriginal(record.id);
  if (!bytes || (await readDecisions(record.id)).length > 0) return;
  const read = await worker.read(bytes, record.fileName, record.variety);
  if ("problem" in read) return;
  const update = await worker.check(
    [],
    checkSettings(record, await readStyle()),
    proxy(({ done, all }) => report(done / Math.max(1, all))),
    proxy(() => undefined),
  );
  if (!update) return;
  const marks = [...update.marks.values()].flat().filter(({ follows }) => !follows);
  const of = (weight: string) => marks.filter((mark) => mark.weight === weight).length;
  await updateRecord(record.id, {
    run: {
      at: new Date().toISOString(),
      words: update.counts.words,
      fix: of("fix"),
      settle: of("settle"),
      weigh: of("weigh"),
      decided: 0,
    },
  });
}
