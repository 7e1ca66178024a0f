import type { CitedFinding } from "../citations/text-rules/rule.ts";
import type { Block } from "../manuscript/model.ts";
import type { OverlapChoices } from "./choices.ts";
import type { Tier } from "./overlaps.ts";
import type { Passage } from "./passages.ts";
import { wordsOf } from "./totals.ts";

/** How sources are called, and cited. */
export interface SourceNames {
  titleOf(source: string): string;
  /** A citation of it as the document has them; null where author and year are not known. */
  citationOf(source: string): string | null;
}

/** Of a passage over several blocks a part with fewer characters carries no mark. */
const LEAST_PART = 12;

const SAYS: Readonly<Record<Tier, string>> = {
  identical: "word for word",
  near: "lightly changed",
  reworded: "reworded",
  possible: "perhaps, in other words",
};

/** What is known of sources beside their words. */
export interface KnownNames {
  titleOf(source: string): string;
  /** Author and year; null where they are not known. */
  workOf(source: string): { author: string; year: number } | null;
}

/** The source's number on the board, as it stands in the margin. */
export type NumberOf = (source: string) => number;

/** What is marked of passages that count: each in the blocks it lies in. */
export function findingsOf(
  passages: readonly Passage[],
  blocks: readonly Pick<Block, "from">[],
  textOf: (block: number) => string,
  { kinds, saidOf }: OverlapChoices,
  names: SourceNames,
  numberOf: NumberOf,
): CitedFinding[] {
  const found: CitedFinding[] = [];
  let block = 0;
  for (const passage of passages) {
    const { keptOut } = passage;
    if (saidOf(passage) !== null || (keptOut !== null && kinds.keepsOut[keptOut])) continue;
    while ((blocks[block + 1]?.from ?? Number.POSITIVE_INFINITY) <= passage.from) block++;
    const parts: { block: number; from: number; to: number }[] = [];
    for (let at = block; (blocks[at]?.from ?? Number.POSITIVE_INFINITY) < passage.to; at++) {
      const start = blocks[at]?.from ?? 0;
      const from = Math.max(0, passage.from - start);
      const to = Math.min(textOf(at).length, passage.to - start);
      if (to - from >= LEAST_PART) parts.push({ block: at, from, to });
    }
    for (const part of parts) {
      found.push({
        ...part,
        code: `ov ${numberOf(passage.source)}`,
        reason: reasonOf(passage, names),
        group: passage.source,
        choices: parts.length === 1 ? choicesOf(passage, part, textOf(part.block), names) : [],
      });
    }
  }
  return found;
}

function reasonOf(passage: Passage, names: SourceNames): string {
  const title = names.titleOf(passage.source);
  const short = title.length > 44 ? `${title.slice(0, 42)}…` : title;
  const quoted = passage.uncited ? " In quotation marks, with no citation by it." : "";
  return `${wordsOf(passage)} words, ${SAYS[passage.tier]}, in “${short}”.${quoted}`;
}

/** Quotation marks around the passage, a citation behind it, or both. */
function choicesOf(
  passage: Passage,
  { block, from, to }: { block: number; from: number; to: number },
  text: string,
  names: SourceNames,
) {
  const citation = names.citationOf(passage.source);
  // A full stop of the passage stays behind its citation.
  const open = { block, from, to: from, insert: "“" };
  const close = (behind: string) => ({ block, from: to, to, insert: `”${behind}` });
  const choices: CitedFinding["choices"][number][] = [];
  const isFaithful = passage.tier === "identical" || passage.tier === "near";
  if (!passage.uncited && isFaithful && citation)
    choices.push({ label: `quote and cite ${citation}`, edits: [open, close(` ${citation}`)] });
  if (citation) {
    const behind = passage.uncited ? behindQuotation(text, to) : to;
    choices.push({
      label: `cite ${citation}`,
      edits: [{ block, from: behind, to: behind, insert: ` ${citation}` }],
    });
  }
  if (!passage.uncited && isFaithful)
    choices.push({ label: "quote, the citation by hand", edits: [open, close("")] });
  return choices;
}

/** Behind the mark that closes a quotation. */
function behindQuotation(text: string, at: number): number {
  const rest = /^[^“"«\n]{0,4}?[”"»’]/u.exec(text.slice(at));
  return rest ? at + rest[0].length : at;
}
