import type { Card } from "../card.ts";
import type { Check, Fact } from "../check.ts";

const NOTHING: Fact[] = [];

/** A check that speaks for rules of the house, which the examiner looks for in its stead. */
export function houseCheck(card: Card): Check {
  return { ...card, isHouse: true, needsMatches: true, examine: () => NOTHING };
}
