import type { NounGroup, Syntax } from "../phrases/syntax.ts";
import { TAG, TAG_SETS } from "../tags/tag-sets.ts";
import { feature } from "./feature-numbers.ts";
import { isArticle } from "./slots.ts";

/**
 * How a text treats a noun in its other places. What has an article in a dozen of them has lost one
 * where it stands without; what goes without in a dozen needs none.
 */
export interface NounRecord {
  /** Places with an article. */
  articled: number;
  /** Places with neither article nor another determiner. */
  bare: number;
}

const STEPS = 6;
/** Records that are told apart. */
export const RECORDS = STEPS * STEPS;

/** Counts up to three are told apart, then 4 to 6 from more. */
function stepOf(count: number): number {
  return count <= 3 ? count : count <= 6 ? 4 : 5;
}

/** Which of the RECORDS a record counts as. */
export function recordIndex({ articled, bare }: NounRecord): number {
  return stepOf(articled) * STEPS + stepOf(bare);
}

/** The feature that stands for a record in the model of articles. */
export function recordFeature(index: number): number {
  return feature(199, index);
}

/**
 * Whether a noun group has an article, 1, or stands bare where it could have one, 0; -1 for groups
 * whose noun is no singular one or has a determiner of another kind.
 */
export function articleOf({ words, tags, sentenceFrom }: Syntax, group: NounGroup): 1 | 0 | -1 {
  if (group.pronoun || tags[group.head] !== TAG.NN) return -1;
  if (isArticle(words[group.from]?.form)) return 1;
  if (group.determiner >= 0) return -1;
  const tag = tags[group.from] ?? 0;
  if (TAG_SETS.NAME[tag] || tag === TAG.CD) return -1;
  for (let at = group.from; at < group.to; at++) if (tags[at] === TAG.POS) return -1;
  const opens = group.from <= (sentenceFrom[group.from] ?? 0);
  return !opens && tags[group.from - 1] === TAG.POS ? -1 : 0;
}
