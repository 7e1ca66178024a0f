import { trimEdit } from "../../manuscript/edits.ts";
import { blockIndexAt } from "../../manuscript/layout.ts";
import { type Edit, LINE_SEPARATOR } from "../../manuscript/model.ts";
import { guessKind, type ReadFile, titleFromName } from "../assemble.ts";
import { FormatProblem } from "../problem.ts";
import { keepWraps } from "../source-map.ts";
import { canEncode, decodeText, encodeText } from "../text-source.ts";
import { layOutText } from "./layout.ts";

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
  const { text, blocks, map, starts } = layOutText(source.text);
  const refused: { edit: Edit; reason: string }[] = [];
  const cuts: Edit[] = [];
  const isWrap = (index: number) =>
    source.text.slice(map.start(index), map.end(index)).includes("\n");
  for (const edit of edits) {
    const index = blockIndexAt(blocks, edit.from);
    const block = blocks[index];
    if (!block || edit.to > block.to) {
      refused.push({ edit, reason: "This change runs over the end of a paragraph." });
    } else if (!canEncode(source, edit.insert)) {
      refused.push({
        edit,
        reason: "The file’s old encoding has no place for one of these characters.",
      });
    } else {
      const trimmed = trimEdit(text, edit);
      if (!trimmed) continue;
      const lower = Math.max(block.from, lastEnd(edits, edit));
      const kept = keepWraps(text, trimmed, isWrap, lower, block.to);
      const lineEnd = kept.wrapAt === null ? "" : wrapText(source.text, text, kept, map);
      const insert =
        kept.wrapAt === null
          ? kept.insert
          : kept.insert.slice(0, kept.wrapAt) + lineEnd + kept.insert.slice(kept.wrapAt + 1);
      const plain = { ...kept, insert: insert.replaceAll(LINE_SEPARATOR, "\n") };
      cuts.push(...map.splice(plain, block.from, block.to, starts[index] ?? 0));
    }
  }
  return { bytes: encodeText(source, cuts), refused };
}

/** Where the edit before this one ends; wraps are not moved into its reach. */
function lastEnd(edits: readonly Edit[], edit: Edit): number {
  const index = edits.indexOf(edit);
  return edits[index - 1]?.to ?? 0;
}

/** The source of the first wrapped line end inside the edit: the break and the indent after it. */
function wrapText(
  source: string,
  text: string,
  edit: Edit,
  map: { start(i: number): number; end(i: number): number },
): string {
  for (let index = edit.from; index < Math.min(edit.to, text.length); index++) {
    const piece = source.slice(map.start(index), map.end(index));
    if (piece.includes("\n")) return piece;
  }
  return "\n";
}

export function noText(): FormatProblem {
  return new FormatProblem("no-text", "This file holds no text, only blank space.");
}
