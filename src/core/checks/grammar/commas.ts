import { type Syntax, written } from "../../language/syntax.ts";
import { TAG, TAG_SETS } from "../../language/tag-sets.ts";
import { type Found, markCheck } from "../mark-check.ts";
import { sentencesOf } from "./sentences.ts";

const NOT_SENTENCES = ["heading", "cell", "caption", "item"] as const;

/** "However the wall held." */
export const introductoryComma = markCheck({
  id: "grammar/introductory-comma",
  weight: "settle",
  code: "cm",
  title: "Comma after an opening adverb",
  why: "“However”, “therefore”, “for example”, “in addition” at a sentence’s start are set off by a comma. “However” without one means “in whatever way”.",
  source: "common practice",
  examples: [
    { wrong: "However the wall held.", right: "However, the wall held." },
    { wrong: "For example the tap was shut.", right: "For example, the tap was shut." },
    { wrong: "In addition they sent a clerk.", right: "In addition, they sent a clerk." },
    { leave: "However hard they tried, it held." },
    { leave: "In addition to the lamp they had a torch." },
  ],
  reason: "An opening like this is set off by a comma.",
  patterns: [
    "<s> [however] the|a|an|we|they|i|he|she|it|there|this|these|that|our|my|his|her|their|its|in|when|if => $2,",
    "<s> [moreover|furthermore|nevertheless|nonetheless|consequently|additionally|conversely|incidentally|likewise|accordingly|unfortunately|fortunately|admittedly|interestingly|surprisingly] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their|its => $2,",
    "<s> [therefore] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their|its => $2,",
    "<s> [for example] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their|if|when|in|one => $2 $3,",
    "<s> [for instance] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their|if|when|in|one => $2 $3,",
    "<s> [in addition] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their => $2 $3,",
    "<s> [in fact|contrast|conclusion|particular|short] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their => $2 $3,",
    "<s> [on the other hand] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their => $2 $3 $4 $5,",
    "<s> [as a result] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their => $2 $3 $4,",
  ],
  accepts: ({ bounds, pattern }, syntax) => {
    const first = bounds[2 * pattern.marked.from] ?? 0;
    const after = bounds[2 * pattern.marked.to - 1] ?? 0;
    if (syntax.words[first]?.form === "however") {
      // "However the wall is built, it holds": a clause that a comma ends.
      const end = syntax.sentenceTo[first] ?? after;
      for (let unit = after; unit < end - 1; unit++) {
        if (syntax.tags[unit] === TAG[","] && (syntax.nounAt[unit + 1] ?? -1) >= 0) return false;
      }
    }
    return syntax.text[syntax.units[after - 1]?.to ?? 0] === " ";
  },
  notIn: ["heading", "cell"],
});

/** "The keeper of the gauge, wrote": a comma between subject and verb. */
export const subjectComma = markCheck({
  id: "grammar/subject-comma",
  weight: "settle",
  code: "cm",
  title: "Comma between subject and verb",
  why: "However long the subject is, no comma parts it from its verb. Two commas around an insertion are another matter.",
  source: "common practice",
  examples: [
    {
      wrong: "The keeper of the gauge, wrote it down.",
      right: "The keeper of the gauge wrote it down.",
    },
    {
      wrong: "The boats in the harbour, are tied up.",
      right: "The boats in the harbour are tied up.",
    },
    { leave: "The gauge, which is old, was read. In the night, came a storm." },
    { leave: "After the storm, was it shut? In the hall, the lamp was lit." },
  ],
  reason: "No comma parts a subject from its verb.",
  notIn: NOT_SENTENCES,
  at: [", VERB|MD"],
  find(syntax) {
    const found: Found[] = [];
    const { words, tags, text, units, nounGroups, nounAt } = syntax;
    for (const { from, to } of sentencesOf(syntax)) {
      if (written(syntax, to - 1) !== "." && to < units.length) continue;
      let comma = -1;
      for (let unit = from; unit < to; unit++) {
        if (tags[unit] === TAG[","]) {
          comma = unit;
          break;
        }
        // Anything but a plain noun phrase before the comma, and the comma may be right.
        const tag = tags[unit] ?? 0;
        if (syntax.verbAt[unit] !== -1 && tag !== TAG.VBG && tag !== TAG.VBN) break;
        if (
          tag === TAG.CS ||
          tag === TAG[":"] ||
          tag === TAG.QT ||
          tag === TAG.BR ||
          TAG_SETS.WH[tag]
        )
          break;
      }
      if (comma < 0 || comma - from < 2 || comma - from > 14) continue;
      const first = nounGroups[nounAt[from] ?? -1];
      if (!first || first.from !== from || tags[comma - 1] === TAG.CD) continue;
      if (
        /^(?:last|next|this|that|one|each|every|yesterday|today|some|all|no)$/.test(
          words[from]?.form ?? "",
        ) &&
        TIMES.test(words[first.head]?.form ?? "")
      )
        continue;
      const verb = syntax.verbGroups[syntax.verbAt[comma + 1] ?? -1];
      if (!verb || verb.finite !== comma + 1 || words[comma + 1]?.form === "please") continue;
      const opening = tags[verb.finite] ?? 0;
      if (opening === TAG.VB && tags[first.head] !== TAG.NNS) continue;
      if (opening === TAG.MD && words[comma + 1]?.form.startsWith("'")) continue;
      // A past form like a participle may open an insertion; then another verb follows.
      const ambiguous =
        opening === TAG.VBD && verb.main === verb.finite && couldBeParticiple(syntax, verb.finite);
      if (ambiguous && syntax.verbGroups.some((one) => one.finite > verb.finite && one.to <= to))
        continue;
      const stop = units[comma];
      const last = units[comma - 1];
      if (!stop || !last) continue;
      const word = text.slice(last.from, last.to);
      const next = text.slice(units[comma + 1]?.from ?? 0, units[comma + 1]?.to ?? 0);
      found.push({
        from: comma - 1,
        to: comma + 2,
        mends: [
          { label: `${word} ${next}`, edits: [{ from: stop.from, to: stop.to, insert: "" }] },
        ],
      });
    }
    return found;
  },
});

const TIMES = /^(?:night|day|morning|year|week|time|month|evening|afternoon|summer|winter|spring)$/;

/** A past form that is spelled like the participle may open a phrase: "the men, led by him". */
function couldBeParticiple({ words, tags }: Syntax, unit: number): boolean {
  const form = words[unit]?.form ?? "";
  if (
    /^(?:was|were|had|did|went|came|saw|took|gave|wrote|began|knew|fell|stood|rose|became|ran|drove|grew|threw|flew|drew|lay|spoke|broke|chose|ate|did)$/.test(
      form,
    )
  )
    return false;
  const next = tags[unit + 1] ?? 0;
  // "wrote it", "opened the door": an object of its own speaks for a finite verb.
  return !(TAG_SETS.PRONOUN[next] || next === TAG.DT || next === TAG.PRP$ || next === TAG.TO);
}

/** "The clerk said, that the log was lost." */
export const thatComma = markCheck({
  id: "grammar/that-comma",
  weight: "fix",
  code: "cm",
  title: "Comma before “that”",
  why: "In English no comma stands between a verb of saying or thinking and its “that”.",
  source: "common practice",
  examples: [
    { wrong: "The clerk said, that it was lost.", right: "The clerk said that it was lost." },
    { wrong: "We know, that it is weak.", right: "We know that it is weak." },
    { leave: "He said, “That is all.” They know, too, that it is late." },
  ],
  reason: "No comma stands before this “that”.",
  patterns: [
    "say~|said|says|know~|think~|thought|hope~|believe~|show~|shows|state~/VERB|mean~|means|assume~|note~/VERB|find~|found|report~/VERB|claim~|suggest~|argue~|explain~ [,] that PRONOUN|DT|PRP$|NOUN|NNP => -",
  ],
  accepts: ({ bounds }, syntax) => {
    const verb = bounds[0] ?? 0;
    const from = syntax.sentenceFrom[verb] ?? 0;
    if (!TAG_SETS.VERB[syntax.tags[verb] ?? 0]) return false;
    // "It was, they said, that": a comma before makes an insertion of it.
    for (let unit = from; unit < verb; unit++)
      if (syntax.tags[unit] === TAG[","] || syntax.tags[unit] === TAG.QT) return false;
    return true;
  },
});

/** "consists of: four lamps". */
export const colonAfterVerb = markCheck({
  id: "grammar/colon-after-verb",
  weight: "settle",
  code: "co",
  title: "Colon that parts what belongs together",
  why: "A colon stands after a clause that could end there. After “consists of”, “such as” or “include” the list is the object, and nothing parts it from its verb.",
  source: "common practice",
  examples: [
    { wrong: "It consists of: a lamp and a wire.", right: "It consists of a lamp and a wire." },
    {
      wrong: "We need things such as: rope and nails.",
      right: "We need things such as rope and nails.",
    },
    { leave: "It holds the following: a lamp and a wire." },
  ],
  reason: "No colon parts a list from the words it completes.",
  patterns: [
    "consist~|comprise~|composed|consists of [:] NOUN|DT|CD|ADJ => -",
    "such as [:] NOUN|DT|CD|ADJ => -",
    "include|includes|including|included [:] NOUN|DT|CD|ADJ => -",
  ],
  accepts: ({ bounds, pattern }, syntax) => {
    const colon = bounds[2 * pattern.marked.from] ?? 0;
    if (written(syntax, colon) !== ":") return false;
    return !/["“\u2028]/.test(
      syntax.text.slice(syntax.units[colon]?.to ?? 0, syntax.units[colon + 1]?.to ?? 0),
    );
  },
});

/** "Although it was late; they stayed." */
export const semicolonAfterOpening = markCheck({
  id: "grammar/semicolon-after-opening",
  weight: "settle",
  code: "sc",
  title: "Semicolon after a subordinate clause",
  why: "A semicolon joins two sentences that could stand alone. After an opening with “although”, “when” or “if” stands a comma.",
  source: "common practice",
  examples: [
    { wrong: "Although it was late; they stayed.", right: "Although it was late, they stayed." },
    { leave: "It was late; although they stayed, it ended." },
    { leave: "When it rains, they wait; when it stops, they go." },
  ],
  reason: "After this opening stands a comma.",
  at: ["<s> although|though|when|if|because|since|while|after|before|unless|until|as"],
  find(syntax) {
    const found: Found[] = [];
    const { words, tags, units, text } = syntax;
    for (const { from, to } of sentencesOf(syntax)) {
      if (
        !/^(?:although|though|when|if|because|since|while|after|before|unless|until|as)$/.test(
          words[from]?.form ?? "",
        )
      )
        continue;
      let at = from;
      while (at < to && tags[at] !== TAG[","] && text[units[at]?.from ?? 0] !== ";") at++;
      const stop = units[at];
      if (at >= to || !stop || text[stop.from] !== ";") continue;
      const next = tags[at + 1] ?? 0;
      if (next === TAG.CC || next === TAG.CS || next === TAG.WRB) continue;
      if (!syntax.verbGroups.some((verb) => verb.finite > from && verb.to <= at)) continue;
      const label = `${written(syntax, at - 1)},`;
      found.push({
        from: at - 1,
        to: at + 1,
        mends: [{ label, edits: [{ from: stop.from, to: stop.to, insert: "," }] }],
      });
    }
    return found;
  },
});

/** "May 5 1962", "5 May, 1962". */
export const dateComma = markCheck({
  id: "grammar/date-comma",
  weight: "settle",
  code: "cm",
  title: "Comma in a date",
  why: "Between day and year in the order month, day, year stands a comma: May 5, 1962.",
  source: "common practice",
  examples: [
    { wrong: "It fell on May 5 1962.", right: "It fell on May 5, 1962." },
    { leave: "On 5 May 1962 and in May 1962; on May 5 1,962 men came." },
  ],
  reason: "Between day and year stands a comma.",
  patterns: ["@months [CD] CD => $2,"],
  accepts: ({ bounds }, syntax) => {
    const day = written(syntax, bounds[2] ?? 0);
    const year = written(syntax, bounds[4] ?? 0);
    const month = written(syntax, bounds[0] ?? 0);
    return (
      /^\p{Lu}/u.test(month) &&
      /^(?:[1-9]|[12]\d|3[01])(?:st|nd|rd|th)?$/.test(day) &&
      /^(?:1[0-9]|20)\d\d$/.test(year)
    );
  },
});

/** "a clause, and another": the comma before a conjunction, and non-restrictive "which". */
export const clauseComma = markCheck({
  id: "grammar/clause-comma",
  weight: "weigh",
  code: "cm",
  title: "Comma before “but” or “so”",
  why: "Where “but” or “so” joins two full clauses with subjects of their own, a comma shows where the first ends. Short clauses may do without.",
  source: "common practice",
  examples: [
    {
      wrong: "The gauge was read twice a day but nobody wrote the figure down.",
      right: "The gauge was read twice a day, but nobody wrote the figure down.",
    },
    { leave: "It came but it went. They rose so that he saw it." },
  ],
  reason: "A comma shows where the first clause ends.",
  aPage: 2,
  at: ["but/CC"],
  find(syntax) {
    const found: Found[] = [];
    const { words, tags } = syntax;
    for (const { from, to } of sentencesOf(syntax)) {
      for (let unit = from + 6; unit < to - 4; unit++) {
        if (words[unit]?.form !== "but" || tags[unit] !== TAG.CC) continue;
        if (TAG_SETS.STOP[tags[unit - 1] ?? 0]) continue;
        const second = syntax.nounGroups[syntax.nounAt[unit + 1] ?? -1];
        const verb = second && syntax.verbGroups[syntax.verbAt[second.to] ?? -1];
        if (!second || second.from !== unit + 1 || !verb || verb.finite !== second.to) continue;
        if (!syntax.verbGroups.some((one) => one.finite >= from && one.to <= unit)) continue;
        if (/^(?:nothing|anything|everything|all|not)$/.test(words[unit - 1]?.form ?? "")) continue;
        found.push({ from: unit - 1, to: unit + 1, mends: [`${written(syntax, unit - 1)}, but`] });
      }
    }
    return found;
  },
});
