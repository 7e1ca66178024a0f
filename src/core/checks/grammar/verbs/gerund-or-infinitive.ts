import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { markCheck } from "../../mark-check.ts";
import { gerundOrInfinitive as card } from "./cards.ts";

const GERUND_VERBS =
  "avoid~|enjoy~|finish~|suggest~|risk~|postpone~|dislike~|delay~|deny~|denies|denied|denying|resist~|mind~/VERB|practise~|admit~/VERB|consider~|recommend~|imagine~|miss~/VERB|keep~/VERB";
const INFINITIVE_VERBS =
  "decide~|refuse~|promise~|hope~|expect~|agree~|manage~|afford~|threaten~|hesitate~|pretend~";

/** "avoid to do", "decide doing": what a verb takes after it. */
export const gerundOrInfinitive = markCheck({
  ...card,
  reason: "After “{before}”: “{1}”.",
  patterns: [`${GERUND_VERBS} [to VB] => $3:VBG`, `${INFINITIVE_VERBS} [VBG] => to $2:VB`],
  accepts: ({ bounds, pattern }, { words, tags }) => {
    const verb = bounds[0] ?? 0;
    if (!TAG_SETS.VERB[tags[verb] ?? 0]) return false;
    const form = words[verb]?.form ?? "";
    const before = words[verb - 1]?.form ?? "";
    if (pattern.source.includes("[to VB]")) {
      // "was considered to be", "is kept to show": passive voice is another matter.
      if (/^(?:is|are|was|were|be|been|being)$/.test(before) || tags[verb] === TAG.VBN)
        return false;
      if (/^(?:keep|consider|recommend|imagine|mind|miss)/.test(form) && tags[verb] === TAG.VBG)
        return false;
      return !/^(?:keep|kept|keeps)$/.test(form);
    }
    const after = words[bounds[3] ?? 0]?.form ?? "";
    const gerund = words[bounds[2] ?? 0]?.form ?? "";
    if (gerund === "according" || gerund === "regarding" || gerund === "depending") return false;
    if (/^(?:agree|agrees|agreed|expect|hope)/.test(form) && /^(?:on|upon)$/.test(after))
      return false;
    return tags[verb] !== TAG.VBN && after !== "'s";
  },
});
