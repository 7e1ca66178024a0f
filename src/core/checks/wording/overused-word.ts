import type { Across, Check, Totals, Verdict } from "../check.ts";
import { times } from "../telling.ts";
import { overusedWord as card } from "./cards.ts";
import { byLemma, type ContentWord, contentWords, type LemmaTally } from "./repetition.ts";

/** Uses a thousand words, beyond what is usual for the word, from which on it is used often. */
const OFTEN = 3;
const LEAST_USES = 6;

/** A word used far more often than other texts use it, with all its places. */
export const overusedWord: Check<ContentWord> = {
  ...card,
  examine: contentWords,
  across: {
    counting: byLemma,
    totals: () => new ContentTotal(),
    judge(_lemma, { count }, total) {
      if (count < LEAST_USES) return { verdict: null };
      // At most this many content words in all, and it is used often.
      const most = Math.floor((1000 * count) / (OFTEN * WORDS_A_CONTENT_WORD));
      return total <= most
        ? { verdict: OFTEN_USED, until: most + 1 }
        : { verdict: null, from: most + 1 };
    },
    // Nouns are mostly what the text is about; qualities and doings are habits.
    speaks: ({ role }) => role === "other",
    find: ({ from, to, word }) => ({
      from,
      to,
      reason: `“${word}” is used far more often than usual.`,
      gathers: true,
    }),
    tell: (lemma, { count }) => [{ note: `“${lemma}” is used ${times(count)}, in all its forms.` }],
  } satisfies Across<ContentWord, LemmaTally>,
  choose: () => [],
};

const OFTEN_USED: Verdict = {};

/** The content words of the document. */
class ContentTotal implements Totals<LemmaTally> {
  private total = 0;

  add({ count }: LemmaTally): void {
    this.total += count;
  }

  remove({ count }: LemmaTally): void {
    this.total -= count;
  }

  level(): number {
    return this.total;
  }
}

/** About one word in three says something of the matter. */
const WORDS_A_CONTENT_WORD = 3;
