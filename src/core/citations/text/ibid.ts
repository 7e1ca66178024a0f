import type { PlacedCitation } from "../cited-text.ts";

/** What a note that only says “ibid.” stands for. */
export type IbidMeaning =
  | { reference: number }
  /** Nothing is cited before it, or the note before it cites several works, or one without an entry. */
  | { lacks: "before" | "single" | "entry" };

/** The meaning of each “ibid.” among citations in reading order, by their place among them. */
export function ibidMeanings(citations: readonly PlacedCitation[]): Map<number, IbidMeaning> {
  const meanings = new Map<number, IbidMeaning>();
  let last: IbidMeaning = { lacks: "before" };
  let lastBlock = -1;
  for (const [at, { block, citation, items }] of citations.entries()) {
    if (citation.kind === "ibid") {
      meanings.set(at, last);
      lastBlock = block;
      continue;
    }
    const reference = items.length === 1 ? (items[0]?.tied.reference ?? null) : null;
    const isSecond = block === lastBlock;
    if (items.length > 1 || isSecond) last = { lacks: "single" };
    else last = reference === null ? { lacks: "entry" } : { reference };
    lastBlock = block;
  }
  return meanings;
}
