import type { AnalysedBlock, Language } from "../../../language/analysis.ts";
import type { Syntax } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import {
  inWords,
  ordinalInFigures,
  ordinalInWords,
  valueOfOrdinal,
  valueOfWords,
} from "../../../language/words/number-words.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import type { Keeping } from "../../check.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { placed, withCapitalsOf } from "../places.ts";
import { COUNTED, signsOf } from "../word-signs.ts";
import { numberForm as card } from "./cards.ts";

const WORDS = "in words";
const FIGURES = "in figures";
/** What is measured, paid or reckoned in time has figures by a rule of its own. */
const MEASURES = wordList("number/measures");
/** Words before a number that is a score, an age or a sum, not a count. */
const BEFORE_VALUE = wordList("number/before-value");

interface NumberFact extends FormFact {
  value: number;
  ordinal: boolean;
}

/** Counts and ordinals in words and in figures. */
export const numberForm = formCheck<NumberFact>({
  ...card,
  matter: "numbers",
  examine(block, language) {
    const syntax = block.syntax();
    return syntax ? mixedKept(block, syntax, [...numbersIn(block, syntax, language)]) : [];
  },
  write({ from, to, value, ordinal }, form, text) {
    if (form === FIGURES) return ordinal ? ordinalInFigures(value) : String(value);
    const words = ordinal ? ordinalInWords(value) : inWords(value);
    return words === null ? null : withCapitalsOf(text.slice(from, to), words);
  },
  reads: ["paragraph", "item", "note", "quote"],
});

function* numbersIn(
  block: AnalysedBlock,
  syntax: Syntax,
  language: Language,
): Generator<NumberFact> {
  const { units, words, text } = syntax;
  const signs = signsOf(block, syntax, language);
  for (let at = 0; at < units.length; at++) {
    const unit = units[at];
    if (!unit || ((signs[at] ?? 0) & COUNTED) === 0) continue;
    const written = text.slice(unit.from, unit.to);
    const figures = /^(\d{1,3})(st|nd|rd|th)?$/.exec(written);
    const lower = words[at]?.form ?? "";
    const ordinal = figures ? figures[2] !== undefined : valueOfOrdinal(lower) !== null;
    const value = figures
      ? Number(figures[1])
      : (valueOfWords(lower) ?? valueOfOrdinal(lower) ?? -1);
    // "One" and "second" are other words too; nought is no count.
    if (value < 2 && !ordinal) continue;
    // A number that opens the block is the number of a heading or an item.
    if (figures && at === 0) continue;
    if (ordinal ? !countsAsOrdinal(syntax, at, figures !== null) : !countsThings(syntax, at))
      continue;
    const opens = at === syntax.sentenceFrom[at] && !figures;
    const fact: NumberFact = {
      from: unit.from,
      to: unit.to,
      key: ordinal ? ordinalClass(value) : countClass(value),
      form: figures ? FIGURES : WORDS,
      value,
      ordinal,
      ...(opens ? { kept: "opening" as Keeping } : {}),
    };
    yield placed(block, fact);
  }
}

function countClass(value: number): string {
  if (value < 10) return "two to nine";
  if (value === 10) return "ten";
  return value < 100 ? "eleven to ninety-nine" : "a hundred and more";
}

function ordinalClass(value: number): string {
  return value < 10 ? "first to ninth" : "tenth and on";
}

/** Whether a number counts what follows it: "three boats", "24 of the runs". */
function countsThings(
  { units, words, tags, text, nounAt, nounGroups }: Syntax,
  at: number,
): boolean {
  const unit = units[at];
  const next = units[at + 1];
  if (!unit || !next || next.from !== unit.to + 1) return false;
  const before = words[at - 1]?.form ?? "";
  const previous = tags[at - 1] ?? -1;
  // "Table 3", "day 7", "gauge 2": its number, not how many.
  if (at > 0 && units[at - 1]?.to === unit.from - 1) {
    if (TAG_SETS.NOMINAL[previous] || previous === TAG.CD || BEFORE_VALUE.has(before)) return false;
  }
  const ahead = text.charAt(unit.from - 1);
  if (/[$£€#§+−<>=~≈±×/–-]/.test(ahead) || /^[-–/:]/.test(text.slice(unit.to, unit.to + 1)))
    return false;
  const group = nounGroups[nounAt[at] ?? -1];
  if (!group || group.head <= at || group.number !== "plural") return false;
  const head = words[group.head]?.form ?? "";
  if (MEASURES.has(head)) return false;
  // "5 m cables", "2 mL samples": the number is of the unit.
  const inner = words.slice(at + 1, group.head).map(({ form }) => form);
  if (inner.some((form) => MEASURES.has(form) || form.length < 3)) return false;
  return group.head - at <= 4;
}

/** Whether an ordinal stands before its noun: "the third test"; not in dates, centuries and fractions. */
function countsAsOrdinal(
  { units, words, tags, text, nounAt, nounGroups }: Syntax,
  at: number,
  figures: boolean,
): boolean {
  const unit = units[at];
  const group = nounGroups[nounAt[at] ?? -1];
  if (!unit || !group || group.head <= at) return false;
  const head = text.slice(units[group.head]?.from ?? 0, units[group.head]?.to ?? 0);
  if (
    /^(?:century|centuries|edition|floor|street|avenue|amendment|minute|hand|place|person|thirds?|day|of)$/i.test(
      head,
    )
  )
    return false;
  if (
    /^\p{Lu}/u.test(head) ||
    tags[at - 1] === TAG.CD ||
    valueOfWords(words[at - 1]?.form ?? "") !== null
  )
    return false;
  if (text.charAt(unit.to) === "-") return false;
  return (
    figures ||
    words[at - 1]?.form === "the" ||
    words[at - 1]?.form === "a" ||
    TAG_SETS.DET[tags[at - 1] ?? -1] === 1
  );
}

/** In a sentence with numbers of both forms or classes, each may follow the other: they say nothing. */
function mixedKept(
  { sentences, text }: AnalysedBlock,
  _syntax: Syntax,
  facts: NumberFact[],
): NumberFact[] {
  const counts = facts.filter(({ ordinal }) => !ordinal);
  return facts.map((fact) => {
    if (fact.ordinal || fact.kept) return fact;
    const sentence = sentences.find(({ from, to }) => from <= fact.from && to >= fact.to);
    if (!sentence) return fact;
    const others = counts.filter(
      (one) => one !== fact && one.from >= sentence.from && one.to <= sentence.to,
    );
    const mixed = others.some((one) => one.form !== fact.form || one.key !== fact.key);
    // A measure or a year beside it has figures of its own.
    const figures = /\d/.test(
      text.slice(sentence.from, fact.from) + text.slice(fact.to, sentence.to),
    );
    return mixed || (figures && others.length === 0 && fact.form === FIGURES)
      ? { ...fact, kept: "grammar" as Keeping }
      : fact;
  });
}
