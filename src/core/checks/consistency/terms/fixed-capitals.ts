import type { Lexicon } from "../../../language/words/lexicon.ts";
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
      const written = block.text.slice(from, to);
      let form = asked.get(written);
      if (form === undefined) {
        form = nameIn(written, capitals, lexicon);
        if (asked.size >= MOST_ASKED) asked.clear();
        asked.set(written, form);
      }
      if (form !== "") add(from, form);
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

/** What a word with capitals is as such a name, by how it is written; "" for none. */
const asked = new Map<string, string>();
const MOST_ASKED = 20_000;

function nameIn(written: string, capitals: 1 | 2, lexicon: Lexicon): string {
  const form = written.replace(/['’]s$/, "");
  // A word of the dictionary is no such name.
  if (capitals === 1 && lexicon.varietiesInText(form) !== 0) return "";
  return /^\p{L}+$/u.test(form) && !/^\p{Lu}+s$/u.test(form) ? form : "";
}
