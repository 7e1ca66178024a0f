import { comparedWords } from "./words.ts";

/** How much of a text stands in a stretch of a source. */
export interface Measured {
  words: number;
  /** Words that stand in the source in runs of three or more. */
  shared: number;
  /** Ranges of the text whose words stand there so, in UTF-16 units. */
  same: readonly (readonly [number, number])[];
}

/** A shorter run is the language’s and nobody’s. */
const LEAST_RUN = 3;

/** Measures a sentence against a source while it is being written; the source by the hashes of its words. */
export function measured(text: string, source: Uint32Array): Measured {
  const { hashes, from, to } = comparedWords(text);
  const runs = new Map<string, true>();
  for (let at = 0; at + LEAST_RUN <= source.length; at++)
    runs.set(source.subarray(at, at + LEAST_RUN).join(), true);
  const isShared = new Uint8Array(hashes.length);
  for (let at = 0; at + LEAST_RUN <= hashes.length; at++) {
    if (runs.has(hashes.subarray(at, at + LEAST_RUN).join())) isShared.fill(1, at, at + LEAST_RUN);
  }
  const same: [number, number][] = [];
  for (let word = 0; word < hashes.length; word++) {
    if (!isShared[word]) continue;
    const last = same.at(-1);
    if (last && isShared[word - 1]) last[1] = to[word] ?? 0;
    else same.push([from[word] ?? 0, to[word] ?? 0]);
  }
  return { words: hashes.length, shared: isShared.reduce((sum, one) => sum + one, 0), same };
}
