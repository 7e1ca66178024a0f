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
    speaks: ({ before, role }) => before !== null && role !== "quoted",
    find({ from, to, before, role }, _verdict, { kind }) {
      // A thing has one name: only stories have others for it.
      if (!before || (role === "noun" && kind !== "fiction")) return null;
      const reason = `“${before.word}” also comes ${spelled(before.apart)} words earlier.`;
      return { from, to, reason };
    },
  } satisfies Across<ContentWord, LemmaTally>,
  choose: () => [],
};

const SPELLED = "two three four five six seven eight nine".split(" ");

/** A small number as it is written in running text. */
function spelled(count: number): string {
  return SPELLED[count - 2] ?? String(count);
}

/** Whatever is near counts. */
const NEARNESS: Verdict = {};
