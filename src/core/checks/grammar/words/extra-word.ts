import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { markCheck } from "../../mark-check.ts";
import { extraWord as card } from "./cards.ts";

/** "discuss about", "enter into the room", "he is was". */
export const extraWord = markCheck({
  ...card,
  reason: "One word too many: “{1}”.",
  patterns: [
    "PRONOUN|NOUN [is was] !is|was => was | is",
    "PRONOUN|NOUN [was is] !is|was => is | was",
    "PRONOUN|NOUN [are were] => were | are",
    "PRONOUN|NOUN [were are] => are | were",
    "PRONOUN|NOUN [has had] VBN => had | has",
    "PRONOUN|NOUN [have has] => has | have",
    "PRONOUN|NOUN [will|would|shall|should|must|may|might can|could|will|would|should|must|may] VB => $2 | $3",
    "PRONOUN|NOUN [can|could will|would|should|must|may|might] VB => $2 | $3",
    "[of in|on|at|for|to|with|by] the => $1 | $2",
    "[in on|at|of|to] the => $1 | $2",
    "[on in|of|to|at] the => $1 | $2",
    "[at in|on|of] the => $1 | $2",
    "[with of|in|at] the => $1 | $2",
    "[for to] VB => to",
    "could|should|would|must|may|might|can|will [to] VB => -",
    "[for of|in|on|with] the => $1 | $2",
    "[to from|of|on|at|by] the => $1 | $2",
    "[a the|my|his|its] NOUN => $2",
    "to to [VB] => $3",
    "MD|TO [be|have] be|have VBN => - :: One verb too many: “{}”.",
  ],
  accepts: ({ bounds, pattern }, { words, tags, text, units }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const last = (bounds[2 * pattern.marked.to - 1] ?? 1) - 1;
    const one = words[marked]?.form ?? "";
    const two = words[last]?.form ?? "";
    const before = words[marked - 1]?.form ?? "";
    const between = text.slice(units[marked]?.to ?? 0, units[last]?.from ?? 0);
    if (last > marked && between !== " ") return false;
    if (/^(?:is|was)$/.test(one) && /^(?:is|was)$/.test(two)) {
      return (
        TAG_SETS.PRONOUN[tags[marked - 1] ?? 0] === 1 &&
        !/^(?:it|this|that|all|what)$/.test(before) &&
        words[marked - 2]?.form !== "what" &&
        words[marked - 2]?.form !== "who" &&
        words[marked - 2]?.form !== "as" &&
        words[marked - 2]?.form !== "that"
      );
    }
    if (
      tags[marked] === TAG.IN ||
      tags[marked] === TAG.RP ||
      /^(?:of|in|on|at|with|for|to)$/.test(one)
    ) {
      // Particles of verbs stand before prepositions: "went on to the", "come in for the", "to look at in".
      if (tags[marked] === TAG.RP || TAG_SETS.VERB[tags[marked - 1] ?? 0]) return false;
      if (one === "on" || one === "in")
        return (
          /^(?:of|in|at|on)$/.test(two) &&
          TAG_SETS.NOMINAL[tags[marked - 1] ?? 0] === 1 &&
          !/^(?:moved|turned|carry)$/.test(before) &&
          one !== "on"
        );
      if (one === "for" && two === "to")
        return (
          !/^(?:what|wait|asked|waited|waiting|hope|hoped|as)$/.test(before) &&
          TAG_SETS.NOMINAL[tags[marked - 1] ?? 0] === 1
        );
      if (one === "to") return two === "of" || two === "by" ? false : two !== "from";
      return TAG_SETS.NOMINAL[tags[marked - 1] ?? 0] === 1 && tags[last] !== TAG.RP;
    }
    return true;
  },
});
