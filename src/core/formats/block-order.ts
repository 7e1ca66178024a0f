import type { Block, Edit, Range } from "../manuscript/model.ts";

/** Blocks that leave a document in another order than they stand in, such as the entries of a list. */
export interface BlockOrder {
  /** All blocks of the list, by number, as they are to stand; their places are those they have now. */
  order: readonly number[];
  /** The fewest that must move for it. */
  moved: readonly number[];
}

/** Blocks with those of some lists in another order. */
export function inOrder<B extends Pick<Block, "from">>(
  blocks: readonly B[],
  orders: readonly BlockOrder[],
): B[] {
  const placed = [...blocks];
  for (const { order } of orders) {
    for (const [slot, place] of placesOf(order).entries()) {
      const block = blocks[order[slot] ?? place];
      if (block) placed[place] = block;
    }
  }
  return placed;
}

/** The places that the blocks of a list have now. */
export function placesOf(order: readonly number[]): number[] {
  return [...order].sort((one, other) => one - other);
}

/** Edits that put the lines of blocks in another order; `linesOf` tells where a block stands in the source. */
export function orderEdits(
  source: string,
  orders: readonly BlockOrder[],
  linesOf: (block: number) => Range,
): Edit[] {
  return orders
    .flatMap(({ order }) =>
      placesOf(order).map((place, slot): Edit => {
        const own = linesOf(order[slot] ?? place);
        return { ...linesOf(place), insert: source.slice(own.from, own.to) };
      }),
    )
    .filter(({ from, to, insert }) => source.slice(from, to) !== insert)
    .sort((one, other) => one.from - other.from);
}
