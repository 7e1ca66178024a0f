import type { Overlap, Tier } from "./overlaps.ts";

/** An overlap with the words that count for it, and the other sources that have the same passage. */
export interface Claim extends Overlap {
  /** Ranges of words that count for this source and no other, in order. */
  counted: readonly (readonly [number, number])[];
  /** Overlaps of other sources whose words all count for this one or for others before it. */
  alsoIn: readonly Overlap[];
}

const RANK: Record<Tier, number> = { identical: 0, near: 1, reworded: 2, possible: 3 };
/** An overlap with fewer words of its own left is said to be “also in” its source. */
const LEAST_OWN = 5;

/**
 * Settles which source each word counts for: the passage that has most words the same goes first, and of
 * passages that are alike the one of the source with most of the text.
 */
export function claimsOf(overlaps: readonly Overlap[], words: number): Claim[] {
  const shared = new Map<string, number>();
  for (const { source, pairs } of overlaps)
    shared.set(source, (shared.get(source) ?? 0) + pairs.length);
  const order = [...overlaps].sort(
    (one, other) =>
      Number(one.tier === "possible") - Number(other.tier === "possible") ||
      other.pairs.length * other.identity - one.pairs.length * one.identity ||
      RANK[one.tier] - RANK[other.tier] ||
      (shared.get(other.source) ?? 0) - (shared.get(one.source) ?? 0) ||
      one.source.localeCompare(other.source),
  );
  const owner = new Int32Array(words).fill(-1);
  const claims: (Claim & { alsoIn: Overlap[] })[] = [];
  for (const overlap of order) {
    const free = freeRanges(owner, overlap);
    const own = free.reduce((sum, [from, to]) => sum + to - from, 0);
    if (own < LEAST_OWN) {
      const host = claims[hostOf(owner, overlap)];
      if (host && host.source !== overlap.source) host.alsoIn.push(overlap);
      continue;
    }
    for (const [from, to] of free) owner.fill(claims.length, from, to);
    claims.push({ ...overlap, counted: free, alsoIn: [] });
  }
  return claims.sort((one, other) => one.from - other.from || one.to - other.to);
}

function freeRanges(owner: Int32Array, { from, to }: Overlap): [number, number][] {
  const free: [number, number][] = [];
  for (let word = from; word < to; word++) {
    if (owner[word] !== -1) continue;
    const last = free.at(-1);
    if (last && last[1] === word) last[1] = word + 1;
    else free.push([word, word + 1]);
  }
  return free;
}

/** The claim that has most of the words of an overlap. */
function hostOf(owner: Int32Array, { from, to }: Overlap): number {
  const counts = new Map<number, number>();
  for (let word = from; word < to; word++) {
    const one = owner[word] ?? -1;
    if (one >= 0) counts.set(one, (counts.get(one) ?? 0) + 1);
  }
  let host = -1;
  for (const [one, count] of counts) if (count > (counts.get(host) ?? 0)) host = one;
  return host;
}
