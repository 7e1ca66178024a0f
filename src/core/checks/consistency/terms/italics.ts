import type { AnalysedBlock } from "../../../language/analysis.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { placed } from "../places.ts";
import { FOREIGN, signsOf } from "../word-signs.ts";
import { italics as card } from "./cards.ts";

const ITALIC = "in italics";
const ROMAN = "not in italics";
/** Longer stretches are stressed sentences or titles, no terms. */
const MOST_WORDS = 3;
/** Phrases of other languages that are met in English. */
const LISTED = [...wordList("italics/foreign")].sort((one, other) => other.length - one.length);
const PHRASES = new RegExp(String.raw`(?<![\p{L}-])(?:${LISTED.join("|")})(?![\p{L}-])`, "giu");

/** A word or phrase of another language, or one that no dictionary has, in italics and without. */
export const italics = formCheck<FormFact>({
  ...card,
  matter: "marks",
  examine(block, language) {
    const syntax = block.syntax();
    if (!syntax) return [];
    const set = block.spans.filter(({ kind }) => kind === "emphasis");
    const isSet = (from: number, to: number) =>
      set.some((span) => span.from <= from && span.to >= to);
    const facts: FormFact[] = [];
    const add = (from: number, to: number) => {
      const key = block.text.slice(from, to).toLowerCase().replace(/\s+/g, " ");
      const form = isSet(from, to) ? ITALIC : ROMAN;
      if (facts.some((fact) => fact.from < to && fact.to > from)) return;
      facts.push(placed(block, { from, to, key, form }));
    };
    for (const { from, to } of set) if (isTerm(block, from, to)) add(from, to);
    if (signsOf(block, syntax, language).some((sign) => (sign & FOREIGN) !== 0)) {
      for (const { 0: phrase, index } of block.text.matchAll(PHRASES)) {
        add(index, index + phrase.length);
      }
    }
    for (const { from, to, bits, count } of block.unusual) {
      if (bits === 0 && count === 1 && to - from > MOST_WORDS) add(from, to);
    }
    return facts;
  },
  // The first time a term may be set apart; what is set twice and left out once is a slip.
  atOdds(_key, counts) {
    const italic = counts.get(ITALIC)?.own ?? 0;
    const roman = counts.get(ROMAN)?.own ?? 0;
    return italic > 1 && roman > 0;
  },
  // What is set in italics is no text, and is changed where the document was made.
  write: () => null,
});

/** Whether what is set is a term of a few words in small letters, and not all of a block. */
function isTerm({ text }: AnalysedBlock, from: number, to: number): boolean {
  const set = text.slice(from, to);
  if (to - from >= text.trim().length) return false;
  return (
    /^\p{L}[\p{L}’'-]*(?: \p{L}[\p{L}’'-]*){0,2}$/u.test(set) && !/^\p{Lu}.* \p{Lu}/u.test(set)
  );
}
