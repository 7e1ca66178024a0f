import { applyEdits, cutsSurrogatePair, mapPosition } from "./edits.ts";
import { type Block, type Edit, type Manuscript, OBJECT_CHARACTER, type Span } from "./model.ts";

/** Blocks and spans of a manuscript: finding them, moving them through edits, and what they forbid. */

export interface Layout {
  blocks: Block[];
  spans: Span[];
}

/** Index of the last block that starts at or before the position; 0 when there is none. */
export function blockIndexAt(blocks: readonly Block[], position: number): number {
  let low = 0;
  let high = blocks.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    const block = blocks[middle];
    if (block && block.from <= position) low = middle;
    else high = middle - 1;
  }
  return low;
}

/**
 * Moves blocks through edits, in place: a book has ten thousand of them, and copying them all for
 * one letter typed would cost more than checking it. Every edit must lie inside one block, its two
 * ends included.
 */
export function shiftBlocks(blocks: readonly Block[], edits: readonly Edit[]): void {
  const first = edits[0];
  if (!first) return;
  let shift = 0;
  let next = 0;
  for (let index = blockIndexAt(blocks, first.from); index < blocks.length; index++) {
    const block = blocks[index];
    if (!block) continue;
    const end = block.to;
    block.from += shift;
    for (let edit = edits[next]; edit && edit.to <= end; edit = edits[next]) {
      shift += edit.insert.length - (edit.to - edit.from);
      next++;
    }
    block.to = end + shift;
  }
}

/** Spans that close at their ends: what is typed beside them does not join them. */
const CLOSED_SPANS = new Set(["link", "locked", "note-anchor"]);

/** Moves spans through edits, in place; a span whose whole text went stays behind, empty. */
export function shiftSpans(spans: readonly Span[], edits: readonly Edit[]): void {
  const first = edits[0];
  if (!first) return;
  for (const span of spans) {
    if (span.to < first.from) continue;
    const lean = CLOSED_SPANS.has(span.kind) ? "before" : "after";
    const from = mapPosition(span.from, edits, "after");
    const to = span.from === span.to ? from : mapPosition(span.to, edits, lean);
    span.from = from;
    span.to = Math.max(from, to);
  }
}

/** Copies of blocks and spans for an owner that will shift them. */
export function copyLayout({ blocks, spans }: Layout): Layout {
  return {
    blocks: blocks.map((block) => ({ ...block })),
    spans: spans.map((span) => ({ ...span })),
  };
}

/** A manuscript's text and layout with edits made. */
export function withEdits(
  manuscript: Pick<Manuscript, "text" | "blocks" | "spans">,
  edits: readonly Edit[],
): Pick<Manuscript, "text" | "blocks" | "spans"> {
  const layout = copyLayout(manuscript);
  shiftBlocks(layout.blocks, edits);
  shiftSpans(layout.spans, edits);
  return { ...layout, text: applyEdits(manuscript.text, edits) };
}

/** Why an edit cannot be made, as a sentence; null when it can. */
export function whyRefused(text: string, layout: Layout, edit: Edit): string | null {
  const block = layout.blocks[blockIndexAt(layout.blocks, edit.from)];
  if (!block || edit.from < block.from || edit.to > block.to) {
    return "A change stays inside one paragraph, cell or note; their number and order stay as they came.";
  }
  if (block.fixed) return block.fixed;
  if (/[\n\r\f]/.test(edit.insert)) {
    return "New paragraphs can’t be made here. Shift and Enter makes a line break inside one.";
  }
  if (cutsSurrogatePair(text, edit.from) || cutsSurrogatePair(text, edit.to)) {
    return "This change would cut one character in two.";
  }
  if (FORBIDDEN.test(edit.insert)) {
    return "This contains a control character or half a character, which no document can hold.";
  }
  if (text.slice(edit.from, edit.to).includes(OBJECT_CHARACTER)) {
    return "An image, an equation or a symbol stands here and is left as it is.";
  }
  for (const span of layout.spans) {
    if (span.kind !== "locked") continue;
    const inside =
      edit.from === edit.to
        ? edit.from > span.from && edit.from < span.to
        : edit.from < span.to && edit.to > span.from;
    if (inside) return `${span.label ?? "This text is protected"}, so it is left as it is.`;
  }
  return null;
}

/** A text without the characters that no document format can carry. */
export function storable(text: string): string {
  return text.replace(new RegExp(FORBIDDEN, "g"), "");
}

/** What XML 1.0 section 2.2 cannot carry, lone surrogates, and the object character itself. */
const FORBIDDEN =
  // biome-ignore lint/suspicious/noControlCharactersInRegex: these are the characters to refuse
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff\ufffc]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;
