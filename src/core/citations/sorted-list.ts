import type { BlockOrder } from "../formats/block-order.ts";
import type { CitedDocument } from "./cited-text.ts";
import { sortedEntries } from "./text-rules/list.ts";

/** The choice of a document by which its lists leave it in their right order, and its value. */
export const LIST_SORTED = "citations:sorted";
export const SORTED = "yes";

/** A list that is to be sorted: how, or why it can't be. */
export type ListOrder = BlockOrder | { refusal: string };

/** How the lists that are out of order are to stand. */
export function listOrders(cited: CitedDocument): ListOrder[] {
  return sortedEntries(cited).flatMap(({ order, moved }): ListOrder[] => {
    if (moved.length === 0) return [];
    const own = order.flatMap((at) => cited.references[at] ?? []);
    if (own.some(({ entry }) => entry.repeated !== null)) {
      return [
        {
          refusal:
            "A list with dashes for names is not sorted, since a dash means the entry above it.",
        },
      ];
    }
    const blocks = own.map(({ place }) => place.block);
    const isWhole = own.every(({ place: { block, from, to } }) => {
      const text = cited.blocks[block]?.text ?? "";
      return text.slice(0, from).trim() === "" && text.slice(to).trim() === "";
    });
    if (!isWhole || new Set(blocks).size < blocks.length) {
      return [{ refusal: "A list whose entries share a paragraph is not sorted." }];
    }
    const blockOf = (at: number) => cited.references[at]?.place.block ?? 0;
    return [{ order: order.map(blockOf), moved: moved.map(blockOf) }];
  });
}
