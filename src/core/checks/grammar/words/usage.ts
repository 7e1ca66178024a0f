import { markCheck } from "../../mark-check.ts";
import { usage as card } from "./cards.ts";

/** Constructions that English has not: "must to go", "since three weeks". */
export const usage = markCheck({
  ...card,
  reason: "English has “{1}”.",
  phraseList: "usage",
  accepts({ bounds, pattern }, { words, sentenceFrom }) {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    if (words[marked]?.form !== "myself") return true;
    // "I told myself": its own "I" comes before.
    for (let unit = marked - 1; unit >= (sentenceFrom[marked] ?? 0); unit--) {
      if (words[unit]?.form === "i") return false;
    }
    return true;
  },
});
