import type { Tier } from "./overlaps.ts";
import { KEPT_OUT, type KeptOut, type Passage } from "./passages.ts";

/** What is counted: each kind of text that is kept out, and whether guesses are. */
export interface CountedKinds {
  keepsOut: Readonly<Record<KeptOut, boolean>>;
  /** Guesses count too. */
  possible: boolean;
}

/** As it is until somebody says otherwise: the person's own earlier documents count. */
export const USUALLY_COUNTED: CountedKinds = {
  keepsOut: { quoted: true, reference: true, heading: true, stock: true, own: false },
  possible: false,
};

export interface SourceTotal {
  source: string;
  words: number;
  passages: number;
}

/** How much of a document stands elsewhere. Words are those of the document. */
export interface OverlapTotals {
  /** Words of the whole document. */
  all: number;
  /** Words that count. */
  words: number;
  byTier: Readonly<Record<Tier, number>>;
  /** Sources with words that count, most first. */
  bySource: readonly SourceTotal[];
  /** Words of each kind that is or might be kept out. */
  keptOut: Readonly<Record<KeptOut, number>>;
  /** Words of guesses, whether they count or not. */
  possible: number;
}

/** Whether a passage counts. */
export function counts(passage: Pick<Passage, "keptOut" | "tier">, kinds: CountedKinds): boolean {
  if (passage.keptOut !== null && kinds.keepsOut[passage.keptOut]) return false;
  return passage.tier !== "possible" || kinds.possible;
}

/** The words of a passage in the document. */
export function wordsOf({ words: [from, to] }: Pick<Passage, "words">): number {
  return to - from;
}

/** What the passages come to. */
export function totalsOf(
  passages: readonly Passage[],
  all: number,
  kinds: CountedKinds,
): OverlapTotals {
  const byTier = { identical: 0, near: 0, reworded: 0, possible: 0 };
  const keptOut = Object.fromEntries(KEPT_OUT.map((kind) => [kind, 0])) as Record<KeptOut, number>;
  const bySource = new Map<string, SourceTotal>();
  let words = 0;
  let possible = 0;
  for (const passage of passages) {
    const own = wordsOf(passage);
    if (passage.keptOut) keptOut[passage.keptOut] += own;
    if (passage.tier === "possible") possible += own;
    if (!counts(passage, kinds)) continue;
    words += own;
    byTier[passage.tier] += own;
    const known = bySource.get(passage.source) ?? { source: passage.source, words: 0, passages: 0 };
    bySource.set(passage.source, {
      ...known,
      words: known.words + own,
      passages: known.passages + 1,
    });
  }
  const ranked = [...bySource.values()].sort(
    (one, other) => other.words - one.words || one.source.localeCompare(other.source),
  );
  return { all, words, byTier, bySource: ranked, keptOut, possible };
}

/** Beside a limit: the words it allows, and those beyond it. */
export interface BesideLimit {
  /** Words that may stand elsewhere. */
  allowed: number;
  /** Words over it; 0 within. */
  over: number;
  /** Passages that bring it under soonest, the longest first; empty within. */
  first: readonly Passage[];
}

/**
 * @param limit The share of the document's words that may stand elsewhere, from 0 to 1.
 */
export function besideLimit(
  passages: readonly Passage[],
  totals: OverlapTotals,
  kinds: CountedKinds,
  limit: number,
): BesideLimit {
  const allowed = Math.floor(totals.all * limit);
  const over = Math.max(0, totals.words - allowed);
  const longest = passages
    .filter((passage) => counts(passage, kinds))
    .sort((one, other) => wordsOf(other) - wordsOf(one) || one.from - other.from);
  const first: Passage[] = [];
  let rest = over;
  for (const passage of longest) {
    if (rest <= 0) break;
    first.push(passage);
    rest -= wordsOf(passage);
  }
  return { allowed, over, first };
}

/** Words of one source: those that count, and those that are kept out. */
export interface SharedWords {
  source: string;
  shared: number;
  keptOut: number;
}

/** Sources with a passage, the one with most words that count first. */
export function rankedSources(
  passages: readonly Passage[],
  isCounted: (passage: Passage) => boolean,
): SharedWords[] {
  const bySource = new Map<string, SharedWords>();
  for (const passage of passages) {
    const { source } = passage;
    const own = bySource.get(source) ?? { source, shared: 0, keptOut: 0 };
    const words = wordsOf(passage);
    if (isCounted(passage)) own.shared += words;
    else own.keptOut += words;
    bySource.set(source, own);
  }
  return [...bySource.values()].sort(
    (one, other) =>
      other.shared - one.shared ||
      other.keptOut - one.keptOut ||
      one.source.localeCompare(other.source),
  );
}
