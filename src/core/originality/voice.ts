import { comparedWords } from "./words.ts";

/**
 * How alike the stretches of a text are in what a writer hardly watches: triples of letters, spaces and
 * punctuation. Which stretch is unlike the rest is a question to the writer and says nothing about where
 * it comes from. Cosine distance of character trigrams, common practice in the study of authorship.
 */
export interface VoiceStretch {
  /** Offsets in the text. */
  from: number;
  to: number;
  words: number;
  /** Its distance from the rest of the text, in units of what is usual here; 0 for the middle one. */
  unlike: number;
  /** Far enough from the rest to be asked about. */
  isUnlike: boolean;
  /** Mean words a sentence, and how much they differ: their standard deviation by their mean. */
  sentenceWords: number;
  sentenceVariety: number;
  /** The share of sentences that begin with the same word as another of the stretch. */
  sameOpenings: number;
  /** Its sentences are of one length and begin alike. */
  isUniform: boolean;
}

/** Words of a stretch. */
const STRETCH = 250;
/** With fewer stretches there is no rest to be unlike. */
const LEAST_STRETCHES = 5;
/** Triples that are compared: the commonest of the text. */
const TRIPLES = 800;
/** So far beyond what is usual a stretch is asked about; chosen on the tuning part of `bench originality`. */
const FAR = 3;
const FEW_DIFFERENCES = 0.3;
const MANY_ALIKE = 0.5;
const LEAST_SENTENCES = 8;

/** The stretches of a text in order; none where it is too short to tell. */
export function voiceOf(text: string): VoiceStretch[] {
  const { from, to } = comparedWords(text);
  const count = Math.floor(from.length / STRETCH);
  if (count < LEAST_STRETCHES) return [];
  const ranges = Array.from({ length: count }, (_, index) => {
    const last = index === count - 1 ? from.length : (index + 1) * STRETCH;
    return {
      from: from[index * STRETCH] ?? 0,
      to: to[last - 1] ?? text.length,
      words: last - index * STRETCH,
    };
  });
  const counts = ranges.map((range) => triplesIn(text.slice(range.from, range.to)));
  const all = sumOf(counts);
  const common = [...all]
    .sort((one, other) => other[1] - one[1])
    .slice(0, TRIPLES)
    .map(([triple]) => triple);
  const distances = counts.map((own) => distance(own, all, common));
  const middle = median(distances);
  const spread = median(distances.map((one) => Math.abs(one - middle))) * 1.4826 || 1;
  return ranges.map((range, index) => {
    const unlike = ((distances[index] ?? middle) - middle) / spread;
    const sentences = sentencesIn(text.slice(range.from, range.to));
    return { ...range, unlike, isUnlike: unlike > FAR, ...sentences };
  });
}

function triplesIn(text: string): Map<string, number> {
  const plain = text.toLowerCase().replace(/\d/g, "0").replace(/\s+/g, " ");
  const counts = new Map<string, number>();
  for (let at = 0; at + 3 <= plain.length; at++) {
    const triple = plain.slice(at, at + 3);
    counts.set(triple, (counts.get(triple) ?? 0) + 1);
  }
  return counts;
}

function sumOf(counts: readonly Map<string, number>[]): Map<string, number> {
  const sum = new Map<string, number>();
  for (const one of counts)
    for (const [triple, count] of one) sum.set(triple, (sum.get(triple) ?? 0) + count);
  return sum;
}

/** The cosine distance of a stretch from all the others. */
function distance(
  own: Map<string, number>,
  all: Map<string, number>,
  common: readonly string[],
): number {
  let [both, ownSquares, restSquares] = [0, 0, 0];
  for (const triple of common) {
    const mine = own.get(triple) ?? 0;
    const rest = (all.get(triple) ?? 0) - mine;
    both += mine * rest;
    ownSquares += mine * mine;
    restSquares += rest * rest;
  }
  return ownSquares === 0 || restSquares === 0 ? 0 : 1 - both / Math.sqrt(ownSquares * restSquares);
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((one, other) => one - other);
  return sorted[sorted.length >> 1] ?? 0;
}

function sentencesIn(text: string) {
  const sentences = text.split(/(?<=[.!?…]["”’)]?)\s+/u).filter((one) => /\p{L}/u.test(one));
  const lengths = sentences.map((one) => one.split(/\s+/u).length);
  const mean = lengths.reduce((sum, one) => sum + one, 0) / Math.max(1, lengths.length);
  const variance =
    lengths.reduce((sum, one) => sum + (one - mean) ** 2, 0) / Math.max(1, lengths.length);
  const openings = new Map<string, number>();
  for (const one of sentences) {
    const [first = ""] = one.toLowerCase().match(/\p{L}+/u) ?? [];
    openings.set(first, (openings.get(first) ?? 0) + 1);
  }
  const alike = [...openings.values()].reduce((sum, count) => sum + (count > 1 ? count : 0), 0);
  const sentenceVariety = mean === 0 ? 0 : Math.sqrt(variance) / mean;
  const sameOpenings = alike / Math.max(1, sentences.length);
  return {
    sentenceWords: mean,
    sentenceVariety,
    sameOpenings,
    isUniform:
      sentences.length >= LEAST_SENTENCES &&
      sentenceVariety < FEW_DIFFERENCES &&
      sameOpenings >= MANY_ALIKE,
  };
}
