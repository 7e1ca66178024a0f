import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { markCheck } from "../../mark-check.ts";
import { itsOrIts as card } from "./cards.ts";

/** "its" and "it's" where there is no doubt. */
export const itsOrIts = markCheck({
  ...card,
  inSpeechToo: true,
  reason: "“{1}” is meant.",
  patterns: [
    "has|have|had|lost|lose|loses|kept|on|in|of|by|with|from|for|to|at|under|into|has|changed [it 's] ADJ? own|NOUN !that|who|which|when => its",
    "[it 's] own => its",
    "at [it 's] JJS => its",
    "when|if|because|though|although|so|think|thinks|says|said|know|knows|hope|sure [its] JJ .|,|because|here|today|now|outside|again|</s> => it’s",
    "<s> [its] not|been|a|an|the|too|raining|snowing => it’s",
    "<s> [its] never|always|only|just|almost|like a|an|the|been|too|because|that|when|if|time => it’s",
    "<s> [its] clear|possible|true|important|likely that|to|if|when|for|.|, => it’s",
    "<s> [its] very ADJ|RB .|,|to|that|in|on|at|here|today|now|and|but => it’s",
    "<s> [its] going to => it’s",
    "<s> [its] time to|for|we|you|they|i|he|she|that => it’s",
    ",|and|but|that|think|thinks|say|says|said|hope|know|knows|because|if|when|though [its] not|been|a|an|the|too|raining => it’s",
    ",|and|but|that|think|thinks|say|says|said|hope|know|knows|because|if|when|though [its] never|always a|an|the|been|too => it’s",
    ",|and|but|that|think|thinks|say|says|said|hope|know|knows|because|if|when|though [its] going to => it’s",
  ],
  accepts: ({ bounds, pattern }, { words, tags }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const end = bounds[2 * pattern.marked.to - 1] ?? 0;
    if (words[marked]?.form === "it") {
      const before = tags[marked - 1] ?? 0;
      const form = words[marked - 1]?.form ?? "";
      if (words[end]?.form === "own") return true;
      // "in it's a pity", "to it's time": only what cannot be a clause.
      if (tags[end] === TAG.DT || words[end]?.form === "time") return false;
      if (PREPOSITIONS.has(form) && before === TAG.CS) return false;
      return TAG_SETS.NOUN[tags[end] ?? 0] === 1 || TAG_SETS.ADJ[tags[end] ?? 0] === 1;
    }
    // "Because its own.": what it has, not what it is.
    if (pattern.source.includes("JJ .|,"))
      return !/^(?:own|best|worst)$/.test(words[marked + 1]?.form ?? "");
    return true;
  },
});

const PREPOSITIONS = wordList("its-or-its/prepositions");
