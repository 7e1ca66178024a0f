import type { KeptOut, Passage } from "./passages.ts";
import { KEPT_OUT } from "./passages.ts";
import { type CountedKinds, counts, USUALLY_COUNTED } from "./totals.ts";

/**
 * What was chosen about overlaps in a document, as it stands among its other choices: a name and a value
 * each, so that every one is a decision and is taken back like any.
 */
const PREFIX = "overlap:";
export const LIMIT = `${PREFIX}limit`;
export const COUNT_POSSIBLE = `${PREFIX}possible`;
const IN = "counted";
const OUT = "kept-out";

/** The name under which stands whether a kind of text is kept out. */
export function keepingOf(kind: KeptOut): string {
  return `${PREFIX}keep:${kind}`;
}

/** The value for a kind that is kept out of the count, or not. */
export function keepingValue(keptOut: boolean): string {
  return keptOut ? OUT : IN;
}

/** The name under which stands what a passage was said to be; it stays while its words are the same. */
export function verdictOf({ source, pairs }: Pick<Passage, "source" | "pairs">): string {
  const middle = pairs[pairs.length >> 1]?.[1] ?? 0;
  return `${PREFIX}passage:${source}@${Math.round(middle / VERDICT_GRAIN)}`;
}

/** Words of a source within which a passage is taken for the same one. */
const VERDICT_GRAIN = 12;

/** What a person says a passage is. */
export const VERDICTS = ["own", "stock"] as const;
export type Verdict = (typeof VERDICTS)[number];

export interface OverlapChoices {
  kinds: CountedKinds;
  /** The share of the words that may stand elsewhere, from 0 to 1; null for no limit. */
  limit: number | null;
  /** What a passage was said to be; null for nothing. */
  saidOf(passage: Pick<Passage, "source" | "pairs">): Verdict | null;
}

/** Under a house that has a limit, a document without one. */
export const NO_LIMIT = "none";

/** What was chosen, from the choices of a document, and the limit of its houses where it has none of its own. */
export function overlapChoices(
  forms: Readonly<Record<string, string>> = {},
  usualLimit: number | null = null,
): OverlapChoices {
  const keepsOut = Object.fromEntries(
    KEPT_OUT.map((kind) => {
      const value = forms[keepingOf(kind)];
      return [kind, value === undefined ? USUALLY_COUNTED.keepsOut[kind] : value === OUT];
    }),
  ) as Record<KeptOut, boolean>;
  const own = forms[LIMIT];
  const limit = own === undefined ? (usualLimit ?? Number.NaN) : Number.parseFloat(own);
  return {
    kinds: { keepsOut, possible: forms[COUNT_POSSIBLE] === IN },
    limit: limit >= 0 && limit <= 1 ? limit : null,
    saidOf: (passage) => VERDICTS.find((one) => one === forms[verdictOf(passage)]) ?? null,
  };
}

/** Whether a passage counts: what a person said of it keeps it out, however its kind is counted otherwise. */
export function isCounted(passage: Passage, { kinds, saidOf }: OverlapChoices): boolean {
  return saidOf(passage) === null && counts(passage, kinds);
}
