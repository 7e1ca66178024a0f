import type { PartOfSpeech, WordEntry } from "../../core/language/meanings/word-net.ts";
import type { Variety } from "../../core/manuscript/model.ts";

/** What is asked of the worker and of the endpoint of word entries. */
export interface OtherWordsHost {
  aboutWord(word: string, variety: Variety): Promise<{ bases: readonly string[] }>;
  fitSynonym(
    synonym: string,
    written: string,
    part: PartOfSpeech,
    variety: Variety,
  ): Promise<string>;
  fetchEntry(word: string): Promise<WordEntry>;
}

/**
 * Synonyms of a word as written, in its form and capitals: of its commonest meanings first, each
 * meaning in turn. Empty where it has none. Throws where the entries cannot be reached.
 */
export async function otherWords(
  word: string,
  variety: Variety,
  limit: number,
  host: OtherWordsHost,
): Promise<string[]> {
  const { bases } = await host.aboutWord(word, variety);
  const entries = await Promise.all(bases.map((base) => host.fetchEntry(base)));
  const senses = entries.flatMap((entry) => entry.senses.map((sense) => ({ sense, entry })));
  const found = new Set<string>();
  const most = Math.max(0, ...senses.map(({ sense }) => sense.synonyms.length));
  for (let turn = 0; turn < most; turn++) {
    for (const { sense, entry } of senses) {
      const synonym = sense.synonyms[turn];
      if (synonym === undefined || synonym === entry.word) continue;
      const fitted = await host.fitSynonym(synonym, word, sense.part, variety);
      if (fitted.toLowerCase() !== word.toLowerCase()) found.add(fitted);
      if (found.size === limit) return [...found];
    }
  }
  return [...found];
}
