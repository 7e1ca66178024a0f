import { written } from "../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../language/tags/tag-sets.ts";
import { sentencesOf } from "../grammar/sentences/sentences.ts";
import { type Found, markCheck } from "../mark-check.ts";
import { longSentence as card } from "./cards.ts";
import { NOT_PROSE } from "./not-prose.ts";

const LONG = 40;

/** A sentence beyond what is read in one breath. */
export const longSentence = markCheck({
  ...card,
  reason: "The sentence is long.",
  notIn: NOT_PROSE,
  find(syntax) {
    const found: Found[] = [];
    for (const { from, to } of sentencesOf(syntax)) {
      if (to - from <= LONG) continue;
      let words = 0;
      for (let unit = from; unit < to; unit++) {
        const tag = syntax.tags[unit] ?? 0;
        if (!TAG_SETS.STOP[tag] && tag !== TAG.POS && !written(syntax, unit).startsWith("’"))
          words++;
      }
      if (words <= LONG) continue;
      const shown = Math.min(from + 5, to);
      found.push({ from, to: shown, mends: [], reason: `This sentence has ${words} words.` });
    }
    return found;
  },
});
