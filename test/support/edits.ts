import type { Edit } from "../../src/core/manuscript/model.ts";

/** Sorted edits that do not overlap, and do not touch. */
export function someEdits(text: string, random: () => number): Edit[] {
  const edits: Edit[] = [];
  let position = 0;
  while (position < text.length && edits.length < 6) {
    const from = position + Math.floor(random() * 12);
    const to = from + Math.floor(random() * 6);
    if (to > text.length) break;
    const insert = ["", "x", "tide ", "ebb"][Math.floor(random() * 4)] ?? "";
    if (from < to || insert) edits.push({ from, to, insert });
    position = to + 1;
  }
  return edits;
}
