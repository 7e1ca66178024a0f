import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { markCheck } from "../../mark-check.ts";
import { requiredPreposition as card } from "./cards.ts";

/** The preposition that a verb, a noun or an adjective asks for. */
export const requiredPreposition = markCheck({
  ...card,
  reason: "“{1}” is the usual word here.",
  phraseList: "prepositions",
  accepts: ({ bounds, pattern }, { words, tags }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const form = words[marked]?.form ?? "";
    const next = words[bounds[2 * pattern.marked.to - 1] ?? 0]?.form ?? "";
    // "dependent from the start", "result to date", "depend in part on".
    if (/^(?:the|first)$/.test(form)) return true;
    if (AFTER_DEPENDENT.has(next) && /^(?:in|for|to|at|from|of)$/.test(form)) {
      return !/^(?:part|large|turn|fact|general|particular|time|whom|which)$/.test(next);
    }
    const before = tags[marked - 1] ?? 0;
    if (form === "to" && tags[marked] === TAG.TO && !pattern.source.includes("to V")) return false;
    if (
      /^(?:increase|lack|demand|need|search|result)$/.test(words[marked - 1]?.form ?? "") &&
      TAG_SETS.VERB[before] &&
      pattern.source.includes("/NN")
    )
      return false;
    return true;
  },
});

const AFTER_DEPENDENT = wordList("required-preposition/after-dependent");
