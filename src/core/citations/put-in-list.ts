import type { Edit, Range } from "../manuscript/model.ts";
import { LINE_SEPARATOR } from "../manuscript/model.ts";
import { folded } from "./fold.ts";
import type { CitationStyle } from "./styles/style.ts";

/**
 * The edit that puts a reference in a list, as a line of the paragraph it comes after (or before, as the first),
 * since no edit makes paragraphs; null for a list without entries. Offsets are in the text of the whole document.
 */
export function putInList(
  reference: string,
  text: string,
  entries: readonly Range[],
  { order }: Pick<CitationStyle, "order">,
): { edit: Edit; beside: Range } | null {
  const last = entries.at(-1);
  if (!last) return null;
  const own = folded(reference);
  const next =
    order === "alphabetical"
      ? entries.findIndex(({ from, to }) => folded(text.slice(from, to)) > own)
      : -1;
  const before = next < 0 ? last : entries[next - 1];
  if (before) {
    const edit = { from: before.to, to: before.to, insert: `${LINE_SEPARATOR}${reference}` };
    return { edit, beside: before };
  }
  const [first = last] = entries;
  const edit = { from: first.from, to: first.from, insert: `${reference}${LINE_SEPARATOR}` };
  return { edit, beside: first };
}

/** Where a citation goes that is put in at a place: before the stop of its sentence, in the block it is in. */
export function citingEdit(citation: string, text: string, at: number, blockTo: number): Edit {
  const rest = text.slice(at, blockTo);
  const stop = /[.!?…]+(?=["”’')\]]*(?:\s|$))/u.exec(rest);
  const place = at + (stop ? stop.index : rest.trimEnd().length);
  const isRaised = /^\d/.test(citation);
  return { from: place, to: place, insert: isRaised ? citation : ` ${citation}` };
}
