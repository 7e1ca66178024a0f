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

/** Words as numbers, equal ones alike, and how many there are. */
interface Numbered {
  words: Int32Array;
  different: number;
}

function numbered(words: readonly string[]): Numbered {
  const numbers = new Map<string, number>();
  const sequence = new Int32Array(words.length);
  for (let at = 0; at < words.length; at++) {
    const word = words[at] ?? "";
    let number = numbers.get(word);
    if (number === undefined) {
      number = numbers.size;
      numbers.set(word, number);
    }
    sequence[at] = number;
  }
  return { words: sequence, different: numbers.size };
}

/** The diversity of words in their order, each given as what it counts as. */
export function diversityOf(words: readonly string[]): Diversity {
  const all = numbered(words);
  return { movingAverage: inWindows(all, WINDOW), mtld: byFactors(all) };
}

/** Mean share of different words over all windows (Covington and McFall 2010, “Cutting the Gordian knot”). */
export function movingAverage(words: readonly string[], window = WINDOW): number | null {
  return inWindows(numbered(words), window);
}

function inWindows({ words, different }: Numbered, window: number): number | null {
  if (words.length < window) return null;
  const counts = new Int32Array(different);
  let here = 0;
  let sum = 0;
  for (let at = 0; at < words.length; at++) {
    const word = words[at] ?? 0;
    if (counts[word] === 0) here++;
    counts[word] = (counts[word] ?? 0) + 1;
    if (at >= window) {
      const gone = words[at - window] ?? 0;
      counts[gone] = (counts[gone] ?? 1) - 1;
      if (counts[gone] === 0) here--;
    }
    if (at >= window - 1) sum += here;
  }
  return sum / window / (words.length - window + 1);
}

/** Measure of textual lexical diversity, forwards and backwards (McCarthy and Jarvis 2010). */
export function mtld(words: readonly string[]): number | null {
  return byFactors(numbered(words));
}

function byFactors(all: Numbered): number | null {
  if (all.words.length < LEAST_WORDS) return null;
  const backwards = { ...all, words: Int32Array.from(all.words).reverse() };
  return (stretches(all) + stretches(backwards)) / 2;
}

function stretches({ words, different }: Numbered): number {
  let factors = 0;
  /** By word, the factor it was last seen in, from 1. */
  const seenIn = new Int32Array(different);
  let factor = 1;
  let seen = 0;
  let length = 0;
  for (const word of words) {
    if (seenIn[word] !== factor) {
      seenIn[word] = factor;
      seen++;
    }
    length++;
    if (seen / length > FACTOR) continue;
    factors++;
    factor++;
    seen = 0;
    length = 0;
  }
  if (length > 0) factors += (1 - seen / length) / (1 - FACTOR);
  return factors === 0 ? words.length : words.length / factors;
}
