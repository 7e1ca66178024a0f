import { type Decision, decisionSchema } from "../core/ledger/decision.ts";
import { ledgerDatabase } from "./databases.ts";
import { keep } from "./failure.ts";

/** Decisions on disk: one entry each, written once and never changed. */

function keyOf(seq: number): string {
  return String(seq).padStart(8, "0");
}

/** Writes one decision; resolved means that it is on disk. Throws NotKept. */
export async function writeDecision(document: string, decision: Decision): Promise<void> {
  await keep(() => ledgerDatabase(document).setItem(keyOf(decision.seq), decision));
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
