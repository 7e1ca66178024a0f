import { TAG, TAG_SETS } from "../../language/tag-sets.ts";
import { markCheck } from "../mark-check.ts";

/** "one the oldest", "a lot people", "going be". */
export const missingWord = markCheck({
  id: "grammar/missing-word",
  weight: "fix",
  code: "mw",
  title: "Little word missing",
  why: "“To”, “of”, “be” and their like are left out easily, since the eye fills them in.",
  source: "common practice",
  examples: [
    { wrong: "It is one the oldest wells.", right: "It is one of the oldest wells." },
    { wrong: "They are going be late.", right: "They are going to be late." },
    { wrong: "We were able open it.", right: "We were able to open it." },
    { wrong: "A lot people came.", right: "A lot of people came." },
    { leave: "They want peace, and one that the men saw." },
    { leave: "She helped carry it, and they go see the boat." },
  ],
  reason: "A little word is missing: “{1}”.",
  patterns: [
    "be~ [one the] JJS|most|few|first|last|many => one of the",
    "<s> [one the] NNS => one of the",
    "[a lot] people|things|times|work|money|boats|trouble|men|women|water|other|rain|time|books => a lot of",
    "[lots] people|things|times|work|money|boats => lots of",
    "a [couple] days|weeks|months|years|hours|times|minutes|things => couple of",
    "be~ [going] be|do|have|get|make|take|say|see|come|give|put|tell|go => going to",
    "be~ not|n't? [able] VB|open|close|clean|clear => able to",
    "be~ not|n't? [unable] VB => unable to",
    "want|wants|wanted [go|be|do|see|know|get|take|make|have|keep|say|leave|come|tell|find|read|put|learn] => to $2",
    "have|has|had [go] to => to go",
    "need|needs|needed|ought|tend|tends|tended|seem|seems|seemed|try|tries|tried|decide|decided|agreed|refused|hoped [be|do|make|have|get|take|find|keep|give|know] => to $2",
    "because [the|a|an|his|her|their|our] NOUN .|, => of $2",
    "instead [the|a|my|his|her|their|our] NOUN .|, => of $2",
    "out [the] house|room|way|question|blue => of the",
    "in spite [the|his|her|their|its|this|all] => of $3",
    "on behalf [the|his|her|their|our] => of $3",
    "in front [the|his|her|their|our|a] => of $3",
    "on top [the|his|her|their|our|a] => of $3",
    "in case [fire|rain|frost|doubt|need|emergency] => of $3",
    "will|would|should|must|can|could|may|might not? [ready|able|available|possible|necessary|glad|happy|late|sure|aware] => be $3",
    "according [the|a|his|her|their|our|its] => to $2",
    "due [the|a|an|his|her|their|our|its] NOUN => to $2",
    "thanks [the|his|her|their|our] NOUN , => to $2",
    "PPS|PPSS|NOUN go|goes|going|went [the] shop|office|quay|harbour|station|market|library|school|museum => to the",
  ],
  // "because the content, while short, is": the clause may still have its verb.
  unsure: ({ pattern }) => pattern.source.startsWith("because"),
  accepts: ({ bounds, pattern }, { words, tags }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const before = words[(bounds[0] ?? 0) - 1]?.form ?? "";
    // "try find", where a command is named; "nothing need be done".
    if (
      /^(?:find|make)$/.test(words[marked]?.form ?? "") ||
      (/^needs?$/.test(words[marked - 1]?.form ?? "") && words[marked]?.form === "be")
    ) {
      return false;
    }
    if (words[marked]?.form === "have" && TAG_SETS.PAST[tags[marked + 1] ?? 0]) return false;
    if (pattern.source.startsWith("need|needs")) {
      if (/^(?:not|n't|he|she|it|who|nor|you|we|they|i|one)$/.test(words[marked - 1]?.form ?? ""))
        return false;
      // "he need be": the auxiliary "need" and "dare" take no "to".
      return (
        !(words[marked - 1]?.form === "need" && !TAG_SETS.PRONOUN[tags[marked - 2] ?? 0]) &&
        tags[marked] === TAG.VB
      );
    }
    if (pattern.source.startsWith("due")) return !/^(?:the|in|with)$/.test(before);
    if (pattern.source.startsWith("want|wants")) return tags[marked] === TAG.VB;
    return true;
  },
});

/** "the of", "in the to". */
export const swappedWords = markCheck({
  id: "grammar/swapped-words",
  weight: "settle",
  code: "tr",
  title: "Words changed about",
  why: "Two words have changed places in typing, which the eye easily passes over.",
  source: "common practice",
  examples: [
    { wrong: "It is the in drawer.", right: "It is in the drawer." },
    { wrong: "He is one the of oldest men.", right: "He is one of the oldest men." },
    { wrong: "We went the to quay.", right: "We went to the quay." },
    { leave: "The in crowd, the on switch and the to-do list; the by now old man." },
  ],
  reason: "These words have changed places: “{1}”.",
  patterns: [
    "[the of] JJS|NOUN|ADJ|two|three|most => of the",
    "VERB|NOUN [the to] NN|NNS => to the",
    "VERB|NOUN|RB [the in|on|at|from|with|for|by] NN|NNS .|,|and|</s> => $3 the",
    "VERB|NOUN|RB [the in|on|at|from|with|for|by] NN|NNS </s> => $3 the",
    "VERB [a in|on|at|from|with|for|of|to] NN|NNS|ADJ => $3 a",
    "[to back] the => back to",
  ],
  accepts: ({ bounds, pattern }, { words, tags, text, units }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const second = words[marked + 1]?.form ?? "";
    const next = words[marked + 2]?.form ?? "";
    if (
      text[units[marked + 1]?.to ?? 0] === "-" ||
      /["“”]/.test(text.slice(units[marked]?.from ?? 0, units[marked + 1]?.to ?? 0))
    )
      return false;
    if (second === "back")
      return /^(?:came|come|comes|went|go|goes|ran|walked|turned|returned|get|got)$/.test(
        words[marked - 1]?.form ?? "",
      );
    if (/^(?:crowd|tray|switch|position|button|side)$/.test(next)) return false;
    if (second === "by" || second === "from") return tags[marked + 2] === TAG.NN;
    return tags[marked] !== TAG.NNP;
  },
});

/** "discuss about", "enter into the room", "he is was". */
export const extraWord = markCheck({
  id: "grammar/extra-word",
  weight: "fix",
  code: "xw",
  title: "Little word too many",
  why: "Two words that exclude each other stand together, often because one was put in and the other not taken out.",
  source: "common practice",
  examples: [
    { wrong: "He is was tired.", right: "He was tired." },
    { wrong: "They will can come.", right: "They will come." },
    { leave: "What it is is hard to say." },
    { leave: "That that is, is." },
  ],
  reason: "One of these words is too many.",
  patterns: [
    "PRONOUN|NOUN [is was] !is|was => was | is",
    "PRONOUN|NOUN [was is] !is|was => is | was",
    "PRONOUN|NOUN [are were] => were | are",
    "PRONOUN|NOUN [were are] => are | were",
    "PRONOUN|NOUN [has had] VBN => had | has",
    "PRONOUN|NOUN [have has] => has | have",
    "PRONOUN|NOUN [will|would|shall|should|must|may|might can|could|will|would|should|must|may] VB => $2 | $3",
    "PRONOUN|NOUN [can|could will|would|should|must|may|might] VB => $2 | $3",
    "[of in|on|at|for|to|with|by] the => $1 | $2",
    "[in on|at|of|to] the => $1 | $2",
    "[on in|of|to|at] the => $1 | $2",
    "[at in|on|of] the => $1 | $2",
    "[with of|in|at] the => $1 | $2",
    "[for to] VB => to",
    "could|should|would|must|may|might|can|will [to] VB => -",
    "[for of|in|on|with] the => $1 | $2",
    "[to from|of|on|at|by] the => $1 | $2",
    "[a the|my|his|its] NOUN => $2",
    "to to [VB] => $3",
    "MD|TO [be|have] be|have VBN => - :: One of the two verbs is too many.",
  ],
  accepts: ({ bounds, pattern }, { words, tags, text, units }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const last = (bounds[2 * pattern.marked.to - 1] ?? 1) - 1;
    const one = words[marked]?.form ?? "";
    const two = words[last]?.form ?? "";
    const before = words[marked - 1]?.form ?? "";
    if (text.slice(units[marked]?.to ?? 0, units[last]?.from ?? 0) !== " ") return false;
    if (/^(?:is|was)$/.test(one) && /^(?:is|was)$/.test(two)) {
      return (
        TAG_SETS.PRONOUN[tags[marked - 1] ?? 0] === 1 &&
        !/^(?:it|this|that|all|what)$/.test(before) &&
        words[marked - 2]?.form !== "what" &&
        words[marked - 2]?.form !== "who" &&
        words[marked - 2]?.form !== "as" &&
        words[marked - 2]?.form !== "that"
      );
    }
    if (
      tags[marked] === TAG.IN ||
      tags[marked] === TAG.RP ||
      /^(?:of|in|on|at|with|for|to)$/.test(one)
    ) {
      // Particles of verbs stand before prepositions: "went on to the", "come in for the", "to look at in".
      if (tags[marked] === TAG.RP || TAG_SETS.VERB[tags[marked - 1] ?? 0]) return false;
      if (one === "on" || one === "in")
        return (
          /^(?:of|in|at|on)$/.test(two) &&
          TAG_SETS.NOMINAL[tags[marked - 1] ?? 0] === 1 &&
          !/^(?:moved|turned|carry)$/.test(before) &&
          one !== "on"
        );
      if (one === "for" && two === "to")
        return (
          !/^(?:what|wait|asked|waited|waiting|hope|hoped|as)$/.test(before) &&
          TAG_SETS.NOMINAL[tags[marked - 1] ?? 0] === 1
        );
      if (one === "to") return two === "of" || two === "by" ? false : two !== "from";
      return TAG_SETS.NOMINAL[tags[marked - 1] ?? 0] === 1 && tags[last] !== TAG.RP;
    }
    return true;
  },
});

/** Question order in a reported question: "asked what time was it". */
export const reportedQuestion = markCheck({
  id: "grammar/reported-question",
  weight: "settle",
  code: "wo",
  title: "Order of a reported question",
  why: "In a question that is reported the subject comes before the verb: she asked what time it was.",
  source: "common practice",
  examples: [
    { wrong: "I asked what time was it.", right: "I asked what time it was." },
    { wrong: "Tell me where is the key.", right: "Tell me where the key is." },
    { leave: "She asked who was there. Ask what is the matter." },
  ],
  reason: "In a reported question the subject comes first: “{1}”.",
  patterns: [
    "ask~|know~|wonder~|tell~ me|him|her|us|them? what time [is|was it] => it $5",
    "ask~|wonder~|know~|tell~|understand~|see~ me|him|her|us|them? where|when|why|how [is|are|was|were he|she|it|they|this|that] .|,|</s> => $5 $4",
    "ask~|wonder~|know~|tell~|understand~ me|him|her|us|them? where|when|why|how [is|are|was|were the|a|my|his|her|our|their ADJ? NOUN] .|, => $5 $6 $7 $4",
    "ask~|wonder~|know~|tell~|understand~ me|him|her|us|them? where|when|why|how [is|are|was|were the|a|my|his|her|our|their ADJ? NOUN] </s> => $5 $6 $7 $4",
    "ask~|wonder~|know~|knows|tell~ me|him|her|us|them? what [is|are|was|were the answer|price|reason|cost|name|number|meaning] .|, => $5 $6 $4",
    "ask~|wonder~|know~|tell~ me|him|her|us|them? what [is|are|was|were the answer|price|reason|cost|name|number|meaning] </s> => $5 $6 $4",
  ],
});

/** "The reason is because". */
export const reasonBecause = markCheck({
  id: "grammar/reason-because",
  weight: "settle",
  code: "cj",
  title: "“the reason is because”",
  why: "“Reason” and “because” say the same; the reason is that … .",
  source: "common practice",
  examples: [
    { wrong: "The reason is because it broke.", right: "The reason is that it broke." },
    {
      wrong: "The reason they left is because it rained.",
      right: "The reason they left is that it rained.",
    },
    { leave: "It is because the reason was known. The reason is because of fog." },
  ],
  reason: "“Reason” says what “because” says: “{1}”.",
  patterns: [
    "reason is|was [because] !of => that",
    "reason why? PRONOUN VERB|MD VERB? is|was [because] !of => that",
    "reason for NOUN is|was [because] !of => that",
  ],
});
