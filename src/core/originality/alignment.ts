/** A fingerprint that text and source share: a word of each. */
export interface Seed {
  word: number;
  sourceWord: number;
}

/** Words of a text laid beside words of a source. Ranges are [from, to) in words. */
export interface Aligned {
  from: number;
  to: number;
  sourceFrom: number;
  sourceTo: number;
  /** Pairs of equal words, in order: the word of the text, then that of the source. */
  pairs: readonly (readonly [number, number])[];
}

/** What two stretches must have in common to be taken for the same. */
export interface Alike {
  /** Words in a row of which every seed is sure. */
  run: number;
  /** What a word that differs costs, where one that is the same counts 1. */
  cost: number;
}

/** Words that may lie between two seeds of one passage. */
const GAP = 25;
/** How far the two sides may drift apart between two seeds. */
const DRIFT = 12;
/** Seeds before which chains are looked at when a seed is put to one. */
const OPEN_CHAINS = 40;
/** Going on from the ends, this much below the best score so far ends it. */
const DROP = 4;
/** A passage ends where so many words in a row are the same. */
const FIRM = 3;
/** A gap of more words than this with hardly a word in common parts two passages. */
const WIDE_GAP = 6;
const SHARED_IN_GAP = 0.3;
/** Passages this near to each other on both sides are one. */
const NEAR = 4;

/** The share of words that are the same: 1 for word for word. */
export function identityOf({ from, to, sourceFrom, sourceTo, pairs }: Aligned): number {
  const longest = Math.max(to - from, sourceTo - sourceFrom);
  return longest === 0 ? 0 : pairs.length / longest;
}

/**
 * Passages that text and source share, by the seeds they share, of which each begins a run of equal
 * words; in the order of the text.
 */
export function alignedPassages(
  seeds: readonly Seed[],
  text: Uint32Array,
  source: Uint32Array,
  alike: Alike,
): Aligned[] {
  const { run } = alike;
  const grown = chainsOf(seeds, run).flatMap((chain) => passagesOf(chain, text, source, alike));
  grown.sort((one, other) => one.from - other.from || other.to - one.to);
  const passages: Aligned[] = [];
  for (const passage of grown) {
    const inside = passages.some((known) => isInside(passage, known));
    if (inside) continue;
    const before = passages.at(-1);
    const joined = before && join(before, passage, text, source);
    if (joined) passages[passages.length - 1] = joined;
    else passages.push(passage);
  }
  return passages;
}

function isInside(passage: Aligned, other: Aligned): boolean {
  return (
    passage.from >= other.from &&
    passage.to <= other.to &&
    passage.sourceFrom >= other.sourceFrom &&
    passage.sourceTo <= other.sourceTo
  );
}

/** Seeds that follow one another on both sides. */
function chainsOf(seeds: readonly Seed[], run: number): Seed[][] {
  const sorted = [...seeds].sort(
    (one, other) => one.word - other.word || one.sourceWord - other.sourceWord,
  );
  const chains: Seed[][] = [];
  for (const seed of sorted) {
    // Of several the one from which the two sides drift apart least.
    let home: Seed[] | undefined;
    let least = DRIFT + 1;
    const oldest = Math.max(0, chains.length - OPEN_CHAINS);
    for (let i = chains.length - 1; i >= oldest && least > 0; i--) {
      const chain = chains[i];
      const drift = chain ? driftTo(seed, chain, run) : least;
      if (drift < least) [home, least] = [chain, drift];
    }
    if (home) home.push(seed);
    else chains.push([seed]);
  }
  return chains;
}

/** How far the two sides drift apart from a chain to a seed behind it; infinite where it does not follow. */
function driftTo(seed: Seed, chain: readonly Seed[], run: number): number {
  const last = chain.at(-1);
  const ahead = last ? seed.word - last.word : 0;
  const sourceAhead = last ? seed.sourceWord - last.sourceWord : 0;
  if (ahead <= 0 || sourceAhead <= 0 || ahead > GAP + run) return Number.POSITIVE_INFINITY;
  return Math.abs(ahead - sourceAhead);
}

type Pairs = [number, number][];

/** The passages of one chain: its seeds, what lies between them, and what goes on at either end. */
function passagesOf(
  chain: readonly Seed[],
  text: Uint32Array,
  source: Uint32Array,
  alike: Alike,
): Aligned[] {
  const passages: Aligned[] = [];
  let pairs: Pairs = [];
  for (const seed of chain) {
    const last = pairs.at(-1);
    // What stands already may go over the beginning of the seed, or over all of it.
    const over = last ? Math.max(0, last[0] + 1 - seed.word, last[1] + 1 - seed.sourceWord) : 0;
    if (over >= alike.run) continue;
    const [word, sourceWord] = [seed.word + over, seed.sourceWord + over];
    if (last) {
      const between = common(text, last[0] + 1, word, source, last[1] + 1, sourceWord);
      const wide = Math.max(word - last[0], sourceWord - last[1]) - 1;
      if (wide > WIDE_GAP && between.length < wide * SHARED_IN_GAP) {
        passages.push(grown(pairs, text, source, alike.cost));
        pairs = [];
      } else pairs.push(...between);
    }
    let at = 0;
    while (
      word + at < text.length &&
      sourceWord + at < source.length &&
      text[word + at] === source[sourceWord + at]
    ) {
      pairs.push([word + at, sourceWord + at]);
      at++;
    }
  }
  if (pairs.length > 0) passages.push(grown(pairs, text, source, alike.cost));
  return passages;
}

/** A passage with what goes on at either end. */
function grown(pairs: Pairs, text: Uint32Array, source: Uint32Array, cost: number): Aligned {
  const [first, last] = [pairs[0], pairs.at(-1)];
  if (!first || !last) return { from: 0, to: 0, sourceFrom: 0, sourceTo: 0, pairs };
  const before = goingOn(first[0] - 1, first[1] - 1, -1, text, source, cost).reverse();
  const after = goingOn(last[0] + 1, last[1] + 1, 1, text, source, cost);
  return bounded([...before, ...pairs, ...after]);
}

function bounded(pairs: readonly (readonly [number, number])[]): Aligned {
  const [first, last] = [pairs[0] ?? [0, 0], pairs.at(-1) ?? [-1, -1]];
  return {
    from: first[0],
    to: last[0] + 1,
    sourceFrom: first[1],
    sourceTo: last[1] + 1,
    pairs,
  };
}

/**
 * Equal words from a place in one direction, over single words that differ, are left out or put in, as
 * long as there are about as many of the one as of the other.
 */
function goingOn(
  word: number,
  sourceWord: number,
  step: 1 | -1,
  text: Uint32Array,
  source: Uint32Array,
  cost: number,
): Pairs {
  const pairs: Pairs = [];
  let kept = 0;
  let row = 0;
  let score = 0;
  let best = 0;
  let [w, s] = [word, sourceWord];
  const inside = () => w >= 0 && s >= 0 && w < text.length && s < source.length;
  while (inside() && score > best - DROP) {
    if (text[w] === source[s]) {
      pairs.push([w, s]);
      score++;
      row++;
      [w, s] = [w + step, s + step];
      const isFirm = row >= FIRM || row === pairs.length;
      if (score > best && isFirm) [best, kept] = [score, pairs.length];
      continue;
    }
    row = 0;
    const skip = skipped(w, s, step, text, source);
    score -= cost * Math.max(skip.word, skip.sourceWord);
    w += skip.word * step;
    s += skip.sourceWord * step;
  }
  return pairs.slice(0, kept);
}

/** How many words of each side are passed over where they differ. */
function skipped(w: number, s: number, step: 1 | -1, text: Uint32Array, source: Uint32Array) {
  for (let by = 1; by <= 3; by++) {
    const next = text[w + step];
    const nextSource = source[s + step];
    if (text[w + by * step] === source[s] && text[w + (by + 1) * step] === nextSource)
      return { word: by, sourceWord: 0 };
    if (source[s + by * step] === text[w] && source[s + (by + 1) * step] === next)
      return { word: 0, sourceWord: by };
  }
  return { word: 1, sourceWord: 1 };
}

/** The longest common subsequence of two short stretches. */
function common(
  text: Uint32Array,
  from: number,
  to: number,
  source: Uint32Array,
  sourceFrom: number,
  sourceTo: number,
): Pairs {
  const [height, width] = [to - from, sourceTo - sourceFrom];
  if (height <= 0 || width <= 0) return [];
  const lengths = new Uint16Array((height + 1) * (width + 1));
  const at = (i: number, j: number) => lengths[i * (width + 1) + j] ?? 0;
  for (let i = height - 1; i >= 0; i--) {
    for (let j = width - 1; j >= 0; j--) {
      lengths[i * (width + 1) + j] =
        text[from + i] === source[sourceFrom + j]
          ? at(i + 1, j + 1) + 1
          : Math.max(at(i + 1, j), at(i, j + 1));
    }
  }
  const pairs: Pairs = [];
  for (let i = 0, j = 0; i < height && j < width; ) {
    if (text[from + i] === source[sourceFrom + j]) pairs.push([from + i++, sourceFrom + j++]);
    else if (at(i + 1, j) >= at(i, j + 1)) i++;
    else j++;
  }
  return pairs;
}

/** Two passages as one, where the second goes on from the first on both sides; null otherwise. */
function join(one: Aligned, other: Aligned, text: Uint32Array, source: Uint32Array) {
  const [gap, sourceGap] = [other.from - one.to, other.sourceFrom - one.sourceTo];
  if (gap > NEAR || sourceGap > NEAR + DRIFT || gap < -NEAR || sourceGap < -NEAR) return null;
  const rest = other.pairs.filter(([w, s]) => w >= one.to && s >= one.sourceTo);
  const [first] = rest;
  if (!first) return null;
  const between = common(text, one.to, first[0], source, one.sourceTo, first[1]);
  return bounded([...one.pairs, ...between, ...rest]);
}
