import type { Fact } from "../check.ts";

/** Places of facts in the order of the text, as one number each. */

/** More than a block has characters. */
const BLOCK = 1e8;

/** Where a fact of a block stands in the order of the text. */
export function placeOf(block: number, { from }: Pick<Fact, "from">): number {
  return block * BLOCK + from;
}

/** The first index of an ordered list at which a place is not before another one. */
export function indexAt(list: readonly { at: number }[], at: number): number {
  let low = 0;
  let high = list.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((list[middle]?.at ?? 0) < at) low = middle + 1;
    else high = middle;
  }
  return low;
}
