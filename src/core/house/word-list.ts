import { z } from "zod";

/** A person's word list: words that no check is to question again, with where each came from. */
export const wordListSchema = z.object({
  words: z.array(
    z.object({
      word: z.string().min(1),
      /** ISO 8601. */
      addedAt: z.string(),
      /** Id of the document it was met in. */
      document: z.string().optional(),
    }),
  ),
});
export type WordList = z.infer<typeof wordListSchema>;
