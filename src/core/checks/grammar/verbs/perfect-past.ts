import { subjectOf } from "../../../language/phrases/clauses.ts";
import { type Syntax, type VerbGroup, written } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import type { WordTable } from "../../../language/words/words.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { perfectPast as card } from "./cards.ts";
import { isPastTime, PAST_TIMES } from "./past-times.ts";

/** "They have closed the well in 1998": the perfect with a time that is over. */
export const perfectPast = markCheck({
  ...card,
  reason: "The time is over, so the past: “{1}”.",
  at: [...PAST_TIMES, "in CD"],
  find(syntax, { words: table }) {
    const found: Found[] = [];
    for (const verb of syntax.verbGroups) {
      if (!isPerfect(syntax, verb) || !isInPast(syntax, verb)) continue;
      const past = pastOf(syntax, verb, table);
      if (past) found.push({ from: verb.finite, to: verb.to, mends: [past] });
    }
    return found;
  },
});

function isPerfect({ words, tags }: Syntax, { finite, main, to }: VerbGroup): boolean {
  if (finite < 0 || !/^(?:have|has|'ve)$/.test(words[finite]?.form ?? "")) return false;
  return (
    main === to - 1 && to - finite <= 3 && main > finite && TAG_SETS.PAST[tags[main] ?? 0] === 1
  );
}

/** Whether a time that is over belongs to a verb: right before its clause, or after it in the same. */
function isInPast(syntax: Syntax, verb: VerbGroup): boolean {
  const { words, tags, sentenceFrom, sentenceTo } = syntax;
  const from = sentenceFrom[verb.from] ?? 0;
  const end = sentenceTo[verb.from] ?? words.length;
  for (let unit = from; unit < end; unit++) {
    if (words[unit]?.form === "since" || words[unit]?.form === "after") return false;
  }
  if (words[from]?.form === "in" && isYear(syntax, from + 1)) return true;
  if (isPastTime(syntax, from)) return true;
  for (let unit = verb.to; unit < end; unit++) {
    const tag = tags[unit] ?? 0;
    if (tag === TAG.CC || tag === TAG.CS || TAG_SETS.WH[tag] || syntax.verbAt[unit] !== -1) break;
    if (isPastTime(syntax, unit)) return true;
    const closes = unit + 2 >= end || TAG_SETS.STOP[tags[unit + 2] ?? 0] === 1;
    if (words[unit]?.form === "in" && isYear(syntax, unit + 1) && closes) return true;
  }
  return false;
}

function isYear(syntax: Syntax, unit: number): boolean {
  return unit < syntax.units.length && /^(?:1[5-9]|20)\d\d$/.test(written(syntax, unit));
}

/** The verb in the past, in its voice. */
function pastOf(syntax: Syntax, verb: VerbGroup, table: WordTable): string | null {
  const { words } = syntax;
  const between = words[verb.finite + 1]?.form ?? "";
  const main = words[verb.main]?.form ?? "";
  if (verb.main === verb.finite + 1) return table.inflect(table.verb(main), "VBD");
  if (between !== "been") return null;
  const plural = subjectOf(syntax, verb)?.number === "plural";
  return `${plural ? "were" : "was"} ${written(syntax, verb.main)}`;
}
