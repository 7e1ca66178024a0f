import type { Language } from "../language/analysis.ts";
import { causesOf, causeTold } from "../language/phrases/causes.ts";
import {
  placesOfCount,
  sentenceFigures,
  shownStretch,
  UNIT_COUNTS,
  type UnitCount,
} from "../language/phrases/sentence-figures.ts";
import type { Manuscript, Range } from "../manuscript/model.ts";
import { sectionTitles } from "../manuscript/sections.ts";
import { isParagraph } from "../readings/counts.ts";
import type { Measure, Spread } from "../readings/measures.ts";
import { type CountPlace, MOST_PLACES, type PlaceQuery, wordPlaces } from "../readings/places.ts";
import {
  type ReadBlock,
  type ReadingCounts,
  type Readings,
  type ReadSentence,
  readingsOf,
} from "../readings/readings.ts";
import { isCounted, type Scope } from "../readings/scope.ts";
import type { Engine } from "./engine.ts";

/** The readings of what an engine has examined, and the places behind them. */

/** A sentence that costs much, with its causes told and what is shown of it. */
export interface HardestSentence extends ReadSentence {
  told: string;
  /** In the document; the whole sentence where nothing in it stands out. */
  shown: Range;
}

/** The readings of the text before anything was changed, as far as they are shown beside those of now. */
export interface ReadingsBefore {
  counts: ReadingCounts;
  measures: Measure[];
  grade: Spread | null;
  /** Words of each sentence, in order. */
  lengths: number[];
}

export interface TextReadings extends Readings {
  hardest: HardestSentence[];
  before: ReadingsBefore | null;
}

/** Sentences listed as those that cost most. */
const HARDEST = 24;
/** Causes named of each. */
const NAMED = 3;

/**
 * The readings of an engine's text; `original` is the manuscript before any edit, null where nothing
 * was changed.
 */
export function readText(
  engine: Engine,
  language: Language,
  scope: Scope,
  original: Pick<Manuscript, "text" | "blocks" | "spans"> | null,
): TextReadings {
  const blocks = engine.readBlocks();
  const readings = readingsOf(blocks, titlesOf(blocks), scope, language);
  const hardest = [...readings.sentences]
    .filter(({ cost }) => cost > 0)
    .sort((one, other) => other.cost - one.cost)
    .slice(0, HARDEST)
    .map((sentence) => hardestOf(sentence, blocks, engine, language));
  return { ...readings, hardest, before: original && before(engine, language, scope, original) };
}

function before(
  engine: Engine,
  language: Language,
  scope: Scope,
  original: Pick<Manuscript, "text" | "blocks" | "spans">,
): ReadingsBefore {
  const titles = sectionTitles(original);
  const readings = readingsOf(engine.examiner.readAll(original), titles, scope, language);
  const { counts, measures, grade, sentences } = readings;
  return { counts, measures, grade, lengths: sentences.map(({ words }) => words) };
}

function titlesOf(blocks: readonly ReadBlock[]): string[] {
  const titles = [""];
  for (const { block, text } of blocks) {
    if (block.kind === "heading") titles[block.section] = text;
  }
  return titles;
}

function hardestOf(
  sentence: ReadSentence,
  blocks: readonly ReadBlock[],
  engine: Engine,
  language: Language,
): HardestSentence {
  const from = blocks[sentence.block]?.block.from ?? 0;
  for (const { part, from: by } of engine.analysed(sentence.block)) {
    const start = from + by;
    const own = sentenceFigures(part, language).find((one) => start + one.from === sentence.from);
    if (!own) continue;
    const stretch = shownStretch(own);
    const told = causesOf(own)
      .slice(0, NAMED)
      .map((cause) => causeTold(cause, own))
      .join("; ");
    return { ...sentence, told, shown: { from: start + stretch.from, to: start + stretch.to } };
  }
  return { ...sentence, told: "", shown: { from: sentence.from, to: sentence.to } };
}

/** The places behind a count of the text, as many as are shown. */
export function placesBehind(
  engine: Engine,
  language: Language,
  scope: Scope,
  query: PlaceQuery,
): CountPlace[] {
  const blocks = engine.readBlocks();
  const words = wordPlaces(blocks, query, scope, language);
  if (words || "forms" in query) return words ?? [];
  const { count } = query;
  const unitCount = UNIT_COUNTS.find((one) => one === count);
  const places: CountPlace[] = [];
  for (const [index, read] of blocks.entries()) {
    if (!isCounted(read.block.kind, read.counts, scope)) continue;
    places.push(
      ...(unitCount ? unitPlaces(engine, language, index, read, unitCount) : wholes(read, count)),
    );
    if (places.length >= MOST_PLACES) break;
  }
  return places.slice(0, MOST_PLACES);
}

/** Sentences, those that ask, or the paragraph itself. */
function wholes({ block, sentences }: ReadBlock, count: string): CountPlace[] {
  if (count === "paragraphs") {
    const counts = sentences.length > 0 && isParagraph(block.kind);
    return counts ? [{ from: block.from, to: block.to }] : [];
  }
  return sentences
    .filter(({ questions }) => count === "sentences" || questions > 0)
    .map(({ from, to, words }) => ({
      from: block.from + from,
      to: block.from + to,
      figure: words,
    }));
}

function unitPlaces(
  engine: Engine,
  language: Language,
  index: number,
  { block, sentences }: ReadBlock,
  count: UnitCount,
): CountPlace[] {
  if (!sentences.some((sentence) => sentence[count] > 0)) return [];
  return engine.analysed(index).flatMap(({ part, from: by }) =>
    placesOfCount(part, count, language).map(({ from, to }) => ({
      from: block.from + by + from,
      to: block.from + by + to,
    })),
  );
}
