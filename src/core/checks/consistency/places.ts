import type { AnalysedBlock } from "../../language/analysis.ts";
import { QUOTED, type Syntax } from "../../language/phrases/syntax.ts";
import type { Keeping } from "../check.ts";

/** Where something stands that keeps its form: what checks of forms ask of a place. */

/** The unit at a place, found by halving; -1 for none. */
export function unitAt({ units }: Pick<Syntax, "units">, at: number): number {
  let low = 0;
  let high = units.length - 1;
  while (low <= high) {
    const middle = (low + high) >> 1;
    const unit = units[middle];
    if (!unit) return -1;
    if (unit.to <= at) low = middle + 1;
    else if (unit.from > at) high = middle - 1;
    else return middle;
  }
  return -1;
}

/**
 * Why a place keeps its form: it stands in a quotation, or in the title of a work. `at` is its first unit,
 * where that is known.
 */
export function keepingAt(
  block: AnalysedBlock,
  from: number,
  to: number,
  at?: number,
): Keeping | undefined {
  if (block.kind === "quote") return "quotation";
  const syntax = block.syntax();
  const unit = at ?? (syntax ? unitAt(syntax, from) : -1);
  if (syntax && unit >= 0 && ((syntax.places[unit] ?? 0) & QUOTED) !== 0) return "quotation";
  if (block.spans.length === 0) return undefined;
  const set = block.spans.some(
    (span) =>
      span.kind === "emphasis" && span.from <= from && span.to >= to && isTitle(block, span),
  );
  return set ? "title" : undefined;
}

/** Words set in italics that hold more than one capital: the title of a work, the name of a ship. */
function isTitle({ text }: AnalysedBlock, { from, to }: { from: number; to: number }): boolean {
  return /\p{Lu}.*\s\p{Lu}/u.test(text.slice(from, to));
}

/** A fact with why it keeps its form, where it does; `at` is its first unit, where that is known. */
export function placed<F extends { from: number; to: number }>(
  block: AnalysedBlock,
  fact: F,
  at?: number,
): F & { kept?: Keeping } {
  const kept = keepingAt(block, fact.from, fact.to, at);
  return kept ? { ...fact, kept } : fact;
}

/** The matches of an expression with the flag g, each with why it keeps its form. */
export function* matchesIn(block: AnalysedBlock, expression: RegExp) {
  expression.lastIndex = 0;
  for (const match of block.text.matchAll(expression)) {
    const from = match.index;
    const to = from + match[0].length;
    const kept = keepingAt(block, from, to);
    yield { match, from, to, ...(kept ? { kept } : {}) };
  }
}

/** A text with the capitals of another: none, the first letter, or all. */
export function withCapitalsOf(model: string, text: string): string {
  if (/^\p{Lu}[^\p{Ll}]*\p{Lu}/u.test(model) && !/\p{Ll}/u.test(model)) return text.toUpperCase();
  if (/^\p{Lu}/u.test(model)) return text.charAt(0).toUpperCase() + text.slice(1);
  return text;
}
