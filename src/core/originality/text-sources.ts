import { Collection, printsOf } from "./collection.ts";
import type { Sources } from "./overlaps.ts";
import { RetoldSources } from "./retellings.ts";
import { type ComparedWords, comparedWords } from "./words.ts";

/** Sources whose texts are all at hand: found by fingerprints, their words told when they are asked for. */
export class TextSources implements Sources {
  private readonly told = new Map<string, ComparedWords>();
  private stemmed: RetoldSources | null = null;

  constructor(
    private readonly texts: ReadonlyMap<string, string>,
    private readonly collection = collectionOf(texts),
  ) {}

  find(hash: number) {
    return this.collection.find(hash);
  }

  findFrame(hash: number) {
    return this.collection.findFrame(hash);
  }

  wordsOf(source: string): Uint32Array | null {
    return this.placesOf(source)?.hashes ?? null;
  }

  /** The words of a source with their places in its text; null where there is no such source. */
  placesOf(source: string): ComparedWords | null {
    const text = this.texts.get(source);
    if (text === undefined) return null;
    const words = this.told.get(source) ?? comparedWords(text);
    this.told.set(source, words);
    return words;
  }

  /** The texts by their stems. */
  get retold(): RetoldSources {
    if (!this.stemmed) {
      this.stemmed = new RetoldSources();
      for (const [id, text] of this.texts) this.stemmed.add(id, text);
    }
    return this.stemmed;
  }

  isOwn(): boolean {
    return false;
  }

  titleOf(source: string): string {
    return source;
  }

  workOf(): null {
    return null;
  }
}

/** The fingerprints of texts. */
export function collectionOf(texts: ReadonlyMap<string, string>): Collection {
  const collection = new Collection();
  collection.add(
    [...texts].map(([id, text]) => ({ id, prints: printsOf(comparedWords(text).hashes) })),
  );
  return collection;
}
