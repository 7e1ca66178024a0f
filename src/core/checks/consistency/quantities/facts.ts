import type { AnalysedBlock } from "../../../language/analysis.ts";
import { oncePerBlock } from "../../../language/per-block.ts";
import { type Quantity, quantitiesIn } from "../../../language/quantities/quantities.ts";
import { TAG } from "../../../language/tags/tag-sets.ts";
import type { Card } from "../../card.ts";
import type { Check, Fact, MarkFact } from "../../check.ts";
import { keepingAt } from "../places.ts";
import { DIGITS, textSigns } from "../text-signs.ts";

const READ = new Set(["paragraph", "item", "note", "cell", "caption"]);
/** The quantities of a block. */
export const quantitiesOf = oncePerBlock((block): Quantity[] =>
  READ.has(block.kind) && hasNumbers(block) ? quantitiesIn(block.text) : [],
);

function hasNumbers(block: AnalysedBlock): boolean {
  const { text, tags } = block;
  return (textSigns(block) & DIGITS) !== 0 || tags.includes(TAG.CD) || /[½¼¾]/.test(text);
}

/** A mark to be made of a quantity, and what may stand in its place. */
export interface QuantityMark {
  from: number;
  to: number;
  reason: string;
  /** Texts for the whole of it. */
  mends: readonly string[];
}

/** A check of quantities one by one, or of those of one block beside each other. */
export function quantityCheck(
  card: Card,
  find: (quantities: readonly Quantity[], text: string) => Iterable<QuantityMark>,
): Check {
  return {
    ...card,
    examine(block): MarkFact[] {
      const quantities = quantitiesOf(block);
      if (quantities.length === 0) return [];
      return [...find(quantities, block.text)]
        .filter(({ from, to }) => keepingAt(block, from, to) === undefined)
        .map(({ from, to, reason, mends }) => ({
          from,
          to,
          reason,
          choices: mends.map((insert) => ({ label: insert, edits: [{ from, to, insert }] })),
        }));
    },
  } satisfies Check<Fact>;
}

/** "12 m" in a text. */
export function writtenOf(text: string, { from, to }: { from: number; to: number }): string {
  return text.slice(from, to);
}
