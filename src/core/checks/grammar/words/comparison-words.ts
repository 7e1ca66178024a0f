import { TAG } from "../../../language/tags/tag-sets.ts";
import { markCheck } from "../../mark-check.ts";
import { comparisonWords as card } from "./cards.ts";

/** "as deep than", "bigger as". */
export const comparisonWords = markCheck({
  ...card,
  reason: "The comparison goes on with “{1}”.",
  patterns: [
    "as|so JJ|RB [than] => as",
    "JJR|more [as] the|a|an|my|his|her|our|their ADJ? one|ones|NN .|, => than",
    "JJR|RBR RB? RB? [then] the|at|in|on|a|an|my|his|her|our|their|any|all|CD|PRONOUN|we|it|he|she|they|i|you => than",
    "more|less [then] CD|a|the|half|twice => than",
    "[gooder] => better",
    "[badder] => worse",
    "[bestest] => best",
    "[worser] => worse",
    "equally [as] JJ => - :: “Equally” says what “as” says.",
    "[equally as JJ] as => as $3 :: “Equally” says what “as” says.",
    "[so] a|an JJ NN that => such",
    "be~|seem~|feel~|look~|get~|become~ [such] JJ|late|tired that => so",
  ],
  accepts: ({ bounds, pattern }, { words, tags }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const form = words[marked]?.form ?? "";
    if (form === "as" && pattern.source.startsWith("JJR")) {
      // "grew bigger as the old one sank": a clause goes on.
      const verb = words[marked - 2]?.form ?? "";
      return /^(?:is|are|was|were|be|been|'s)$/.test(verb);
    }
    if (form === "than")
      return (
        !/^(?:rather|other|more|less|different)$/.test(words[marked - 1]?.form ?? "") &&
        tags[marked - 1] !== TAG.JJR
      );
    if (form === "then" && pattern.source.startsWith("JJR"))
      return !/^(?:later|earlier|sooner|longer|farther|further|other|former|latter)$/.test(
        words[marked - 1]?.form ?? "",
      );
    return true;
  },
});
