import type { NounGroup, Syntax } from "../../../language/phrases/syntax.ts";
import { TAG } from "../../../language/tags/tag-sets.ts";

/** Plurals that are one sum, and nouns that end like plurals. */
export const SUMS =
  /^(?:dollars|pounds|miles|years|days|minutes|percent|hours|feet|means|news|series|data|media|headquarters|politics|physics|mathematics)$/;

/** What is measured out: lengths, times, weights, money. */
const MEASURES = new Set(
  (
    "metres meters kilometres kilometers centimetres centimeters millimetres millimeters miles yards feet inches fathoms " +
    "seconds minutes hours days weeks months years decades centuries dollars pounds euros cents pence shillings francs " +
    "tons tonnes kilograms kilogrammes kilos grams grammes ounces litres liters gallons pints degrees volts watts knots acres hectares"
  ).split(" "),
);

/** "Three metres of water is enough", "ten dollars was too much": so much of something, taken as one. */
export function isAmount({ words, tags }: Syntax, { from, to, head }: NounGroup): boolean {
  if (!MEASURES.has(words[head]?.form ?? "")) return false;
  for (let at = from; at < to; at++) {
    if (tags[at] === TAG.CD) return tags[from] !== TAG.DT;
  }
  return false;
}
