import {
  askedWordSchema,
  WORDNET_VERSION,
  type WordEntry,
  wordEntrySchema,
} from "../../core/language/meanings/word-net.ts";

/** Entries from the endpoint; what was fetched once is kept while the page is open. */

const kept = new Map<string, Promise<WordEntry>>();

/** The entry of a word, without senses where there is none. Throws when it can't be reached. */
export function fetchEntry(word: string): Promise<WordEntry> {
  const known = kept.get(word);
  if (known) return known;
  const entry = request(word);
  kept.set(word, entry);
  entry.catch(() => kept.delete(word));
  return entry;
}

async function request(word: string): Promise<WordEntry> {
  // What is no word has no entry, and nobody need be asked for it.
  if (!askedWordSchema.safeParse(word).success) return { word, senses: [] };
  const response = await fetch(`/api/words/${WORDNET_VERSION}/${encodeURIComponent(word)}`);
  if (!response.ok) throw new Error(`word entry: ${response.status}`);
  return wordEntrySchema.parse(await response.json());
}
