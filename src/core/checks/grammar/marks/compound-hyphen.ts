import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { compoundHyphen as card } from "./cards.ts";

/** "a well known fact", "a five year plan", "a newly-built boat". */
export const compoundHyphen = markCheck({
  ...card,
  reason: "Before a noun: “{1}”.",
  patterns: [
    "a|an|the|this|my|our|his|her|their|no|some|any [well|ill known|written|made|kept|built|defined|established|read|paid|dressed|informed|equipped|meant] NOUN|ADJ => $2-$3",
    "a|an|the|this|our|his|her|their [long|short|medium term] NOUN|ADJ => $2-$3",
    "a|an|the|this|our|his|her|their [full|part time] job|work|post|staff|keeper|clerk|worker|employee|student|teacher|nurse|position => $2-$3",
    "a|an|the|this|our|his|her|their [first|second|third class|rate|hand|floor|year] NN => $2-$3",
    "a|an|the|this|our|his|her|their [high|low|middle|large|small quality|level|speed|pressure|income|class|scale|risk|cost] NN|NNS => $2-$3",
    "a|an|the|this|his|her|our|their [two|three|four|five|six|seven|eight|nine|ten|twelve|twenty|thirty|fifty|hundred year|month|week|day|hour|minute|mile|foot|inch|man|part|page|storey|story|bedroom] NN => $2-$3",
    "a|an|the|this|his|her|our [two|three|four|five|six|seven|eight|nine|ten|twelve|twenty year|month|week|day old] NOUN => $2-$3-$4",
    "a|an|the [up to date] NOUN => $2-$3-$4",
    "a|an|the [state of the art] NOUN => $2-$3-$4-$5",
    "a|an|the|his|her [so called] NOUN => $2-$3",
    "a|an|the [day to day] NOUN => $2-$3-$4",
    "a|an|the [face to face] NOUN => $2-$3-$4",
    "a|an|the [one|two way|sided|thirds|piece] street|road|traffic|mirror|ticket|radio|majority|suit|argument => $2-$3",
    "a|an|the|this [hard working|earned|won] NOUN => $2-$3",
    "a|an|the|this [fast|slow|far moving|growing|running|reaching|flowing] NOUN => $2-$3",
    "a|an|the|this [old fashioned] NOUN => $2-$3",
    "a|an|the|this [left|right hand] side|man|drive|turn|corner|page|column|margin => $2-$3",
  ],
  accepts: ({ bounds, pattern }, { words, tags }) => {
    const last = bounds[2 * pattern.marked.to - 1] ?? 0;
    const form = words[last]?.form ?? "";
    const first = words[bounds[2 * pattern.marked.from] ?? 0]?.form ?? "";
    if (/^(?:first|second|third)$/.test(first)) {
      return (
        /^(?:class|rate|hand)$/.test(words[last - 1]?.form ?? "") &&
        TAG_SETS.NOUN[tags[last] ?? 0] === 1
      );
    }
    if (NUMBERS.has(first)) {
      return tags[last] === TAG.NN && !AFTER_MEASURE.has(form);
    }
    return TAG_SETS.NOUN[tags[last] ?? 0] === 1 || TAG_SETS.ADJ[tags[last] ?? 0] === 1;
  },
  find(syntax) {
    const found: Found[] = [];
    if (!syntax.text.includes("ly-")) return found;
    for (const [unit, word] of syntax.words.entries()) {
      if (!word.form.includes("ly-")) continue;
      const match = /^(\p{L}{3,}ly)-(\p{L}+(?:ed|en|wn|lt|ilt|ing|ade))$/u.exec(word.form);
      if (!match || NOT_ADVERBS.has(match[1] ?? "")) continue;
      const written = syntax.text.slice(syntax.units[unit]?.from ?? 0, syntax.units[unit]?.to ?? 0);
      found.push({
        from: unit,
        to: unit + 1,
        mends: [written.replace("-", " ")],
        reason: "No hyphen after an adverb in “-ly”: “{1}”.",
      });
    }
    return found;
  },
});

const NUMBERS = wordList("compound-hyphen/numbers");
const AFTER_MEASURE = wordList("compound-hyphen/after-measure");
const NOT_ADVERBS = wordList("compound-hyphen/not-adverbs");
