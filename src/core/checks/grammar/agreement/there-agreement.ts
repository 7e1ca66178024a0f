import { TAG } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { markCheck } from "../../mark-check.ts";
import { SUMS } from "./amounts.ts";
import { thereAgreement as card } from "./cards.ts";

/** "There is many": the verb goes with what follows. */
export const thereAgreement = markCheck({
  ...card,
  reason: "What follows “there” settles the verb: “{1}”.",
  patterns: [
    "there [is] no|some|any|ADJ? ADJ? NNS !'s|NN|NNS => are",
    "there [is] lots|plenty of NNS => are",
    "there [is] ADV? about|nearly|almost|over|around|roughly CD NNS => are",
    "there [is] ADV? more|fewer than CD NNS => are",
    "there [are] also|still|perhaps a|an|another|the ADJ? NN !of|and|or|,|NN|NNS => is",
    "there [is] many|several|few|two|three|four|five|these|those|various => are",
    "there [was] many|several|few|two|three|four|five|these|those|various => were",
    "there [was] no|some|any|ADJ? ADJ? NNS !'s|NN|NNS => were",
    "there [has] been many|several|few|two|three|four|five => have",
    "there [has] been ADJ? NNS !NN|NNS => have",
    "there [are] a|an|another ADJ? NN !of|and|or|,|NN|NNS => is",
    "there [are] only one => is",
    "there [were] only one => was",
    "there [were] a|an|another ADJ? NN !of|and|or|,|NN|NNS => was",
    "there [have] been a|an|one ADJ? NN !of|and|or|, => has",
  ],
  accepts: ({ bounds, pattern }, syntax) => {
    const verb = bounds[2 * pattern.marked.from] ?? 0;
    const form = syntax.words[verb]?.form ?? "";
    const last = (bounds[2 * pattern.elements.length - 1] ?? 1) - 1;
    const before = syntax.words[verb - 2]?.form ?? "";
    if (/^(?:if|wish|though)$/.test(before) && form === "were") return false;
    // "the data in there is", "from there are": a place.
    if (syntax.tags[verb - 2] === TAG.IN) return false;
    // "There is lots to do".
    if (syntax.words[last]?.form === "lots") return false;
    // Sums of money, time and distance are singular: "there is five pounds in it".
    if (form === "is" || form === "was" || form === "'s") {
      for (let at = verb + 1; at <= last; at++) {
        if (SUMS.has(syntax.words[at]?.form ?? "")) return false;
      }
      if (form === "'s") return false;
    }
    return !AMOUNT_NOUNS.has(syntax.words[verb + 2]?.form ?? "");
  },
});

const AMOUNT_NOUNS = wordList("there-agreement/amount-nouns");
