import { z } from "zod";

/** The entries of the ledger: append-only, in order, each with the edits that lead back. */

const editSchema = z.object({
  from: z.number().int().nonnegative(),
  to: z.number().int().nonnegative(),
  insert: z.string(),
});

/** A mark as a decision remembers it: its rule, its text, and where it stood at that moment. */
const anchorSchema = z.object({
  rule: z.string(),
  text: z.string(),
  from: z.number().int().nonnegative(),
  to: z.number().int().nonnegative(),
});

export const ACTS = ["correct", "stet", "query", "word", "edit", "setting", "undo"] as const;

/**
 * What decides which marks there are, and can be turned: the variety, the kind of copy, the reader, how much of a
 * check is wanted here or in every document, a kind of unknown word, a subject list, a listed word, the
 * form chosen for a group of forms, the houses that are followed, the style of citations.
 */
export const SETTINGS = [
  "variety",
  "kind",
  "reader",
  "appetite",
  "house-appetite",
  "leave",
  "subject",
  "listed",
  "form",
  "houses",
  "citations",
] as const;

const settingValueSchema = z.union([z.string(), z.boolean()]).nullable();

export const settingSchema = z.object({
  name: z.enum(SETTINGS),
  /** Which one, where there are several: a check, a kind of unknown word, a list, a word, a group. */
  of: z.string().optional(),
  /** How it stood; null where nothing had been chosen. */
  before: settingValueSchema,
  after: settingValueSchema,
});
export type Setting = z.infer<typeof settingSchema>;

export const decisionSchema = z.object({
  /** Position in the ledger, from 1. */
  seq: z.number().int().positive(),
  /** When it was taken, ISO 8601. */
  at: z.string(),
  act: z.enum(ACTS),
  /** "here" for one place, "everywhere" for every place with the same rule and text. */
  scope: z.enum(["here", "everywhere"]),
  /** The marks it settles; empty for edits by hand and for undo. Positions: before this decision. */
  marks: z.array(anchorSchema),
  /** Positions refer to the text before this decision. */
  edits: z.array(editSchema),
  /** Positions refer to the text after this decision; one for each of `edits`, in order. */
  inverse: z.array(editSchema),
  /** The question to the author, for "query". */
  note: z.string().optional(),
  /** The word that joined the word list, for "word". */
  word: z.string().optional(),
  /** What was turned, for "setting"; the form that was chosen, for a correction of a whole group. */
  setting: settingSchema.optional(),
  /** Places of the group that were left as they are. */
  kept: z.array(anchorSchema).optional(),
  /** The entry taken back, for "undo". */
  undoes: z.number().int().positive().optional(),
  /** Its edits do not correspond one by one to the edits of the entry taken back. */
  regrouped: z.boolean().optional(),
});

export type Decision = z.infer<typeof decisionSchema>;
export type Act = Decision["act"];
export type Anchor = z.infer<typeof anchorSchema>;

/** Everything of a decision but what the ledger itself adds. */
export type Draft = Omit<Decision, "seq" | "at" | "inverse">;

/**
 * The entries still standing: those that no standing later undo takes back. An undo can itself be
 * undone, so the list is read from its end.
 */
export function inForce(decisions: readonly Decision[]): Set<number> {
  const standing = new Set<number>();
  const takenBack = new Set<number>();
  for (let index = decisions.length - 1; index >= 0; index--) {
    const decision = decisions[index];
    if (!decision || takenBack.has(decision.seq)) continue;
    standing.add(decision.seq);
    if (decision.undoes !== undefined) takenBack.add(decision.undoes);
  }
  return standing;
}
