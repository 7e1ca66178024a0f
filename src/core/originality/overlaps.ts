import { type Aligned, alignedPassages, identityOf, type Seed } from "./alignment.ts";
import { fingerprintsOf, OF_FRAMES, OF_WORDS, type Winnowing } from "./fingerprints.ts";
import { frameOf, isFunctionWord } from "./frames.ts";
import type { Posting } from "./source-index.ts";

/** How a passage agrees with a source; “possible” is a guess by words of like meaning. */
export const TIERS = ["identical", "near", "reworded", "possible"] as const;
export type Tier = (typeof TIERS)[number];

/** The least share of equal words of each tier. */
const LEAST: Record<Exclude<Tier, "possible">, number> = {
  identical: 0.98,
  near: 0.7,
  reworded: 0.45,
};
/** A shorter passage is no overlap. */
export const LEAST_WORDS = 9;
/** A shorter one is, where it lies within so many words of another of the same source. */
const LEAST_BESIDE = 5;
const BESIDE = 3;

/** A passage of the text that stands in a source; ranges in words of either. */
export interface Overlap extends Aligned {
  source: string;
  tier: Tier;
  /** The share of its words that are the same in the source. */
  identity: number;
}

/** Where sources are looked up. */
export interface Sources {
  /** Places of a fingerprint of words. */
  find(hash: number): readonly Posting[];
  /** Places of a fingerprint of a frame. */
  findFrame(hash: number): readonly Posting[];
  /** The word hashes of a source; null where they are not at hand. */
  wordsOf(source: string): Uint32Array | null;
}

const AS_WORDS = { run: OF_WORDS.run, cost: 1 };
/** Of two frames a word in three is the same by chance. */
const AS_FRAMES = { run: OF_FRAMES.run, cost: 2 };

/** The tier of a passage; null where too little of it is the same. */
function tierOf(passage: Aligned): Exclude<Tier, "possible"> | null {
  const identity = identityOf(passage);
  if (identity >= LEAST.identical) return "identical";
  if (identity >= LEAST.near) return "near";
  return identity >= LEAST.reworded ? "reworded" : null;
}

/** The fingerprints of a text that stand in sources, by source. */
export function seedsBySource(
  words: Uint32Array,
  find: (hash: number) => readonly Posting[],
  winnowing: Winnowing = OF_WORDS,
): Map<string, Seed[]> {
  const seeds = new Map<string, Seed[]>();
  const { hashes, gaps } = fingerprintsOf(words, winnowing);
  let word = 0;
  for (let i = 0; i < hashes.length; i++) {
    word += gaps[i] ?? 0;
    for (const { source, word: sourceWord } of find(hashes[i] ?? 0)) {
      const own = seeds.get(source);
      if (own) own.push({ word, sourceWord });
      else seeds.set(source, [{ word, sourceWord }]);
    }
  }
  return seeds;
}

/** How many of the sources that share anything have been laid beside the text. */
export interface Searched {
  done: number;
  all: number;
}

/**
 * All passages that a text shares with sources, however many claim the same words; source by source, so
 * that the caller can tell how far it is, let others run, or stop.
 */
export function* searchOverlaps(
  words: Uint32Array,
  sources: Sources,
): Generator<Searched, Overlap[]> {
  const seeds = seedsBySource(words, (hash) => sources.find(hash));
  const frame = frameOf(words);
  const frameSeeds = seedsBySource(frame, (hash) => sources.findFrame(hash), OF_FRAMES);
  const all = seeds.size + frameSeeds.size;
  let done = 0;
  const overlaps: Overlap[] = [];
  for (const [source, own] of seeds) {
    overlaps.push(...overlapsWith(source, own, words, sources));
    yield { done: ++done, all };
  }
  const found = new Uint8Array(words.length);
  for (const { from, to } of overlaps) found.fill(1, from, to);
  for (const [source, own] of frameSeeds) {
    const fresh = own.filter(({ word }) => found[word] === 0 || found[word + OF_FRAMES.run] === 0);
    overlaps.push(...frameOverlapsWith(source, fresh, words, frame, sources));
    yield { done: ++done, all };
  }
  return overlaps.sort((one, other) => one.from - other.from || other.to - one.to);
}

/** All passages that a text shares with sources, at once. */
export function overlapsIn(words: Uint32Array, sources: Sources): Overlap[] {
  const search = searchOverlaps(words, sources);
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
}

function overlapsWith(
  source: string,
  seeds: readonly Seed[],
  words: Uint32Array,
  sources: Sources,
): Overlap[] {
  const own = sources.wordsOf(source);
  if (!own) return [];
  const passages = alignedPassages(seeds, words, own, AS_WORDS).flatMap((passage): Overlap[] => {
    const tier = tierOf(passage);
    return tier ? [{ ...passage, source, tier, identity: identityOf(passage) }] : [];
  });
  return withNeighbours(passages);
}

/**
 * The passages long enough not to be chance, and short ones right beside them: the sentences of a
 * paragraph in another order.
 */
function withNeighbours(passages: readonly Overlap[]): Overlap[] {
  const kept = new Set(passages.filter(({ pairs }) => pairs.length >= LEAST_WORDS));
  for (let before = -1; before !== kept.size; ) {
    before = kept.size;
    for (const passage of passages) {
      if (kept.has(passage) || passage.pairs.length < LEAST_BESIDE) continue;
      const isBeside = [...kept].some(
        ({ from, to }) => passage.from - to <= BESIDE && from - passage.to <= BESIDE,
      );
      if (isBeside) kept.add(passage);
    }
  }
  return [...kept];
}

/** A frame is said to be the same where so much of it is, over so many words with so many function words. */
const SAME_FRAME = 0.85;
const FRAME_WORDS = 24;
const FRAME_FUNCTION_WORDS = 11;
/** Kinds of function words in it: “of the … of the …” is no frame of anybody’s. */
const FRAME_KINDS = 6;

/**
 * Passages whose frame stands in a source: most of their other words may be replaced. Where enough words
 * are the same after all they are reworded, otherwise possible.
 */
function frameOverlapsWith(
  source: string,
  seeds: readonly Seed[],
  words: Uint32Array,
  frame: Uint32Array,
  sources: Sources,
): Overlap[] {
  const own = sources.wordsOf(source);
  if (!own || seeds.length === 0) return [];
  return stretchesOf(seeds, own.length).flatMap(({ from, to, seeds: near }) => {
    const part = frameOf(own.subarray(from, to));
    const inPart = near.map(({ word, sourceWord }) => ({ word, sourceWord: sourceWord - from }));
    return alignedPassages(inPart, frame, part, AS_FRAMES)
      .filter((passage) => isFrame(passage, frame))
      .map((passage): Overlap => {
        const moved = passage.pairs.map(([word, other]) => [word, other + from] as const);
        const pairs = moved.filter(([word, other]) => words[word] === own[other]);
        const found = {
          ...passage,
          sourceFrom: passage.sourceFrom + from,
          sourceTo: passage.sourceTo + from,
          pairs,
        };
        const tier = pairs.length >= LEAST_WORDS ? tierOf(found) : null;
        return { ...found, source, identity: identityOf(found), tier: tier ?? "possible" };
      });
  });
}

/** Words of a source around a seed whose frame is looked at. */
const FRAME_REACH = 200;

/** The seeds that lie near one another in a source, with the stretch around them. */
function stretchesOf(seeds: readonly Seed[], length: number) {
  const stretches: { from: number; to: number; seeds: Seed[] }[] = [];
  for (const seed of [...seeds].sort((one, other) => one.sourceWord - other.sourceWord)) {
    const last = stretches.at(-1);
    const to = Math.min(length, seed.sourceWord + FRAME_REACH);
    if (last && seed.sourceWord - FRAME_REACH <= last.to) {
      last.to = to;
      last.seeds.push(seed);
    } else stretches.push({ from: Math.max(0, seed.sourceWord - FRAME_REACH), to, seeds: [seed] });
  }
  return stretches;
}

function isFrame(passage: Aligned, frame: Uint32Array): boolean {
  if (passage.pairs.length < FRAME_WORDS || identityOf(passage) < SAME_FRAME) return false;
  const shared = passage.pairs
    .map(([word]) => frame[word] ?? 0)
    .filter((word) => isFunctionWord(word));
  return shared.length >= FRAME_FUNCTION_WORDS && new Set(shared).size >= FRAME_KINDS;
}
