import type { BlockKind } from "../manuscript/model.ts";
import type { Counts } from "./counts.ts";

/** Parts of a document that measures count or leave out, as the reader switches them. */
export const PARTS = ["headings", "tables", "references", "code", "quotations"] as const;
export type PartName = (typeof PARTS)[number];

/** Which parts are counted; everything else of running text always is. */
export type Scope = Readonly<Record<PartName, boolean>>;

/** Measures are made for running text: what is none is left out. Common practice of readability studies. */
export const USUAL_SCOPE: Scope = {
  headings: false,
  tables: false,
  references: false,
  code: false,
  quotations: true,
};

const PART_OF: Readonly<Partial<Record<BlockKind, PartName>>> = {
  heading: "headings",
  cell: "tables",
  reference: "references",
  code: "code",
  quote: "quotations",
};

/**
 * The part a block belongs to; null for running text, "unread" for what has no English sentences: the
 * head of a mail and what it quotes, other languages.
 */
export function partOf(kind: BlockKind, counts: Counts): PartName | "unread" | null {
  if (counts.mail > 0 || counts.foreign > 0) return "unread";
  if (counts.code > 0) return "code";
  if (counts.columns > 0) return "tables";
  return PART_OF[kind] ?? null;
}

/** Whether a block is counted. */
export function isCounted(kind: BlockKind, counts: Counts, scope: Scope): boolean {
  const part = partOf(kind, counts);
  return part === null || (part !== "unread" && scope[part]);
}
