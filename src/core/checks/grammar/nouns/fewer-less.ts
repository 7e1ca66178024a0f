import { TAG } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { markCheck } from "../../mark-check.ts";
import { fewerLess as card } from "./cards.ts";

/** "less boats", "amount of visitors". */
export const fewerLess = markCheck({
  ...card,
  reason: "Of things that are counted: “{1}”.",
  patterns: [
    "[less] NNS => fewer",
    "[amount] of people|visitors|letters|boats|books|errors|mistakes|items|files|copies|words|days|users|students|children|men|women|cars|houses|things|questions|problems|readings|readers|changes => number",
    "[amounts] of people|visitors|letters|boats|books|errors|items|files|users|students|children|cars|things => numbers",
  ],
  accepts: ({ bounds }, { words, tags }) => {
    const marked = bounds[0] ?? 0;
    if (
      words[marked]?.form !== "less" &&
      words[marked]?.form !== "amount" &&
      words[marked]?.form !== "amounts"
    )
      return true;
    const noun = words[bounds[2] ?? 0]?.form ?? "";
    const before = words[marked - 1]?.form ?? "";
    if (SUMS.has(noun)) return false;
    return !/^(?:no|or|any|nothing|much)$/.test(before) && tags[marked - 1] !== TAG.CD;
  },
});

const SUMS = wordList("fewer-less/sums");
