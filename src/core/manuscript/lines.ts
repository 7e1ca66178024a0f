import type { Block, Manuscript } from "./model.ts";

/** A bare string as something to check: each line a block, positions as in the string. */
export function linesManuscript(text: string): Pick<Manuscript, "text" | "blocks" | "spans"> {
  const blocks: Block[] = [];
  let from = 0;
  for (const [index, line] of text.split("\n").entries()) {
    const to = from + line.length;
    blocks.push({ id: `b${index}`, kind: "paragraph", from, to, story: "body", section: 0 });
    from = to + 1;
  }
  return { text, blocks, spans: [] };
}
