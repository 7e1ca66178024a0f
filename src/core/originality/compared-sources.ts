import {
  type AnsweredPassages,
  MOST_WORDS_ASKED,
  type PlacesByHash,
  type Stretch,
  type ToldSource,
} from "./asking.ts";
import { Collection, printsOf, type SourcePrints } from "./collection.ts";
import type { KnownNames } from "./findings.ts";
import type { Sources } from "./overlaps.ts";
import type { KnownSources } from "./passages.ts";
import { RetoldSources } from "./retellings.ts";
import { MOST_PLACES, type Posting } from "./source-index.ts";
import { type ComparedWords, comparedWords } from "./words.ts";

/** A source of the person’s own collection. */
export interface OwnSource {
  id: string;
  title: string;
  author: string | null;
  year: number | null;
  /** Its text; null for a closed source, of which only the hashes of its words are kept. */
  text: string | null;
  hashes: Uint32Array;
  /** One of the person’s own documents. */
  isOwn: boolean;
}

/** What is shown of a source. */
export interface ShownSource {
  id: string;
  title: string;
  /** Who wrote it and when, or where it comes from. */
  detail: string;
  closed: boolean;
  own: boolean;
  /** Its number in the collection that ships; null for a source of the person’s own collection. */
  number: number | null;
  words: number;
}

/** Words fetched around each place that shares a fingerprint. */
const AROUND = 75;
const SHIPPED = "shipped:";

/** How a source of the collection that ships is called among the others. */
export function shippedId(number: number): string {
  return `${SHIPPED}${number}`;
}

/** Sources of the collection that ships are read whole, where a text leans on them so much and they are no longer. */
const LEANED_ON = 40;
const LONGEST_WHOLE = 30_000;
const MOST_WHOLE = 5;

/** A stretch of a source that is at hand. */
interface Piece {
  from: number;
  text: string;
  words: ComparedWords;
}

/** The person's own sources, and what has been fetched of the collection that ships. */
export class ComparedSources implements Sources, KnownSources, KnownNames {
  private readonly collection = new Collection();
  private readonly own = new Map<string, OwnSource>();
  private readonly read = new Map<string, ComparedWords>();
  /** The person's own sources by their stems; closed ones, whose texts are not kept, are none of them. */
  readonly retold = new RetoldSources();
  private places: { words: PlacesByHash; frame: PlacesByHash } | null = null;
  private readonly shipped = new Map<string, ToldSource>();
  private readonly fetched = new Map<string, { hashes: Uint32Array; pieces: Piece[] }>();

  /** Takes these for the person's own sources, whatever was there before. */
  hold(sources: readonly OwnSource[]): void {
    const kept = new Set(sources.map(({ id }) => id));
    for (const id of this.own.keys()) {
      if (kept.has(id)) continue;
      this.collection.remove(id);
      this.own.delete(id);
      this.read.delete(id);
      this.retold.remove(id);
    }
    const added = sources.filter(({ id }) => !this.own.has(id));
    this.collection.add(
      added.map(({ id, hashes }) => ({ id, prints: printsOf(hashes), words: hashes })),
    );
    for (const source of sources) this.own.set(source.id, source);
    for (const { id, text } of added) if (text !== null) this.retold.add(id, text);
  }

  find(hash: number): readonly Posting[] {
    return joined(this.collection.find(hash), this.places?.words.get(hash));
  }

  findFrame(hash: number): readonly Posting[] {
    return joined(this.collection.findFrame(hash), this.places?.frame.get(hash));
  }

  wordsOf(source: string): Uint32Array | null {
    return this.fetched.get(source)?.hashes ?? this.collection.wordsOf(source);
  }

  isOwn(source: string): boolean {
    return this.own.get(source)?.isOwn ?? false;
  }

  titleOf(source: string): string {
    return this.own.get(source)?.title ?? this.shipped.get(source)?.title ?? source;
  }

  workOf(source: string): { author: string; year: number } | null {
    const { author, year } = this.own.get(source) ?? this.shipped.get(source) ?? {};
    return author && year ? { author, year } : null;
  }

  /** What is shown of a source; null where it is not known. */
  shown(source: string): ShownSource | null {
    const own = this.own.get(source);
    if (own) {
      const detail = own.isOwn ? "your own, on the shelf" : `${byWhom(own)}in your collection`;
      const { id, title, text, hashes, isOwn } = own;
      return {
        id,
        title,
        detail: text === null ? "closed: counted, not shown" : detail,
        closed: text === null,
        own: isOwn,
        number: null,
        words: hashes.length,
      };
    }
    const told = this.shipped.get(source);
    if (!told) return null;
    const { number, title, closed, words, origin } = told;
    const detail = closed ? "closed: counted, not shown" : `${byWhom(told)}${origin}`;
    return { id: source, title, detail, closed, own: false, number, words };
  }

  /** Words of a source as they are written; null for a closed source, and where they are not at hand. */
  written(source: string, from: number, to: number): readonly string[] | null {
    const own = this.own.get(source);
    if (own) {
      if (own.text === null) return null;
      const words = this.read.get(source) ?? comparedWords(own.text);
      this.read.set(source, words);
      return wordsIn({ from: 0, text: own.text, words }, from, to);
    }
    const { pieces } = this.fetched.get(source) ?? { pieces: [] };
    const found: string[] = [];
    for (let word = from; word < to; ) {
      const piece = pieces.find((one) => one.from <= word && endOf(one) > word);
      if (!piece) return null;
      const until = Math.min(to, endOf(piece));
      found.push(...wordsIn(piece, word, until));
      word = until;
    }
    return found;
  }

  /** The whole text of an own open source; null for any other. */
  textOf(source: string): string | null {
    return this.own.get(source)?.text ?? null;
  }

  /** Forgets what was fetched. */
  forgetShipped(): void {
    for (const source of this.shipped.keys()) this.retold.remove(source);
    this.places = null;
    this.shipped.clear();
    this.fetched.clear();
  }

  /**
   * Takes in where the fingerprints of a document stand in the collection that ships; what is answered of
   * other fingerprints is dropped. Returns the stretches to be fetched.
   */
  take(places: { words: PlacesByHash; frame: PlacesByHash }, asked: SourcePrints): Stretch[] {
    this.places = {
      words: onlyAsked(places.words, asked.words.hashes),
      frame: onlyAsked(places.frame, asked.frame.hashes),
    };
    const bySource = new Map<string, number[]>();
    for (const list of [this.places.words, this.places.frame]) {
      for (const postings of list.values()) {
        for (const { source, word } of postings) {
          const known = bySource.get(source);
          if (known) known.push(word);
          else bySource.set(source, [word]);
        }
      }
    }
    return [...bySource].flatMap(([source, words]) => stretchesAround(source, words));
  }

  /**
   * The open sources of the collection that ships that a text leans on, as stretches of all their words: what is
   * told again in other words is found in these too. Asking for them tells nothing new of the text.
   */
  leanedOn(passages: readonly { source: string; words: number }[]): Stretch[] {
    const words = new Map<string, number>();
    for (const { source, words: own } of passages)
      words.set(source, (words.get(source) ?? 0) + own);
    return [...words]
      .filter(([, own]) => own >= LEANED_ON)
      .sort(([, one], [, other]) => other - one)
      .flatMap(([source]) => this.shipped.get(source) ?? [])
      .filter((told) => !told.closed && told.words <= LONGEST_WHOLE)
      .slice(0, MOST_WHOLE)
      .flatMap(({ number, words: all }) => {
        const stretches: Stretch[] = [];
        for (let from = 0; from < all; from += MOST_WORDS_ASKED)
          stretches.push([number, from, Math.min(all, from + MOST_WORDS_ASKED)]);
        return stretches;
      });
  }

  /** Takes in whole sources, whose stems are looked at from now on. */
  receiveWhole(answer: AnsweredPassages): void {
    this.receive(answer);
    const texts = new Map<number, string[]>();
    for (const { source, text } of answer.passages)
      if (text !== null) texts.set(source, [...(texts.get(source) ?? []), text]);
    for (const [number, parts] of texts) this.retold.add(shippedId(number), parts.join(" "));
  }

  /** Takes in what stands in stretches of the collection that ships. */
  receive({ sources, passages }: AnsweredPassages): void {
    for (const source of sources) this.shipped.set(shippedId(source.number), source);
    for (const { source, from, text, words } of passages) {
      const id = shippedId(source);
      const told = this.shipped.get(id);
      if (!told) continue;
      const known = this.fetched.get(id) ?? { hashes: new Uint32Array(told.words), pieces: [] };
      this.fetched.set(id, known);
      if (text === null) {
        known.hashes.set((words ?? []).slice(0, told.words - from), from);
        continue;
      }
      const piece = { from, text, words: comparedWords(text) };
      known.hashes.set(piece.words.hashes.subarray(0, told.words - from), from);
      known.pieces.push(piece);
    }
  }
}

function joined(one: readonly Posting[], other: readonly Posting[] = []): readonly Posting[] {
  return other.length === 0 ? one : [...one, ...other];
}

function byWhom({
  author,
  year,
}: {
  author?: string | null | undefined;
  year?: number | null | undefined;
}) {
  const told = [author, year].filter(Boolean).join(", ");
  return told ? `${told}; ` : "";
}

function endOf({ from, words }: Piece): number {
  return from + words.hashes.length;
}

function wordsIn({ from: start, text, words }: Piece, from: number, to: number): string[] {
  const found: string[] = [];
  for (let word = from - start; word < to - start; word++)
    found.push(text.slice(words.from[word] ?? 0, words.to[word] ?? 0));
  return found;
}

function onlyAsked(places: PlacesByHash, hashes: Uint32Array): PlacesByHash {
  const found = new Map<number, readonly Posting[]>();
  for (const hash of hashes) {
    const own = places.get(hash);
    if (own && own.length <= MOST_PLACES) found.set(hash, own);
  }
  return found;
}

/** The stretches of a source around these words, joined where they meet. */
function stretchesAround(source: string, words: number[]): Stretch[] {
  const number = Number(source.slice(SHIPPED.length));
  const stretches: Stretch[] = [];
  for (const word of words.sort((a, b) => a - b)) {
    const [from, to] = [Math.max(0, word - AROUND), word + AROUND];
    const last = stretches.at(-1);
    const isNear = last && from <= last[2] && to - last[1] <= MOST_WORDS_ASKED;
    if (isNear) last[2] = to;
    else stretches.push([number, last ? Math.max(from, Math.min(last[2], word)) : from, to]);
  }
  return stretches;
}
