import { type FormFact, formCheck } from "../form-check.ts";
import { placed } from "../places.ts";
import { fixedCapitals as card } from "./cards.ts";

const MIXED = /\p{Ll}\p{Lu}|^\p{Lu}{2,}\p{Ll}/u;

/** A name with capitals inside ("LibTide", "mRNA"), written with others elsewhere. */
export const fixedCapitals = formCheck<FormFact>({
  ...card,
  matter: "capitals",
  examine(block, { lexicon }) {
    const facts: FormFact[] = [];
    for (const { kind, from, to } of block.tokens) {
      if (kind !== "word" || to - from < 2) continue;
      const form = block.text.slice(from, to).replace(/['’]s$/, "");
      if (!/^\p{L}+$/u.test(form)) continue;
      const capitals = /^\p{Lu}/u.test(form) || MIXED.test(form);
      // A word of the dictionary is no such name, however it is written; a plural in s neither.
      if (!capitals && lexicon.varieties(form.toLowerCase()) !== 0) continue;
      if (/^\p{Lu}+s$/u.test(form)) continue;
      if (/^\p{Lu}\p{Ll}*$/u.test(form) && lexicon.varietiesInText(form) !== 0) continue;
      facts.push(placed(block, { from, to: from + form.length, key: form.toLowerCase(), form }));
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
