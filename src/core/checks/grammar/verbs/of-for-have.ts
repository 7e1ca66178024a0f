import { markCheck } from "../../mark-check.ts";
import { modalOf as card } from "./cards.ts";

/** Forms of verbs that patterns tell: after modals, “let”, prepositions, “if”, “since”. */

/** "could of": heard for "could have". */
export const modalOf = markCheck({
  ...card,
  inSpeechToo: true,
  reason: "After “{before}”: “have”, however it sounds.",
  patterns: [
    "could|should|would|might|must|may not|n't? [of] VBN|VBD|VB|RB|left|gone|been|seen|had|come|become|run|read|put|let|set|cut|hit|shut => have :: The word after the auxiliary is “have”.",
    "could|should|would|might|must|may not|n't? [a] been|gone|done|seen => have :: The word after the auxiliary is “have”.",
  ],
  accepts: ({ bounds }, { words }) =>
    words[bounds[4] ?? 0]?.form !== "course" && words[bounds[5] ?? 0]?.form !== "course",
});
