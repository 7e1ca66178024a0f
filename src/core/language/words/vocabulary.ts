import type { Vocabulary } from "../corrections/corrections.ts";
import { tokenise } from "../text/tokens.ts";
import { dictionaryBits } from "./known.ts";
import type { Lexicon } from "./lexicon.ts";
import { packTrie, type Selection, Trie } from "./trie.ts";

/** A word no dictionary has must stand this often in the document to be offered as a correction. */
const OWN_WORD = 3;
/** Taken for the frequency of a listed word: log2 of its count in 50 million words. */
const LISTED_FREQUENCY = 10;
const DISTANCE = 2;

/** The words of a document and of the word lists, counted once. */
export class DocumentVocabulary implements Vocabulary {
  /** How often each word stands in the document, by its lower-case form, as last written. */
  private readonly counts = new Map<string, { count: number; written: string }>();
  private packed: { trie: Trie; all: Selection } | null = null;

  constructor(
    texts: readonly string[],
    private readonly listed: readonly string[],
    private readonly lexicon: Lexicon,
  ) {
    for (const text of texts) this.add(text, 1);
  }

  /** Takes in that a text of the document became another. */
  replace(before: string, after: string): void {
    this.add(before, -1);
    this.add(after, 1);
    this.packed = null;
  }

  near(query: string): { word: string; frequency: number }[] {
    this.packed ??= this.pack();
    const { trie, all } = this.packed;
    return trie
      .near(query, query.length <= SHORT ? 1 : DISTANCE, all)
      .filter(({ word }) => word.toLowerCase() !== query)
      .map(({ word }) => ({ word, frequency: LISTED_FREQUENCY }));
  }

  count(word: string): number {
    return this.counts.get(word)?.count ?? 0;
  }

  private add(text: string, times: number): void {
    for (const { kind, from, to } of tokenise(text)) {
      if (kind !== "word") continue;
      const written = text.slice(from, to);
      const lower = written.toLowerCase();
      const known = this.counts.get(lower);
      if (known) known.count += times;
      else this.counts.set(lower, { count: times, written });
    }
  }

  private pack(): { trie: Trie; all: Selection } {
    const own = [...this.counts.values()].flatMap(({ count, written }) =>
      count >= OWN_WORD && dictionaryBits(written, this.lexicon) === 0 ? [written] : [],
    );
    const trie = new Trie(packTrie([...this.listed, ...own]));
    return { trie, all: trie.select(() => true) };
  }
}

/** In short words two edits make anything of anything. */
const SHORT = 5;
