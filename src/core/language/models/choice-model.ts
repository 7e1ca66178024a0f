import { z } from "zod";

/** One model as the header of its file has it. */
const modelSchema = z.object({
  /**
   * What is chosen between: words of a set, verbs by number, forms of a verb, articles, the end of
   * a sentence or none, plurals and owners.
   */
  kind: z.enum(["words", "number", "form", "article", "stop", "owner"]),
  /** The words, or the names of the forms. */
  classes: z.array(z.string()).min(2),
  /** For each class, how far ahead another must be where this one stands; null never marks. */
  thresholds: z.array(z.number().nullable()),
  /** The same for a doubtful mark. */
  doubts: z.array(z.number().nullable()),
  /** How much a unit of the trigram model's log10 adds. */
  trigram: z.number(),
});
export const headerSchema = z.object({
  models: z.array(modelSchema),
  /** Of each model's weights. */
  sizes: z.array(z.object({ features: z.number(), keyBytes: z.number(), weights: z.number() })),
});
export type ChoiceModel = z.infer<typeof modelSchema>;
export type ChoicesHeader = z.infer<typeof headerSchema>;
