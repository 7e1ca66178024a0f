/** How varied the words of a text are, told so that its length does not matter. */

/** Words of the window that the moving average looks through (Covington and McFall 2010). */
export const WINDOW = 100;
/** Share of different words at which a factor of MTLD is complete (McCarthy and Jarvis 2010). */
const FACTOR = 0.72;
/** MTLD is not told of fewer words (McCarthy and Jarvis 2010 tried texts from 100 on). */
const LEAST_WORDS = 100;

export interface Diversity {
  /** Moving average of the share of different words in 100; null for a shorter text. */
  movingAverage: number | null;
  /** Mean length of stretches that keep 0.72 of their words different; null for under 100 words. */
  mtld: number | null;
}

/** The diversity of words in their order, each given as what it counts as. */
export function diversityOf(words: readonly string[]): Diversity {
  return { movingAverage: movingAverage(words), mtld: mtld(words) };
}

/** Mean share of different words over all windows (Covington and McFall 2010, “Cutting the Gordian knot”). */
export function movingAverage(words: readonly string[], window = WINDOW): number | null {
  if (words.length < window) return null;
  const counts = new Map<string, number>();
  let sum = 0;
  for (const [index, word] of words.entries()) {
    counts.set(word, (counts.get(word) ?? 0) + 1);
    const gone = words[index - window];
    if (gone !== undefined) {
      const left = (counts.get(gone) ?? 1) - 1;
      if (left === 0) counts.delete(gone);
      else counts.set(gone, left);
    }
    if (index >= window - 1) sum += counts.size / window;
  }
  return sum / (words.length - window + 1);
}

/** Measure of textual lexical diversity, forwards and backwards (McCarthy and Jarvis 2010). */
export function mtld(words: readonly string[]): number | null {
  if (words.length < LEAST_WORDS) return null;
  return (stretches(words) + stretches([...words].reverse())) / 2;
}

function stretches(words: readonly string[]): number {
  let factors = 0;
  let seen = new Set<string>();
  let length = 0;
  for (const word of words) {
    seen.add(word);
    length++;
    if (seen.size / length > FACTOR) continue;
    factors++;
    seen = new Set();
    length = 0;
  }
  if (length > 0) factors += (1 - seen.size / length) / (1 - FACTOR);
  return factors === 0 ? words.length : words.length / factors;
}
