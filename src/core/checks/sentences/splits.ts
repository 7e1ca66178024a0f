import { analyse, type Language } from "../../language/analysis.ts";
import { numberOf } from "../../language/phrases/clauses.ts";
import { type Syntax, written } from "../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../language/tags/tag-sets.ts";
import { splitSentences } from "../../language/text/sentences.ts";
import type { Range } from "../../manuscript/model.ts";
import type { Choice } from "../check.ts";

/** Where a sentence could end sooner: at a conjunction, a semicolon or a relative that a clause follows. */

/** Choices that a slip shows. */
const MOST = 3;
/** Words that either half must keep. */
const SHORTEST_HALF = 5;

interface Split {
  /** Units: the first that goes, and the one that begins the new sentence. */
  from: number;
  to: number;
  /** What the new sentence begins with instead of the text at `to`; "" for that itself. */
  opening: string;
}

/**
 * The ways to end the sentence around a place in a block's text sooner, those nearest its middle first.
 * Edits are offsets in the block's text.
 */
export function splitsOf(text: string, place: Range, language: Language): Choice[] {
  const sentence = splitSentences(text).find(
    ({ from, to }) => place.from >= from && place.from < to,
  );
  if (!sentence) return [];
  const own = text.slice(sentence.from, sentence.to);
  const syntax = analyse("paragraph", own, [], language).syntax();
  if (!syntax) return [];
  const middle = syntax.units.length / 2;
  return splitPoints(syntax)
    .sort((one, other) => Math.abs(one.from - middle) - Math.abs(other.from - middle))
    .slice(0, MOST)
    .map((split) => choiceOf(split, syntax, sentence.from));
}

function choiceOf({ from, to, opening }: Split, syntax: Syntax, by: number): Choice {
  const { units, text } = syntax;
  const start = units[from - 1]?.to ?? 0;
  const first = units[to] ?? { from: start, to: start };
  const word = text.slice(first.from, first.to);
  const end = opening === "" ? first.to : first.from;
  const next = opening === "" ? capitalised(word) : `${opening} `;
  const before = written(syntax, from - 1);
  return {
    label: `End the sentence after “${before}”`,
    edits: [{ from: by + start, to: by + end, insert: `. ${next}` }],
  };
}

function capitalised(word: string): string {
  return word.slice(0, 1).toUpperCase() + word.slice(1);
}

function splitPoints(syntax: Syntax): Split[] {
  const { tags, words, units } = syntax;
  const splits: Split[] = [];
  let hasVerb = false;
  let opened = -1;
  for (let unit = 0; unit < units.length; unit++) {
    if (isFiniteAt(syntax, unit)) hasVerb = true;
    if (tags[unit] === TAG.BR || tags[unit] === TAG.QT) opened = opened < 0 ? unit : -1;
    if (!hasVerb || opened >= 0 || unit < SHORTEST_HALF) continue;
    if (units.length - unit <= SHORTEST_HALF) break;
    const form = words[unit]?.form;
    const split =
      form === ";"
        ? semicolonAt(syntax, unit)
        : form === ","
          ? (conjunctionAt(syntax, unit) ?? relativeAt(syntax, unit))
          : null;
    if (split && !isSubordinate(syntax, unit)) splits.push(split);
  }
  return splits;
}

function isFiniteAt({ verbAt, verbGroups }: Syntax, unit: number): boolean {
  return verbGroups[verbAt[unit] ?? -1]?.finite === unit;
}

/** "; the office" and "; however, the office". */
function semicolonAt(syntax: Syntax, unit: number): Split | null {
  const { tags } = syntax;
  const adverb = TAG_SETS.ADV[tags[unit + 1] ?? 0] && tags[unit + 2] === TAG[","];
  const clause = unit + (adverb ? 3 : 1);
  return beginsClause(syntax, clause) ? { from: unit, to: unit + 1, opening: "" } : null;
}

const KEPT_CONJUNCTIONS = new Set(["but", "so", "yet"]);

/** ", and the office entered", ", but it was". */
function conjunctionAt(syntax: Syntax, unit: number): Split | null {
  const { words } = syntax;
  const form = words[unit + 1]?.form ?? "";
  if (form !== "and" && !KEPT_CONJUNCTIONS.has(form)) return null;
  if (!beginsClause(syntax, unit + 2)) return null;
  return { from: unit, to: form === "and" ? unit + 2 : unit + 1, opening: "" };
}

/** ", which was read twice a day." at the end of a sentence: "It was read twice a day." */
function relativeAt(syntax: Syntax, unit: number): Split | null {
  const { words, tags, units, nounAt, nounGroups } = syntax;
  if (words[unit + 1]?.form !== "which" || !isFiniteAt(syntax, unit + 2)) return null;
  for (let later = unit + 2; later < units.length; later++) {
    if (tags[later] === TAG[","] || tags[later] === TAG[":"]) return null;
  }
  const antecedent = nounGroups[nounAt[unit - 1] ?? -1];
  if (!antecedent || antecedent.to !== unit) return null;
  const number = numberOf(syntax, antecedent);
  if (number === "unknown") return null;
  return { from: unit, to: unit + 2, opening: number === "plural" ? "They" : "It" };
}

/** Units between a subject and its verb that still leave no doubt which is which. */
const NEAR_VERB = 8;

/** Whether a main clause begins at a unit: a subject, then its verb with no comma between. */
function beginsClause(syntax: Syntax, at: number): boolean {
  const { tags, nounAt, nounGroups, units } = syntax;
  let start = at;
  while (TAG_SETS.ADV[tags[start] ?? 0]) start++;
  const subject = nounGroups[nounAt[start] ?? -1];
  if (tags[start] !== TAG.EX && subject?.from !== start) return false;
  const end = subject?.to ?? start + 1;
  for (let unit = end; unit < Math.min(end + NEAR_VERB, units.length); unit++) {
    if (isFiniteAt(syntax, unit)) return true;
    if (tags[unit] === TAG[","] || tags[unit] === TAG.CS || tags[unit] === TAG.WDT) return false;
  }
  return false;
}

/** Whether the clause before a unit hangs on what follows: "When the tide fell, and the staff ...". */
function isSubordinate({ tags }: Syntax, unit: number): boolean {
  const opens = tags[0] === TAG.CS || tags[0] === TAG.WRB;
  if (!opens) return false;
  for (let before = 0; before < unit; before++) if (tags[before] === TAG[","]) return false;
  return true;
}
