import { WORDNET_VERSION, type WordEntry, wordEntrySchema } from "../../core/language/word-net.ts";

/** Entries from the endpoint; what was fetched once is kept while the page is open. */

const kept = new Map<string, Promise<WordEntry | null>>();

/** The entry of a word; null when there is none. Throws when the endpoint can't be reached. */
export function fetchEntry(word: string): Promise<WordEntry | null> {
  const known = kept.get(word);
  if (known) return known;
  const entry = request(word);
  kept.set(word, entry);
  entry.catch(() => kept.delete(word));
  return entry;
}

async function request(word: string): Promise<WordEntry | null> {
  const response = await fetch(`/api/words/${WORDNET_VERSION}/${encodeURIComponent(word)}`);
  if (response.status === 404 || response.status === 400) return null;
  if (!response.ok) throw new Error(`word entry: ${response.status}`);
  return wordEntrySchema.parse(await response.json());
}
