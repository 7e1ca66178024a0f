import { TAG } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { placed, withCapitalsOf } from "../places.ts";
import { accent as card } from "./cards.ts";

/** Words taken over with their accents that are met without them too; without them here. */
const WITHOUT = wordList("accents/without");
const SHORTEST = 4;

/** A word or name with its accents, and without. */
export const accent = formCheck<FormFact>({
  ...card,
  matter: "spelling",
  examine(block) {
    const syntax = block.syntax();
    if (!syntax) return [];
    const { units, words, tags, text } = syntax;
    return words.flatMap(({ form }, at) => {
      const unit = units[at];
      if (!unit || form.length < SHORTEST) return [];
      const plain = withoutAccents(form);
      const isName = tags[at] === TAG.NNP && at !== syntax.sentenceFrom[at];
      const asks =
        plain !== form || WITHOUT.has(form) || (isName && /^\p{Lu}/u.test(text.charAt(unit.from)));
      return asks ? [placed(block, { from: unit.from, to: unit.to, key: plain, form })] : [];
    });
  },
  write: ({ from, to }, form, text) => withCapitalsOf(text.slice(from, to), form),
});

/** A word without the marks over and under its letters. */
function withoutAccents(form: string): string {
  return /[\u0080-\uffff]/.test(form) ? form.normalize("NFD").replace(/\p{M}/gu, "") : form;
}
