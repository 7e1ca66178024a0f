import { TAG, TAG_SETS } from "../../language/tags/tag-sets.ts";
import { markCheck } from "../mark-check.ts";
import { outdated as card } from "./cards.ts";

export const outdated = markCheck({
  ...card,
  reason: "Many readers object to “{}”.",
  phraseList: "outdated",
  accepts: ({ bounds, pattern }, { words, tags, text, units }) => {
    const first = bounds[2 * pattern.marked.from] ?? 0;
    const last = (bounds[2 * pattern.marked.to - 1] ?? 1) - 1;
    // "the poor harvest", "the elderly boat": an adjective before its noun.
    if (words[first]?.form === "the" && last === first + 1) {
      const next = tags[last + 1] ?? 0;
      if (TAG_SETS.NOMINAL[next] || TAG_SETS.ADJ[next] || tags[last] === TAG.RB) return false;
    }
    return !/^\p{Lu}/u.test(text.slice(units[first]?.from ?? 0)) || first === 0;
  },
  groups: true,
});
