/** Expressions for numbers in figures, to be built into longer ones. */

/** A whole number, its thousands parted or not. */
export const WHOLE = String.raw`\d{1,3}(?:[,\u00a0\u202f\u2009 ]\d{3})+|\d+`;
/** A number with or without decimals. */
export const NUMBER = String.raw`(?:${WHOLE})(?:\.\d+)?`;
/** Neither letter nor figure before, nor what makes it part of a longer thing. */
export const CLEAR_BEFORE = String.raw`(?<![\p{L}\p{N}_.,:/#@-])`;
/** The same after it. */
export const CLEAR_AFTER = String.raw`(?![\p{L}\p{N}_@/]|[.,:]\d)`;

/** The value of a number in figures, whatever parts its thousands. */
export function figuresValue(figures: string): number {
  return Number(figures.replace(/[,\s\u00a0\u202f\u2009]/g, ""));
}
