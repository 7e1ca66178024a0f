import { TAG, TAG_SETS } from "../../language/tag-sets.ts";
import { type Found, markCheck } from "../mark-check.ts";

/** Forms of verbs that patterns tell: after modals, “let”, prepositions, “if”, “since”. */

/** "could of": heard for "could have". */
export const modalOf = markCheck({
  id: "grammar/of-for-have",
  weight: "fix",
  code: "vb",
  title: "“of” heard for “have”",
  why: "In speech “could have” sounds like “could of”, but the word is “have”.",
  source: "common practice",
  examples: [
    { wrong: "It could of been worse.", right: "It could have been worse." },
    { wrong: "You should of asked.", right: "You should have asked." },
    { wrong: "They must not of seen it.", right: "They must not have seen it." },
    { leave: "What he could of course not know was the hour." },
  ],
  reason: "After “{before}” comes “have”.",
  patterns: [
    "could|should|would|might|must|may not|n't? [of] VBN|VBD|RB|left|gone|been|seen|had => have :: The word after the auxiliary is “have”.",
    "could|should|would|might|must|may not|n't? [a] been|gone|done|seen => have :: The word after the auxiliary is “have”.",
  ],
  accepts: ({ bounds }, { words }) =>
    words[bounds[4] ?? 0]?.form !== "course" && words[bounds[5] ?? 0]?.form !== "course",
});

/** "I seen", "they done": a participle without "have". */
export const loneParticiple = markCheck({
  id: "grammar/lone-participle",
  weight: "fix",
  code: "vb",
  title: "Participle without “have”",
  why: "“Seen”, “done”, “gone”, “been” and “written” need “have” before them; alone the past is “saw”, “did”, “went”, “was”, “wrote”.",
  source: "common practice",
  examples: [
    { wrong: "I seen the lamp go out.", right: "I saw the lamp go out." },
    { wrong: "They done the work.", right: "They did the work." },
    { wrong: "We been here since noon.", right: "We have been here since noon." },
    { leave: "The work they had done; the man I had seen." },
    { leave: "As seen from the quay, the work done was good." },
  ],
  reason: "“{}” needs “have” before it, or the past: “{1}”.",
  patterns: [
    "<s> i|we|they|he|she|you [seen|done|gone|taken|given|written|driven|spoken|known|begun|rung|drunk|broken|chosen|eaten|fallen] => $3:VBD | have $3",
    "and|but|because|when|that|, i|we|they|he|she [seen|done] => $3:VBD | have $3",
    "<s> i|we|they|you [been] => have been | were",
    "<s> he|she|it [been] => has been | was",
  ],
});

/** "He come home late last night." */
export const baseForPast = markCheck({
  id: "grammar/base-for-past",
  weight: "settle",
  code: "vb",
  title: "Present form beside a time in the past",
  why: "With “yesterday”, “last week” or “an hour ago” the verb stands in the past.",
  source: "common practice",
  examples: [
    { wrong: "They finish the wall yesterday.", right: "They finished the wall yesterday." },
    { wrong: "She writes to us last week.", right: "She wrote to us last week." },
    { wrong: "The tide turns an hour ago.", right: "The tide turned an hour ago." },
    { leave: "They know that the wall fell yesterday." },
    { leave: "They know it is a year ago." },
  ],
  reason: "The time is past, and so is the verb: “{1}”.",
  at: ["yesterday|ago", "last night|week|month|year|summer|winter|spring|autumn|monday|friday"],
  find(syntax, { words: table }) {
    const found: Found[] = [];
    const { words, verbGroups, sentenceFrom, sentenceTo } = syntax;
    for (const [unit, word] of words.entries()) {
      const past =
        word.form === "yesterday" ||
        word.form === "ago" ||
        (word.form === "last" &&
          /^(?:night|week|month|year|summer|winter|spring|autumn|monday|friday)$/.test(
            words[unit + 1]?.form ?? "",
          ) &&
          words[unit - 1]?.form !== "the");
      if (!past) continue;
      const from = sentenceFrom[unit] ?? 0;
      const to = sentenceTo[unit] ?? words.length;
      const end = word.form === "last" ? unit + 2 : unit + 1;
      // The time must close the sentence, and the sentence hold one verb only.
      if (end < to && !TAG_SETS.STOP[syntax.tags[end] ?? 0]) continue;
      const own = verbGroups.filter((verb) => verb.from >= from && verb.to <= to);
      const verb = own[0];
      if (own.length !== 1 || !verb || verb.tense !== "present" || verb.finite !== verb.main)
        continue;
      const form = words[verb.main]?.form ?? "";
      if (/^(?:is|are|am|'s|be|'re|'m|has|have)$/.test(form) || /\d/.test(form)) continue;
      if (!syntax.nounGroups.some((group) => group.from >= from && group.to <= verb.from)) continue;
      found.push({
        from: verb.main,
        to: verb.main + 1,
        mends: [table.inflect(table.verb(form), "VBD")],
      });
    }
    return found;
  },
});

/** "let him to stay", "made the door to shake". */
export const bareInfinitive = markCheck({
  id: "grammar/bare-infinitive",
  weight: "fix",
  code: "vb",
  title: "Infinitive after “let” and “make”",
  why: "“Let” and “make” take the infinitive without “to”: they let him stay, it makes us feel safe.",
  source: "common practice",
  examples: [
    { wrong: "They let him to stay.", right: "They let him stay." },
    { wrong: "It makes us to feel safe.", right: "It makes us feel safe." },
    { wrong: "She let the boys goes first.", right: "She let the boys go first." },
    { leave: "He was made to sign, and it was made to last." },
    { leave: "They made him a boat to sail in." },
  ],
  reason: "“Let” and “make” take the infinitive without “to”.",
  patterns: [
    "let|lets|letting me|him|her|us|them|it|you [to VB] => $4",
    "made|makes|making me|him|us|them [to VB] => $4",
    "make me|him|us|them [to VB] => $4",
    "made|makes|make the NN [to shake|move|go|open|close|stop|fall|break|turn|run|work] => $5",
    "let|lets the|my|his|her|our|their ADJ? NOUN [VBZ|VBD] => $5:VB",
    "let|lets|makes me|him|us|them [VBZ] => $3:VB",
  ],
  accepts: ({ bounds, pattern }, { words }) => {
    const before = words[(bounds[0] ?? 0) - 1]?.form ?? "";
    if (pattern.source.startsWith("let|lets the") && /^(?:is|was|are|were|be|been|,)$/.test(before))
      return false;
    // "made the decision to stop": the infinitive belongs to the noun.
    const noun = words[bounds[4] ?? 0]?.form ?? "";
    if (/^(?:decision|choice|effort|attempt|plan|promise|offer|move|time|room|case)$/.test(noun))
      return false;
    return !/^(?:is|was|are|were|be|been|being)$/.test(before);
  },
});

const GERUND_VERBS =
  "avoid~|enjoy~|finish~|suggest~|risk~|postpone~|dislike~|delay~|deny~|denies|denied|denying|resist~|mind~/VERB|practise~|admit~/VERB|consider~|recommend~|imagine~|miss~/VERB|keep~/VERB";
const INFINITIVE_VERBS =
  "decide~|refuse~|promise~|hope~|expect~|agree~|manage~|afford~|threaten~|hesitate~|pretend~";

/** "avoid to do", "decide doing": what a verb takes after it. */
export const gerundOrInfinitive = markCheck({
  id: "grammar/gerund-or-infinitive",
  weight: "settle",
  code: "vb",
  title: "“-ing” or “to” after a verb",
  why: "Some verbs take “-ing” after them (avoid, enjoy, finish, suggest) and others “to” (decide, refuse, hope, manage).",
  source: "common practice",
  examples: [
    { wrong: "They avoided to meet us.", right: "They avoided meeting us." },
    { wrong: "She enjoys to read the logs.", right: "She enjoys reading the logs." },
    { wrong: "The crew refused leaving.", right: "The crew refused to leave." },
    { leave: "They suggested to him that it was late." },
    { leave: "They stopped to look, and he finished, to be exact, at noon." },
  ],
  reason: "Here the verb takes “{1}”.",
  patterns: [`${GERUND_VERBS} [to VB] => $3:VBG`, `${INFINITIVE_VERBS} [VBG] => to $2:VB`],
  accepts: ({ bounds, pattern }, { words, tags }) => {
    const verb = bounds[0] ?? 0;
    if (!TAG_SETS.VERB[tags[verb] ?? 0]) return false;
    const form = words[verb]?.form ?? "";
    const before = words[verb - 1]?.form ?? "";
    if (pattern.source.includes("[to VB]")) {
      // "was considered to be", "is kept to show": passive voice is another matter.
      if (/^(?:is|are|was|were|be|been|being)$/.test(before) || tags[verb] === TAG.VBN)
        return false;
      if (/^(?:keep|consider|recommend|imagine|mind|miss)/.test(form) && tags[verb] === TAG.VBG)
        return false;
      return !/^(?:keep|kept|keeps)$/.test(form);
    }
    const after = words[bounds[3] ?? 0]?.form ?? "";
    const gerund = words[bounds[2] ?? 0]?.form ?? "";
    if (gerund === "according" || gerund === "regarding" || gerund === "depending") return false;
    if (/^(?:agree|agrees|agreed|expect|hope)/.test(form) && /^(?:on|upon)$/.test(after))
      return false;
    return tags[verb] !== TAG.VBN && after !== "'s";
  },
});

/** "without say a word", "look forward to see". */
export const gerundAfterPreposition = markCheck({
  id: "grammar/gerund-after-preposition",
  weight: "fix",
  code: "vb",
  title: "“-ing” after a preposition",
  why: "A verb after a preposition takes “-ing”: without saying, instead of waiting, looking forward to meeting.",
  source: "common practice",
  examples: [
    { wrong: "She left without say a word.", right: "She left without saying a word." },
    { wrong: "We look forward to see you.", right: "We look forward to seeing you." },
    { wrong: "Thank you for send the charts.", right: "Thank you for sending the charts." },
    { leave: "They came for help and left without delay." },
    { leave: "It is about to start, and nothing but wait is left." },
  ],
  reason: "After a preposition the verb takes “-ing”: “{1}”.",
  patterns: [
    "look~ forward to [VB] => $4:VBG",
    "instead of [VB] => $3:VBG",
    "without [say|tell|ask|read|see|know|take|make|go|have|be|look|wait|pay|write|give|leave|think] a|the|any|an|it|them|him|her|that|to => $2:VBG",
    "thank~ PPO for [VB] => $4:VBG",
    "by|for|about|after|before|of [send|make|take|give|write|say|get|move|become|provide|include|create|put|keep|read|do|go] the|a|an|it|them|this|that|my|our|his => $2:VBG",
    "good|bad|interested|succeed~|succeeded|persist~ at|in [VB] => $3:VBG",
  ],
  accepts: ({ bounds, pattern }, { words, tags }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const form = words[marked]?.form ?? "";
    const first = words[bounds[0] ?? 0]?.form ?? "";
    // "instead of make", "versions of make": a command by its name.
    const object = /^[\p{L}\d]/u.test(words[marked + 1]?.form ?? "");
    const clause = tags[marked + 1] === TAG.CS || tags[marked + 1] === TAG.WRB;
    if (first === "instead" && (!object || clause || form === "make")) return false;
    if (first === "of" && (form === "make" || form === "go")) return false;
    if (/^by|for\|about/.test(pattern.source) && !TAG_SETS.VERB[tags[marked] ?? 0]) return false;
    // "the day before put the", "what he asked for make the": a clause may end there.
    if (first === "for" || first === "before" || first === "after" || first === "of") {
      const before = tags[(bounds[0] ?? 0) - 1] ?? 0;
      if (first === "of" && (form === "read" || form === "put")) return false;
      if (first !== "of" && (form === "put" || form === "read" || form === "become")) return false;
      if (TAG_SETS.VERB[before] && first !== "of") return false;
    }
    return true;
  },
});

/** "use to", "suppose to". */
export const usedTo = markCheck({
  id: "grammar/used-to",
  weight: "fix",
  code: "vb",
  title: "“used to”, “supposed to”",
  why: "The d of “used to” and “supposed to” is hardly heard, but it is written. After “did” the plain form stands: did not use to.",
  source: "common practice",
  examples: [
    { wrong: "We use to read it by candle.", right: "We used to read it by candle." },
    { wrong: "You are suppose to sign.", right: "You are supposed to sign." },
    { wrong: "She didn’t used to live here.", right: "She didn’t use to live here." },
    { leave: "The lamps we use to read by; it is used to measure." },
  ],
  reason: "Here “{1}” is meant.",
  patterns: [
    "be~ [suppose] to => supposed",
    "is|are|was|were|am|'m|'re|get|gets|getting|become|became not? [use] to => used",
    "<s> we|they|i|he|she|it|you [use] to VB => used",
    "there|always|never [use] to be => used",
    "did|didn not|n't [used] to => use",
    "did n't [used] to => use",
  ],
});

/** "If I would have known". */
export const ifWouldHave = markCheck({
  id: "grammar/if-would-have",
  weight: "settle",
  code: "vb",
  title: "“would have” after “if” or “wish”",
  why: "In written English the condition stands in the past perfect, without “would”: if I had known, I would have come.",
  source: "common practice",
  examples: [
    {
      wrong: "If I would have known, I would have come.",
      right: "If I had known, I would have come.",
    },
    { wrong: "I wish they would have asked.", right: "I wish they had asked." },
    { leave: "They asked if it would have helped." },
  ],
  reason: "After “if” and “wish” stands “had”.",
  patterns: [
    "<s> if PRONOUN [would have] VBN => had",
    "<s> if the|a|my|our|his|her NOUN [would have] VBN => had",
    "wish~ that? PRONOUN [would have] VBN => had",
  ],
});

/** "We are waiting since noon." */
export const sinceTense = markCheck({
  id: "grammar/since-tense",
  weight: "settle",
  code: "vb",
  title: "Tense with “since” and “for”",
  why: "What began in the past and goes on stands in the perfect: we have been waiting since noon. A span of time takes “for”, its beginning “since”.",
  source: "common practice",
  examples: [
    { wrong: "We are waiting since noon.", right: "We have been waiting since noon." },
    { wrong: "He works there since May.", right: "He has worked there since May." },
    { wrong: "It has stood here since five years.", right: "It has stood here for five years." },
    { leave: "It is long since noon, and since five years had passed, they went." },
  ],
  reason: "With “since” stands the perfect: “{1}”.",
  patterns: [
    "i|we|they|you [am|are|'re|'m] VBG since CD|noon|@months|@weekdays|last|yesterday => have been",
    "he|she|it [is] VBG since CD|noon|@months|@weekdays|last|yesterday => has been",
    "he|she [works|lives|stands|waits|knows|stays] here|there|RB? since => has $2:VBN",
    "i|we|they [work|live|stand|wait|know|stay] here|there|RB? since => have $2:VBN",
    "[since] two|three|four|five|six|seven|eight|nine|ten|twenty|many|several years|days|months|weeks|hours .|, => for :: A span of time takes “for”.",
  ],
});
