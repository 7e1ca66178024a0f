import type { Vocabulary } from "./corrections.ts";
import { dictionaryBits } from "./known.ts";
import type { Lexicon } from "./lexicon.ts";
import { tokenise } from "./tokens.ts";
import { packTrie, Trie } from "./trie.ts";

/** A word no dictionary has must stand this often in the document to be offered as a correction. */
const OWN_WORD = 3;
/** Taken for the frequency of a listed word: log2 of its count in 50 million words. */
const LISTED_FREQUENCY = 10;
const DISTANCE = 2;

/** The words of a document and of the word lists, counted once. */
export class DocumentVocabulary implements Vocabulary {
  private readonly counts = new Map<string, number>();
  private readonly trie: Trie;
  private readonly all: Uint8Array;

  constructor(texts: readonly string[], listed: readonly string[], lexicon: Lexicon) {
    const written = new Map<string, string>();
    for (const text of texts) {
      for (const { kind, from, to } of tokenise(text)) {
        if (kind !== "word") continue;
        const word = text.slice(from, to);
        const lower = word.toLowerCase();
        this.counts.set(lower, (this.counts.get(lower) ?? 0) + 1);
        written.set(lower, word);
      }
    }
    const own = [...written].flatMap(([lower, word]) =>
      (this.counts.get(lower) ?? 0) >= OWN_WORD && dictionaryBits(word, lexicon) === 0
        ? [word]
        : [],
    );
    this.trie = new Trie(packTrie([...listed, ...own]));
    this.all = this.trie.select(() => true);
  }

  near(query: string): { word: string; frequency: number }[] {
    return this.trie
      .near(query, query.length <= SHORT ? 1 : DISTANCE, this.all)
      .filter(({ word }) => word.toLowerCase() !== query)
      .map(({ word }) => ({ word, frequency: LISTED_FREQUENCY }));
  }

  count(word: string): number {
    return this.counts.get(word) ?? 0;
  }
}

/** In short words two edits make anything of anything. */
const SHORT = 5;
