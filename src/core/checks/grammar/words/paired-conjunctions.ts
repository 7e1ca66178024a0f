import { type Syntax, written } from "../../../language/phrases/syntax.ts";
import { TAG } from "../../../language/tags/tag-sets.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { sentencesOf } from "../sentences/sentences.ts";
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
  at: [", but|so"],
  find: (syntax) => twiceJoined(syntax),
});

/** "Although it is old, but it works": the opening joins the clauses already. */
function twiceJoined(syntax: Syntax): Found[] {
  const found: Found[] = [];
  const { words, tags } = syntax;
  for (const { from, to } of sentencesOf(syntax)) {
    const opener = words[from]?.form ?? "";
    const even = opener === "even" && words[from + 1]?.form === "though";
    const second =
      /^(?:although|though)$/.test(opener) || even ? "but" : opener === "because" ? "so" : "";
    if (second === "") continue;
    let comma = from;
    while (comma < to && tags[comma] !== TAG[","]) comma++;
    const subject = syntax.nounGroups[syntax.nounAt[comma + 2] ?? -1];
    if (words[comma + 1]?.form !== second || subject?.from !== comma + 2) continue;
    if ((syntax.verbGroups[syntax.verbAt[subject.to] ?? -1]?.finite ?? -1) !== subject.to) continue;
    const reason = `“${written(syntax, from)}” joins the clauses already.`;
    found.push({ from: comma + 1, to: comma + 2, mends: [""], reason });
  }
  return found;
}
