import { z } from "zod";
import { setsDatabase } from "./databases.ts";
import { keep } from "./failure.ts";

/** Documents that are one work, such as the chapters of a book, in their order. */
export const documentSetSchema = z.object({
  id: z.string(),
  name: z.string().trim().min(1).max(120),
  /** Ids of documents on the shelf. */
  documents: z.array(z.string()),
});
export type DocumentSet = z.infer<typeof documentSetSchema>;

/** All sets, by their names. */
export async function listSets(): Promise<DocumentSet[]> {
  const sets: DocumentSet[] = [];
  await setsDatabase.iterate((value) => {
    const parsed = documentSetSchema.safeParse(value);
    if (parsed.success) sets.push(parsed.data);
  });
  return sets.sort((one, other) => one.name.localeCompare(other.name, "en"));
}

/** One set; null where there is none. */
export async function readSet(id: string): Promise<DocumentSet | null> {
  const parsed = documentSetSchema.safeParse(await setsDatabase.getItem(id));
  return parsed.success ? parsed.data : null;
}

/** Keeps a set. Throws NotKept. */
export async function keepSet(set: DocumentSet): Promise<void> {
  await keep(() => setsDatabase.setItem(set.id, set));
}

/** Removes a set; its documents stay. */
export async function deleteSet(id: string): Promise<void> {
  await setsDatabase.removeItem(id);
}
