import { markCheck } from "../../mark-check.ts";
import { reasonBecause as card } from "./cards.ts";

/** "The reason is because". */
export const reasonBecause = markCheck({
  ...card,
  reason: "“Reason” and “because” say the same: “{1}”.",
  patterns: [
    "reason is|was [because] !of => that",
    "reason why? PRONOUN VERB|MD VERB? is|was [because] !of => that",
    "reason for NOUN is|was [because] !of => that",
  ],
});
