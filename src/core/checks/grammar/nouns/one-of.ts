import { TAG } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { markCheck } from "../../mark-check.ts";
import { oneOf as card } from "./cards.ts";

/** "one of the oldest gauge". */
export const oneOf = markCheck({
  ...card,
  reason: "“One of the” picks from several: “{1}”.",
  patterns: [
    "one of the|my|his|her|its|our|their most JJ [NN] !NN|NNS|NNP|'s|POS|- => $6:NNS",
    "one of the|my|his|her|its|our|their two|three|four|many|few? JJS [NN] !NN|NNS|NNP|'s|POS|- => $6:NNS",
    "one of the|these|those|my|his|her|its|our|their ADJ? JJ|JJS? [NN] !NN|NNS|NNP|'s|POS|of|since|itself|- => $6:NNS",
  ],
  accepts: ({ bounds }, { words, tags }, { lexicon, words: table }) => {
    const noun = bounds[10] ?? 0;
    const form = words[noun]?.form ?? "";
    if (!/^[a-z]+$/.test(form) || COLLECTIVE.has(form)) return false;
    const plural = table.inflect(form, "NNS");
    if (plural === form || lexicon.varieties(plural) === 0) return false;
    return tags[noun] === TAG.NN && lexicon.frequency(plural) > lexicon.frequency(form) - 5;
  },
});

const COLLECTIVE = wordList("one-of/collective");
