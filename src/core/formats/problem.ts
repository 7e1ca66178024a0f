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

/** The problem of a text file in which nothing is written. */
export function noText(): FormatProblem {
  return new FormatProblem("no-text", "This file holds no text, only blank space.");
}
