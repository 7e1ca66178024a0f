import type { Syntax } from "../../../language/phrases/syntax.ts";
import { TAG } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import type { WordTable } from "../../../language/words/words.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { clauseWill as card } from "./cards.ts";

/** "When the tide will turn", "if I would have time": "will" in a clause of time or condition. */
export const clauseWill = markCheck({
  ...card,
  reason: "In a clause with “if” or “when”: “{1}”.",
  at: ["if|when|until|till|unless|before|after|once _* will|would|'ll", "soon as _* will|'ll"],
  find(syntax, { words: table }) {
    const found: Found[] = [];
    const { words, tags, nounGroups, nounAt, verbGroups, verbAt } = syntax;
    for (const [unit, { form }] of words.entries()) {
      const opens = OPENERS.has(form) || (form === "as" && words[unit - 1]?.form === "soon");
      if (!opens || isAsked(syntax, unit, form) || isPreposition(syntax, unit, form)) continue;
      const subject = nounGroups[nounAt[unit + 1] ?? -1];
      if (!subject || subject.from !== unit + 1) continue;
      const modal = words[subject.to]?.form ?? "";
      const verb = verbGroups[verbAt[subject.to] ?? -1];
      if (!verb || verb.finite !== subject.to || verb.negated || verb.main !== verb.to - 1)
        continue;
      const main = words[verb.main]?.form ?? "";
      if (verb.main !== subject.to + 1 || POLITE.has(main)) continue;
      const unreal =
        form === "if" && (isUnreal(syntax, verb.to) || (main === "be" && isWish(syntax, unit)));
      if (modal === "would" && !unreal) continue;
      if (modal !== "would" && modal !== "will" && modal !== "'ll") continue;
      const third =
        subject.number === "singular" && !/^(?:i|you)$/.test(words[subject.head]?.form ?? "");
      const mend = modal === "would" ? pastOf(main, table) : presentOf(main, third, table);
      const glued = modal === "'ll" ? ` ${mend}` : mend;
      if (tags[verb.main] === TAG.VBN) continue;
      found.push({ from: verb.finite, to: verb.to, mends: [glued], unsure: modal === "'ll" });
    }
    return found;
  },
});

const OPENERS = wordList("clause-will/openers");
/** "If you will excuse me", "if you would like". */
const POLITE = wordList("clause-will/polite");

/** "Ask when he will come", "the day when it will end": not a condition. */
function isAsked({ words, sentenceFrom }: Syntax, unit: number, form: string): boolean {
  if (form !== "if" && form !== "when" && form !== "once") return false;
  if (unit === sentenceFrom[unit]) return false;
  const before = words[unit - 1]?.form ?? "";
  if (before === "but" || before === ",") return false;
  if (form === "when" && TIMES.has(before)) return true;
  for (let at = unit - 1; at >= Math.max(sentenceFrom[unit] ?? 0, unit - 3); at--) {
    if (ASKS.has(words[at]?.form ?? "")) return true;
  }
  return before === "as" || before === "even";
}
const ASKS = wordList("clause-will/asks");
const TIMES = wordList("repeated-part/times");

/** "A visit after a thaw will be useful": no clause, where the sentence has no verb yet. */
function isPreposition({ sentenceFrom, verbGroups }: Syntax, unit: number, form: string): boolean {
  const from = sentenceFrom[unit] ?? 0;
  if (!/^(?:after|before|until|till)$/.test(form) || unit === from) return false;
  // "You need a key before the door will open": what is needed, not when.
  return form === "before" || !verbGroups.some((verb) => verb.finite >= from && verb.to <= unit);
}

/** Whether "would", "could" or "might" follows: the condition is not real. */
function isUnreal({ words, sentenceTo }: Syntax, from: number): boolean {
  for (let unit = from; unit < (sentenceTo[from - 1] ?? 0); unit++) {
    const form = words[unit]?.form ?? "";
    if (form === "but") return false;
    if (/^(?:would|could|might|'d)$/.test(form)) return true;
  }
  return false;
}

/** "It would help if he would be here". */
function isWish({ words, sentenceFrom }: Syntax, to: number): boolean {
  for (let unit = sentenceFrom[to] ?? 0; unit < to; unit++) {
    if (/^(?:would|'d)$/.test(words[unit]?.form ?? "")) return true;
  }
  return false;
}

function pastOf(main: string, table: WordTable): string {
  return main === "be" ? "were" : table.inflect(table.verb(main), "VBD");
}

function presentOf(main: string, third: boolean, table: WordTable): string {
  if (main === "be") return third ? "is" : "are";
  return third ? table.inflect(table.verb(main), "VBZ") : table.verb(main);
}
