import { type FormFact, formCheck } from "../form-check.ts";
import { matchesIn } from "../places.ts";
import { DIGITS } from "../text-signs.ts";
import { decimalForm as card } from "./cards.ts";

const BELOW_ONE = /(?<![\p{L}\p{N}_.,:/@-])0?\.\d+(?![\p{L}\p{N}_@/]|[.,:]\d)/gu;
const DECIMAL = /(?<![\p{L}\p{N}_.,:/@-])\d{1,3}([.,·])\d{1,2}(?![\p{N}_@/]|[.,:·]\d)/gu;

/** Decimals: with and without a zero before the point, and what sign the point is. */
export const decimalForm = formCheck<FormFact>({
  ...card,
  matter: "numbers",
  needs: DIGITS,
  examine(block) {
    const facts: FormFact[] = [];
    for (const { match, from, to, kept } of matchesIn(block, BELOW_ONE)) {
      const form = match[0].startsWith("0") ? "0.5" : ".5";
      facts.push({ from, to, key: "nought before the point", form, ...(kept ? { kept } : {}) });
    }
    for (const { match, from, to, kept } of matchesIn(block, DECIMAL)) {
      const sign = match[1] ?? ".";
      // A list without spaces: "3,6".
      if (
        sign === "," &&
        /(?:pages?|pp?\.|and|refs?\.?|\[)\s*$/.test(block.text.slice(Math.max(0, from - 6), from))
      )
        continue;
      facts.push({ from, to, key: "decimal sign", form: `3${sign}6`, ...(kept ? { kept } : {}) });
    }
    return facts;
  },
  atOdds: (_key, counts) => [...counts.values()].filter(({ own }) => own > 0).length > 1,
  write({ from, to }, form, text) {
    const written = text.slice(from, to);
    if (form === "0.5") return written.startsWith(".") ? `0${written}` : written;
    if (form === ".5") return written.replace(/^0/, "");
    return written.replace(/[.,·]/, form.charAt(1));
  },
});
