import type { Block, Range, Span } from "../manuscript/model.ts";
import type { Entry } from "./entry.ts";
import { type EntryPlace, type FoundList, findLists } from "./find-lists.ts";
import { guessStyle, type StyleGuess } from "./guess-style.ts";
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
}

/** Guessed where nothing tells. */
const FALLBACK: StyleId = "apa-7";
const NO_TIE: Tied = { tie: "none", reference: null, likely: null, candidates: [], differs: null };

/** What has been read of texts, kept through edits: a block or an entry that is as before costs nothing. */
export class CitationCache {
  readonly entries = new Map<string, Entry>();
  readonly citations = new Map<string, readonly Citation[]>();
  /** What the citations were read by; others void them. */
  signature = "";
}

/** Reads the lists and the citations of a document and ties them. */
export function readCitedDocument(
  blocks: readonly ReadableBlock[],
  { style: chosen, adapt = (style) => style, isWord, thisYear }: CitedSettings,
  cache = new CitationCache(),
): CitedDocument {
  const textOf = (block: number) => blocks[block]?.text ?? "";
  const lists = findLists(blocks, textOf);
  const entryTexts = lists.flatMap(({ entries }) =>
    entries.map((place) => plainLine(textOf(place.block).slice(place.from, place.to))),
  );
  const guess = entryTexts.length > 0 ? guessStyle(entryTexts) : null;
  const style = adapt(styleOf(chosen ?? guess?.id ?? FALLBACK));
  const references = lists.flatMap(({ entries }, list) =>
    entries.map((place): Reference => {
      const italics = italicsOf(blocks[place.block], place);
      const text = plainLine(textOf(place.block).slice(place.from, place.to));
      return { place, list, italics, entry: read(text, italics, style, cache) };
    }),
  );
  const index = new ReferenceIndex(references.map(({ entry }) => entry));
  const citations = readCitations(blocks, lists, references, index, style, cache);
  return { style, guess, lists, references, citations, index, blocks, isWord, thisYear };
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

function read(
  text: string,
  italics: readonly Range[],
  style: CitationStyle,
  cache: CitationCache,
): Entry {
  const key = `${style.id} ${italics.map(({ from, to }) => `${from}-${to}`).join()} ${text}`;
  const known = cache.entries.get(key);
  if (known) return known;
  const entry = readEntry(text, style, italics);
  cache.entries.set(key, entry);
  return entry;
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
  references: readonly Reference[],
  index: ReferenceIndex,
  style: CitationStyle,
  cache: CitationCache,
): PlacedCitation[] {
  const signature = `${style.id} ${references.map(({ entry }) => (entry.authors?.names[0]?.family ?? entry.authors?.names[0]?.literal ?? "") + (entry.number?.text ?? "")).join("|")}`;
  if (cache.signature !== signature) cache.citations.clear();
  cache.signature = signature;
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
  for (const { citation } of found) for (const item of citation.items) index.learn(item);
  return found.map(({ block, citation }) => ({
    block,
    citation,
    items: citation.items.map((item) => ({ item, tied: tieOf(item, citation, index, style) })),
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
