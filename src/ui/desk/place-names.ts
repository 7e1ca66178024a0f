import type { Block } from "../../core/manuscript/model.ts";

/** What a place in a list is called: its note, its cell, or the title of its section. */
export function placeName(block: Block | undefined, titles: readonly string[]): string {
  if (!block) return "";
  if (block.kind === "note") return block.marker ? `Note ${block.marker}` : "Notes";
  if (block.cell) return `${block.cell.sheet}, ${block.cell.address}`;
  return titles[block.section] || "Before the first heading";
}
