import { type Syntax, type VerbGroup, written } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { finiteIn, sentencesOf, TAKES_CLAUSE } from "../sentences/sentences.ts";
import { relativeComma as card } from "./cards.ts";

/** "The crew, which had worked all night was exhausted": a clause with a comma at its start only. */
export const relativeComma = markCheck({
  ...card,
  reason: "The clause in the middle ends with a comma too: “{1}”.",
  at: [", which|who"],
  find(syntax) {
    const found: Found[] = [];
    for (const { from, to } of sentencesOf(syntax)) {
      const place = openClause(syntax, from, to);
      if (place < 0) continue;
      const mend = `${written(syntax, place - 1)}, ${written(syntax, place)}`;
      found.push({ from: place - 1, to: place + 1, mends: [mend] });
    }
    return found;
  },
});

/** The unit of the sentence's own verb where no comma closes the clause before it; -1 where there is none. */
function openClause(syntax: Syntax, from: number, to: number): number {
  const { words, tags, nounGroups, nounAt } = syntax;
  const comma = from + tags.subarray(from, to).indexOf(TAG[","]);
  if (comma < from || comma + 4 > to || !/^(?:which|who)$/.test(words[comma + 1]?.form ?? ""))
    return -1;
  // Before it stands a subject and nothing else: "They met the man, who …" has a verb there.
  if (nounGroups[nounAt[from] ?? -1]?.from !== from || finiteIn(syntax, from, comma).length > 0) {
    return -1;
  }
  const [inner, own, more] = finiteIn(syntax, comma, to);
  if (!inner || !own || more || inner.from !== comma + 2 || takesClause(syntax, inner)) return -1;
  // Whatever may open another clause, or join two verbs, leaves it open whose verb it is.
  for (let unit = inner.to; unit < own.from; unit++) {
    const tag = tags[unit] ?? 0;
    if (TAG_SETS.STOP[tag] || TAG_SETS.WH[tag] || tag === TAG.CC || tag === TAG.CS) return -1;
    if (TAG_SETS.SUBJECT[tag] || tag === TAG.QT || words[unit]?.form === "that") return -1;
  }
  return own.from > inner.to ? own.from : -1;
}

/** "Who said the boat was lost": what follows is told. */
const takesClause = ({ words }: Syntax, { main }: VerbGroup) =>
  TAKES_CLAUSE.has(words[main]?.form ?? "");
