/**
 * How often writers put one piece of spelling for another, counted on published misspellings, with
 * up to two letters around it (Brill and Moore 2000, "An improved error model for noisy channel
 * spelling correction"). `^` and `$` stand for a word's ends.
 *
 * The text: lines "before|meant|after|typed|times|chances", where chances are the places in the
 * words meant at which it could have happened.
 */
export interface Rewrite {
  before: string;
  meant: string;
  after: string;
  typed: string;
}

/** How many letters of context each finer estimate takes, before and after the piece. */
const CONTEXTS: readonly (readonly [number, number])[] = [
  [1, 0],
  [1, 1],
  [2, 1],
  [2, 2],
];

/** How strongly a coarser estimate holds against few chances; chosen on the tuning pairs. */
const COARSER_COUNTS = 6;

/** The keys of a rewriting with growing context; each once, as contexts end with the word. */
export function rewriteKeys({ before, meant, after, typed }: Rewrite): Set<string> {
  return new Set(
    CONTEXTS.map(
      ([left, right]) => `${before.slice(-left)}|${meant}|${after.slice(0, right)}|${typed}`,
    ),
  );
}

export class Rewrites {
  private readonly counts = new Map<string, { times: number; chances: number }>();

  constructor(text: string) {
    for (const line of text.split("\n")) {
      const fields = line.split("|");
      const [times, chances] = fields.splice(4);
      if (chances === undefined) continue;
      this.counts.set(fields.join("|"), { times: Number(times), chances: Number(chances) });
    }
  }

  /** How likely it is to type a piece so where another was meant, given a first guess of it. */
  likelihood({ before, meant, after, typed }: Rewrite, guess: number): number {
    let likely = guess;
    for (const key of rewriteKeys({ before, meant, after, typed })) {
      const counted = this.counts.get(key);
      if (!counted) break;
      likely = (counted.times + COARSER_COUNTS * likely) / (counted.chances + COARSER_COUNTS);
    }
    return likely;
  }
}
