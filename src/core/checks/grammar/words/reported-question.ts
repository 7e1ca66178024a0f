import type { Syntax, VerbGroup } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { VERB } from "../../../language/words/lexicon.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import type { WordTable } from "../../../language/words/words.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { reportedQuestion as card } from "./cards.ts";

/** Question order in a reported question: "asked what time was it", "know how does it work". */
export const reportedQuestion = markCheck({
  ...card,
  reason: "In a reported question the subject comes first: “{1}”.",
  patterns: [
    "ask~|know~|wonder~|tell~ me|him|her|us|them? what time [is|was it] => it $5",
    "ask~|know~|wonder~|tell~ me|him|her|us|them? what [is|are|was|were the answer|price|reason|cost|name|number|meaning] .|,|</s> => $5 $6 $4",
  ],
  at: ["where|when|why|how|what|which|who NOUN? is|are|was|were|do|does|did|has|have|can|will"],
  find(syntax, { words: table }) {
    const found: Found[] = [];
    for (const verb of syntax.verbGroups) {
      const one = turned(syntax, verb, table);
      if (one) found.push(one);
    }
    return found;
  },
});

/** The subject put before an auxiliary that comes right after its question word. */
function turned(syntax: Syntax, verb: VerbGroup, table: WordTable): Found | null {
  const { words, tags, nounGroups, nounAt, units, text } = syntax;
  const at = verb.finite;
  const form = words[at]?.form ?? "";
  const question = questionWordBefore(syntax, at);
  if (question < 0 || !AUXILIARIES.has(form) || !isReported(syntax, question)) return null;
  const subject = nounGroups[nounAt[at + 1] ?? -1];
  if (!subject || subject.from !== at + 1) return null;
  // "what is the best way", "who is the keeper": either may be the subject.
  const be = /^(?:is|are|was|were)$/.test(form);
  if (be && /^(?:what|who|which)$/.test(words[question]?.form ?? "")) return null;
  const name = text.slice(units[subject.from]?.from ?? 0, units[subject.to - 1]?.to ?? 0);
  if (/^(?:do|does|did)$/.test(form)) {
    // "why did the alarm ring": the last word of the group may be its verb.
    const traits = words[subject.to]?.traits ?? 0;
    const verbal = TAG_SETS.VERB[tags[subject.to] ?? 0] === 1 || (traits & VERB) !== 0;
    const end = verbal ? subject.to : subject.to - 1;
    const main = words[end]?.form ?? "";
    if (end < subject.from + 1 || table.verb(main) !== main) return null;
    if (!verbal && ((words[end]?.traits ?? 0) & VERB) === 0) return null;
    const inflected = form === "do" ? main : table.inflect(main, form === "did" ? "VBD" : "VBZ");
    const rest = verbal ? name : name.slice(0, name.lastIndexOf(" "));
    return { from: at, to: end + 1, mends: [`${rest} ${inflected}`] };
  }
  // "who has the key": the noun is no subject.
  if (!be && !TAG_SETS.VERB[tags[subject.to] ?? 0]) return null;
  return { from: at, to: subject.to, mends: [`${name} ${form}`] };
}

const AUXILIARIES = wordList("question-mark/auxiliary");
const ASKS = wordList("reported-question/asks");

/** The question word right before an auxiliary, with the noun it may ask for between: "what time". */
function questionWordBefore({ words, tags }: Syntax, at: number): number {
  const isQuestion = (unit: number) =>
    /^(?:where|when|why|how|what|which|who)$/.test(words[unit]?.form ?? "");
  if (isQuestion(at - 1)) return at - 1;
  const noun = TAG_SETS.NOMINAL[tags[at - 1] ?? 0] === 1 || TAG_SETS.ADJ[tags[at - 1] ?? 0] === 1;
  return noun && /^(?:what|which|how)$/.test(words[at - 2]?.form ?? "") ? at - 2 : -1;
}

/** Whether a verb of asking, knowing or telling stands before the question word, in the same clause. */
function isReported({ words, tags, sentenceFrom }: Syntax, question: number): boolean {
  const from = sentenceFrom[question] ?? 0;
  for (let at = question - 1; at >= Math.max(from, question - 4); at--) {
    const tag = tags[at] ?? 0;
    if (ASKS.has(words[at]?.form ?? "")) return at > from || TAG_SETS.VERB[tag] === 1;
    if (
      !TAG_SETS.PRONOUN[tag] &&
      !TAG_SETS.NOMINAL[tag] &&
      !TAG_SETS.DET[tag] &&
      !TAG_SETS.ADV[tag]
    )
      return false;
    if (tag === TAG.EX) return false;
  }
  return false;
}
