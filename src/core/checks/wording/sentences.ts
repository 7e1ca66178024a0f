import { type Syntax, written } from "../../language/syntax.ts";
import { TAG, TAG_SETS } from "../../language/tag-sets.ts";
import { sentencesOf } from "../grammar/sentences.ts";
import { type Found, markCheck } from "../mark-check.ts";
import { replaceBy } from "../patterns/mend.ts";

const NOT_PROSE = ["heading", "cell", "caption"] as const;

/** A passive with its doer named: the active voice is one move away. */
export const passiveWithAgent = markCheck({
  id: "wording/passive",
  weight: "weigh",
  code: "psv",
  title: "Passive voice with its doer",
  why: "Where the sentence names who did it, the active voice is shorter and puts the doer first. The passive is right where the thing done to matters more.",
  source: "common practice",
  examples: [
    { wrong: "The log was read by the keeper.", right: "The keeper read the log." },
    { wrong: "The wires are checked by her.", right: "She checks the wires." },
    { leave: "The log was read by noon, and it was found by the door." },
  ],
  reason: "Active: “{1}”.",
  aPage: 3,
  find(syntax, { words: table }) {
    const found: Found[] = [];
    const { words, tags, nounGroups, nounAt, verbGroups, text, units } = syntax;
    for (const verb of verbGroups) {
      if (!verb.passive || verb.finite < 0 || words[verb.to]?.form !== "by") continue;
      // One auxiliary only: "was read", "are checked".
      if (verb.main !== verb.finite + 1 || verb.from !== verb.finite) continue;
      const agent = nounGroups[nounAt[verb.to + 1] ?? -1];
      const subject = nounGroups[nounAt[verb.from - 1] ?? -1];
      if (!agent || !subject || agent.from !== verb.to + 1 || subject.to !== verb.from) continue;
      const start = syntax.sentenceFrom[verb.from] ?? 0;
      if (subject.from !== start || TAG_SETS.NAME[tags[subject.head] ?? 0]) continue;
      if (!isDoer(syntax, agent.head, agent.pronoun)) continue;
      const end = syntax.sentenceTo[verb.from] ?? agent.to;
      if (!TAG_SETS.STOP[tags[agent.to] ?? TAG["."]] && agent.to < end) continue;
      const lemma = table.verb(words[verb.main]?.form ?? "");
      const past = verb.tense === "past";
      const doer = caseOf(text.slice(units[agent.from]?.from, units[agent.to - 1]?.to), SUBJECTIVE);
      const plural =
        agent.number === "plural" ||
        words[agent.head]?.form === "me" ||
        words[agent.head]?.form === "you";
      const active = past
        ? table.inflect(lemma, "VBD")
        : plural
          ? lemma
          : table.inflect(lemma, "VBZ");
      const thing = caseOf(
        text.slice(units[subject.from]?.from, units[subject.to - 1]?.to),
        OBJECTIVE,
      );
      const small =
        /^(?:The|A|An|This|That|These|Those|His|Her|Its|Their|Our|My|All|Each|Every|Both|No|Some)\b/.test(
          thing,
        )
          ? thing.slice(0, 1).toLowerCase() + thing.slice(1)
          : thing;
      const whole = `${doer.slice(0, 1).toUpperCase()}${doer.slice(1)} ${active} ${small}`;
      const from = units[subject.from]?.from ?? 0;
      const to = units[agent.to - 1]?.to ?? from;
      found.push({ from: subject.from, to: agent.to, mends: [replaceBy(text, from, to, whole)] });
    }
    return found;
  },
});

const SUBJECTIVE: Record<string, string> = {
  me: "I",
  him: "he",
  her: "she",
  us: "we",
  them: "they",
};
const OBJECTIVE: Record<string, string> = {
  i: "me",
  he: "him",
  she: "her",
  we: "us",
  they: "them",
};

function caseOf(text: string, cases: Record<string, string>): string {
  return cases[text.toLowerCase()] ?? text;
}

/** Whether a noun can do something: not a time, a place or a way. */
function isDoer({ words, tags }: Syntax, head: number, pronoun: boolean): boolean {
  if (pronoun) return tags[head] === TAG.PPO;
  const form = words[head]?.form ?? "";
  if (tags[head] === TAG.CD || /ing$/.test(form)) return false;
  return !/^(?:noon|midnight|night|day|days|hand|means|way|ways|mail|post|law|nature|now|then|mistake|accident|chance|sea|air|land|rail|train|boat|ship|car|bus|weight|volume|name|date|time|end|door|window|wall|quay|side|degrees|feet|metres|meters|percent|year|week|month|method|process|use|default|hour|rule|word|letter|phone|fire|force|design|definition)$/.test(
    form,
  );
}

/** "There are three gauges that need oil." */
export const expletiveOpening = markCheck({
  id: "wording/expletive-opening",
  weight: "weigh",
  code: "exp",
  title: "Empty opening",
  why: "“There is” and “it is” put off the subject. Often the sentence can begin with it.",
  source: "common practice",
  examples: [
    { wrong: "There are three gauges that need oil.", right: "Three gauges need oil." },
    { wrong: "There is a man who reads it.", right: "A man reads it." },
    { leave: "There are three gauges in the well." },
  ],
  reason: "The sentence can begin with its subject: “{1}”.",
  patterns: [
    "<s> [there is|are|was|were DT|PRP$|CD|many|several|some|no|few? ADJ? NOUN that|who|which] VERB|MD => $4 $5 $6",
    "<s> [it is|was the NOUN that|who|which] VERB => $4 $5",
  ],
  accepts: ({ bounds }, { tags }) => {
    const verb = bounds[bounds.length - 2] ?? 0;
    return TAG_SETS.FINITE[tags[verb] ?? 0] === 1;
  },
  aPage: 2,
});

const HEDGES =
  "perhaps|possibly|maybe|probably|apparently|seemingly|presumably|arguably|conceivably|somewhat|rather|fairly";

/** "may possibly", "it seems that it might perhaps". */
export const hedge = markCheck({
  id: "wording/hedge",
  weight: "weigh",
  code: "hdg",
  title: "Hedged twice",
  why: "One “may” or “perhaps” says that something is not certain. Two make the reader doubt the writer.",
  source: "common practice",
  examples: [
    { wrong: "It may possibly rain.", right: "It may rain." },
    { wrong: "Perhaps it might hold.", right: "Perhaps it will hold." },
    { leave: "It may rain, and perhaps it will hold." },
  ],
  reason: "One hedge is enough.",
  patterns: [
    `may|might|could [${HEDGES}] VB => -`,
    "<s> perhaps|possibly|maybe PRONOUN|the|a NOUN? [may|might|could] VB => will | may",
    "[seem~ to suggest] that => suggest~1",
    "[appear~ to suggest] that => suggest~1",
    "[tends to suggest] that => suggests",
    "would [seem to appear] => seem",
    "[it could perhaps|possibly be argued that] => -",
    "[somewhat|rather|fairly quite|somewhat|rather] JJ => $1",
    "[i|we would tend|venture to think|suggest|argue] => $1 $5",
  ],
});

/** "very", "really", "extremely". */
export const intensifier = markCheck({
  id: "wording/intensifier",
  weight: "weigh",
  code: "int",
  title: "Word that only adds force",
  why: "“Very” and “really” seldom add what the next word does not say; a stronger word, or none, says more.",
  source: "common practice",
  examples: [
    { wrong: "The wall is very high.", right: "The wall is high." },
    { wrong: "It was really cold.", right: "It was cold." },
    { leave: "That very day it was not very high." },
  ],
  reason: "“{}” adds little here.",
  patterns: [
    "[very|really|extremely|truly|totally|absolutely|utterly|incredibly|hugely|awfully] JJ|RB => -",
    "[basically|literally|actually] VERB|JJ => -",
  ],
  accepts: ({ bounds }, { words }) => {
    const at = bounds[0] ?? 0;
    const before = words[at - 1]?.form ?? "";
    const next = words[at + 1]?.form ?? "";
    if (/^(?:not|n't|the|that|this|so|how|too|never|his|her|my|their)$/.test(before)) return false;
    return !/^(?:much|few|little|many|well|first|last|same|often|soon)$/.test(next);
  },
  aPage: 2,
  groups: true,
});

/** "not uncommon", "did not fail to". */
export const negative = markCheck({
  id: "wording/negative",
  weight: "weigh",
  code: "not",
  title: "Said by its opposite",
  why: "A denial of a denial has to be turned over twice. What is the case reads faster than what is not.",
  source: "common practice",
  examples: [
    { wrong: "Fog is not uncommon here.", right: "Fog is common here." },
    { wrong: "They did not remember the key.", right: "They forgot the key." },
    { leave: "It is not known, and not all of it was unknown." },
  ],
  reason: "Said straight: “{1}”.",
  patterns: [
    "[not uncommon] => common",
    "[not unusual] => usual | common",
    "[not unlikely] => likely",
    "[not unlike] => like",
    "[not impossible] => possible",
    "[not infrequently] => often",
    "[not infrequent] => frequent",
    "[not insignificant] => significant",
    "[not inconsiderable] => considerable",
    "[not unreasonable] => reasonable",
    "[not unimportant] => important",
    "[not without] NOUN => with",
    "[did not remember] => forgot",
    "[do not remember] => forget",
    "[did not pay attention to] => ignored",
    "[did not succeed in VBG] => failed to $5:VB",
    "[does not succeed in VBG] => fails to $5:VB",
    "[did not accept] => rejected",
    "[did not allow] => prevented",
    "[did not fail to VB] => $5:VBD",
    "[never fails to VB] => always $4:VBZ",
    "[do not fail to] => be sure to",
    "[not honest] => dishonest",
    "[not important] => unimportant",
    "[not present] => absent",
    "[does not have] => lacks",
    "[did not have] => lacked",
    "[not on time] => late",
    "[not very good] => poor",
    "[not many] => few",
    "[not often] => rarely",
  ],
  aPage: 2,
});

const isLargeNumber = (form: string) => /^(?:billions?|trillion)$/.test(form);

/** Words that mean one thing here and another there. */
export const doubleMeaning = markCheck({
  id: "wording/double-meaning",
  weight: "weigh",
  code: "amb",
  title: "Read differently elsewhere",
  why: "Readers of other countries or trades read another day, number or time out of this.",
  source: "common practice; ISO 8601 for dates",
  examples: [
    { wrong: "They meet biweekly.", right: "They meet every two weeks." },
    { leave: "It was read on 13/04/2031 and on 2031-04-05." },
  ],
  reason: "“{}” is read differently elsewhere.",
  patterns: [
    "[biweekly|bi-weekly] => every two weeks | twice a week :: “{}” may be every two weeks or twice a week.",
    "[bimonthly|bi-monthly] => every two months | twice a month :: “{}” may be every two months or twice a month.",
    "[biannual|bi-annual] => twice-yearly | two-yearly :: “{}” may be twice a year or every two years.",
    "[biannually] => twice a year | every two years :: “{}” may be twice a year or every two years.",
    "[fortnightly] => every two weeks :: US readers do not know the word.",
    "[next] @weekdays => this | on :: Is it the coming one or the one after?",
    "the meeting|vote|motion|bill|question was [tabled] => put forward | put off :: In Britain it was put forward, in the US put off.",
    "to [table] the motion|bill|question => put forward | put off :: In Britain it is put forward, in the US put off.",
    "[billion|billions|trillion] :: “{}” is a thousand times more in older British and in other European use; a figure leaves no doubt.",
    "[sanction~/VERB] the => approve~1 | punish~1 :: “{}” may mean allowed or punished.",
  ],
  accepts({ bounds }, { words }) {
    // A large number is told of once in a paragraph.
    const unit = bounds[0] ?? 0;
    const { form = "" } = words[unit] ?? {};
    return !isLargeNumber(form) || words.findIndex((word) => word.form === form) === unit;
  },
  unsure: ({ bounds }, { words }) => isLargeNumber(words[bounds[0] ?? 0]?.form ?? ""),
  find(syntax, _language, block) {
    const found: Found[] = [];
    if (!block.text.includes("/")) return found;
    for (const { 0: date, index } of block.text.matchAll(
      /\b(?:0?[1-9]|1[0-2])\/(?:0?[1-9]|1[0-2])\/(?:\d\d)?\d\d\b/g,
    )) {
      const from = syntax.units.findIndex((unit) => unit.to > index);
      const to = syntax.units.findIndex((unit) => unit.from >= index + date.length);
      const [first, second] = date.split("/");
      if (from < 0 || first === second) continue;
      found.push({
        from,
        to: to < 0 ? syntax.units.length : to,
        mends: [],
        reason: `Is “${date}” the day or the month first? Spell the month, or write the year first.`,
      });
    }
    return found;
  },
  aPage: 3,
  groups: true,
});

const LONG = 40;

/** A sentence beyond what is read in one breath. */
export const longSentence = markCheck({
  id: "wording/long-sentence",
  weight: "weigh",
  code: "ls",
  title: "Long sentence",
  why: "Beyond some forty words most readers go back to the start. A full stop in the middle, or a list, helps.",
  source: "common practice; the limit of 40 words is a convention of plain-language guides",
  examples: [{ leave: "A short sentence stands here." }],
  reason: "The sentence is long.",
  notIn: NOT_PROSE,
  aPage: 2,
  find(syntax) {
    const found: Found[] = [];
    for (const { from, to } of sentencesOf(syntax)) {
      if (to - from <= LONG) continue;
      let words = 0;
      for (let unit = from; unit < to; unit++) {
        const tag = syntax.tags[unit] ?? 0;
        if (!TAG_SETS.STOP[tag] && tag !== TAG.POS && !written(syntax, unit).startsWith("’"))
          words++;
      }
      if (words <= LONG) continue;
      const shown = Math.min(from + 5, to);
      found.push({ from, to: shown, mends: [], reason: `This sentence has ${words} words.` });
    }
    return found;
  },
});

const STRING = 4;

/** "the gauge house door lock replacement". */
export const nounString = markCheck({
  id: "wording/noun-string",
  weight: "weigh",
  code: "ns",
  title: "String of nouns",
  why: "Each noun in a row makes the reader guess anew which belongs to which. Little words (of, for, in) say it.",
  source: "common practice",
  examples: [{ leave: "The gauge house door was shut." }],
  reason: "Four or more nouns stand in a row.",
  notIn: NOT_PROSE,
  aPage: 2,
  find(syntax) {
    const found: Found[] = [];
    for (const group of syntax.nounGroups) {
      let first = group.to;
      while (first > group.from && syntax.tags[first - 1] === TAG.NN) first--;
      if (syntax.tags[group.to - 1] === TAG.NNS) {
        first = group.to - 1;
        while (first > group.from && syntax.tags[first - 1] === TAG.NN) first--;
      }
      const count = group.to - first;
      if (count < STRING) continue;
      found.push({
        from: first,
        to: group.to,
        mends: [],
        reason: `${count} nouns stand in a row.`,
      });
    }
    return found;
  },
});

const SAME = 3;

/** Three sentences in a row that begin alike. */
export const sameOpening = markCheck({
  id: "wording/same-opening",
  weight: "weigh",
  code: "so",
  title: "Sentences that begin alike",
  why: "Three sentences in a row with the same first word sound like a list. Where it is meant, let it stand.",
  source: "common practice",
  examples: [{ leave: "It rained. The tide rose. It fell." }],
  reason: "Three sentences in a row begin alike.",
  notIn: [...NOT_PROSE, "item"],
  find(syntax) {
    const found: Found[] = [];
    let run = 0;
    let last = "";
    for (const { from, to } of sentencesOf(syntax)) {
      const form = syntax.words[from]?.form ?? "";
      const counts = /^[a-z]+$/.test(form) && !/^(?:the|an?)$/.test(form) && to - from > 2;
      run = counts && form === last ? run + 1 : 1;
      last = form;
      if (run === SAME) {
        const word = written(syntax, from);
        found.push({
          from,
          to: from + 1,
          mends: [],
          reason: `${SAME} sentences in a row begin with “${word}”.`,
        });
      }
    }
    return found;
  },
});
