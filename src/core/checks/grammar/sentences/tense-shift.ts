import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { tenseShift as card } from "./cards.ts";

/** "She opened the door and walks in." */
export const tenseShift = markCheck({
  ...card,
  reason: "The verb before it is in another tense: “{1}”.",
  at: ["and VBD|VBZ"],
  find(syntax, { words: table }) {
    const found: Found[] = [];
    const { words, tags, verbGroups } = syntax;
    for (const [index, verb] of verbGroups.entries()) {
      const unit = verb.finite;
      if (unit < 0 || words[unit - 1]?.form !== "and" || verb.finite !== verb.main) continue;
      const before = verbGroups[index - 1];
      if (!before || before.finite < 0 || before.finite !== before.main) continue;
      if ((syntax.sentenceFrom[unit] ?? 0) !== (syntax.sentenceFrom[before.finite] ?? 0)) continue;
      if (unit - before.to > 9) continue;
      const one = tags[before.finite];
      const two = tags[unit];
      const shifted = (one === TAG.VBD && two === TAG.VBZ) || (one === TAG.VBZ && two === TAG.VBD);
      if (!shifted) continue;
      const form = words[unit]?.form ?? "";
      const other = words[before.finite]?.form ?? "";
      if (STATES.has(form) || STATES.has(other) || form.startsWith("'")) continue;
      // Only where the first verb's own subject is the only one.
      let clear = true;
      for (let at = before.to; at < unit - 1; at++) {
        if (
          tags[at] === TAG.CS ||
          TAG_SETS.WH[tags[at] ?? 0] ||
          tags[at] === TAG.PPS ||
          tags[at] === TAG.PPSS ||
          tags[at] === TAG[":"] ||
          tags[at] === TAG.QT
        )
          clear = false;
      }
      if (!clear) continue;
      const lemma = table.verb(form);
      const past = two === TAG.VBZ;
      const mend = table.inflect(lemma, past ? "VBD" : "VBZ");
      if (mend === form) continue;
      found.push({ from: unit, to: unit + 1, mends: [mend] });
    }
    return found;
  },
});

/** Verbs whose tense says more of the fact than of the story. */
const STATES = wordList("tense-shift/states");
