import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { markCheck } from "../../mark-check.ts";
import { missingWord as card } from "./cards.ts";

/** "one the oldest", "a lot people", "going be". */
export const missingWord = markCheck({
  ...card,
  reason: "A word is missing: “{1}”.",
  patterns: [
    "be~ [one the] JJS|most|few|first|last|many => one of the",
    "<s> [one the] NNS => one of the",
    "[a lot] people|things|times|work|money|boats|trouble|men|women|water|other|rain|time|books => a lot of",
    "[lots] people|things|times|work|money|boats => lots of",
    "a [couple] days|weeks|months|years|hours|times|minutes|things => couple of",
    "be~ [going] be|do|have|get|make|take|say|see|come|give|put|tell|go => going to",
    "be~ not|n't? [able] VB|open|close|clean|clear => able to",
    "be~ not|n't? [unable] VB => unable to",
    "want|wants|wanted [go|be|do|see|know|get|take|make|have|keep|say|leave|come|tell|find|read|put|learn] => to $2",
    "have|has|had [go] to => to go",
    "need|needs|needed|ought|tend|tends|tended|seem|seems|seemed|try|tries|tried|decide|decided|agreed|refused|hoped [be|do|make|have|get|take|find|keep|give|know] => to $2",
    "because [the|a|an|his|her|their|our] NOUN .|, => of $2",
    "instead [the|a|my|his|her|their|our] NOUN .|, => of $2",
    "out [the] house|room|way|question|blue => of the",
    "in spite [the|his|her|their|its|this|all] => of $3",
    "on behalf [the|his|her|their|our] => of $3",
    "in front [the|his|her|their|our|a] => of $3",
    "on top [the|his|her|their|our|a] => of $3",
    "in case [fire|rain|frost|doubt|need|emergency] => of $3",
    "will|would|should|must|can|could|may|might not? [ready|able|available|possible|necessary|glad|happy|late|sure|aware] => be $3",
    "according [the|a|his|her|their|our|its] => to $2",
    "due [the|a|an|his|her|their|our|its] NOUN => to $2",
    "thanks [the|his|her|their|our] NOUN , => to $2",
    "PPS|PPSS|NOUN go|goes|going|went [the] shop|office|quay|harbour|station|market|library|school|museum => to the",
  ],
  // "because the content, while short, is": the clause may still have its verb.
  unsure: ({ pattern }) => pattern.source.startsWith("because"),
  accepts: ({ bounds, pattern }, { words, tags }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const before = words[(bounds[0] ?? 0) - 1]?.form ?? "";
    // "try find", where a command is named; "nothing need be done".
    if (
      /^(?:find|make)$/.test(words[marked]?.form ?? "") ||
      (/^needs?$/.test(words[marked - 1]?.form ?? "") && words[marked]?.form === "be")
    ) {
      return false;
    }
    if (words[marked]?.form === "have" && TAG_SETS.PAST[tags[marked + 1] ?? 0]) return false;
    if (pattern.source.startsWith("need|needs")) {
      if (BEFORE_PLAIN_NEED.has(words[marked - 1]?.form ?? "")) return false;
      // "he need be": the auxiliary "need" and "dare" take no "to".
      return (
        !(words[marked - 1]?.form === "need" && !TAG_SETS.PRONOUN[tags[marked - 2] ?? 0]) &&
        tags[marked] === TAG.VB
      );
    }
    if (pattern.source.startsWith("due")) return !/^(?:the|in|with)$/.test(before);
    if (pattern.source.startsWith("want|wants")) return tags[marked] === TAG.VB;
    return true;
  },
});

const BEFORE_PLAIN_NEED = wordList("missing-word/before-plain-need");
