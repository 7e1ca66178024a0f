import { z } from "zod";
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

const TYPED_KEY = "typed ";

/** Writes what was typed after a decision, in the place of what was written there. Throws NotKept. */
export async function writeTyped(document: string, typed: Typed): Promise<void> {
  await keep(() => ledgerDatabase(document).setItem(TYPED_KEY + keyOf(typed.after), typed));
}

/** What was typed after the last of these decisions; null for nothing. */
export async function readTyped(
  document: string,
  decisions: readonly Decision[],
): Promise<Typed | null> {
  const key = TYPED_KEY + keyOf(decisions.length);
  const parsed = typedSchema.safeParse(await ledgerDatabase(document).getItem(key));
  const counts = parsed.success && parsed.data.at === (decisions.at(-1)?.at ?? "");
  return counts && parsed.data.typed.length > 0 ? parsed.data : null;
}

/** Forgets what was typed before the decision after `after`, which holds it now. */
export async function forgetTyped(document: string, after: number): Promise<void> {
  await ledgerDatabase(document).removeItem(TYPED_KEY + keyOf(after));
}
