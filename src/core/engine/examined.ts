import type { Pass } from "../checks/card.ts";
import type { Fact, MarkFact } from "../checks/check.ts";
import type { RuleBook } from "../checks/house/rule-book.ts";
import type { AnalysedBlock } from "../language/analysis.ts";
import {
  type KeptFigures,
  keepFigures,
  keptFigures,
} from "../language/phrases/sentence-figures.ts";
import { moveEdits } from "../manuscript/edits.ts";
import type { Block, Range, Span } from "../manuscript/model.ts";
import { addCounts, type Counts, NO_COUNTS } from "../readings/counts.ts";
import type { ReadBlock } from "../readings/readings.ts";

/** What examining gives, of a block or of the windows of a long one. */

/** What examining a block gives. */
export interface Examined {
  /** The analysis, kept until every pass has read it. */
  analysed: AnalysedBlock | null;
  /** By a check's place in CHECKS, its facts, where it has any. */
  facts: Map<number, readonly Fact[]>;
  /** The passes that have read it. */
  read: Pass[];
  /** The house rules that were looked for in it; null for none. */
  book: RuleBook | null;
  /** Stretches of code in it; null where it is no running text at all. */
  code: readonly Range[] | null;
  counts: Counts;
  /** What is counted in its sentences; none before the sentences pass has read it. */
  figures: KeptFigures;
}

/** Most blocks hold no code. */
export const NO_CODE: readonly Range[] = [];
export const NO_FIGURES: KeptFigures = new Uint32Array(0);

const NO_FACTS: Examined["facts"] = new Map();

/** What is known of a block before it is examined. */
export const NOT_EXAMINED: Examined = {
  analysed: null,
  facts: NO_FACTS,
  read: [],
  book: null,
  code: NO_CODE,
  counts: NO_COUNTS,
  figures: NO_FIGURES,
};

/** A block with what readings are made of. */
export function readBlock(block: Block, text: string, { counts, figures }: Examined): ReadBlock {
  return { block, text, counts, sentences: keptFigures(figures) };
}

/** The spans of a window, cut to it. */
export function clipped(spans: readonly Span[], from: number, to: number): Span[] {
  return spans
    .filter((span) => span.from < to && span.to > from)
    .map((span) => ({
      ...span,
      from: Math.max(span.from, from) - from,
      to: Math.min(span.to, to) - from,
    }));
}

/** What the windows of one block give, as the block's own; it is one paragraph, however many it has. */
export function joined(parts: readonly Examined[], windows: readonly Range[]): Examined {
  const facts = new Map<number, Fact[]>();
  for (const [index, part] of parts.entries()) {
    const by = windows[index]?.from ?? 0;
    for (const [order, own] of part.facts) {
      const all = facts.get(order) ?? [];
      for (const fact of own) all.push(moveFact(fact, by));
      facts.set(order, all);
    }
  }
  const counts = addCounts(parts.map((part) => part.counts));
  const once = (count: number) => Math.min(1, count);
  const figures = parts.flatMap((part, index) => keptFigures(part.figures, windows[index]?.from));
  return {
    analysed: null,
    facts,
    read: [...(parts[0]?.read ?? [])],
    book: parts[0]?.book ?? null,
    code: NO_CODE,
    figures: keepFigures(figures),
    counts: {
      ...counts,
      paragraphs: once(counts.paragraphs),
      code: once(counts.code),
      columns: once(counts.columns),
      mail: once(counts.mail),
      foreign: once(counts.foreign),
    },
  };
}

function moveFact(fact: Fact & Partial<MarkFact>, by: number): Fact {
  const moved = { ...fact, from: fact.from + by, to: fact.to + by };
  if (!fact.choices) return moved;
  const choices = fact.choices.map((choice) => ({ ...choice, edits: moveEdits(choice.edits, by) }));
  const movedMark: MarkFact = { ...moved, reason: fact.reason ?? "", choices };
  return movedMark;
}
