import { written } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { markCheck } from "../../mark-check.ts";
import { numberNoun as card } from "./cards.ts";

/** "four anchor". */
export const numberNoun = markCheck({
  ...card,
  reason: "More than one: “{1}”.",
  patterns: [
    "two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|twenty|thirty|forty|fifty ADJ? [NN] !NN|NNS|NNP|NNPS|POS|CD|VBG|VBN|JJ|-|or|by => $3:NNS",
    "two|three|four|five|six|seven|eight|nine|ten|twenty|thirty|several|many [minute] .|,|and|for|ago|later|to|in|before|after|</s> => $2:NNS",
    "#|fourteen|fifteen|sixteen|seventeen|eighteen|nineteen|sixty|seventy|eighty|ninety [day|hour|week|month|year|minute|mile|metre|meter|kilometre|dollar|page|child|person|boat|visitor|time] .|,|and|for|ago|later|to|</s> => $2:NNS",
    "all [NN] are|were|have|do|need|must|should|can|will => $2:NNS",
    "number|couple|dozens|hundreds|thousands of ADJ? [NN] .|,|in|on|at|for|to|from|with|is|are|was|were|have|and|that|which|who|</s> => $4:NNS",
    "both|several|many|few ADJ? [NN] were|are|have|do|need|want|work|stay|come|go|make|take|seem => $3:NNS",
  ],
  accepts: ({ bounds, pattern }, syntax, { lexicon, words: table }) => {
    const { words, tags } = syntax;
    const number = bounds[0] ?? 0;
    const noun = bounds[2 * pattern.marked.from] ?? 0;
    if (/^(?:[01]|.*[.,:/].*)$/.test(written(syntax, number))) return false;
    const form = words[noun]?.form ?? "";
    const before = words[number - 1]?.form ?? "";
    const after = words[noun + 1]?.form ?? "";
    if (!/^[a-z]{3,}$/.test(form)) return false;
    if (UNCOUNTED_TOO.test(words[number]?.form ?? "") && NOT_COUNTED.has(form)) return false;
    if (words[number]?.form === "number" && !/^(?:a|large|small|great|growing|high)$/.test(before))
      return false;
    if (tags[noun] !== TAG.NN && form !== "minute") return false;
    // "Chapter five time": a label; how often something is done is none.
    const labelled = TAG_SETS.NOMINAL[tags[number - 1] ?? 0] === 1 && !/^(?:time|day)$/.test(form);
    if (labelled || tags[number - 1] === TAG.CD) return false;
    // "Four last year": of what was named before.
    if (/^(?:last|next|this)$/.test(words[noun - 1]?.form ?? "")) return false;
    const others = words[noun - 1]?.form === "other";
    if (NO_COUNT_AFTER.has(before) && !others && !(before === "about" && TIMES.test(form)))
      return false;
    // "Three part per hundred" beside "three part: …".
    if (PLURAL_AS_THEY_ARE.has(form) && !(form === "part" && after === ":")) return false;
    if (after === "of" && /^(?:out|by)$/.test(form)) return false;
    // "Two sail and oar boats": they belong to a noun that follows.
    const joined = TAG_SETS.DET[tags[noun + 2] ?? 0] || TAG_SETS.VERB[tags[noun + 2] ?? 0];
    if (after === "and" && !joined) return false;
    const plural = table.inflect(form, "NNS");
    return plural !== form && lexicon.varieties(plural) !== 0 && lexicon.frequency(form) > 5;
  },
});

const NOT_COUNTED = wordList("many-much/not-counted");
const UNCOUNTED_TOO = /^(?:all|number|couple|dozens|hundreds|thousands)$/;
const TIMES = /^(?:minute|hour|day|week|month|year)$/;
const NO_COUNT_AFTER = wordList("number-noun/no-count-after");
const PLURAL_AS_THEY_ARE = wordList("number-noun/plural-as-they-are");
