import { trimEdit, whyHalf, widenToWords } from "../../manuscript/edits.ts";
import type { Edit } from "../../manuscript/model.ts";
import { encodeParts } from "../zip/parts.ts";
import { patchArchive } from "../zip/patch.ts";
import { commentsSource, planComments, type Query, writeComments } from "./comments.ts";
import { openPackage } from "./package.ts";
import { blockAt, newPlan, type Plan, planEdit } from "./plan.ts";
import { placeBlocks } from "./read.ts";
import { type ChangeStyle, FreeIds, renderParts } from "./render.ts";
import type { SourceBlock } from "./source.ts";

export interface DocxWritten {
  bytes: Uint8Array;
  /** Edits that could not be made, each with the reason as a sentence. */
  refused: { edit: Edit; reason: string }[];
  /** Queries that found no place for a comment. */
  unplaced: Query[];
}

/**
 * The original .docx with the edits made and the queries put in as comments. `edits` refer to the
 * original text, sorted and not overlapping. Parts that no edit touches keep their bytes; with
 * nothing to do the bytes returned are the bytes given. Throws FormatProblem.
 */
export function writeDocx(
  bytes: Uint8Array,
  edits: readonly Edit[],
  queries: readonly Query[],
  style: ChangeStyle,
): DocxWritten {
  const docx = openPackage(bytes);
  const { text } = placeBlocks(docx);
  const plan = newPlan();
  const shadows = shadowsByBlock(docx.parts.flatMap((part) => part.blocks));
  const refused: DocxWritten["refused"] = [];
  for (const edit of edits) {
    const reason = planManuscriptEdit(plan, docx.blocks, shadows, text, edit);
    if (reason) refused.push({ edit, reason });
  }
  const ids = new FreeIds([...docx.parts.map(({ source }) => source), commentsSource(docx)]);
  const { comments, unplaced } = planComments(docx, plan, queries, ids);
  const sources = renderParts(docx.parts, plan, style, ids);
  for (const [name, source] of writeComments(docx, comments, style.author, style.date)) {
    sources.set(name, source);
  }
  const changed = encodeParts(docx.archive, sources);
  return { bytes: patchArchive(docx.archive, changed), refused, unplaced };
}

function planManuscriptEdit(
  plan: Plan,
  blocks: readonly SourceBlock[],
  shadows: ReadonlyMap<SourceBlock, SourceBlock[]>,
  text: string,
  edit: Edit,
): string | null {
  const block = blockAt(blocks, edit.from);
  if (!block || edit.from < block.at || edit.to > block.at + block.text.length) {
    return "This change runs over the end of a paragraph.";
  }
  if (edit.insert.includes("\n")) return "A new paragraph can’t be made.";
  const half = whyHalf(text, edit);
  if (half) return half;
  const trimmed = trimEdit(text, edit);
  if (!trimmed) return null;
  const local = (one: Edit) => ({ ...one, from: one.from - block.at, to: one.to - block.at });
  // Whole words read better in tracked changes; where that touches protected text, letters do.
  const widened = widenToWords(text, trimmed, edit);
  let reason: string | null = null;
  for (const attempt of [local(widened), local(trimmed)]) {
    reason = planEdit(plan, block, attempt);
    if (reason !== null) continue;
    for (const shadow of shadows.get(block) ?? []) planEdit(plan, shadow, attempt);
    return null;
  }
  return reason;
}

function shadowsByBlock(blocks: readonly SourceBlock[]): Map<SourceBlock, SourceBlock[]> {
  const shadows = new Map<SourceBlock, SourceBlock[]>();
  for (const block of blocks) {
    if (!block.shadowOf) continue;
    const list = shadows.get(block.shadowOf);
    if (list) list.push(block);
    else shadows.set(block.shadowOf, [block]);
  }
  return shadows;
}
