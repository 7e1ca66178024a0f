import type { Syntax } from "../../../language/phrases/syntax.ts";
import { TAG } from "../../../language/tags/tag-sets.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { matchesIn, unitAt } from "../places.ts";
import { CAPITALS, DIGITS } from "../text-signs.ts";
import { abbreviationPlural as card } from "./cards.ts";

const PLURAL = /(?<![\p{L}\p{N}])(?:\p{Lu}{2,5}|1[0-9]{2}0|20[0-9]0)(['’]?)s(?![\p{L}\p{N}])/gu;
/** Before what is owned; after a plural follows a verb, or nothing. */
const OWNS =
  /^\s+(?!(?:is|are|was|were|has|have|had|will|can|may|must|should|do|did|and|or|but|in|on|at|of|for|from|to|that|which|who|by|with|as|than)\b)\p{Ll}/u;

/** Plurals of abbreviations and decades with an apostrophe, and without. */
export const abbreviationPlural = formCheck<FormFact>({
  ...card,
  matter: "abbreviations",
  needs: CAPITALS | DIGITS,
  examine(block) {
    const syntax = block.syntax();
    const facts: FormFact[] = [];
    for (const { match, from, to, kept } of matchesIn(block, PLURAL)) {
      const apostrophe = match[1] !== "";
      const plural =
        /(?:\b(?:the|these|those|all|some|most|many|few|two|three|four|five|six|seven|eight|nine|ten|several|old|new|both|no|local|retired)|\d)\s+$/i.test(
          block.text.slice(Math.max(0, from - 14), from),
        );
      // "the UK's ports" owns; "two CD's were" does not.
      const owns =
        apostrophe &&
        (!plural ||
          (OWNS.test(block.text.slice(to, to + 16)) &&
            !isVerbAt(syntax, to + 1) &&
            !isDecade(match[0])));
      if (owns) continue;
      const key = isDecade(match[0]) ? "decades" : "abbreviations";
      const form = apostrophe
        ? key === "decades"
          ? "1980’s"
          : "CD’s"
        : key === "decades"
          ? "1980s"
          : "CDs";
      facts.push({ from, to, key, form, ...(kept ? { kept } : {}) });
    }
    return facts;
  },
  rules: (_key, counts) => {
    const plain = [...counts.keys()].find((form) => !form.includes("’"));
    return plain === undefined ? null : { form: plain, by: "standard" };
  },
  write({ from, to }, form, text) {
    const stem = text.slice(from, to).replace(/['’]?s$/, "");
    return form.includes("’") ? `${stem}’s` : `${stem}s`;
  },
});

function isDecade(written: string): boolean {
  return /^\d/.test(written);
}

/** "Some MP's stayed": what does something is many, not the owner of it. */
function isVerbAt(syntax: Syntax | null, from: number): boolean {
  const at = syntax ? unitAt(syntax, from) : -1;
  const tag = syntax?.tags[at] ?? -1;
  return tag === TAG.VBD || tag === TAG.VBN || tag === TAG.VBP || tag === TAG.MD;
}
