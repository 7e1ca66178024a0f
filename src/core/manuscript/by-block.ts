import { blockIndexAt } from "./layout.ts";
import type { Block, Range, Span } from "./model.ts";

/** Edits or spans by the number of the block they begin in. */
export function groupedByBlock<Item extends Range>(
  items: readonly Item[],
  blocks: readonly Block[],
): Map<number, Item[]> {
  const groups = new Map<number, Item[]>();
  for (const item of items) {
    const index = blockIndexAt(blocks, item.from);
    const group = groups.get(index);
    if (group) group.push(item);
    else groups.set(index, [item]);
  }
  return groups;
}

/** Spans with their offsets in the text of the block that begins at a place. */
export function relative(spans: readonly Span[], from: number): Span[] {
  return spans.map((span) => ({ ...span, from: span.from - from, to: span.to - from }));
}
