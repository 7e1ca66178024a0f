import type { Range } from "../../manuscript/model.ts";
import type { AnalysedBlock, Language } from "../analysis.ts";
import { TAG, TAG_SETS } from "../tags/tag-sets.ts";
import { countWords } from "../text/runs.ts";
import type { WordMeasurer } from "../words/word-figures.ts";
import { type Cause, causesOf, costOf, type SentenceFigures } from "./causes.ts";
import { type Difficulty, difficultyOf, isNegation, type Stretch } from "./difficulty.ts";
import { QUOTED, type Syntax } from "./syntax.ts";

/** The order in which figures are kept. */
const FIELDS = [
  "from",
  "to",
  "words",
  "clauses",
  "passives",
  "nominalisations",
  "prepositions",
  "quoted",
  "questions",
  "negations",
  "prefixed",
  "depth",
  "distance",
  "nouns",
  "rare",
] as const satisfies readonly (keyof SentenceFigures)[];

/** Figures of the sentences of a block, a row of numbers each: small enough to keep for every block. */
export type KeptFigures = Uint32Array;

/** Keeps the figures of sentences. */
export function keepFigures(sentences: readonly SentenceFigures[]): KeptFigures {
  const kept = new Uint32Array(sentences.length * FIELDS.length);
  let at = 0;
  for (const sentence of sentences) for (const field of FIELDS) kept[at++] = sentence[field];
  return kept;
}

/** The figures that were kept, moved by so many characters. */
export function keptFigures(kept: KeptFigures, by = 0): SentenceFigures[] {
  const sentences: SentenceFigures[] = [];
  for (let at = 0; at < kept.length; at += FIELDS.length) {
    const sentence = { ...NO_COUNTS };
    for (let field = 0; field < FIELDS.length; field++) {
      sentence[FIELDS[field] ?? "from"] = kept[at + field] ?? 0;
    }
    sentence.from += by;
    sentence.to += by;
    sentences.push(sentence);
  }
  return sentences;
}

/** A sentence with where each of its difficulties stands; offsets in the block's text. */
export interface SentenceDifficulty extends SentenceFigures {
  stretches: Readonly<Record<Exclude<Cause, "length" | "clauses">, Range>>;
}

/** What was found of each block, by its phrases: a check and the readings both ask. */
const known = new WeakMap<Syntax, readonly SentenceDifficulty[]>();

/** The sentences of a block with what is counted in each; where there are no phrases, their words. */
export function sentenceFigures(
  block: AnalysedBlock,
  { measurer }: Pick<Language, "measurer">,
): readonly SentenceDifficulty[] {
  const syntax = block.syntax();
  if (!syntax) return plainFigures(block);
  const found = known.get(syntax) ?? findFigures(block, syntax, measurer);
  known.set(syntax, found);
  return found;
}

/** The sentences of a block that has no phrases, or whose phrases say nothing: their words alone. */
export function plainFigures({ text, sentences }: AnalysedBlock): SentenceDifficulty[] {
  return sentences.flatMap(({ from, to }) => {
    const words = countWords(text, from, to);
    return words > 0 ? [{ ...NO_FIGURES, from, to, words }] : [];
  });
}

const NO_COUNTS: SentenceFigures = {
  from: 0,
  to: 0,
  words: 0,
  clauses: 1,
  passives: 0,
  nominalisations: 0,
  prepositions: 0,
  quoted: 0,
  questions: 0,
  negations: 0,
  prefixed: 0,
  depth: 0,
  distance: 0,
  nouns: 0,
  rare: 0,
};
const NOWHERE: Range = { from: 0, to: 0 };
const NO_STRETCHES: SentenceDifficulty["stretches"] = {
  depth: NOWHERE,
  distance: NOWHERE,
  nouns: NOWHERE,
  negations: NOWHERE,
  rare: NOWHERE,
};
const NO_FIGURES: SentenceDifficulty = { ...NO_COUNTS, stretches: NO_STRETCHES };

/** What is shown of a sentence's difficulty: where the dearest cause lies, or the whole sentence. */
export function shownStretch(sentence: SentenceDifficulty): Range {
  const dearest = causesOf(sentence)[0];
  const stretch =
    dearest && dearest !== "length" && dearest !== "clauses" ? sentence.stretches[dearest] : null;
  const { from, to } = stretch && stretch.to > stretch.from ? stretch : sentence;
  return { from, to };
}

function findFigures(
  block: AnalysedBlock,
  syntax: Syntax,
  measurer: WordMeasurer,
): SentenceDifficulty[] {
  const found: SentenceDifficulty[] = [];
  let unit = 0;
  for (const { from, to } of block.sentences) {
    const first = unit;
    while (unit < syntax.units.length && (syntax.units[unit]?.from ?? 0) < to) unit++;
    const words = countWords(block.text, from, to);
    if (words > 0) found.push(figuresOf(syntax, first, unit, { from, to }, words, measurer));
  }
  return found;
}

function figuresOf(
  syntax: Syntax,
  first: number,
  last: number,
  range: Range,
  words: number,
  measurer: WordMeasurer,
): SentenceDifficulty {
  const difficulty = difficultyOf(syntax, first, last);
  const { clauses, depth, distance, nouns, negations, prefixed, rare } = difficulty;
  const figures = {
    ...NO_COUNTS,
    from: range.from,
    to: range.to,
    words,
    clauses,
    negations: negations.figure,
    prefixed,
    depth: depth.figure,
    distance: distance.figure,
    nouns: nouns.figure,
    rare: rare.figure,
    questions: asks(syntax.text, range.to) ? 1 : 0,
  };
  countUnits(syntax, first, last, measurer, figures);
  // Where an easy sentence has what is not hard in it is never asked.
  const stretches = costOf(figures) > 0 ? stretchesOf(syntax, difficulty) : NO_STRETCHES;
  return { ...figures, stretches };
}

const CLOSING = "\"'”’)]";

/** Whether what ends at a place is a question. */
function asks(text: string, to: number): boolean {
  let at = to - 1;
  while (at > 0 && CLOSING.includes(text[at] ?? "")) at--;
  return text[at] === "?";
}

/** What one unit of a sentence counts as. */
const COUNTS_AS: Readonly<
  Record<UnitCount, (syntax: Syntax, unit: number, measurer: WordMeasurer) => boolean>
> = {
  clauses: ({ verbAt, verbGroups }, unit) => verbGroups[verbAt[unit] ?? -1]?.finite === unit,
  passives: ({ verbAt, verbGroups }, unit) => {
    const verb = verbGroups[verbAt[unit] ?? -1];
    return verb?.from === unit && verb.passive;
  },
  nominalisations: ({ tags, words }, unit, measurer) =>
    TAG_SETS.NOUN[tags[unit] ?? 0] === 1 && measurer.isNominalisation(words[unit]?.form ?? ""),
  prepositions: ({ tags }, unit) => tags[unit] === TAG.IN,
  negations: ({ tags, words }, unit) => isNegation(tags[unit] ?? 0, words[unit]?.form ?? ""),
  quoted: ({ places, tags }, unit) =>
    ((places[unit] ?? 0) & QUOTED) !== 0 && !TAG_SETS.STOP[tags[unit] ?? 0],
};

/** What is counted unit by unit. */
export const UNIT_COUNTS = [
  "clauses",
  "passives",
  "nominalisations",
  "prepositions",
  "negations",
  "quoted",
] as const;
export type UnitCount = (typeof UNIT_COUNTS)[number];

/** The places in a block that count as one of these; offsets in its text. */
export function placesOfCount(
  block: AnalysedBlock,
  count: UnitCount,
  { measurer }: Pick<Language, "measurer">,
): Range[] {
  const syntax = block.syntax();
  if (!syntax) return [];
  const { units, verbAt, verbGroups } = syntax;
  const counts = COUNTS_AS[count];
  const places: Range[] = [];
  for (const [unit, { from, to }] of units.entries()) {
    if (!counts(syntax, unit, measurer)) continue;
    const last = places.at(-1);
    const group = count === "passives" ? verbGroups[verbAt[unit] ?? -1] : undefined;
    // What is quoted is shown as one stretch.
    if (count === "quoted" && last && counts(syntax, unit - 1, measurer)) last.to = to;
    else places.push({ from, to: group ? (units[group.to - 1]?.to ?? to) : to });
  }
  return places;
}

function countUnits(
  syntax: Syntax,
  first: number,
  last: number,
  measurer: WordMeasurer,
  figures: SentenceFigures,
): void {
  for (let unit = first; unit < last; unit++) {
    if (COUNTS_AS.quoted(syntax, unit, measurer)) figures.quoted++;
    if (COUNTS_AS.prepositions(syntax, unit, measurer)) figures.prepositions++;
    else if (COUNTS_AS.passives(syntax, unit, measurer)) figures.passives++;
    else if (COUNTS_AS.nominalisations(syntax, unit, measurer)) figures.nominalisations++;
  }
}

function stretchesOf({ units }: Syntax, difficulty: Difficulty): SentenceDifficulty["stretches"] {
  const range = ({ figure, from, to }: Stretch): Range => {
    if (figure === 0) return { from: 0, to: 0 };
    const start = units[from]?.from ?? 0;
    return { from: start, to: units[to - 1]?.to ?? start };
  };
  const { depth, distance, nouns, negations, rare } = difficulty;
  return {
    depth: range(depth),
    distance: range(distance),
    nouns: range(nouns),
    negations: range(negations),
    rare: range(rare),
  };
}
