import { costOf, type SentenceFigures } from "../language/phrases/causes.ts";
import { familyOf } from "../language/words/families.ts";
import type { Block, Range } from "../manuscript/model.ts";
import { addCounts, type Counts, isParagraph } from "./counts.ts";
import { type Diversity, diversityOf } from "./diversity.ts";
import {
  gradeSpread,
  type Measure,
  type MeasureCounts,
  measuresOf,
  type Spread,
} from "./measures.ts";
import { type Run, runsOf } from "./rhythm.ts";
import { isCounted, PARTS, type PartName, partOf, type Scope } from "./scope.ts";
import {
  eachWord,
  mostUsed,
  type WordCounts,
  type WordSources,
  WordTally,
  type WordUse,
} from "./words.ts";

/** How a text reads: what is counted in it, and what the measures make of that. */

/** A block with what examining it found. */
export interface ReadBlock {
  block: Block;
  text: string;
  counts: Counts;
  /** Offsets in the block's text. */
  sentences: readonly SentenceFigures[];
}

/** What is added up over sentences. */
const SENTENCE_COUNTS = [
  "clauses",
  "passives",
  "nominalisations",
  "prepositions",
  "negations",
  "questions",
  "quoted",
] as const;
export type SentenceCount = (typeof SENTENCE_COUNTS)[number];

/** Everything counted of what the measures count. */
export type ReadingCounts = MeasureCounts &
  WordCounts &
  Record<SentenceCount, number> & {
    /** Blocks that are neither headings nor list items, cells or listings. */
    paragraphs: number;
  };

/** A sentence in the document; offsets in its text. */
export interface ReadSentence extends Range {
  block: number;
  section: number;
  words: number;
  /** How much harder it reads than an easy one, in words (`sentence-figures.ts`). */
  cost: number;
}

/** A paragraph in the document. */
export interface ReadParagraph extends Range {
  section: number;
  words: number;
  sentences: number;
}

export interface SectionReadings extends Range {
  /** The number blocks point at; 0 before the first heading. */
  section: number;
  title: string;
  counts: ReadingCounts;
  measures: Measure[];
  grade: Spread | null;
  diversity: Diversity;
}

export interface Readings {
  scope: Scope;
  /** Of the whole document, headings, tables and references too. */
  document: Counts & { charactersWithoutSpaces: number };
  counts: ReadingCounts;
  measures: Measure[];
  grade: Spread | null;
  diversity: Diversity;
  /** Sections that have counted words, in order. */
  sections: SectionReadings[];
  sentences: ReadSentence[];
  paragraphs: ReadParagraph[];
  /** Runs of sentences, by their place in `sentences`. */
  runs: Run[];
  mostUsed: WordUse[];
  /** Words of each part, counted or not, so that a switch can say what it changes. */
  parts: Record<PartName, number>;
}

/** Words in the table of those most used. */
const MOST_USED = 40;

/** What is added up while the document is gone through, of a section or of all. */
class Sums {
  readonly words = new WordTally();
  private readonly counted = { ...NO_SENTENCE_COUNTS };
  private sentences = 0;
  paragraphs = 0;

  addSentence(sentence: SentenceFigures): void {
    this.sentences++;
    for (const name of SENTENCE_COUNTS) this.counted[name] += sentence[name];
  }

  addAll({ words, counted, sentences, paragraphs }: Sums): void {
    this.words.addAll(words);
    for (const name of SENTENCE_COUNTS) this.counted[name] += counted[name];
    this.sentences += sentences;
    this.paragraphs += paragraphs;
  }

  counts(): ReadingCounts {
    return {
      ...this.words.counts(),
      ...this.counted,
      sentences: this.sentences,
      paragraphs: this.paragraphs,
    };
  }
}

const NO_SENTENCE_COUNTS = Object.fromEntries(SENTENCE_COUNTS.map((name) => [name, 0])) as Record<
  SentenceCount,
  number
>;

/** The readings of a document; `titles` are those of its sections. */
export function readingsOf(
  blocks: readonly ReadBlock[],
  titles: readonly string[],
  scope: Scope,
  sources: WordSources,
): Readings {
  const bySection = new Map<number, { sums: Sums; range: Range }>();
  const sentences: ReadSentence[] = [];
  const openings: string[] = [];
  const paragraphs: ReadParagraph[] = [];
  const { measurer } = sources;
  const parts = Object.fromEntries(PARTS.map((name) => [name, 0])) as Record<PartName, number>;
  for (const [index, read] of blocks.entries()) {
    const { block, text, counts } = read;
    const part = partOf(block.kind, counts);
    if (part && part !== "unread") parts[part] += counts.words;
    if (!isCounted(block.kind, counts, scope) || read.sentences.length === 0) continue;
    const section = bySection.get(block.section) ?? {
      sums: new Sums(),
      range: { from: block.from, to: block.to },
    };
    bySection.set(block.section, section);
    section.range.to = block.to;
    let words = 0;
    for (const sentence of read.sentences) {
      const { words: tally } = section.sums;
      const before = tally.forms.length;
      eachWord(text, sentence, measurer, (figures, name) => tally.add(figures, name));
      words += tally.forms.length - before;
      section.sums.addSentence(sentence);
      sentences.push({
        from: block.from + sentence.from,
        to: block.from + sentence.to,
        block: index,
        section: block.section,
        words: sentence.words,
        cost: costOf(sentence),
      });
      openings.push(tally.forms[before] ?? "");
    }
    if (!isParagraph(block.kind)) continue;
    section.sums.paragraphs++;
    const { from, to } = block;
    paragraphs.push({ from, to, section: block.section, words, sentences: read.sentences.length });
  }
  const whole = new Sums();
  for (const { sums } of bySection.values()) whole.addAll(sums);
  const counts = whole.counts();
  const measures = measuresOf(counts);
  const roots = new Map<string, string>();
  const rootOf = (form: string) => {
    const root = roots.get(form) ?? familyOf(form, sources.irregular, sources.lexicon);
    roots.set(form, root);
    return root;
  };
  return {
    scope,
    document: documentCounts(blocks),
    counts,
    measures,
    grade: gradeSpread(measures),
    diversity: diversityOf(whole.words.forms),
    sections: [...bySection].map(([section, { sums, range }]) =>
      sectionReadings(section, titles[section] ?? "", range, sums),
    ),
    sentences,
    paragraphs,
    runs: runsOf(sentences.map(({ words }, index) => ({ words, opening: openings[index] ?? "" }))),
    mostUsed: mostUsed(whole.words.forms, rootOf, MOST_USED),
    parts,
  };
}

function sectionReadings(
  section: number,
  title: string,
  { from, to }: Range,
  sums: Sums,
): SectionReadings {
  const counts = sums.counts();
  const measures = measuresOf(counts);
  const diversity = diversityOf(sums.words.forms);
  return { section, title, from, to, counts, measures, grade: gradeSpread(measures), diversity };
}

function documentCounts(blocks: readonly ReadBlock[]): Readings["document"] {
  let charactersWithoutSpaces = 0;
  for (const { text } of blocks) charactersWithoutSpaces += text.replace(/\s+/gu, "").length;
  return { ...addCounts(blocks.map(({ counts }) => counts)), charactersWithoutSpaces };
}
