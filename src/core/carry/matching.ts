import { diffArrays } from "diff";

/** Which of two lists' members are one and the same thing: in their order, moved, or like each other. */

/** Pairs of members that are equal, in the order of both lists: the longest such list. */
export function equalInOrder(one: readonly string[], other: readonly string[]): [number, number][] {
  const pairs: [number, number][] = [];
  let [left, right] = [0, 0];
  for (const { added, removed, count } of diffArrays([...one], [...other])) {
    if (added) right += count;
    else if (removed) left += count;
    else for (let at = 0; at < count; at++) pairs.push([left++, right++]);
  }
  return pairs;
}

/**
 * Pairs of members that are equal and out of order, among those still free: a text that is free as often
 * here as there, each with its like in turn. `isTelling` says which texts are long enough to be known again.
 */
export function equalMoved(
  one: readonly string[],
  other: readonly string[],
  free: { one: ReadonlySet<number>; other: ReadonlySet<number> },
  isTelling: (text: string) => boolean,
): [number, number][] {
  const places = (texts: readonly string[], indexes: ReadonlySet<number>) => {
    const found = new Map<string, number[]>();
    for (const index of indexes) {
      const text = texts[index] ?? "";
      if (!isTelling(text)) continue;
      const known = found.get(text);
      if (known) known.push(index);
      else found.set(text, [index]);
    }
    return found;
  };
  const there = places(other, free.other);
  return [...places(one, free.one)].flatMap(([text, here]) => {
    const theirs = there.get(text) ?? [];
    if (theirs.length !== here.length) return [];
    return here.map((index, at): [number, number] => [index, theirs[at] ?? 0]);
  });
}

/** How alike two texts must be to be taken for two states of one. */
const LEAST_ALIKE = 0.5;
/** How much of that it may lack between the same neighbours. */
const NEAR = 0.3;
/** A pair of words that so many texts have tells nothing. */
const MOST_HOLDERS = 60;

/**
 * Pairs of members that are alike, the most alike first: by the pairs of words that they have in common, and
 * a little more so where they lie between the same neighbours.
 */
export function alike(
  one: readonly string[],
  other: readonly string[],
  free: { one: ReadonlySet<number>; other: ReadonlySet<number> },
  isNear: (here: number, there: number) => boolean,
): [number, number][] {
  const holders = new Map<string, number[]>();
  const sizes = new Map<number, number>();
  for (const index of free.other) {
    const pairs = wordPairs(other[index] ?? "");
    sizes.set(index, pairs.size);
    for (const pair of pairs) {
      const known = holders.get(pair);
      if (known) known.push(index);
      else holders.set(pair, [index]);
    }
  }
  const scored: { here: number; there: number; score: number }[] = [];
  for (const here of free.one) {
    const pairs = wordPairs(one[here] ?? "");
    const shared = new Map<number, number>();
    for (const pair of pairs) {
      const own = holders.get(pair) ?? [];
      if (own.length > MOST_HOLDERS) continue;
      for (const there of own) shared.set(there, (shared.get(there) ?? 0) + 1);
    }
    for (const [there, common] of shared) {
      // What is equal and was not matched before may have come from any of several.
      if (one[here] === other[there]) continue;
      const likeness = (2 * common) / (pairs.size + (sizes.get(there) ?? 0));
      const score = likeness + (isNear(here, there) ? NEAR : 0);
      if (score >= LEAST_ALIKE) scored.push({ here, there, score });
    }
  }
  scored.sort((a, b) => b.score - a.score || a.here - b.here || a.there - b.there);
  const [mine, theirs] = [new Set<number>(), new Set<number>()];
  return scored.flatMap(({ here, there }): [number, number][] => {
    if (mine.has(here) || theirs.has(there)) return [];
    mine.add(here);
    theirs.add(there);
    return [[here, there]];
  });
}

function wordPairs(text: string): Set<string> {
  const words = text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
  const pairs = new Set<string>();
  for (let at = 0; at < words.length; at++) pairs.add(`${words[at - 1] ?? ""} ${words[at]}`);
  return pairs;
}
