import type { AnalysedBlock, Language } from "../../../language/analysis.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { headingCase as card } from "./cards.ts";

const SENTENCE = "First word only";
const TITLE = "Each Word";
const CAPITALS = "ALL CAPITALS";
/** Words that stay small among capitals. */
const SMALL = wordList("heading-case/small");

/** How the headings of one level are capitalised. */
export const headingCase = formCheck<FormFact>({
  ...card,
  matter: "layout",
  examine(block, language) {
    const form = caseOf(block, language);
    return form ? [{ from: 0, to: block.text.trimEnd().length, key: "", form }] : [];
  },
  reads: ["heading"],
  // Two headings have no habit.
  atOdds(_key, counts) {
    const own = [...counts.values()].map(({ own: places }) => places).filter(Boolean);
    return own.length > 1 && own.reduce((sum, one) => sum + one, 0) > 2;
  },
  keyOf: (_fact, { level = 1 }) => `level ${level}`,
  write({ from, to }, form, text) {
    const written = text.slice(from, to);
    if (form === CAPITALS) return written.toUpperCase();
    const all = !/\p{Ll}/u.test(written);
    let first = true;
    return written.replace(/\p{L}[\p{L}\p{M}'’]*/gu, (word) => {
      const opens = first;
      first = false;
      // Letters that stand for words keep their capitals, unless all have them.
      if (!all && /\p{Lu}.*\p{Lu}/u.test(word)) return word;
      const lower = word.toLowerCase();
      if (opens) return lower.charAt(0).toUpperCase() + lower.slice(1);
      if (form === TITLE && !SMALL.has(lower))
        return lower.charAt(0).toUpperCase() + lower.slice(1);
      return lower;
    });
  },
});

/** How a heading is capitalised; null where too few of its words tell. */
function caseOf({ text, tokens }: AnalysedBlock, { lexicon }: Language): string | null {
  const words = tokens
    .filter(({ kind }) => kind === "word")
    .map(({ from, to }) => text.slice(from, to));
  if (words.length < 2) return null;
  if (!/\p{Ll}/u.test(text)) return words.join("").length > 3 ? CAPITALS : null;
  let capital = 0;
  let small = 0;
  for (const word of words.slice(1)) {
    const lower = word.toLowerCase();
    if (SMALL.has(lower) || /\p{Lu}.*\p{Lu}/u.test(word)) continue;
    if (/^\p{Ll}/u.test(word)) small++;
    // What no dictionary has in small letters is a name.
    else if (lexicon.varieties(lower) !== 0) capital++;
  }
  if (capital + small === 0) return null;
  if (small === 0) return TITLE;
  return capital === 0 ? SENTENCE : capital > small ? TITLE : SENTENCE;
}
