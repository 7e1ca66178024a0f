import { TAG } from "../../../language/tags/tag-sets.ts";
import { markCheck } from "../../mark-check.ts";
import { introductoryComma as card } from "./cards.ts";
import { openingClauses } from "./opening-clause.ts";

/** "However the wall held." */
export const introductoryComma = markCheck({
  ...card,
  reason: "A comma is missing after the opening: “{1}”.",
  patterns: [
    "<s> [however] the|a|an|we|they|i|he|she|it|there|this|these|that|our|my|his|her|their|its|in|when|if => $2,",
    "<s> [moreover|furthermore|nevertheless|nonetheless|consequently|additionally|conversely|incidentally|likewise|accordingly|unfortunately|fortunately|admittedly|interestingly|surprisingly] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their|its => $2,",
    "<s> [therefore] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their|its => $2,",
    "<s> [for example] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their|if|when|in|one => $2 $3,",
    "<s> [for instance] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their|if|when|in|one => $2 $3,",
    "<s> [in addition] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their => $2 $3,",
    "<s> [in fact|contrast|conclusion|particular|short] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their => $2 $3,",
    "<s> [on the other hand] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their => $2 $3 $4 $5,",
    "<s> [as a result] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their => $2 $3 $4,",
  ],
  accepts: ({ bounds, pattern }, syntax) => {
    const first = bounds[2 * pattern.marked.from] ?? 0;
    const after = bounds[2 * pattern.marked.to - 1] ?? 0;
    if (syntax.words[first]?.form === "however") {
      // "However the wall is built, it holds": a clause that a comma ends.
      const end = syntax.sentenceTo[first] ?? after;
      for (let unit = after; unit < end - 1; unit++) {
        if (syntax.tags[unit] === TAG[","] && (syntax.nounAt[unit + 1] ?? -1) >= 0) return false;
      }
    }
    return syntax.text[syntax.units[after - 1]?.to ?? 0] === " ";
  },
  at: ["<s> when|if|because|although|though|unless|whenever|after|before|until|once"],
  find: (syntax) => openingClauses(syntax),
  notIn: ["heading", "cell"],
});
