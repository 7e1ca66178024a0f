import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { markCheck } from "../../mark-check.ts";
import { thatComma as card } from "./cards.ts";

/** "The clerk said, that the log was lost." */
export const thatComma = markCheck({
  ...card,
  reason: "No comma before “that”: “{1}”.",
  patterns: [
    "say~|said|says|know~|think~|thought|hope~|believe~|show~|shows|state~/VERB|mean~|means|assume~|note~/VERB|find~|found|report~/VERB|claim~|suggest~|argue~|explain~ [,] that PRONOUN|DT|PRP$|NOUN|NNP => -",
    "it is|was|seems|be very|quite|also|not? clear|possible|important|likely|true|obvious|necessary|certain|probable|strange|good|said|known|assumed|shown|noted [,] that PRONOUN|DT|PRP$|NOUN|NNP => -",
    "say~|said|says|know~|think~|thought|hope~|believe~|show~|shows|claim~|told|explained me|him|her|us|them? that [,] PPS|PPSS MD|VBD|was|were|had|has|have|is|are !, !, !, => -",
  ],
  accepts: ({ bounds, pattern }, syntax) => {
    const verb = bounds[0] ?? 0;
    const from = syntax.sentenceFrom[verb] ?? 0;
    if (pattern.source.startsWith("it ")) return true;
    if (!TAG_SETS.VERB[syntax.tags[verb] ?? 0]) return false;
    // "It was, they said, that": a comma before makes an insertion of it.
    for (let unit = from; unit < verb; unit++)
      if (syntax.tags[unit] === TAG[","] || syntax.tags[unit] === TAG.QT) return false;
    return true;
  },
});
