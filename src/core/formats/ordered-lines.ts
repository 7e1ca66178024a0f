import type { Block } from "../manuscript/model.ts";
import { type BlockOrder, orderEdits } from "./block-order.ts";
import type { SourceMap } from "./source-map.ts";
import { encodeText, type TextSource } from "./text-source.ts";

/** Where the blocks of a file of lines stand in it. */
interface Placed {
  blocks: readonly Block[];
  map: SourceMap;
  starts: readonly number[];
}

/** A file of lines with those of some blocks in another order; encoding and line ends stay. */
export function orderedLines(
  source: TextSource,
  orders: readonly BlockOrder[],
  { blocks, map, starts }: Placed,
): Uint8Array {
  const edits = orderEdits(source.text, orders, (number) => {
    const block = blocks[number];
    const start = starts[number] ?? 0;
    const isEmpty = !block || block.to === block.from;
    return {
      // A mark of emphasis before the first letter belongs to the line.
      from: source.text.lastIndexOf("\n", Math.max(0, start - 1)) + 1,
      to: isEmpty ? start : endOfLine(source.text, map.end(block.to - 1)),
    };
  });
  return encodeText(source, edits);
}

function endOfLine(text: string, at: number): number {
  const end = text.indexOf("\n", at);
  return end < 0 ? text.length : end;
}
