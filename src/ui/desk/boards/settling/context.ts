import type { Block } from "../../../../core/manuscript/model.ts";

/** Characters of text on each side of a place. */
const CONTEXT = 70;

/** What stands before a place in its own paragraph. */
export function lineBefore(text: string, from: number): string {
  const start = Math.max(0, from - CONTEXT, text.lastIndexOf("\n", from - 1) + 1);
  return text.slice(start, from).replace(/\s+/g, " ");
}

/** What stands after it there. */
export function lineAfter(text: string, to: number): string {
  const end = text.indexOf("\n", to);
  return text.slice(to, Math.min(to + CONTEXT, end < 0 ? text.length : end)).replace(/\s+/g, " ");
}

/** The number of the block a place is in, found by halving. */
export function blockAt(blocks: readonly Pick<Block, "from">[], at: number): number {
  let low = 0;
  let high = blocks.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((blocks[middle]?.from ?? 0) <= at) low = middle;
    else high = middle - 1;
  }
  return low;
}
