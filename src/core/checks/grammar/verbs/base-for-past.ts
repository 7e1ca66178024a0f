import { TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { baseForPast as card } from "./cards.ts";
import { isPastTime, PAST_TIMES } from "./past-times.ts";

/** "He come home late last night." */
export const baseForPast = markCheck({
  ...card,
  reason: "The time is past: “{1}”.",
  at: PAST_TIMES,
  find(syntax, { words: table }) {
    const found: Found[] = [];
    const { words, verbGroups, sentenceFrom, sentenceTo } = syntax;
    for (const [unit, word] of words.entries()) {
      if (!isPastTime(syntax, unit)) continue;
      const from = sentenceFrom[unit] ?? 0;
      const to = sentenceTo[unit] ?? words.length;
      const end = word.form === "last" ? unit + 2 : unit + 1;
      // The time must open or close the sentence, and the sentence hold one verb only.
      if (unit > from && end < to && !TAG_SETS.STOP[syntax.tags[end] ?? 0]) continue;
      const own = verbGroups.filter((verb) => verb.from >= from && verb.to <= to);
      const verb = own[0];
      if (own.length !== 1 || !verb || verb.tense !== "present" || verb.finite !== verb.main)
        continue;
      const form = words[verb.main]?.form ?? "";
      if (/^(?:is|are|am|'s|be|'re|'m|has|have)$/.test(form) || /\d/.test(form)) continue;
      if (!syntax.nounGroups.some((group) => group.from >= from && group.to <= verb.from)) continue;
      found.push({
        from: verb.main,
        to: verb.main + 1,
        mends: [table.inflect(table.verb(form), "VBD")],
      });
    }
    return found;
  },
});
