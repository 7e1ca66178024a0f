import { TAG } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { markCheck } from "../../mark-check.ts";
import { doubleComparison as card } from "./cards.ts";

/** "more better", "most highest". */
export const doubleComparison = markCheck({
  ...card,
  reason: "One of the two is enough: “{1}”.",
  patterns: ["[more JJR|RBR] => $2", "the|my|his|her|our|their [most JJS|RBS] => $3"],
  accepts: ({ bounds, pattern }, { words, tags }) => {
    const second = bounds[2 * pattern.marked.to - 2] ?? 0;
    const form = words[second]?.form ?? "";
    if (!/(?:er|est)$/.test(form) || NOT_COMPARED.has(form)) return false;
    const after = tags[second + 1] ?? 0;
    const before = words[(bounds[2 * pattern.marked.from] ?? 0) - 1]?.form ?? "";
    // "more younger men", "no more higher walls": more of them.
    if (after === TAG.NNS) return false;
    return !/^(?:no|any|some|many|two|three|even)$/.test(before) || pattern.source.includes("most");
  },
});

const NOT_COMPARED = wordList("double-comparison/not-compared");
