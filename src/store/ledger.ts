import { type Decision, decisionSchema } from "../core/ledger/decision.ts";
import { ledgerDatabase } from "./databases.ts";
import { keep } from "./failure.ts";

/** Decisions on disk: one entry each, written once and never changed. */

function keyOf(seq: number): string {
  return String(seq).padStart(8, "0");
}

/** The storage of a document was cleared while it was open: what was written before is gone. */
export class StorageCleared extends Error {
  constructor() {
    super("the entries before this one are gone from the storage");
    this.name = "StorageCleared";
  }
}

/**
 * Writes one decision; resolved means that it is on disk, after the one before it. Throws NotKept
 * when the browser refuses, StorageCleared when the decision before it is not there any more.
 */
export async function writeDecision(document: string, decision: Decision): Promise<void> {
  const database = ledgerDatabase(document);
  await keep(async () => {
    const before = decision.seq > 1 ? await database.getItem(keyOf(decision.seq - 1)) : true;
    if (before === null) throw new StorageCleared();
    await database.setItem(keyOf(decision.seq), decision);
  });
}

/** Writes all decisions of a document anew. Throws NotKept. */
export async function writeDecisions(
  document: string,
  decisions: readonly Decision[],
): Promise<void> {
  const database = ledgerDatabase(document);
  await keep(async () => {
    for (const decision of decisions) await database.setItem(keyOf(decision.seq), decision);
  });
}

/** All decisions in order, up to the first that is missing or cannot be understood. */
export async function readDecisions(document: string): Promise<Decision[]> {
  const found: Decision[] = [];
  await ledgerDatabase(document).iterate((value) => {
    const parsed = decisionSchema.safeParse(value);
    if (parsed.success) found.push(parsed.data);
  });
  found.sort((a, b) => a.seq - b.seq);
  const end = found.findIndex((decision, index) => decision.seq !== index + 1);
  return end < 0 ? found : found.slice(0, end);
}
