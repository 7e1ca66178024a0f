import { TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { markCheck } from "../../mark-check.ts";
import { whoWhom as card } from "./cards.ts";

/** "to who", "the clerk whom wrote". */
export const whoWhom = markCheck({
  ...card,
  reason: "Not “{}” here: “{1}”.",
  patterns: [
    "to|for|with|from|by|of|about|against|at|among|behind|beside|through|under|upon|without [who] PRONOUN|the|a|my|his|her|their|our|did|do|does|is|are|was|were => whom",
    "NOUN|one|those|NNP [whom] VBZ|VBD => who",
    "<s> [whom] VBZ|VBD|MD !PRONOUN|DT|PRP$|the => who",
  ],
  accepts: ({ bounds, pattern }, { words, tags }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    if (words[marked]?.form === "who") {
      // "depends on who is there": the whole clause is the object.
      const next = words[marked + 1]?.form ?? "";
      // "judged by who you are", "keep track of who did what": a question within the sentence.
      if (/^(?:am|are|is|was|were|be)$/.test(words[marked + 2]?.form ?? "")) return false;
      if (/^(?:did|do|does)$/.test(next) && !TAG_SETS.PRONOUN[tags[marked + 2] ?? 0]) return false;
      if (/^(?:is|are|was|were|did|do|does)$/.test(next)) {
        return marked - 1 === 0 ||
          /^(?:did|do|does)$/.test(next) ||
          TAG_SETS.NOMINAL[tags[marked - 2] ?? 0] === 1
          ? /^(?:did|do|does)$/.test(next)
          : false;
      }
      const before = words[marked - 1]?.form ?? "";
      return before !== "about" && before !== "on";
    }
    return true;
  },
});
