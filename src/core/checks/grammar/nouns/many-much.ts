import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { markCheck } from "../../mark-check.ts";
import { manyMuch as card } from "./cards.ts";

/** "much boats", "many water". */
export const manyMuch = markCheck({
  ...card,
  reason: "“Many” counts, “much” does not: “{1}”.",
  patterns: [
    "how|too|so|as|not|n't|very|without [much] NNS => many",
    "[much] visitors|people|boats|books|things|others|days|men|women|children|problems|questions|ways => many",
    "how|too|so|as|very|not [many] water|information|money|time|work|oil|rain|snow|sand|air|heat|light|food|wood|traffic|advice|evidence|equipment|furniture|noise|damage|trouble|sugar|milk|blood|help|care !NOUN => much",
    "<s> [many] water|information|money|oil|rain|snow|sand|food|traffic|advice|evidence|equipment|furniture|damage !NOUN => much",
    "several|many [NN] in|on|at|of|to|from|with|were|are|have|.|, => $2:NNS",
    "a few [NN] in|on|at|were|are|have|.|, => $3:NNS",
  ],
  accepts: ({ bounds, pattern }, { words, tags }, { lexicon, words: table }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const form = words[marked]?.form ?? "";
    if (form === "much") {
      const noun = words[bounds[2 * pattern.marked.to] ?? marked + 1]?.form ?? "";
      return !NOT_COUNTED.has(noun);
    }
    if (form === "many") {
      // "many food and drink firms": the noun only leads to another.
      const after = tags[(bounds[2 * pattern.marked.to] ?? marked + 1) + 1] ?? 0;
      return after !== TAG.CC && !TAG_SETS.NOMINAL[after];
    }
    if (tags[marked] !== TAG.NN || !/^[a-z]{3,}$/.test(form)) return false;
    if (PLURAL_AS_THEY_ARE.has(form)) return false;
    const plural = table.inflect(form, "NNS");
    return plural !== form && lexicon.varieties(plural) !== 0 && lexicon.frequency(form) > 8;
  },
});

const NOT_COUNTED = wordList("many-much/not-counted");
const PLURAL_AS_THEY_ARE = wordList("many-much/plural-as-they-are");
