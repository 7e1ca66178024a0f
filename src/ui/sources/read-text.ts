import { netEdits } from "../../core/ledger/ledger.ts";
import { withEdits } from "../../core/manuscript/layout.ts";
import { readDecisions } from "../../store/ledger.ts";
import { readOriginal, type ShelfRecord } from "../../store/shelf.ts";
import { type ProofreaderLink, WorkerGone } from "../../worker/connect.ts";
import { UNREADABLE } from "../desk/checking.ts";

/** The text of a source that is being added. */
export interface ReadText {
  title: string;
  fileName: string;
  text: string;
}

/** Reads a file of any format Dry Run reads; a problem is a sentence. */
export async function readFileText(
  worker: ProofreaderLink,
  file: File,
): Promise<ReadText | { problem: string }> {
  try {
    const bytes = new Uint8Array(await file.arrayBuffer());
    const read = await worker.read(bytes, file.name, "en-GB");
    if ("problem" in read) return { problem: read.problem.sentence };
    const { title, text } = read.manuscript;
    return { title, text, fileName: file.name };
  } catch (error) {
    if (!(error instanceof WorkerGone)) throw error;
    return { problem: UNREADABLE };
  }
}

/** A document of the shelf as it is corrected so far; null where it can't be read. */
export async function readShelfText(
  worker: ProofreaderLink,
  record: ShelfRecord,
): Promise<ReadText | null> {
  const [bytes, decisions] = await Promise.all([readOriginal(record.id), readDecisions(record.id)]);
  if (!bytes) return null;
  const read = await worker.read(bytes, record.fileName, record.variety);
  if ("problem" in read) return null;
  const edits = netEdits(
    read.manuscript.text,
    decisions.map((decision) => decision.edits),
  );
  const { text } = withEdits(read.manuscript, edits);
  return { title: record.title, text, fileName: record.fileName };
}
