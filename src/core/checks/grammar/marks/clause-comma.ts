import { written } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { sentencesOf } from "../sentences/sentences.ts";
import { clauseComma as card } from "./cards.ts";

/** "a clause, and another": the comma before a conjunction, and non-restrictive "which". */
export const clauseComma = markCheck({
  ...card,
  reason: "A comma is missing between the clauses: “{1}”.",
  at: ["but/CC"],
  find(syntax) {
    const found: Found[] = [];
    const { words, tags } = syntax;
    for (const { from, to } of sentencesOf(syntax)) {
      for (let unit = from + 6; unit < to - 4; unit++) {
        if (words[unit]?.form !== "but" || tags[unit] !== TAG.CC) continue;
        if (TAG_SETS.STOP[tags[unit - 1] ?? 0]) continue;
        const second = syntax.nounGroups[syntax.nounAt[unit + 1] ?? -1];
        const verb = second && syntax.verbGroups[syntax.verbAt[second.to] ?? -1];
        if (!second || second.from !== unit + 1 || !verb || verb.finite !== second.to) continue;
        if (!syntax.verbGroups.some((one) => one.finite >= from && one.to <= unit)) continue;
        if (/^(?:nothing|anything|everything|all|not)$/.test(words[unit - 1]?.form ?? "")) continue;
        found.push({ from: unit - 1, to: unit + 1, mends: [`${written(syntax, unit - 1)}, but`] });
      }
    }
    return found;
  },
});
