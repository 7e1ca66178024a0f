import { TAG } from "../../../language/tags/tag-sets.ts";
import { markCheck } from "../../mark-check.ts";
import { adverbSplice as card } from "./cards.ts";
import { finiteIn, NOT_SENTENCES, SUBORDINATORS } from "./sentences.ts";

/** "…, however the wall held": an adverb is no conjunction. */
export const adverbSplice = markCheck({
  ...card,
  reason: "A comma is too little between two sentences: “{1}”.",
  notIn: NOT_SENTENCES,
  patterns: [
    "VERB|NOUN|ADJ|RB|PPO [, however|therefore|moreover|nevertheless|furthermore|consequently|nonetheless] PPS|PPSS VERB|MD => ; $3,",
    "VERB|NOUN|ADJ|RB|PPO [, however|therefore|moreover|nevertheless|furthermore|consequently|nonetheless] the|a|his|her|their|our|its|this|these NOUN VERB|MD => ; $3,",
    "VERB|NOUN|ADJ|RB|PPO [, however|therefore|moreover|nevertheless|furthermore|consequently|nonetheless ,] PPS|PPSS VERB|MD => ; $3,",
    "VERB|NOUN|ADJ|RB|PPO [, however|therefore|moreover|nevertheless|furthermore|consequently|nonetheless ,] the|a|his|her|their|our|its|this|these NOUN VERB|MD => ; $3,",
  ],
  accepts: ({ bounds }, syntax) => {
    const comma = bounds[2] ?? 0;
    const from = syntax.sentenceFrom[comma] ?? 0;
    if (SUBORDINATORS.has(syntax.words[from]?.form ?? "") || syntax.tags[from] === TAG.CC)
      return false;
    for (let unit = from; unit < comma; unit++)
      if (syntax.tags[unit] === TAG[","] || syntax.tags[unit] === TAG.CS) return false;
    return finiteIn(syntax, from, comma).length > 0;
  },
});
