import { type FormFact, formCheck } from "../form-check.ts";
import { placed } from "../places.ts";
import { capitalsOf } from "../word-capitals.ts";
import { fixedCapitals as card } from "./cards.ts";

const MIXED = /\p{Ll}\p{Lu}|^\p{Lu}{2,}\p{Ll}/u;

/** A name with capitals inside ("LibTide", "mRNA"), written with others elsewhere. */
export const fixedCapitals = formCheck<FormFact>({
  ...card,
  matter: "capitals",
  examine(block, { lexicon }) {
    const facts: FormFact[] = [];
    const add = (from: number, form: string) =>
      facts.push(placed(block, { from, to: from + form.length, key: form.toLowerCase(), form }));
    for (const { from, to, capitals } of capitalsOf(block)) {
      if (to - from < 2) continue;
      const form = block.text.slice(from, to).replace(/['’]s$/, "");
      // A word of the dictionary is no such name.
      if (capitals === 1 && lexicon.varietiesInText(form) !== 0) continue;
      if (/^\p{L}+$/u.test(form) && !/^\p{Lu}+s$/u.test(form)) add(from, form);
    }
    for (const { from, text, bits, count } of block.unusual) {
      if (bits === 0 && count === 1 && /^\p{Ll}{2,}$/u.test(text)) add(from, text);
    }
    return facts;
  },
  // Only what has capitals inside somewhere is such a name.
  atOdds: (_key, counts) => {
    const own = [...counts].filter(([, { own: places }]) => places > 0).map(([form]) => form);
    return own.length > 1 && own.some((form) => MIXED.test(form));
  },
  write: (_fact, form) => form,
});
