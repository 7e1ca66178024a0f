import { z } from "zod";
import type { OwnSource } from "../core/originality/compared-sources.ts";
import { comparedWords } from "../core/originality/words.ts";
import { sourcesDatabase } from "./databases.ts";
import { keep } from "./failure.ts";

/** A source of the person's own collection. */
const storedSourceSchema = z.object({
  id: z.string(),
  title: z.string(),
  author: z.string().nullable(),
  year: z.number().int().nullable(),
  fileName: z.string(),
  /** ISO 8601. */
  addedAt: z.string(),
  /** Null for a closed source: of it only the hashes of its words are kept. */
  text: z.string().nullable(),
  hashes: z.instanceof(Uint32Array),
  /** It is one of the person's own documents. */
  isOwn: z.boolean(),
});
export type StoredSource = z.infer<typeof storedSourceSchema>;

/** What is known of a text that joins the collection. */
export interface NewSource {
  title: string;
  author: string | null;
  year: number | null;
  fileName: string;
  text: string;
  closed: boolean;
  isOwn: boolean;
}

/** All sources, by their titles. */
export async function listSources(): Promise<StoredSource[]> {
  const sources: StoredSource[] = [];
  await sourcesDatabase.iterate((value) => {
    const parsed = storedSourceSchema.safeParse(value);
    if (parsed.success) sources.push(parsed.data);
  });
  return sources.sort((one, other) => one.title.localeCompare(other.title, "en"));
}

/** The sources as texts are compared with them. */
export async function ownSources(): Promise<OwnSource[]> {
  return (await listSources()).map(({ id, title, author, year, text, hashes, isOwn }) => ({
    id,
    title,
    author,
    year,
    text,
    hashes,
    isOwn,
  }));
}

/**
 * Adds a text to the collection; one with the same words is there already and is returned. Throws NotKept.
 */
export async function addSource(source: NewSource): Promise<StoredSource> {
  const { hashes } = comparedWords(source.text);
  const same = (await listSources()).find((one) => sameWords(one.hashes, hashes));
  if (same) return same;
  const { text, closed, ...about } = source;
  const stored: StoredSource = {
    ...about,
    id: crypto.randomUUID(),
    addedAt: new Date().toISOString(),
    text: closed ? null : text,
    hashes: new Uint32Array(hashes),
  };
  await keep(() => sourcesDatabase.setItem(stored.id, stored));
  return stored;
}

/** Changes what is told of a source; one that is closed loses its text for good. Throws NotKept. */
export async function changeSource(
  id: string,
  changes: Partial<Pick<StoredSource, "title" | "author" | "year" | "text" | "isOwn">>,
): Promise<void> {
  const parsed = storedSourceSchema.safeParse(await sourcesDatabase.getItem(id));
  if (!parsed.success) return;
  await keep(() => sourcesDatabase.setItem(id, { ...parsed.data, ...changes }));
}

/** A source as a backup has it: words as plain numbers, and only where there is no text to tell them. */
export const keptSourceSchema = storedSourceSchema.extend({
  hashes: z.array(z.number().int().nonnegative()).nullable(),
});
export type KeptSource = z.infer<typeof keptSourceSchema>;

/** All sources, for a backup. */
export async function sourcesToKeep(): Promise<KeptSource[]> {
  return (await listSources()).map((source) => ({
    ...source,
    hashes: source.text === null ? [...source.hashes] : null,
  }));
}

/** Takes a source in from a backup; one that is here stays as it is. Throws NotKept. */
export async function restoreSource({ hashes, ...source }: KeptSource): Promise<void> {
  if ((await sourcesDatabase.getItem(source.id)) !== null) return;
  const words = hashes ?? comparedWords(source.text ?? "").hashes;
  await keep(() =>
    sourcesDatabase.setItem(source.id, { ...source, hashes: new Uint32Array(words) }),
  );
}

/** Takes a source out of the collection. */
export async function removeSource(id: string): Promise<void> {
  await sourcesDatabase.removeItem(id);
}

function sameWords(one: Uint32Array, other: Uint32Array): boolean {
  return one.length === other.length && one.every((hash, at) => hash === other[at]);
}
