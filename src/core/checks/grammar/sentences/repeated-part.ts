import { type Syntax, type VerbGroup, written } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { repeatedPart as card } from "./cards.ts";
import { NOT_SENTENCES } from "./sentences.ts";

/** "My wife she is a nurse", "the lamp that I bought it": a part of the sentence named twice. */
export const repeatedPart = markCheck({
  ...card,
  reason: "“{}” says again what is named already.",
  notIn: NOT_SENTENCES,
  find(syntax) {
    return [...secondSubjects(syntax), ...secondObjects(syntax)];
  },
});

/** What a pronoun may stand for again: a name or a noun with its determiner, at the start of a clause. */
function secondSubjects(syntax: Syntax): Found[] {
  const { words, tags, nounGroups, nounAt, verbAt, verbGroups, sentenceFrom } = syntax;
  const found: Found[] = [];
  for (const group of nounGroups) {
    const at = group.to;
    const form = words[at]?.form ?? "";
    if (group.pronoun || !AGAIN.has(form)) continue;
    if (nounGroups[nounAt[at] ?? -1]?.from !== at || written(syntax, at) !== form) continue;
    const verb = verbGroups[verbAt[at + 1] ?? -1];
    if (!verb || verb.finite !== at + 1) continue;
    const opens =
      group.from === sentenceFrom[group.from] ||
      (tags[group.from - 1] === TAG.CC && tags[group.from - 2] === TAG[","]);
    const named = group.determiner >= 0 || TAG_SETS.NAME[tags[group.head] ?? 0] === 1;
    if (!opens || !named || !isOfOneNumber(group.number, form)) continue;
    if (words[group.from - 1]?.form === "or" || TIMES.has(words[group.head]?.form ?? "")) continue;
    if (!isComplete(syntax, verb) || needsAnotherVerb(syntax, verb)) continue;
    found.push({ from: at, to: at + 1, mends: [""] });
  }
  return found;
}

const AGAIN = new Set(["he", "she", "it", "they"]);

function isOfOneNumber(number: string, pronoun: string): boolean {
  return number === "unknown" || (number === "plural") === (pronoun === "they");
}

/** "The day it rained": what opens a clause of time. */
const TIMES = wordList("repeated-part/times");

/** Whether the verb has all it needs after it, so that the noun before cannot be its object. */
function isComplete({ words, tags }: Syntax, { main, to, passive }: VerbGroup): boolean {
  const form = words[main]?.form ?? "";
  const next = tags[to] ?? 0;
  if (passive) return TAG_SETS.STOP[next] === 1;
  if (/^(?:is|are|was|were|be|been|'s|'re)$/.test(form)) {
    return (
      TAG_SETS.ADJ[next] === 1 || TAG_SETS.DET[next] === 1 || next === TAG.RB || next === TAG.VBN
    );
  }
  return TAG_SETS.DET[next] === 1 || next === TAG.PPO || next === TAG.PN;
}

/** "The house he built us is old": the verb of the sentence is yet to come. */
function needsAnotherVerb(syntax: Syntax, verb: VerbGroup): boolean {
  const { verbGroups, sentenceTo, tags } = syntax;
  const end = sentenceTo[verb.from] ?? 0;
  const next = verbGroups.find((one) => one.finite >= verb.to && one.to <= end);
  if (!next) return false;
  for (let unit = verb.to; unit < next.from; unit++) {
    const tag = tags[unit] ?? 0;
    if (tag === TAG.CC || tag === TAG.CS || TAG_SETS.WH[tag] || TAG_SETS.STOP[tag]) return false;
  }
  return true;
}

/** A relative clause whose object comes back as a pronoun. */
function secondObjects(syntax: Syntax): Found[] {
  const { words, tags, nounGroups, nounAt, verbGroups, verbAt } = syntax;
  const found: Found[] = [];
  for (const [unit, { form }] of words.entries()) {
    if (form !== "that" && form !== "which" && form !== "whom") continue;
    if (TAG_SETS.NOMINAL[tags[unit - 1] ?? 0] !== 1) continue;
    if (form === "that" && isReported(syntax, unit)) continue;
    const subject = nounGroups[nounAt[unit + 1] ?? -1];
    if (!subject || subject.from !== unit + 1) continue;
    const verb = verbGroups[verbAt[subject.to] ?? -1];
    if (!verb || verb.finite !== subject.to || TELLING.has(words[verb.main]?.form ?? "")) continue;
    const afterPreposition = tags[verb.to] === TAG.IN;
    const at = afterPreposition ? verb.to + 1 : verb.to;
    if (!/^(?:it|them|him)$/.test(words[at]?.form ?? "")) continue;
    // "which he gave them in May", "that she made it into": something else is the object.
    const next = tags[at + 1] ?? 0;
    if (TAG_SETS.DET[next] || TAG_SETS.NOMINAL[next] || TAG_SETS.ADJ[next] || next === TAG.TO)
      continue;
    if (words[subject.head]?.form === words[at]?.form) continue;
    found.push({ from: at, to: at + 1, mends: [""] });
  }
  return found;
}

/** Whether "that" opens what is said or thought: "told the officials that", "the news that". */
function isReported({ words, tags, sentenceFrom }: Syntax, unit: number): boolean {
  const before = words[unit - 1]?.form ?? "";
  if (WITH_CLAUSE.has(before) || TIMES.has(before)) return true;
  if (TAG_SETS.NAME[tags[unit - 1] ?? 0]) return true;
  for (let at = unit - 2; at >= Math.max(sentenceFrom[unit] ?? 0, unit - REACH); at--) {
    const form = words[at]?.form ?? "";
    if (REPORTS.has(form) || TELLING.has(form)) return true;
  }
  return false;
}
const REACH = 10;
const REPORTS = wordList("comma-splice/reports");

/** Nouns after which "that" opens what is told, not what is told apart. */
const WITH_CLAUSE = wordList("repeated-part/with-clause");
/** Verbs with a person beside their object: "that he told them". */
const TELLING = wordList("repeated-part/telling");
