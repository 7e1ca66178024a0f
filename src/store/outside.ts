import { z } from "zod";
import { indexedWorkSchema, noticeSchema } from "../core/citations/outside/asking.ts";
import { outsideDatabase } from "./databases.ts";
import { keep } from "./failure.ts";

/** What outside services have answered about the works of a document, by what was asked. */
export const answersSchema = z.object({
  works: z
    .object({
      /** ISO 8601. */
      at: z.string(),
      found: z.record(z.string(), indexedWorkSchema.nullable()),
    })
    .nullable()
    .default(null),
  notices: z
    .object({
      at: z.string(),
      found: z.record(z.string(), z.array(noticeSchema)),
      /** What the answer before this one had, where it was asked twice. */
      before: z.record(z.string(), z.array(noticeSchema)).nullable().default(null),
    })
    .nullable()
    .default(null),
});
export type Answers = z.infer<typeof answersSchema>;

export const NO_ANSWERS: Answers = { works: null, notices: null };

/** What was answered about a document; nothing where nothing was asked. */
export async function readAnswers(document: string): Promise<Answers> {
  const parsed = answersSchema.safeParse(await outsideDatabase.getItem(document));
  return parsed.success ? parsed.data : NO_ANSWERS;
}

/** Keeps what was answered. Throws NotKept. */
export async function keepAnswers(document: string, answers: Answers): Promise<void> {
  await keep(() => outsideDatabase.setItem(document, answers));
}

/** Removes what was answered about a document. */
export async function forgetAnswers(document: string): Promise<void> {
  await outsideDatabase.removeItem(document);
}
