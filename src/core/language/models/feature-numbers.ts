/** Parts the numbers of features from one another. */
const SPREAD = 0x9e3779b1;

/** One hash of two. */
export function mixHashes(a: number, b: number): number {
  let hash = Math.imul(a ^ b, 0x85ebca6b);
  hash ^= hash >>> 13;
  hash = Math.imul(hash, 0xc2b2ae35);
  return hash ^ (hash >>> 16);
}

/** A feature of a place: what is looked at, by its number, and what was found there. */
export function feature(which: number, found: number): number {
  return mixHashes(which * SPREAD, found);
}

/** What stands for a feature in a model's weights: 24 bits, of which a model has 1 in 200 at the most. */
export function featureKey(one: number): number {
  return (one >>> 8) + 1;
}

/**
 * The numbers of features, first and last of each range, by the function that gives them out. They
 * are part of the trained models: one that is changed makes its model forget what it learned.
 */
export const FEATURE_NUMBERS = {
  nearFeatures: [[1, 28]],
  wideFeatures: [
    [1, 37],
    [120, 129],
  ],
  clauseFeatures: [[38, 45]],
  verbFeatures: [
    [50, 57],
    [144, 149],
  ],
  groupFeatures: [
    [70, 79],
    [103, 110],
    [130, 140],
    [190, 198],
  ],
  sentenceFeatures: [[150, 156]],
  recordFeature: [[199, 199]],
  numberFeatures: [
    [80, 102],
    [141, 143],
    [150, 173],
    [180, 183],
  ],
  stopFeatures: [[150, 165]],
  ownerFeatures: [[160, 175]],
  findCandidates: [
    [1, 19],
    [30, 39],
    [50, 53],
    [60, 64],
    [70, 76],
  ],
} as const satisfies Record<string, readonly (readonly [number, number])[]>;

/** What a model sees of a place beside what is near and far; none of it may share a number. */
export const SEEN_TOGETHER: readonly (readonly (keyof typeof FEATURE_NUMBERS)[])[] = [
  ["wideFeatures", "clauseFeatures"],
  ["wideFeatures", "verbFeatures"],
  ["wideFeatures", "groupFeatures", "sentenceFeatures", "recordFeature"],
  ["wideFeatures", "numberFeatures"],
  ["wideFeatures", "stopFeatures"],
  ["wideFeatures", "ownerFeatures"],
];
