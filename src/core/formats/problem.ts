/** Why a file could not be read or written, with a sentence for the person who opened it. */
export type ProblemCode =
  | "empty"
  | "too-large"
  | "wrong-type"
  | "not-text"
  | "not-zip"
  | "damaged"
  | "encrypted"
  | "old-format"
  | "hostile"
  | "no-text";

/** Thrown inside the formats and turned into a value by `readDocument` and `writeDocument`. */
export class FormatProblem extends Error {
  constructor(
    readonly code: ProblemCode,
    /** What is wrong and what to do about it. */
    readonly sentence: string,
  ) {
    super(sentence);
    this.name = "FormatProblem";
  }
}

/** Paragraphs and cells that a document may have: twenty times those of a long book. */
export const MOST_BLOCKS = 200_000;
/** Characters it may have: some three million words. */
export const MOST_CHARACTERS = 20_000_000;

/** The problem of a document beyond what can be worked on. */
export function tooMuch(): FormatProblem {
  return new FormatProblem(
    "too-large",
    "This document has more than 200,000 paragraphs or cells, or more than 20 million characters, which is more than Dry Run works on at once. Split it and open the parts.",
  );
}

/** The problem of a text file in which nothing is written. */
export function noText(): FormatProblem {
  return new FormatProblem("no-text", "This file holds no text, only blank space.");
}
