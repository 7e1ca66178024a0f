/** By how much the model's log odds are too sure of an article; measured on sentences it had not seen. */
export const TOO_SURE = 0.1;
/** The share of places with an article that would be asked about without it; chosen on the tuning part. */
const ASKED = 0.7;
/** Articles taken for granted, lest two or three bare nouns in a short text show a habit. */
const GRANTED = 30;
const ROUNDS = 20;

/** Leads are counted in steps this small, between these bounds. */
const STEPS = 128;
const LEAST = -8;
const MOST = 20;
const SIZE = (MOST - LEAST) * STEPS + 1;

/** The odds that each step of leads stands for. */
const ODDS = Float64Array.from({ length: SIZE }, (_, step) =>
  Math.exp(LEAST + step / STEPS - TOO_SURE),
);

/** How many places have a lead, in small steps: what is taken out again leaves nothing behind. */
export class LeadCounts {
  private readonly counts = new Int32Array(SIZE);
  private first = SIZE;
  private last = -1;

  count(lead: number, by: 1 | -1): void {
    const step = Math.min(SIZE - 1, Math.max(0, Math.round((lead - LEAST) * STEPS)));
    this.counts[step] = (this.counts[step] ?? 0) + by;
    this.first = Math.min(this.first, step);
    this.last = Math.max(this.last, step);
  }

  /** How many places are expected to have lost their article, where this share of articles is lost. */
  lost(share: number): number {
    let lost = 0;
    for (let step = this.first; step <= this.last; step++) {
      const count = this.counts[step] ?? 0;
      if (count === 0) continue;
      const odds = share * (ODDS[step] ?? 0);
      lost += (count * odds) / (1 + odds);
    }
    return lost;
  }
}

/**
 * The share of its articles that a text seems to lack: the likeliest, where a place is bare either
 * because it never had one, or had and lost it (expectation and maximisation; Dempster, Laird and
 * Rubin 1977). Edited text comes near 0. A writer whose first language has no articles drops many,
 * and what would be a doubt in others' text is then a likely slip.
 */
export function shareDropped(leads: LeadCounts, articled: number): number {
  let share = 0.1;
  for (let round = 0; round < ROUNDS; round++) {
    const lost = leads.lost(share);
    share = lost / (lost + articled * ASKED + GRANTED);
  }
  return share;
}
