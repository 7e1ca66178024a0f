import { type Syntax, written } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { ADJECTIVE } from "../../../language/words/lexicon.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import type { WordTable } from "../../../language/words/words.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { runOn as card } from "./cards.ts";
import { finiteIn, NOT_SENTENCES, SUBORDINATORS, sentencesOf, TAKES_CLAUSE } from "./sentences.ts";

/** "The float sank it was full of water": two sentences with nothing between them. */
export const runOn = markCheck({
  ...card,
  reason: "A second sentence begins here, with nothing before it: “{1}”.",
  notIn: NOT_SENTENCES,
  at: ["!,|and|but|or|that|who|which|when|if|as i|he|she|we|they|it VBD|VBZ|VB|MD"],
  find(syntax, { words: table }) {
    const found: Found[] = [];
    for (const { from, to } of sentencesOf(syntax)) {
      if (to - from < 6 || to - from > 24 || isStrung(syntax, from, to)) continue;
      for (let unit = from + 2; unit < to - 2; unit++) {
        if (!beginsSentence(syntax, from, unit, table)) continue;
        const [last, next] = [written(syntax, unit - 1), written(syntax, unit)];
        const end = syntax.units[unit - 1]?.to ?? 0;
        const label = `${last}; ${next}`;
        const mend = { label, edits: [{ from: end, to: end, insert: ";" }] };
        found.push({ from: unit - 1, to: unit + 1, mends: [mend], unsure: true });
        break;
      }
    }
    return found;
  },
});

/** Whether anything else parts or joins clauses here. */
function isStrung({ words, tags }: Syntax, from: number, to: number): boolean {
  for (let unit = from; unit < to - 1; unit++) {
    const tag = tags[unit] ?? 0;
    const joins = TAG_SETS.WH[tag] || TAG_SETS.STOP[tag] || tag === TAG.CS;
    if (joins || SUBORDINATORS.has(words[unit]?.form ?? "")) return true;
  }
  return false;
}

/** A pronoun with its verb, after a verb that takes no clause or after what is said of a subject. */
function beginsSentence(syntax: Syntax, from: number, unit: number, table: WordTable): boolean {
  const { words, tags, verbAt, verbGroups } = syntax;
  const form = words[unit]?.form ?? "";
  if (!/^(?:i|he|she|we|they|it)$/.test(form)) return false;
  const own = verbGroups[verbAt[unit + 1] ?? -1];
  if (!own || own.finite !== unit + 1) return false;
  const before = finiteIn(syntax, from, unit).at(-1);
  if (!before) return false;
  // "would he", "was she": the subject of the verb before it.
  const meaning = words[before.main]?.form ?? "";
  if (before.main === before.finite && before.to === unit && AUXILIARIES.has(meaning)) return false;
  const be = /^(?:is|was|are|were)$/.test(meaning);
  const takesClause = TAKES_CLAUSE.has(meaning) || TAKES_CLAUSE.has(table.verb(meaning));
  if (be ? before.to === unit : takesClause) return false;
  const tag = tags[unit - 1] ?? 0;
  const main = words[unit - 1]?.form ?? "";
  if (verbAt[unit - 1] !== -1) {
    // "sank it" may have its object; then a verb that asks for a subject comes next.
    return (
      form !== "it" ||
      /^(?:is|was|has|had|will|would|can|could)$/.test(words[own.finite]?.form ?? "")
    );
  }
  if (tag === TAG.RB) return !/^(?:so|now|then|once|only|ever|never|not)$/.test(main);
  const quality = TAG_SETS.ADJ[tag] === 1 || ((words[unit - 1]?.traits ?? 0) & ADJECTIVE) !== 0;
  return quality && be && !FEELS.has(main) && before.to === unit - 1;
}

const AUXILIARIES = wordList("question-mark/auxiliary");
/** Qualities that a clause follows without "that": "glad he came". */
const FEELS = wordList("run-on/feels");
