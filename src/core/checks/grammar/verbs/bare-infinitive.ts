import { wordList } from "../../../language/words/word-lists.ts";
import { markCheck } from "../../mark-check.ts";
import { bareInfinitive as card } from "./cards.ts";

/** "let him to stay", "made the door to shake". */
export const bareInfinitive = markCheck({
  ...card,
  reason: "No “to” after “let” and “make”: “{1}”.",
  patterns: [
    "let|lets|letting me|him|her|us|them|it|you [to VB] => $4",
    "made|makes|making me|him|us|them [to VB] => $4",
    "make me|him|us|them [to VB] => $4",
    "made|makes|make the NN [to shake|move|go|open|close|stop|fall|break|turn|run|work] => $5",
    "let|lets the|my|his|her|our|their ADJ? NOUN [VBZ|VBD] => $5:VB",
    "let|lets|makes me|him|us|them [VBZ] => $3:VB",
  ],
  accepts: ({ bounds, pattern }, { words }) => {
    const before = words[(bounds[0] ?? 0) - 1]?.form ?? "";
    if (pattern.source.startsWith("let|lets the") && /^(?:is|was|are|were|be|been|,)$/.test(before))
      return false;
    // "made the decision to stop": the infinitive belongs to the noun.
    const noun = words[bounds[4] ?? 0]?.form ?? "";
    if (NOUNS_WITH_INFINITIVE.has(noun)) return false;
    return !/^(?:is|was|are|were|be|been|being)$/.test(before);
  },
});

const NOUNS_WITH_INFINITIVE = wordList("bare-infinitive/nouns-with-infinitive");
