import { markCheck } from "../mark-check.ts";

/** "don't have no oil". */
export const doubleNegative = markCheck({
  id: "grammar/double-negative",
  weight: "settle",
  code: "neg",
  title: "Denied twice",
  why: "In standard English two negatives cancel each other out; one is meant: we don’t have any oil. “Hardly” and “scarcely” deny as well.",
  source: "common practice",
  examples: [
    { wrong: "We don’t have no oil.", right: "We don’t have any oil." },
    { wrong: "She can’t hardly see it.", right: "She can hardly see it." },
    { wrong: "They didn’t find nothing.", right: "They didn’t find anything." },
    { leave: "It is not for nothing; not that no one knew; I don’t know, no." },
    { leave: "Nothing could not be sold, and there is no doubt it isn’t no." },
  ],
  reason: "One of the two denies enough: “{1}”.",
  patterns: [
    "do|did|does|would|could|can|will|ca|wo|have|had|has n't|not VERB [no] NOUN|ADJ|more => any",
    "do|did|does|would|could|can|will|ca|wo|have|had|has n't|not VERB [nothing] => anything",
    "do|did|does|would|could|can|will|ca|wo|have|had|has n't|not VERB [nobody] => anybody",
    "do|did|does|would|could|can|will|ca|wo|have|had|has n't|not VERB [nowhere] => anywhere",
    "do|did|does|would|could|can|will|ca|wo|have|had|has n't|not VERB [none] .|, => any",
    "have|has|had n't [no] NOUN => any",
    "is|was|were|are n't [no] NOUN => any",
    "[ca n't hardly|scarcely] => can $3",
    "[could|would n't hardly|scarcely] => $1 $3",
    "nobody|nothing|none [never] VERB => ever",
  ],
  accepts: ({ bounds, pattern }, { words }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const next = words[marked + 1]?.form ?? "";
    if (words[marked]?.form === "no")
      return !/^(?:doubt|less|longer|matter|one|means|such|fewer|small)$/.test(next);
    if (words[marked]?.form === "nothing") {
      return (
        !/^(?:but|of|to|if|less)$/.test(next) &&
        words[marked - 1]?.form !== "is" &&
        words[marked - 1]?.form !== "for"
      );
    }
    return true;
  },
});

/** "neither … or", "both … or". */
export const pairedConjunctions = markCheck({
  id: "grammar/paired-conjunctions",
  weight: "fix",
  code: "cj",
  title: "“neither … nor”, “either … or”, “both … and”",
  why: "These go in pairs: neither … nor, either … or, both … and.",
  source: "common practice",
  examples: [
    { wrong: "It is neither cheap or safe.", right: "It is neither cheap nor safe." },
    { wrong: "Neither the pump or the tap works.", right: "Neither the pump nor the tap works." },
    { wrong: "He is both tired or cold.", right: "He is both tired and cold." },
    { leave: "Neither of the two or three taps works. Both men or women may come." },
  ],
  reason: "The pair goes on with “{1}”.",
  patterns: [
    "neither JJ|NN|VB|RB [or] JJ|NN|VB|RB => nor",
    "neither the|a|an|my|his|her|our|their|its ADJ? NOUN [or] the|a|an|my|his|her|our|their|its => nor",
    "neither IN the|a? NOUN [or] IN => nor",
    "be~ both JJ|VBN [or] JJ|VBN => and",
    "either JJ|NN|VB [nor] => or",
    "<s> either PRONOUN|the|a NOUN? VERB [nor] => or",
  ],
});
