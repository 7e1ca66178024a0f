import { VARIETY_BITS } from "../../../language/words/lexicon.ts";
import { counterpartOf } from "../../../language/words/respell.ts";
import type { Variety } from "../../../manuscript/model.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { placed, withCapitalsOf } from "../places.ts";
import { signsOf, VARIANT, VARIANT_OF } from "../word-signs.ts";
import { variantSpelling as card } from "./cards.ts";

/** The group of all words that may end in either, which a text decides once. */
const IZE = "-ise or -ize";

interface SpellingFact extends FormFact {
  /** The word as it is spelled here, lower case, and in the group of its own. */
  word: string;
}

/** One word, or one ending, spelled in two ways. */
export const variantSpelling = formCheck<SpellingFact>({
  ...card,
  matter: "spelling",
  examine(block, language) {
    const { lexicon } = language;
    const facts: SpellingFact[] = [];
    const syntax = block.syntax();
    if (!syntax) return facts;
    const { units, words } = syntax;
    const signs = signsOf(block, syntax, language);
    for (let at = 0; at < words.length; at++) {
      const unit = units[at];
      if (!unit || ((signs[at] ?? 0) & VARIANT) === 0) continue;
      const word = words[at]?.form ?? "";
      const key = VARIANT_OF.get(word) ?? word;
      facts.push(placed(block, { ...unit, key, form: word, word }, at));
    }
    for (const { from, to, text, bits } of block.unusual) {
      const word = text.toLowerCase();
      if (bits === 0 || VARIANT_OF.has(word) || /\p{Lu}/u.test(text.slice(1))) continue;
      const american = bits & VARIETY_BITS["en-US"] ? word : counterpartOf(word, "en-US", lexicon);
      if (american === null) continue;
      const ending = /([iy])([sz])(?=(?:e[ds]?|ing|ers?|ations?)$)/.exec(word);
      if (ending) {
        const habit = ending[1] === "y" ? "-yse or -yze" : IZE;
        const form = `-${ending[1]}${ending[2]}e`;
        facts.push(placed(block, { from, to, key: habit, form, word }));
      } else if (american !== word || counterpartOf(word, "en-GB", lexicon)) {
        facts.push(placed(block, { from, to, key: american, form: word, word }));
      }
    }
    return facts;
  },
  // What the variety of English does not have is put right, whatever most places have.
  rules(key, counts, { variety, language: { lexicon } }) {
    if (key === "-yse or -yze")
      return { form: USES_YZE.has(variety) ? "-yze" : "-yse", by: "variety" };
    if (key === IZE) {
      if (variety === "en-US") return { form: "-ize", by: "variety" };
      return null;
    }
    const own = [...counts.keys()];
    const known = own.filter((form) => (lexicon.varieties(form) & VARIETY_BITS[variety]) !== 0);
    return known.length === 1 && own.length > 1 ? { form: known[0] ?? "", by: "variety" } : null;
  },
  write({ from, to, word }, form, text) {
    const written = text.slice(from, to);
    if (!form.startsWith("-")) return withCapitalsOf(written, form);
    const letter = form.charAt(2);
    const at = word.search(/[sz](?=(?:e[ds]?|ing|ers?|ations?)$)/);
    return at < 0
      ? null
      : written.slice(0, at) + likeCase(written.charAt(at), letter) + written.slice(at + 1);
  },
});

const USES_YZE: ReadonlySet<Variety> = new Set(["en-US", "en-CA"]);

function likeCase(model: string, letter: string): string {
  return model === model.toUpperCase() ? letter.toUpperCase() : letter;
}
