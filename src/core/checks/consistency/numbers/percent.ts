import { type FormFact, formCheck } from "../form-check.ts";
import { matchesIn } from "../places.ts";
import { DIGITS } from "../text-signs.ts";
import { percentForm as card } from "./cards.ts";
import { CLEAR_BEFORE, NUMBER } from "./digits.ts";

const PERCENT = new RegExp(
  String.raw`${CLEAR_BEFORE}${NUMBER}(?<sign>[ \u00a0\u202f]?%|[ \u00a0]per[ \u00a0]?cent\b)`,
  "gu",
);

/** Percentages with the sign or in words. */
export const percentForm = formCheck<FormFact>({
  ...card,
  matter: "numbers",
  needs: DIGITS,
  examine(block) {
    const facts: FormFact[] = [];
    for (const { match, from, to, kept } of matchesIn(block, PERCENT)) {
      const sign = match.groups?.sign ?? "";
      const form = sign.includes("%")
        ? sign === "%"
          ? "5%"
          : "5 %"
        : /per[ \u00a0]cent/.test(sign)
          ? "5 per cent"
          : "5 percent";
      facts.push({ from, to, key: "percent", form, ...(kept ? { kept } : {}) });
    }
    return facts;
  },
  reads: ["paragraph", "item", "note"],
  write({ from, to }, form, text) {
    const figures = text.slice(from, to).replace(/[ \u00a0\u202f]?(?:%|per[ \u00a0]?cent)$/, "");
    return figures + form.slice(1).replace(" %", "\u00a0%");
  },
});
