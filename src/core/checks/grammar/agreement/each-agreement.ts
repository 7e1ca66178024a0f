import { TAG } from "../../../language/tags/tag-sets.ts";
import { markCheck } from "../../mark-check.ts";
import { eachAgreement as card } from "./cards.ts";

/** "Each of the gauges have": the verb goes with "each". */
export const eachAgreement = markCheck({
  ...card,
  reason: "“Each”, “one” and “nobody” are singular: “{1}”.",
  patterns: [
    "each|either|neither of the|these|those|our|their|them|us ADJ|CD? NNS? [are|were|have|do] => $6:VBZ",
    "one of the|these|those|our|their ADJ? NNS [are|have|do] => $6:VBZ",
    "each|every|either|neither one? of the|these|those|our|their ADJ? NNS [are|were|have|do] => $7:VBZ",
    "everyone|everybody|nobody|somebody|someone|anyone|anybody IN the|these|our ADJ? NOUN [are|were|have|do] => $6:VBZ",
    "<s> everyone|everybody|nobody|somebody|someone [are|were|have|do] => $3:VBZ",
    "<s> each|every NN [are|were|have|do] => $4:VBZ",
    "each|either|neither of the|these|those|our|their ADJ|CD? NNS [VB] => $6:VBZ",
    "everyone|everybody|nobody IN the|these|our ADJ? NOUN [VB] => $6:VBZ",
  ],
  accepts: ({ bounds, pattern }, { words, sentenceFrom, tags }) => {
    const first = bounds[0] ?? 0;
    // "the types for each of the wells are": the subject stands before.
    if (first > (sentenceFrom[first] ?? 0) && tags[first - 1] === TAG.IN) return false;
    const verb = bounds[2 * pattern.marked.from] ?? 0;
    const before = words[first - 1]?.form ?? "";
    const opens =
      first === sentenceFrom[first] ||
      /^[,;:“"(]$/.test(before) ||
      tags[first - 1] === TAG.CC ||
      tags[first - 1] === TAG.CS;
    if (!opens && tags[verb] === TAG.VB && words[verb]?.form !== "have") return false;
    return !/^(?:and|or|than|with|do|does|did|if)$/.test(before) || opens;
  },
});
