import { type Diversity, WINDOW } from "./diversity.ts";
import { type Measure, measureCard } from "./measures.ts";
import type { Reach } from "./reach.ts";
import type { Bounds } from "./readers.ts";
import { costBound } from "./readers.ts";
import type { ReadingCounts, Readings, ReadSentence } from "./readings.ts";

/** What charts draw and tables list of some readings; a table is the text of its chart. */

export interface Table {
  title: string;
  columns: readonly string[];
  rows: readonly (readonly (string | number)[])[];
}

const whole = new Intl.NumberFormat("en-GB");

/** Which columns of a table hold figures. */
export function figureColumns({ columns, rows }: Table): boolean[] {
  return columns.map((_, index) => rows.some((row) => typeof row[index] === "number"));
}

/**
 * The cells of a table as people read them: thousands parted, and one decimal in every row of a column
 * where one row has some. Files for sheets take the figures themselves.
 */
export function shownCells({ columns, rows }: Table): string[][] {
  const hasDecimals = columns.map((_, index) =>
    rows.some((row) => typeof row[index] === "number" && !Number.isInteger(row[index])),
  );
  return rows.map((row) =>
    row.map((cell, index) => {
      if (typeof cell === "string") return cell;
      return hasDecimals[index] ? cell.toFixed(1) : whole.format(cell);
    }),
  );
}

/** One bar: a sentence, or the longest of several in a row where there are many. */
export interface SentenceBar {
  /** The sentence, by its place in the readings. */
  sentence: number;
  /** How many it stands for. */
  of: number;
  words: number;
  isHard: boolean;
  section: number;
}

/** Bars that a chart of the screen's width can show. */
export const MOST_BARS = 360;

/** The sentences as bars in their order, several to a bar where there are too many. */
export function sentenceBars(
  sentences: readonly ReadSentence[],
  bounds: Bounds,
  most = MOST_BARS,
): SentenceBar[] {
  const of = Math.max(1, Math.ceil(sentences.length / most));
  const hard = costBound(bounds);
  const bars: SentenceBar[] = [];
  for (let first = 0; first < sentences.length; first += of) {
    const group = sentences.slice(first, first + of);
    let longest = 0;
    for (const [at, { cost, words }] of group.entries()) {
      const best = group[longest];
      if (best && (cost > best.cost || (cost === best.cost && words > best.words))) longest = at;
    }
    const shown = group[longest];
    if (!shown) continue;
    const { words, cost, section } = shown;
    bars.push({
      sentence: first + longest,
      of: group.length,
      words,
      isHard: cost >= hard,
      section,
    });
  }
  return bars;
}

/** Sections that a table on screen lists, and a chart draws. */
export const MOST_SECTIONS = 60;

/**
 * Which sections are listed, by their place among all: every one, or of very many those beyond the
 * reader's reach first, in the order of the text.
 */
export function listedSections(reach: readonly Reach[], most = MOST_SECTIONS): number[] {
  const all = [...reach.keys()];
  if (all.length <= most) return all;
  const isBeyond = (index: number) =>
    reach[index]?.isLong === true || reach[index]?.isHard === true;
  const beyond = all.filter(isBeyond);
  const within = all.filter((index) => !isBeyond(index));
  return [...beyond, ...within].slice(0, most).sort((one, other) => one - other);
}

/** How many lengths fall between two, both included. */
export interface Bin {
  from: number;
  to: number;
  count: number;
}

/** Lengths counted in steps, up to a last bin that holds all beyond. */
export function binned(lengths: readonly number[], step: number, last: number): Bin[] {
  const bins: Bin[] = [];
  for (let from = 1; from <= last; from += step) bins.push({ from, to: from + step - 1, count: 0 });
  bins.push({ from: last + 1, to: Number.POSITIVE_INFINITY, count: 0 });
  for (const length of lengths) {
    const bin = bins[Math.min(bins.length - 1, Math.floor((length - 1) / step))];
    if (bin && length > 0) bin.count++;
  }
  while (bins.length > 1 && bins.at(-1)?.count === 0) bins.pop();
  return bins;
}

/** "6 to 10", "61 and more". */
export function binLabel({ from, to }: Bin): string {
  return to === Number.POSITIVE_INFINITY
    ? `${from} and more`
    : from === to
      ? `${from}`
      : `${from} to ${to}`;
}

/** Steps of the histograms: words a sentence, words a paragraph. */
export const SENTENCE_STEP = { step: 5, last: 60 };
export const PARAGRAPH_STEP = { step: 25, last: 300 };

const rounded = (value: number, digits = 1) => Number(value.toFixed(digits));

/** Sections beside a reader's bounds. */
export function sectionTable({ sections }: Readings, reach: readonly Reach[]): Table {
  return {
    title: "Sections",
    columns: ["Section", "Words", "Words a sentence", "Grade", "Reading ease", "Passives"],
    rows: sections.map(({ title, counts, grade, measures }, index) => [
      title || "Before the first heading",
      counts.words,
      rounded(reach[index]?.mean ?? 0),
      grade ? rounded(grade.median) : "",
      valueIn(measures, "flesch") ?? "",
      counts.passives,
    ]),
  };
}

/** A measure's value among others, rounded as shown; null where it has none. */
export function valueIn(measures: readonly Measure[], id: Measure["id"]): number | null {
  const value = measures.find((one) => one.id === id)?.value ?? null;
  return value === null ? null : rounded(value);
}

/** Each sentence with its words. */
export function sentenceTable({ sentences }: Readings, text: string): Table {
  return {
    title: "Sentences",
    columns: ["Sentence", "Words", "Cost", "Text"],
    rows: sentences.map(({ from, to, words, cost }, index) => [
      index + 1,
      words,
      rounded(cost),
      text.slice(from, to).replace(/\s+/g, " "),
    ]),
  };
}

/** A histogram as a table. */
export function binTable(title: string, unit: string, bins: readonly Bin[]): Table {
  return {
    title,
    columns: [unit, "How many"],
    rows: bins.map((bin) => [binLabel(bin), bin.count]),
  };
}

/** Every measure with its inputs, before and now. */
export function measureTable(now: readonly Measure[], before: readonly Measure[] | null): Table {
  return {
    title: "Measures",
    columns: ["Measure", ...(before ? ["Before"] : []), "Now", "From"],
    rows: now.map(({ id, value, inputs }) => [
      measureCard(id).title,
      ...(before ? [shownValue(before.find((one) => one.id === id)?.value)] : []),
      shownValue(value),
      Object.entries(inputs)
        .map(([name, figure]) => `${figure} ${countName(name as keyof ReadingCounts)}`)
        .join(", "),
    ]),
  };
}

function shownValue(value: number | null | undefined): string | number {
  return value === null || value === undefined ? "too short" : rounded(value);
}

/** Every count as tables and screens name it, in the order in which they are shown. */
export const COUNT_LABELS: Readonly<Record<keyof ReadingCounts, string>> = {
  words: "Words",
  distinctWords: "Different words",
  sentences: "Sentences",
  paragraphs: "Paragraphs",
  characters: "Letters and digits",
  letters: "Letters",
  syllables: "Syllables",
  polysyllables: "Words of three syllables or more",
  complexWords: "Complex words",
  longWords: "Words of more than six letters",
  difficultWords: "Words beyond the Dale-Chall list",
  unfamiliarWords: "Different words beyond the Spache list",
  clauses: "Clauses",
  passives: "Passives",
  nominalisations: "Nouns made of verbs and adjectives",
  prepositions: "Prepositions",
  negations: "Negations",
  questions: "Questions",
  quoted: "Words between quotation marks",
};
export const COUNT_NAMES = Object.keys(COUNT_LABELS) as (keyof ReadingCounts)[];

/** A count's name inside a sentence. */
export function countName(name: keyof ReadingCounts): string {
  const label = COUNT_LABELS[name];
  return label[0]?.toLowerCase() + label.slice(1);
}

/** What counts come to beside each other. */
export const RATIOS: readonly { label: string; of: (counts: ReadingCounts) => number }[] = [
  { label: "Words a sentence", of: ({ words, sentences }) => words / Math.max(1, sentences) },
  { label: "Words a paragraph", of: ({ words, paragraphs }) => words / Math.max(1, paragraphs) },
  { label: "Syllables a word", of: ({ syllables, words }) => syllables / Math.max(1, words) },
  {
    label: "Prepositions a sentence",
    of: ({ prepositions, sentences }) => prepositions / Math.max(1, sentences),
  },
  {
    label: "Dialogue, in 100 words",
    of: ({ quoted, words }) => (100 * quoted) / Math.max(1, words),
  },
];

/** Every count, before and now, and what it is of 100 words; what counts come to beside each other. */
export function countTable(
  { counts, diversity }: { counts: ReadingCounts; diversity: Diversity },
  before: ReadingCounts | null,
): Table {
  const was = (value: (counts: ReadingCounts) => string | number) =>
    before ? [value(before)] : [];
  const share = (value: number) => rounded((100 * value) / Math.max(1, counts.words));
  const orShort = (value: number | null) => (value === null ? "too short" : value.toFixed(1));
  const { movingAverage, mtld } = diversity;
  return {
    title: "Counts",
    columns: ["Count", ...(before ? ["Before"] : []), "Now", "In 100 words"],
    rows: [
      ...COUNT_NAMES.map((name) => [
        COUNT_LABELS[name],
        ...was((one) => one[name]),
        counts[name],
        share(counts[name]),
      ]),
      ...RATIOS.map(({ label, of }) => [
        label,
        ...was((one) => of(one).toFixed(1)),
        of(counts).toFixed(1),
        "",
      ]),
      [
        `Different words in ${WINDOW}, on average`,
        ...was(() => ""),
        orShort(movingAverage === null ? null : movingAverage * 100),
        "",
      ],
      ["Diversity of words (MTLD)", ...was(() => ""), orShort(mtld), ""],
    ],
  };
}

/** The words used most, with the forms they have. */
export function wordTable({ mostUsed }: Readings): Table {
  return {
    title: "Words used most",
    columns: ["Word", "Times", "Forms"],
    rows: mostUsed.map(({ word, count, forms }) => [
      word,
      count,
      forms.map(({ form, count: times }) => `${form} ${times}`).join(", "),
    ]),
  };
}

/** Runs of sentences that sound alike. */
export function rhythmTable({ runs, sentences }: Readings, text: string): Table {
  return {
    title: "Rhythm",
    columns: ["Sentences", "Alike in", "From"],
    rows: runs.map(({ kind, first, last, of }) => [
      `${first + 1} to ${last + 1}`,
      kind === "length" ? of : `the opening “${of}”`,
      openingOf(sentences[first], text),
    ]),
  };
}

const OPENING = 60;

function openingOf(sentence: ReadSentence | undefined, text: string): string {
  return sentence ? text.slice(sentence.from, Math.min(sentence.to, sentence.from + OPENING)) : "";
}
