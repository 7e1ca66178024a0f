import type { Block, Range, Span } from "../manuscript/model.ts";
import type { Entry } from "./entry.ts";
import { type EntryPlace, type FoundList, findLists } from "./find-lists.ts";
import { guessStyle, type StyleGuess } from "./guess-style.ts";
import { citedKey, entryKey } from "./hand-ties.ts";
import { readEntry } from "./read-entry.ts";
import type { CitationStyle, StyleId } from "./styles/style.ts";
import { styleOf } from "./styles/styles.ts";
import { authorDateCitations } from "./text/author-date.ts";
import { authorPageCitations } from "./text/author-page.ts";
import type { Citation, CitationItem } from "./text/citation.ts";
import { noteCitations } from "./text/notes.ts";
import { numericCitations } from "./text/numeric.ts";
import { ReferenceIndex, type Tied } from "./tying.ts";

/** A block as it is read for citations. */
export interface ReadableBlock
  extends Pick<Block, "kind" | "level" | "story" | "section" | "marker"> {
  text: string;
  /** Offsets in the block's text. */
  spans: readonly Pick<Span, "kind" | "from" | "to">[];
}

/** An entry with its place. */
export interface Reference {
  place: EntryPlace;
  /** Which list of the document it stands in. */
  list: number;
  entry: Entry;
  /** Italic ranges in the entry's text. */
  italics: readonly Range[];
}

/** A work cited at one place. */
export interface CitedItem {
  item: CitationItem;
  tied: Tied;
}

/** A citation with its place. */
export interface PlacedCitation {
  block: number;
  citation: Citation;
  items: readonly CitedItem[];
}

/** A document with all its citations tied to the entries of its lists. */
export interface CitedDocument {
  style: CitationStyle;
  guess: StyleGuess | null;
  lists: readonly FoundList[];
  references: readonly Reference[];
  citations: readonly PlacedCitation[];
  index: ReferenceIndex;
  blocks: readonly ReadableBlock[];
  /** Whether a word written with a small letter is an English word. */
  isWord(word: string): boolean;
  /** The year in which it is read. */
  thisYear: number;
}

/** What a document is read by. */
export interface CitedSettings {
  /** The style the person named; null for the one that the list tells. */
  style: StyleId | null;
  /** Puts a publisher's own rules on top of a style. */
  adapt?: (style: CitationStyle) => CitationStyle;
  isWord(word: string): boolean;
  thisYear: number;
  /** Which entry a cited work means, where a person has said so (`hand-ties.ts`). */
  ties?: ReadonlyMap<string, string>;
}

/** Guessed where nothing tells. */
const FALLBACK: StyleId = "apa-7";
const NO_TIE: Tied = { tie: "none", reference: null, likely: null, candidates: [], differs: null };

/** The lists of a document as they were last read. */
interface ReadLists {
  /** The texts and italics of all entries, by which the next reading is told to be the same. */
  key: string;
  guess: StyleGuess | null;
  style: CitationStyle;
  references: readonly Reference[];
  index: ReferenceIndex;
}

/** What has been read of texts, kept through edits: a block or a list that is as before costs nothing. */
export class CitationCache {
  readonly citations = new Map<string, readonly Citation[]>();
  lists: ReadLists | null = null;
  /** Ties to the lists as they were last read. */
  ties = new WeakMap<CitationItem, Tied>();
}

/** Reads the lists and the citations of a document and ties them. */
export function readCitedDocument(
  blocks: readonly ReadableBlock[],
  settings: CitedSettings,
  cache = new CitationCache(),
): CitedDocument {
  const lists = findLists(blocks, (block) => blocks[block]?.text ?? "");
  const { guess, style, references, index } = readLists(blocks, lists, settings, cache);
  const tied = readCitations(blocks, lists, index, style, cache);
  const citations = withHandTies(tied, references, settings.ties);
  const { isWord } = settings;
  // The text is asked for its years only where an entry is of one to come.
  const isLater = references.some(({ entry }) => (entry.year?.value ?? 0) > settings.thisYear);
  const thisYear = isLater
    ? Math.max(settings.thisYear, yearOfText(blocks, lists))
    : settings.thisYear;
  return { style, guess, lists, references, citations, index, blocks, isWord, thisYear };
}

/** So often a year is named by a text that is set in it. */
const OFTEN = 3;

/** The latest year that a text names often, outside its lists: a plan or a story may be set in years to come. */
function yearOfText(blocks: readonly ReadableBlock[], lists: readonly FoundList[]): number {
  const inList = new Set(lists.flatMap(({ entries }) => entries.map(({ block }) => block)));
  const counts = new Map<string, number>();
  for (const [block, { text }] of blocks.entries()) {
    if (inList.has(block)) continue;
    for (const [year] of text.matchAll(/\b20[2-9]\d\b/gu)) {
      counts.set(year, (counts.get(year) ?? 0) + 1);
    }
  }
  const often = [...counts].filter(([, count]) => count >= OFTEN).map(([year]) => Number(year));
  return Math.max(0, ...often);
}

/** The entries of all lists; those read before where nothing of them is another. */
function readLists(
  blocks: readonly ReadableBlock[],
  lists: readonly FoundList[],
  { style: chosen, adapt = (style) => style }: CitedSettings,
  cache: CitationCache,
): ReadLists {
  const places = lists.flatMap(({ entries }, list) =>
    entries.map((place) => {
      const block = blocks[place.block];
      const text = plainLine((block?.text ?? "").slice(place.from, place.to));
      return { place, list, text, italics: italicsOf(block, place) };
    }),
  );
  const key = places
    .map(({ list, place: { block, from }, text, italics }) =>
      [list, block, from, text, ...italics.map((one) => `${one.from}-${one.to}`)].join(" "),
    )
    .join("\n");
  if (cache.lists?.key === key) return cache.lists;
  const guess = places.length > 0 ? guessStyle(places.map(({ text }) => text)) : null;
  const style = adapt(styleOf(chosen ?? guess?.id ?? FALLBACK));
  const references = places.map(
    ({ place, list, text, italics }): Reference => ({
      place,
      list,
      italics,
      entry: readEntry(text, style, italics),
    }),
  );
  const index = new ReferenceIndex(references.map(({ entry }) => entry));
  cache.citations.clear();
  cache.ties = new WeakMap();
  cache.lists = { key, guess, style, references, index };
  return cache.lists;
}

/** A list by itself, each entry a block of its own, as a document without citations. */
export function documentOfEntries(
  entries: readonly Entry[],
  italics: readonly (readonly Range[])[],
  style: CitationStyle,
  { isWord, thisYear }: Pick<CitedSettings, "isWord" | "thisYear">,
): CitedDocument {
  const references = entries.map(
    (entry, block): Reference => ({
      place: { block, from: 0, to: entry.text.length },
      list: 0,
      entry,
      italics: italics[block] ?? [],
    }),
  );
  const lists = [{ heading: null, title: "", entries: references.map(({ place }) => place) }];
  const index = new ReferenceIndex(entries);
  return {
    style,
    guess: null,
    lists,
    references,
    citations: [],
    index,
    blocks: [],
    isWord,
    thisYear,
  };
}

/** Line breaks within an entry are spaces, one for one, so that places stay. */
function plainLine(text: string): string {
  return text.replaceAll(/[\n\u2028\t\u00a0]/g, " ");
}

function italicsOf(block: ReadableBlock | undefined, place: EntryPlace): Range[] {
  if (!block) return [];
  return block.spans
    .filter(({ kind, from, to }) => kind === "emphasis" && from < place.to && to > place.from)
    .map(({ from, to }) => ({
      from: Math.max(0, from - place.from),
      to: Math.min(to, place.to) - place.from,
    }));
}

function readCitations(
  blocks: readonly ReadableBlock[],
  lists: readonly FoundList[],
  index: ReferenceIndex,
  style: CitationStyle,
  cache: CitationCache,
): PlacedCitation[] {
  const inList = new Set(
    lists.flatMap(({ entries, heading }) => [...entries.map(({ block }) => block), heading ?? -1]),
  );
  const found: { block: number; citation: Citation }[] = [];
  for (const [block, one] of blocks.entries()) {
    if (inList.has(block) || one.kind === "code" || one.text.length < 3) continue;
    const key = `${one.story === "note" ? "n" : ""}${one.spans
      .filter(({ kind }) => kind === "superscript")
      .map(({ from, to }) => `${from}-${to}`)
      .join()} ${one.text}`;
    let citations = cache.citations.get(key);
    if (!citations) {
      citations = citationsIn(one, style, index);
      cache.citations.set(key, citations);
    }
    for (const citation of citations) found.push({ block, citation });
  }
  let learned = false;
  for (const { citation } of found) {
    for (const item of citation.items) learned = index.learn(item) || learned;
  }
  if (learned) cache.ties = new WeakMap();
  const tied = (item: CitationItem, citation: Citation): Tied => {
    const known = cache.ties.get(item) ?? tieOf(item, citation, index, style);
    cache.ties.set(item, known);
    return known;
  };
  return found.map(({ block, citation }) => ({
    block,
    citation,
    items: citation.items.map((item) => ({ item, tied: tied(item, citation) })),
  }));
}

/** The citations with the ties that were made by hand; one whose entry is gone is as if it had not been made. */
function withHandTies(
  citations: readonly PlacedCitation[],
  references: readonly Reference[],
  ties: CitedSettings["ties"],
): readonly PlacedCitation[] {
  if (!ties || ties.size === 0) return citations;
  const byKey = new Map(references.map(({ entry }, index) => [entryKey(entry), index]));
  return citations.map((placed) => ({
    ...placed,
    items: placed.items.map((one) => {
      const reference = byKey.get(ties.get(citedKey(one.item)) ?? "");
      return reference === undefined
        ? one
        : { item: one.item, tied: { ...NO_TIE, tie: "tied" as const, reference } };
    }),
  }));
}

function citationsIn(
  block: ReadableBlock,
  style: CitationStyle,
  index: ReferenceIndex,
): readonly Citation[] {
  const { text } = block;
  const isFamily = (name: string) => index.isFirst(name);
  switch (style.inText.system) {
    case "author-date":
      return authorDateCitations(text, isFamily);
    case "author-page":
      return index.size > 0 ? authorPageCitations(text, isFamily) : [];
    case "numeric": {
      if (index.size === 0) return [];
      const raised = block.spans.filter(({ kind }) => kind === "superscript");
      return numericCitations(text, style, raised, index.size);
    }
    default:
      return block.story === "note" || isNoteLine(text) ? noteCitations(text, index) : [];
  }
}

/** A note that became a paragraph of its own. */
function isNoteLine(text: string): boolean {
  return /^\s*(?:\[?\^?\d{1,3}\]?[.:]?\s+)(?=\p{Lu}|Ibid|“)/u.test(text) && text.length < 600;
}

function tieOf(
  item: CitationItem,
  citation: Citation,
  index: ReferenceIndex,
  style: CitationStyle,
): Tied {
  if (index.size === 0) return NO_TIE;
  if (citation.kind === "ibid") return NO_TIE;
  if (item.number !== null) return index.numbered(item.number);
  const tied = index.tie(item, style.inText.system === "author-date");
  // What by its shape may be anything is a citation only where the list has something like it.
  if (tied.tie === "missing" && !citation.isPlain) return NO_TIE;
  return tied;
}
