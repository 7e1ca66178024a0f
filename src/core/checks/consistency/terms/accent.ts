import { TAG } from "../../../language/tags/tag-sets.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { placed, withCapitalsOf } from "../places.ts";
import { ACCENTED, signsOf, withoutAccents } from "../word-signs.ts";
import { accent as card } from "./cards.ts";

/** A word or name with its accents, and without. */
export const accent = formCheck<FormFact>({
  ...card,
  matter: "spelling",
  examine(block, language) {
    const facts: FormFact[] = [];
    const syntax = block.syntax();
    if (!syntax) return facts;
    const { units, words, tags } = syntax;
    const signs = signsOf(block, syntax, language);
    for (let at = 0; at < units.length; at++) {
      const isName = tags[at] === TAG.NNP && words[at]?.traits === 0;
      const asks =
        ((signs[at] ?? 0) & ACCENTED) !== 0 || (isName && at !== syntax.sentenceFrom[at]);
      const unit = units[at];
      const form = words[at]?.form;
      if (!asks || !unit || form === undefined) continue;
      facts.push(placed(block, { ...unit, key: withoutAccents(form), form }, at));
    }
    return facts;
  },
  write: ({ from, to }, form, text) => withCapitalsOf(text.slice(from, to), form),
});
