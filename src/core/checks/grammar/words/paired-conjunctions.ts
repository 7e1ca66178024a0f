import { markCheck } from "../../mark-check.ts";
import { pairedConjunctions as card } from "./cards.ts";

/** "neither … or", "both … or". */
export const pairedConjunctions = markCheck({
  ...card,
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
