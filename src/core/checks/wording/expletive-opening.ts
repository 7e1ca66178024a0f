import { TAG_SETS } from "../../language/tags/tag-sets.ts";
import { markCheck } from "../mark-check.ts";
import { expletiveOpening as card } from "./cards.ts";

/** "There are three gauges that need oil." */
export const expletiveOpening = markCheck({
  ...card,
  reason: "The sentence can begin with its subject: “{1}”.",
  patterns: [
    "<s> [there is|are|was|were DT|PRP$|CD|many|several|some|no|few? ADJ? NOUN that|who|which] VERB|MD => $4 $5 $6",
    "<s> [it is|was the NOUN that|who|which] VERB => $4 $5",
  ],
  accepts: ({ bounds }, { tags }) => {
    const verb = bounds[bounds.length - 2] ?? 0;
    return TAG_SETS.FINITE[tags[verb] ?? 0] === 1;
  },
});
