import type { Manuscript } from "./model.ts";

/** Titles of the sections a manuscript's blocks point at; index 0 is what precedes any heading. */
export function sectionTitles(manuscript: Pick<Manuscript, "text" | "blocks">): string[] {
  const titles = [""];
  for (const block of manuscript.blocks) {
    if (block.kind === "heading")
      titles[block.section] = manuscript.text.slice(block.from, block.to);
  }
  return titles;
}
