import type { BlockKind, Range } from "../../manuscript/model.ts";

const CURVED = /“[^“”]*”/gu;
const STRAIGHT = /(?<![\p{L}\p{N}])"[^"]*"(?![\p{L}\p{N}])/gu;
/** Of single marks only those count that can't be apostrophes: after a space, and before one. */
const SINGLE = /(?<![\p{L}\p{N}])‘[^‘]*?[^\s‘]’(?![\p{L}\p{N}])/gu;

/** Stretches of a block between quotation marks, with the marks; the whole of a quotation set as a block. */
export function quotationsIn({ kind, text }: { kind: BlockKind; text: string }): Range[] {
  if (kind === "quote") return [{ from: 0, to: text.length }];
  return [CURVED, STRAIGHT, SINGLE].flatMap((pattern) =>
    [...text.matchAll(pattern)].map((match) => ({
      from: match.index,
      to: match.index + match[0].length,
    })),
  );
}
