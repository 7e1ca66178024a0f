import type { Block } from "../../core/manuscript/model.ts";

/** The id of a requirement, which names its place better than its section does. */
const REQUIREMENT =
  /^\[?(?<id>[A-Z][A-Z0-9]{0,7}(?:[-_][A-Z][A-Z0-9]{0,7}){0,3}[-_]\d{1,5}(?:\.\d{1,3})?)\]?(?=[:.)]?\s)/;

/** What a place in a list is called: its requirement, its note, its cell, or the title of its section. */
export function placeName(block: Block | undefined, titles: readonly string[], text = ""): string {
  if (!block) return "";
  const id = REQUIREMENT.exec(text.slice(block.from, block.from + 40))?.groups?.id;
  if (id) return id;
  if (block.kind === "note") return block.marker ? `Note ${block.marker}` : "Notes";
  if (block.cell) return `${block.cell.sheet}, ${block.cell.address}`;
  return titles[block.section] || "Before the first heading";
}
