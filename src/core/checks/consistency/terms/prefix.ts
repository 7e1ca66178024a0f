import type { AnalysedBlock, Language } from "../../../language/analysis.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { placed } from "../places.ts";
import { ALONE, HYPHENED, PREFIXED, signsOf } from "../word-signs.ts";
import { prefix as card } from "./cards.ts";
import { PREFIXES, TOLD_APART } from "./prefixes.ts";
import { formOf, lettersOf, withSeparatorsOf } from "./separators.ts";

/** A word with a prefix, written with a hyphen and without. */
export const prefix = formCheck<FormFact>({
  ...card,
  matter: "compounds",
  examine(block, language) {
    const syntax = block.syntax();
    if (!syntax) return [];
    const facts: FormFact[] = [];
    const { units, words, text } = syntax;
    const signs = signsOf(block, syntax, language);
    for (let at = 0; at < units.length; at++) {
      const sign = signs[at] ?? 0;
      const unit = units[at];
      if (!unit || (sign & (HYPHENED | PREFIXED | ALONE)) === 0) continue;
      const form = words[at]?.form ?? "";
      if (sign & HYPHENED) {
        const [first = "", ...rest] = form.split("-");
        // A capital or a figure keeps its hyphen.
        const joined = rest.length === 1 && /-\p{Ll}+$/u.test(text.slice(unit.from, unit.to));
        if (joined && PREFIXES.has(first)) facts.push(factOf(block, unit.from, unit.to, language));
      } else if (sign & PREFIXED) {
        facts.push(factOf(block, unit.from, unit.to, language));
      } else {
        const next = units[at + 1];
        if (next?.from !== unit.to + 1) continue;
        if (/^\p{Ll}{3,}$/u.test(text.slice(next.from, next.to))) {
          facts.push(factOf(block, unit.from, next.to, language));
        }
      }
    }
    return facts.filter(({ key }) => !TOLD_APART.has(String(key)));
  },
  write: ({ from, to }, form, text) => withSeparatorsOf(form, text.slice(from, to)),
});

function factOf(block: AnalysedBlock, from: number, to: number, { words }: Language): FormFact {
  const written = formOf(block.text.slice(from, to));
  const cut = Math.max(written.lastIndexOf("-"), written.lastIndexOf(" ")) + 1;
  const form = written.slice(0, cut) + words.noun(written.slice(cut));
  return placed(block, { from, to, key: lettersOf(form), form });
}
