import type { AnalysedBlock, Language } from "../../../language/analysis.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { placed } from "../places.ts";
import { prefix as card } from "./cards.ts";
import { ONLY_PREFIXES, PREFIXES, TOLD_APART } from "./prefixes.ts";
import { formOf, lettersOf, withSeparatorsOf } from "./separators.ts";

/** Letters of a word that a prefix may stand before. */
const SHORTEST_REST = 3;
const LONGEST_PREFIX = 7;

/** A word with a prefix, written with a hyphen and without. */
export const prefix = formCheck<FormFact>({
  ...card,
  matter: "compounds",
  examine(block, language) {
    const syntax = block.syntax();
    if (!syntax) return [];
    const facts: FormFact[] = [];
    const { units, words, text } = syntax;
    for (const [at, { form }] of words.entries()) {
      const unit = units[at];
      if (!unit) continue;
      const next = units[at + 1];
      if (form.includes("-")) {
        const [first = "", ...rest] = form.split("-");
        // A capital or a figure keeps its hyphen.
        const joined = rest.length === 1 && /-\p{Ll}+$/u.test(text.slice(unit.from, unit.to));
        if (joined && PREFIXES.has(first)) facts.push(factOf(block, unit.from, unit.to, language));
      } else if (ONLY_PREFIXES.has(form) && next?.from === unit.to + 1) {
        if (/^\p{Ll}{3,}$/u.test(text.slice(next.from, next.to))) {
          facts.push(factOf(block, unit.from, next.to, language));
        }
      } else if (hasPrefix(form, language)) {
        facts.push(factOf(block, unit.from, unit.to, language));
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

/** Whether a word in one piece is a prefix and a word: "nonlinear", but not "notice". */
function hasPrefix(form: string, { lexicon }: Language): boolean {
  if (form.length < SHORTEST_REST + 2) return false;
  for (let cut = 1; cut <= Math.min(LONGEST_PREFIX, form.length - SHORTEST_REST); cut++) {
    if (!PREFIXES.has(form.slice(0, cut))) continue;
    const rest = form.slice(cut);
    if (cut === 1 ? E_WORDS.has(rest) : lexicon.varieties(rest) !== 0) return true;
  }
  return false;
}

/** What stands after "e" for electronic. */
const E_WORDS = new Set("mail mails mailed mailing book books commerce learning".split(" "));
