import { wordList } from "../../language/words/word-lists.ts";
import { markCheck } from "../mark-check.ts";
import { intensifier as card } from "./cards.ts";

/** "very", "really", "extremely". */
export const intensifier = markCheck({
  ...card,
  reason: "Without “{}” it says the same.",
  patterns: [
    "[very|really|extremely|truly|totally|absolutely|utterly|incredibly|hugely|awfully] JJ|RB => -",
    "[basically|literally|actually] VERB|JJ => -",
  ],
  accepts: ({ bounds }, { words }) => {
    const at = bounds[0] ?? 0;
    const before = words[at - 1]?.form ?? "";
    const next = words[at + 1]?.form ?? "";
    if (BEFORE_NEEDED.has(before)) return false;
    return !/^(?:much|few|little|many|well|first|last|same|often|soon)$/.test(next);
  },
  groups: true,
});

const BEFORE_NEEDED = wordList("intensifier/before-needed");
