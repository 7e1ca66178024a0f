import { TAG } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { markCheck } from "../../mark-check.ts";
import { swappedWords as card } from "./cards.ts";

/** "the of", "in the to". */
export const swappedWords = markCheck({
  ...card,
  reason: "These words have changed places: “{1}”.",
  patterns: [
    "[the of] JJS|NOUN|ADJ|two|three|most => of the",
    "VERB|NOUN [the to] NN|NNS => to the",
    "VERB|NOUN|RB [the in|on|at|from|with|for|by] NN|NNS .|,|and|</s> => $3 the",
    "VERB|NOUN|RB [the in|on|at|from|with|for|by] NN|NNS </s> => $3 the",
    "VERB [a in|on|at|from|with|for|of|to] NN|NNS|ADJ => $3 a",
    "[to back] the => back to",
  ],
  accepts: ({ bounds, pattern }, { words, tags, text, units }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const second = words[marked + 1]?.form ?? "";
    const next = words[marked + 2]?.form ?? "";
    if (
      text[units[marked + 1]?.to ?? 0] === "-" ||
      /["“”]/.test(text.slice(units[marked]?.from ?? 0, units[marked + 1]?.to ?? 0))
    )
      return false;
    // "the IN operator": a word of a language of its own.
    if (/\p{Lu}{2}/u.test(text.slice(units[marked + 1]?.from ?? 0, units[marked + 1]?.to ?? 0)))
      return false;
    if (second === "back") return BEFORE_BACK.has(words[marked - 1]?.form ?? "");
    if (/^(?:crowd|tray|switch|position|button|side)$/.test(next)) return false;
    if (second === "by" || second === "from") return tags[marked + 2] === TAG.NN;
    return tags[marked] !== TAG.NNP;
  },
});

const BEFORE_BACK = wordList("swapped-words/before-back");
