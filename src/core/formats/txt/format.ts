import { trimEdit, whyHalf } from "../../manuscript/edits.ts";
import { blockIndexAt } from "../../manuscript/layout.ts";
import { type Edit, LINE_SEPARATOR, type Range } from "../../manuscript/model.ts";
import { type ReadFile, titleFromName } from "../assemble.ts";
import type { BlockOrder } from "../block-order.ts";
import { guessKind } from "../guess-kind.ts";
import { orderedLines } from "../ordered-lines.ts";
import { noText } from "../problem.ts";
import { keepWraps } from "../source-map.ts";
import { canEncode, decodeText, encodeText, type TextSource } from "../text-source.ts";
import { layOutText, type TextLayout } from "./layout.ts";

/** Reads a .txt file. Throws FormatProblem. */
export function readTxt(bytes: Uint8Array, fileName: string): ReadFile {
  const { blocks, spans, text } = layOutText(decodeText(bytes).text);
  if (text.trim() === "") throw noText();
  const assembled = { blocks, spans, text };
  return {
    ...assembled,
    // The first line of a plain file is a letterhead as often as a title.
    title: titleFromName(fileName),
    kind: guessKind(assembled),
    warnings: [],
  };
}

/**
 * The original .txt with the edits made: its byte order mark, encoding, line ends and hard wraps
 * stay. `edits` refer to the original's text, sorted and not overlapping.
 */
export function writeTxt(
  bytes: Uint8Array,
  edits: readonly Edit[],
): { bytes: Uint8Array; refused: { edit: Edit; reason: string }[] } {
  if (edits.length === 0) return { bytes, refused: [] };
  const source = decodeText(bytes);
  const layout = layOutText(source.text);
  const refused: { edit: Edit; reason: string }[] = [];
  const cuts: Edit[] = [];
  for (const [index, edit] of edits.entries()) {
    const free = { from: edits[index - 1]?.to ?? 0, to: edits[index + 1]?.from ?? Infinity };
    const planned = sourceEdits(source, layout, edit, free);
    if (typeof planned === "string") refused.push({ edit, reason: planned });
    else for (const cut of planned) cuts.push(cut);
  }
  return { bytes: encodeText(source, cuts), refused };
}

/** A .txt file with the lines of some blocks in another order. */
export function orderTxt(bytes: Uint8Array, orders: readonly BlockOrder[]): Uint8Array {
  const source = decodeText(bytes);
  const { blocks, map, starts } = layOutText(source.text);
  return orderedLines(source, orders, { blocks, map, starts });
}

/** Edits of the source for one edit of the text, or why there are none. `free` holds no other edit. */
function sourceEdits(
  source: TextSource,
  { text, blocks, map, starts }: TextLayout,
  edit: Edit,
  free: Range,
): Edit[] | string {
  const index = blockIndexAt(blocks, edit.from);
  const block = blocks[index];
  if (!block || edit.to > block.to) return "This change runs over the end of a paragraph.";
  if (!canEncode(source, edit.insert)) {
    return "The file’s old encoding has no place for one of these characters.";
  }
  const half = whyHalf(text, edit);
  if (half) return half;
  const trimmed = trimEdit(text, edit);
  if (!trimmed) return [];
  const sourceOf = (at: number) => source.text.slice(map.start(at), map.end(at));
  const isWrap = (at: number) => sourceOf(at).includes("\n");
  const lower = Math.max(block.from, free.from);
  const upper = Math.min(block.to, free.to);
  const { wrapAt, ...kept } = keepWraps(text, trimmed, isWrap, lower, upper);
  let { insert } = kept;
  if (wrapAt !== null) {
    let wrap = kept.from;
    while (!isWrap(wrap)) wrap++;
    insert = insert.slice(0, wrapAt) + sourceOf(wrap) + insert.slice(wrapAt + 1);
  }
  insert = insert.replaceAll(LINE_SEPARATOR, "\n");
  return map.splice({ ...kept, insert }, block.from, block.to, starts[index] ?? 0);
}
