import { type FormFact, formCheck } from "../form-check.ts";
import { matchesIn } from "../places.ts";
import { APOSTROPHE } from "../text-signs.ts";
import { possessiveHabit as card } from "./cards.ts";

const SINGULAR_OWNER = /(?<![\p{L}\p{N}])(?:\p{Lu}[\p{Ll}\p{M}]+s|\p{Ll}+ss)(['’]s?)(?=\s+\p{L})/gu;

/** Owners in s: "James’s boat", "James’ boat". Plurals of names ("the Joneses’") are none of these. */
export const possessiveHabit = formCheck<FormFact>({
  ...card,
  matter: "names",
  needs: APOSTROPHE,
  examine(block, { lexicon, words }) {
    const facts: FormFact[] = [];
    for (const { match, from, to, kept } of matchesIn(block, SINGULAR_OWNER)) {
      const owner = match[0].slice(0, -(match[1]?.length ?? 0));
      const lower = owner.toLowerCase();
      // "Ports’ rules", "Keepers’ houses": the plural of a noun.
      const plural = words.noun(lower) !== lower && lexicon.varieties(words.noun(lower)) !== 0;
      const asName = /^\p{Lu}/u.test(owner) && (lexicon.varieties(lower) === 0 || !plural);
      if (match[1]?.length === 1 && !asName && !/ss$/.test(lower)) continue;
      if (plural && lexicon.varieties(lower) !== 0) continue;
      if (
        /(?:the|these|those|two|all|many)\s+$/i.test(block.text.slice(Math.max(0, from - 7), from))
      )
        continue;
      const form = (match[1]?.length ?? 0) > 1 ? "James’s" : "James’";
      facts.push({ from, to, key: "owners in s", form, ...(kept ? { kept } : {}) });
    }
    return facts;
  },
  write({ from, to }, form, text) {
    const written = text.slice(from, to);
    const mark = /['’]/.exec(written)?.[0] ?? "’";
    const owner = written.replace(/['’]s?$/, "");
    return form === "James’s" ? `${owner}${mark}s` : `${owner}${mark}`;
  },
});
