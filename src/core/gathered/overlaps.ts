import { isCounted, type OverlapChoices, type Verdict, verdictOf } from "../originality/choices.ts";
import type { ComparedSources, ShownSource } from "../originality/compared-sources.ts";
import type { Compared } from "../originality/comparison.ts";
import type { Passage } from "../originality/passages.ts";
import {
  besideLimit,
  type CountedKinds,
  type OverlapTotals,
  rankedSources,
  totalsOf,
} from "../originality/totals.ts";

/** A passage as the board shows it. */
export interface PassageRow
  extends Pick<Passage, "from" | "to" | "source" | "tier" | "identity" | "keptOut" | "uncited"> {
  /** Its number among all passages, in the order of the text. */
  number: number;
  words: number;
  /** Its first word, counted through the document. */
  firstWord: number;
  /** Words that are not the same in the source. */
  changed: number;
  counts: boolean;
  /** What the person said it is. */
  said: Verdict | null;
  /** Under which name that is kept. */
  verdict: string;
  /** Titles of other sources that have the same. */
  alsoIn: readonly string[];
}

export interface OverlapTable {
  totals: OverlapTotals;
  kinds: CountedKinds;
  limit: { share: number; allowed: number; over: number; first: readonly number[] } | null;
  /** Sources with a passage that counts or is kept out, most words first. */
  sources: readonly (ShownSource & { shared: number; keptOut: number })[];
  passages: readonly PassageRow[];
  /** The same of the text before it was changed; null where it was not. */
  before: { words: number; all: number } | null;
}

/** What a document shares with sources, under what was chosen about it. */
export function gatherOverlaps(
  { words, passages }: Compared,
  choices: OverlapChoices,
  known: ComparedSources,
  original: Compared | null = null,
): OverlapTable {
  const { kinds, limit, saidOf } = choices;
  const said = passages.map((passage) => {
    const verdict = saidOf(passage);
    return verdict === null ? passage : { ...passage, keptOut: verdict };
  });
  const counted = said.filter((passage) => isCounted(passage, choices));
  const totals = { ...totalsOf(said, words, kinds), ...countedTotals(counted, words, kinds) };
  const beside = limit === null ? null : besideLimit(counted, totals, kinds, limit);
  return {
    totals,
    kinds,
    before: original && {
      words: totalsOf(original.passages, original.words, kinds).words,
      all: original.words,
    },
    limit: beside && {
      share: limit ?? 0,
      allowed: beside.allowed,
      over: beside.over,
      first: beside.first.map((passage) => said.indexOf(passage)),
    },
    sources: sourcesOf(said, counted, known),
    passages: said.map((passage, number) =>
      rowOf(passage, number, isCounted(passage, choices), saidOf(passage), known),
    ),
  };
}

function countedTotals(counted: readonly Passage[], words: number, kinds: CountedKinds) {
  const { words: shared, byTier, bySource } = totalsOf(counted, words, kinds);
  return { words: shared, byTier, bySource };
}

function rowOf(
  passage: Passage,
  number: number,
  doesCount: boolean,
  said: Verdict | null,
  known: ComparedSources,
): PassageRow {
  const { from, to, source, tier, identity, keptOut, uncited, pairs } = passage;
  const [first, last] = passage.words;
  return {
    number,
    from,
    to,
    source,
    tier,
    identity,
    keptOut,
    uncited,
    words: last - first,
    firstWord: first,
    changed: last - first - pairs.length,
    counts: doesCount,
    said,
    verdict: verdictOf(passage),
    alsoIn: passage.alsoIn.map((one) => known.titleOf(one)),
  };
}

function sourcesOf(
  passages: readonly Passage[],
  counted: readonly Passage[],
  known: ComparedSources,
): OverlapTable["sources"] {
  const counting = new Set(counted);
  return rankedSources(passages, (passage) => counting.has(passage)).flatMap((own) => {
    const shown = known.shown(own.source);
    return shown ? [{ ...shown, shared: own.shared, keptOut: own.keptOut }] : [];
  });
}

/** A word of the passage above a word of the source; one of them may be missing. */
export interface CollatedCell {
  text: string | null;
  source: string | null;
  same: boolean;
}

/** More words are not laid out one by one. */
const MOST_CELLS = 400;

/** A passage word above word beside its source; null where the source is closed. */
export function collate(
  { words: [first, last], sourceWords: [sourceFirst, sourceLast], pairs, source }: Passage,
  wordAt: (word: number) => string,
  known: ComparedSources,
): CollatedCell[] | null {
  const written = known.written(source, sourceFirst, sourceLast);
  if (!written) return null;
  const cells: CollatedCell[] = [];
  let [word, other] = [first, sourceFirst];
  const between = (toWord: number, toOther: number) => {
    while (word < toWord || other < toOther) {
      cells.push({
        text: word < toWord ? wordAt(word++) : null,
        source: other < toOther ? (written[other++ - sourceFirst] ?? null) : null,
        same: false,
      });
    }
  };
  for (const [own, its] of pairs) {
    between(own, its);
    cells.push({ text: wordAt(own), source: written[its - sourceFirst] ?? "", same: true });
    [word, other] = [own + 1, its + 1];
    if (cells.length > MOST_CELLS) return cells;
  }
  between(last, sourceLast);
  return cells;
}
