/**
 * Fingerprints of a text by winnowing (Schleimer, Wilkerson, Aiken: Winnowing, SIGMOD 2003): of the
 * hashes of all runs of so many words the least of any so many in a row. Two texts that share a run of
 * `run + window - 1` words share a fingerprint.
 */
export interface Winnowing {
  /** Words of a run. */
  run: number;
  /** Runs of which one is taken. */
  window: number;
}

/** Of words as they are: every shared run of eight is found. */
export const OF_WORDS: Winnowing = { run: 5, window: 4 };
/** Of the frame of function words that sentences hang in (`frames.ts`). */
export const OF_FRAMES: Winnowing = { run: 12, window: 14 };

const BASE = 0x9e3779b1;

/** The hashes of all runs of words, by the word they begin with. */
function runHashes(words: Uint32Array, run: number): Uint32Array {
  const runs = new Uint32Array(Math.max(0, words.length - run + 1));
  let outgoing = 1;
  for (let i = 0; i < run; i++) outgoing = Math.imul(outgoing, BASE);
  let rolling = 0;
  for (let i = 0; i < words.length; i++) {
    rolling = (Math.imul(rolling, BASE) + (words[i] ?? 0)) | 0;
    if (i >= run) rolling = (rolling - Math.imul(words[i - run] ?? 0, outgoing)) | 0;
    if (i < run - 1) continue;
    const mix = Math.imul(rolling ^ (rolling >>> 15), 0x2c1b3c6d);
    runs[i - run + 1] = (mix ^ (mix >>> 12)) >>> 0;
  }
  return runs;
}

/** The fingerprints of a text: their hashes, and each one's distance in words from the one before. */
export interface Fingerprints {
  /** Words of the text. */
  words: number;
  hashes: Uint32Array;
  /** From the beginning of the text for the first; never more than the window. */
  gaps: Uint8Array;
}

/** The fingerprints of a text by the hashes of its words; none where it is shorter than a run. */
export function fingerprintsOf(words: Uint32Array, { run, window } = OF_WORDS): Fingerprints {
  const runs = runHashes(words, run);
  const hashes = new Uint32Array(runs.length);
  const gaps = new Uint8Array(runs.length);
  let count = 0;
  let least = -1;
  let before = 0;
  for (let last = 0; last < runs.length; last++) {
    const first = Math.max(0, last - window + 1);
    const isFull = last >= window - 1 || last === runs.length - 1;
    if (!isFull) continue;
    let chosen = least;
    if (least < first) {
      chosen = first;
      for (let i = first + 1; i <= last; i++) {
        if ((runs[i] ?? 0) <= (runs[chosen] ?? 0)) chosen = i;
      }
    } else if ((runs[last] ?? 0) <= (runs[least] ?? 0)) chosen = last;
    if (chosen === least) continue;
    least = chosen;
    hashes[count] = runs[chosen] ?? 0;
    gaps[count++] = chosen - before;
    before = chosen;
  }
  return { words: words.length, hashes: hashes.slice(0, count), gaps: gaps.slice(0, count) };
}
