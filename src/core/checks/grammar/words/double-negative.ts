import { markCheck } from "../../mark-check.ts";
import { doubleNegative as card } from "./cards.ts";

/** "don't have no oil". */
export const doubleNegative = markCheck({
  ...card,
  reason: "Twice denied; once is enough: “{1}”.",
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
    "nobody|nothing|none [did n't|not VB] => $4:VBD",
    "nobody|nothing|none [does n't|not VB] => $4:VBZ",
    "nobody|none was|were|is|are|has|had [n't|not] => -",
    "[never not] => never",
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
