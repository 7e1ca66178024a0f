import { type Syntax, type VerbGroup, written } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import type { Found } from "../../mark-check.ts";
import { finiteIn, sentencesOf, TAKES_CLAUSE } from "../sentences/sentences.ts";

const OPENERS = wordList("opening-clause/openers");

/** "When the tide turned the boats came in": where an opening clause ends and the sentence begins. */
export function openingClauses(syntax: Syntax): Found[] {
  const found: Found[] = [];
  for (const { from, to } of sentencesOf(syntax)) {
    if (to - from < 6 || to - from > 40) continue;
    const begins = mainClauseIn(syntax, from, to);
    if (begins < 0) continue;
    const last = begins - 1;
    found.push({ from: last, to: last + 1, mends: [`${written(syntax, last)},`], unsure: true });
  }
  return found;
}

/** The first unit of the main clause after an opening one without a comma; -1 where it is not plain. */
function mainClauseIn(syntax: Syntax, from: number, to: number): number {
  const { words, tags, nounGroups, nounAt } = syntax;
  if (!OPENERS.has(words[from]?.form ?? "")) return -1;
  const subject = nounGroups[nounAt[from + 1] ?? -1];
  if (!subject || subject.from !== from + 1) return -1;
  const [first, second] = finiteIn(syntax, from, to);
  if (!first || !second || first.finite > subject.to + 1) return -1;
  if (TAKES_CLAUSE.has(words[first.main]?.form ?? "")) return -1;
  for (let unit = from + 1; unit < second.from; unit++) {
    const tag = tags[unit] ?? 0;
    if (TAG_SETS.STOP[tag] || TAG_SETS.WH[tag] || tag === TAG.CS || tag === TAG.CC) return -1;
  }
  return subjectBefore(syntax, first, second);
}

/** Where the subject of the second verb begins; -1 where it is not a noun with its determiner or a pronoun. */
function subjectBefore(
  { nounGroups, nounAt, tags, words }: Syntax,
  first: VerbGroup,
  second: VerbGroup,
): number {
  const group = nounGroups[nounAt[second.from - 1] ?? -1];
  if (!group || group.to !== second.from || group.from < first.to) return -1;
  if (tags[group.from - 1] === TAG.IN || words[group.from]?.form === "that") return -1;
  const opens = group.determiner === group.from || TAG_SETS.SUBJECT[tags[group.from] ?? 0] === 1;
  return opens ? group.from : -1;
}
