import type { Block } from "../../core/manuscript/model.ts";
import { requirementOf } from "../../core/manuscript/requirements.ts";

/** Characters in which an id and what follows it lie. */
const LONGEST_ID = 60;

/** What a place in a list is called: its requirement, its note, its cell, or the title of its section. */
export function placeName(block: Block | undefined, titles: readonly string[], text = ""): string {
  if (!block) return "";
  // The id of a requirement names its place better than its section does.
  const id = requirementOf(text.slice(block.from, block.from + LONGEST_ID))?.id;
  if (id) return id;
  if (block.kind === "note") return block.marker ? `Note ${block.marker}` : "Notes";
  if (block.cell) return `${block.cell.sheet}, ${block.cell.address}`;
  return titles[block.section] || "Before the first heading";
}
