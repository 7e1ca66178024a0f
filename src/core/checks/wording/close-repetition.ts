import type { Across, Check, Verdict } from "../check.ts";
import { closeRepetition as card } from "./cards.ts";
import { byLemma, type ContentWord, contentWords, type LemmaTally } from "./repetition.ts";

/** In a document, uses of one word from which on it may be its subject. */
const SUBJECT = 4;

/** The same rare word again within a line or two. */
export const closeRepetition: Check<ContentWord> = {
  ...card,
  examine: contentWords,
  across: {
    counting: byLemma,
    judge: (_lemma, { count }) => ({ verdict: count < SUBJECT ? NEARNESS : null }),
    speaks: ({ before, quoted }) => before !== null && !quoted,
    find({ from, to, before }) {
      if (!before) return null;
      const reason = `“${before.word}” stands ${before.apart} words before. G shows the places, M other words.`;
      return { from, to, reason };
    },
  } satisfies Across<ContentWord, LemmaTally>,
  choose: () => [],
};

/** Whatever is near counts. */
const NEARNESS: Verdict = {};
