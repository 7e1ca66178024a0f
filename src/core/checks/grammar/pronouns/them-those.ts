import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { markCheck } from "../../mark-check.ts";
import { themThose as card } from "./cards.ts";

/** "them charts". */
export const themThose = markCheck({
  ...card,
  reason: "“Them” points at no noun: “those”.",
  patterns: [
    "<s> [them] ADJ? NNS VERB => those",
    "<s> [them] are => those",
    "give|gave|show|showed|pass|passed|bring|brought|tell|told me|us|him|her [them] NNS => those",
    "IN|VB|VBD|put/VB [them] NNS => those",
  ],
  accepts: ({ bounds, pattern }, { words, tags, units }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    if (marked === 0) return true;
    const before = words[marked - 1]?.form ?? "";
    // "Give me them keys": what is given stands after whom it is given to.
    if (/^(?:me|us|him|her)$/.test(before)) return true;
    // Verbs that take two objects: "gave them books".
    if (TWO_OBJECTS.has(before)) {
      return before === "read" && units.length - marked > 2 && tags[marked - 1] === TAG.VBD;
    }
    if (tags[marked - 1] === TAG.IN) return /^(?:in|on|from|of|with|left)$/.test(before) && false;
    return (
      TAG_SETS.VERB[tags[marked - 1] ?? 0] === 1 &&
      /^(?:left|put|saw|see|took|take|like|want|use|need)$/.test(before)
    );
  },
});

const TWO_OBJECTS = wordList("them-those/two-objects");
