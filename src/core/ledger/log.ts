import { type Act, type Decision, inForce, type Setting } from "./decision.ts";

/** The ledgers of many documents as one list to read, sort and count. */

export interface LogRow {
  document: string;
  /** The decision's number in its document's ledger. */
  seq: number;
  /** ISO 8601. */
  at: string;
  act: Act;
  /** The rule of the mark, "" for what was done by hand. */
  rule: string;
  /** What stood there, and what stands there now; "" for none. */
  mistake: string;
  correction: string;
  note: string;
  /** Places that were changed alike by the one decision. */
  places: number;
  /** What was turned, for a setting. */
  setting?: Setting;
  /** Not taken back since. */
  standing: boolean;
}

/** The decisions of one document as rows: one for each different change. Undoing is no row. */
export function logRows(document: string, decisions: readonly Decision[]): LogRow[] {
  const standing = inForce(decisions);
  return decisions.flatMap((decision) => {
    const { seq, at, act, marks } = decision;
    if (act === "undo") return [];
    const row = {
      document,
      seq,
      at,
      act,
      rule: marks[0]?.rule ?? "",
      note: decision.note ?? "",
      standing: standing.has(seq),
      ...(decision.setting ? { setting: decision.setting } : {}),
    };
    const changes = new Map<string, LogRow>();
    for (const index of decision.edits.keys()) {
      const { mistake, correction } = changeAt(decision, index);
      const key = `${mistake}\u0000${correction}`;
      const known = changes.get(key);
      if (known) known.places++;
      else changes.set(key, { ...row, mistake, correction, places: 1 });
    }
    if (changes.size > 0) return [...changes.values()];
    const mistake = decision.word ?? marks[0]?.text ?? "";
    return [{ ...row, mistake, correction: "", places: Math.max(1, marks.length) }];
  });
}

/** What one edit of a decision changed: the marked text where it lies in a mark, or just its own. */
export function changeAt({ edits, inverse, marks }: Decision, index: number) {
  const edit = edits[index];
  const mark = edit && marks.find(({ from, to }) => from <= edit.from && to >= edit.to);
  if (!edit || !mark) {
    return {
      mistake: (inverse[index]?.insert ?? "").trim(),
      correction: edit?.insert.trim() ?? "",
    };
  }
  const { text } = mark;
  const correction =
    text.slice(0, edit.from - mark.from) + edit.insert + text.slice(edit.to - mark.from);
  return { mistake: text, correction };
}

/** A slip that was corrected the same way more than once. */
export interface RecurringSlip {
  mistake: string;
  correction: string;
  times: number;
  documents: number;
  /** ISO 8601 of the last time. */
  lastAt: string;
}

/** A slip of words, not of a stretch of text. */
const SLIP = /^[\p{L}\p{N}'’-]+(?: [\p{L}\p{N}'’-]+){0,3}$/u;
const LEAST_TIMES = 2;

/** Slips made again and again, by standing corrections, the most frequent first. */
export function recurringSlips(rows: readonly LogRow[]): RecurringSlip[] {
  const slips = new Map<string, RecurringSlip & { seen: Set<string> }>();
  for (const { act, standing, mistake, correction, places, document, at } of rows) {
    if (act !== "correct" || !standing || !SLIP.test(mistake) || !SLIP.test(correction)) continue;
    const lower = mistake.toLowerCase();
    // Capitals that the place asked for are no difference.
    const follows = mistake !== lower && correction.toLowerCase() !== correction;
    const plain = follows ? correction.toLowerCase() : correction;
    if (lower === plain) continue;
    const key = `${lower}\u0000${plain}`;
    const slip = slips.get(key) ?? {
      mistake: lower,
      correction: plain,
      times: 0,
      documents: 0,
      lastAt: at,
      seen: new Set<string>(),
    };
    slips.set(key, slip);
    slip.times += places;
    slip.seen.add(document);
    slip.documents = slip.seen.size;
    if (at > slip.lastAt) slip.lastAt = at;
  }
  return [...slips.values()]
    .filter(({ times }) => times >= LEAST_TIMES)
    .sort((a, b) => b.times - a.times || a.mistake.localeCompare(b.mistake))
    .map(({ seen: _, ...slip }) => slip);
}
