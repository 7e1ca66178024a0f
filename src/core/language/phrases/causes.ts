import type { Range } from "../../manuscript/model.ts";

/** What is counted in one sentence that takes its phrases to see. Offsets are in the block's text. */
export interface SentenceFigures extends Range {
  words: number;
  clauses: number;
  passives: number;
  /** Nouns made of verbs and adjectives: "removal", "likelihood". */
  nominalisations: number;
  prepositions: number;
  /** Words between quotation marks. */
  quoted: number;
  /** 1 where it asks. */
  questions: number;
  negations: number;
  /** Negative prefixes beside a negation: "not unlikely". */
  prefixed: number;
  depth: number;
  distance: number;
  nouns: number;
  rare: number;
}

/** What may make a sentence hard, and how much each of it costs beyond what costs nothing. */
export const CAUSES = [
  "length",
  "clauses",
  "depth",
  "distance",
  "nouns",
  "negations",
  "rare",
] as const;
export type Cause = (typeof CAUSES)[number];

/**
 * Cost in words: how many words more the sentence reads like. What is free, and what each beyond
 * costs: 20 words and 25 are the lengths that plain-language guides name (common practice); the other
 * weights are from memory of what editors mend first, and are held to a ranking by hand by a test.
 */
const PRICES: Readonly<Record<Cause, { free: number; each: number }>> = {
  length: { free: 20, each: 1 },
  clauses: { free: 2, each: 3 },
  depth: { free: 1, each: 6 },
  distance: { free: 6, each: 1.5 },
  nouns: { free: 3, each: 5 },
  negations: { free: 1, each: 5 },
  rare: { free: 2, each: 2 },
};

/** The figures that cost something. */
export type CostFigures = Pick<SentenceFigures, "words" | "prefixed" | Exclude<Cause, "length">>;

function figureOf(cause: Cause, figures: CostFigures): number {
  if (cause === "length") return figures.words;
  return cause === "negations" ? figures.negations + figures.prefixed : figures[cause];
}

/** What a cause costs in a sentence. */
export function priceOf(cause: Cause, figures: CostFigures): number {
  const { free, each } = PRICES[cause];
  const figure = figureOf(cause, figures);
  return Math.max(0, figure - free) * each;
}

/** How hard a sentence is, in words beyond an easy one. */
export function costOf(figures: CostFigures): number {
  return CAUSES.reduce((sum, cause) => sum + priceOf(cause, figures), 0);
}

/** The causes that cost something in a sentence, the dearest first. */
export function causesOf(figures: CostFigures): Cause[] {
  return CAUSES.filter((cause) => priceOf(cause, figures) > 0).sort(
    (one, other) => priceOf(other, figures) - priceOf(one, figures),
  );
}

/** A cause with its figure, as a reason has it. */
export function causeTold(cause: Cause, figures: CostFigures): string {
  switch (cause) {
    case "length":
      return `${figures.words} words`;
    case "clauses":
      return `${figures.clauses} clauses`;
    case "depth":
      return `clauses ${figures.depth} deep`;
    case "distance":
      return `${figures.distance} words between subject and verb`;
    case "nouns":
      return `${figures.nouns} nouns in a row`;
    case "negations":
      return `${figureOf(cause, figures)} negations`;
    case "rare":
      return `${figures.rare} rare words`;
  }
}
