import { z } from "zod";
import type { Entry } from "../entry.ts";
import type { ReferenceIndex } from "../tying.ts";

/** What leaves the browser when works are looked up: of each its title, its first author and its year. */
export const askedWorkSchema = z.object({
  title: z.string().max(400),
  author: z.string().max(120),
  year: z.number().int().nullable(),
});
export type AskedWork = z.infer<typeof askedWorkSchema>;

/** So many works are asked for at once. */
export const MOST_ASKED = 600;

export const askedWorksSchema = z.object({ works: z.array(askedWorkSchema).max(MOST_ASKED) });

/** A work as an index has it. */
export const indexedWorkSchema = z.object({
  authors: z.array(z.object({ family: z.string(), given: z.string() })),
  year: z.number().int(),
  title: z.string(),
  container: z.string().optional(),
  volume: z.string().optional(),
  issue: z.string().optional(),
  pages: z.string().optional(),
  publisher: z.string().optional(),
  doi: z.string().optional(),
});
export type IndexedWork = z.infer<typeof indexedWorkSchema>;

/** The answer of an index: for each work asked for the one it takes it for, or null. */
export const indexAnswerSchema = z.object({ works: z.array(indexedWorkSchema.nullable()) });

/** What a register says of a work, the worst first. */
export const NOTICE_KINDS = ["retracted", "withdrawn", "concern", "disputed", "corrected"] as const;
export type NoticeKind = (typeof NOTICE_KINDS)[number];

export const noticeSchema = z.object({
  kind: z.enum(NOTICE_KINDS),
  /** ISO 8601 date of the notice. */
  date: z.string(),
  reason: z.string(),
  /** For findings that later work disputes: which work, and its words. */
  by: z.string().optional(),
  words: z.string().optional(),
});
export type Notice = z.infer<typeof noticeSchema>;

/** The answer of a register: for each work asked for its notices. */
export const registerAnswerSchema = z.object({ notices: z.array(z.array(noticeSchema)) });

/** What is asked for of an entry; null where it has no title to ask by. */
export function askedOf(entry: Entry, reference: number, index: ReferenceIndex): AskedWork | null {
  const title = entry.fields.title?.text;
  if (!title) return null;
  const [first] = index.namesOf(reference);
  return { title, author: first?.family ?? first?.literal ?? "", year: entry.year?.value ?? null };
}
