import { written } from "../../../language/phrases/syntax.ts";
import { TAG } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { sentencesOf } from "../sentences/sentences.ts";
import { semicolonAfterOpening as card } from "./cards.ts";

/** "Although it was late; they stayed." */
export const semicolonAfterOpening = markCheck({
  ...card,
  reason: "Not a semicolon: the opening is no sentence. “{1}”.",
  at: ["<s> although|though|when|if|because|since|while|after|before|unless|until|as"],
  find(syntax) {
    const found: Found[] = [];
    const { words, tags, units, text } = syntax;
    for (const { from, to } of sentencesOf(syntax)) {
      if (!OPENING_WORDS.has(words[from]?.form ?? "")) continue;
      let at = from;
      while (at < to && tags[at] !== TAG[","] && text[units[at]?.from ?? 0] !== ";") at++;
      const stop = units[at];
      if (at >= to || !stop || text[stop.from] !== ";") continue;
      const next = tags[at + 1] ?? 0;
      if (next === TAG.CC || next === TAG.CS || next === TAG.WRB) continue;
      if (!syntax.verbGroups.some((verb) => verb.finite > from && verb.to <= at)) continue;
      const label = `${written(syntax, at - 1)},`;
      found.push({
        from: at - 1,
        to: at + 1,
        mends: [{ label, edits: [{ from: stop.from, to: stop.to, insert: "," }] }],
      });
    }
    return found;
  },
});

const OPENING_WORDS = wordList("semicolon-after-opening/opening-words");
