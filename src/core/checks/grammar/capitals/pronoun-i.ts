import { written } from "../../../language/phrases/syntax.ts";
import { TAG } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { pronounI as card } from "./cards.ts";

/** "My brother and i". */
export const pronounI = markCheck({
  ...card,
  reason: "“I” is always a capital.",
  at: ["i"],
  find(syntax) {
    const found: Found[] = [];
    const { words, tags, text, units } = syntax;
    for (const [unit, word] of words.entries()) {
      if (word.form !== "i" || written(syntax, unit) !== "i") continue;
      const before = text[(units[unit]?.from ?? 0) - 1] ?? " ";
      const after = text[units[unit]?.to ?? 0] ?? " ";
      if (!/[\s“"(]/.test(before) || !/[\s'’,]/.test(after)) continue;
      const next = tags[unit + 1] ?? 0;
      const form = words[unit + 1]?.form ?? "";
      if (!/^[\p{L}'’,]/u.test(written(syntax, unit + 1))) continue;
      // "while read i do": a variable.
      if (tags[unit - 1] === TAG.VB || tags[unit - 1] === TAG.VBD) continue;
      const verb = VERBS_AFTER_I.has(form);
      if (!verb && next !== TAG.VBD && next !== TAG.MD && next !== TAG.VB) continue;
      if (/^(?:an|the|letter|part|section|step|item|vowel)$/.test(words[unit - 1]?.form ?? ""))
        continue;
      found.push({ from: unit, to: unit + 1, mends: ["I"] });
    }
    return found;
  },
});

const VERBS_AFTER_I = wordList("pronoun-i/verbs-after-i");
