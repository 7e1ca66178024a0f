import { markCheck } from "../../mark-check.ts";
import { usedTo as card } from "./cards.ts";

/** "use to", "suppose to". */
export const usedTo = markCheck({
  ...card,
  reason: "“{1}” is meant.",
  patterns: [
    "be~ [suppose] to => supposed",
    "is|are|was|were|am|'m|'re|get|gets|getting|become|became not? [use] to => used",
    "<s> we|they|i|he|she|it|you [use] to VB => used",
    "there|always|never [use] to be => used",
    "did|didn not|n't [used] to => use",
    "did n't [used] to => use",
  ],
});
