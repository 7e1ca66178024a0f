import { NAME } from "../../language/lexicon.ts";
import { type Syntax, written } from "../../language/syntax.ts";
import { TAG, TAG_SETS } from "../../language/tag-sets.ts";
import type { Choice } from "../check.ts";
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
    "<s> [moreover|furthermore|nevertheless|nonetheless|consequently|additionally|conversely|incidentally|likewise|meanwhile|accordingly|hence|unfortunately|fortunately|admittedly|interestingly|surprisingly] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their|its => $2,",
    "<s> [therefore] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their|its => $2,",
    "<s> [for example] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their|if|when|in|one => $2 $3,",
    "<s> [for instance] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their|if|when|in|one => $2 $3,",
    "<s> [in addition] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their => $2 $3,",
    "<s> [in fact|contrast|conclusion|particular|short] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their => $2 $3,",
    "<s> [on the other hand] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their => $2 $3 $4 $5,",
    "<s> [as a result] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their => $2 $3 $4,",
    "<s> [of course] the|a|an|we|they|i|he|she|it|there|this|these|our|my|his|her|their => $2 $3,",
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
  weight: "fix",
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
      if (!verb || verb.finite !== comma + 1) continue;
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

const QUESTION_WORDS = new Set("what where who whom whose why how which when".split(" "));

/** "Where is the spare key." */
export const questionMark = markCheck({
  id: "grammar/question-mark",
  weight: "fix",
  code: "qm",
  title: "Question without a question mark",
  why: "A direct question ends with a question mark; a reported one with a full stop: she asked where it was.",
  source: "common practice",
  examples: [
    { wrong: "Where is the spare key.", right: "Where is the spare key?" },
    { wrong: "Did they know the keeper.", right: "Did they know the keeper?" },
    { wrong: "They asked where the gauge was?", right: "They asked where the gauge was." },
    { leave: "What they saw was a lamp. How lovely it was." },
    { leave: "Had they known, they would have come. Did she ask where it was?" },
  ],
  reason: "A question ends with a question mark, a reported one with a full stop.",
  notIn: ["heading", "cell"],
  find(syntax) {
    const found: Found[] = [];
    const { words, tags, units } = syntax;
    for (const { from, to } of sentencesOf(syntax)) {
      const end = to - 1;
      const mark = written(syntax, end);
      const first = words[from]?.form ?? "";
      const asked = syntax.text.slice(units[from]?.from, units[end]?.from).includes("?");
      if (mark === "." && to - from > 3 && !asked) {
        if (
          QUESTION_WORDS.has(first) ? isQuestion(syntax, from, to) : isInverted(syntax, from, to)
        ) {
          found.push({ from: end - 1, to: end + 1, mends: [withMark(syntax, end, "?")] });
        }
      }
      if (mark === "?" && to - from > 4 && end < units.length) {
        const group = syntax.nounGroups[syntax.nounAt[from] ?? -1];
        if (!group || group.from !== from) continue;
        const verb = syntax.verbGroups[syntax.verbAt[group.to] ?? -1];
        if (!verb || verb.finite < 0 || verb.from !== group.to) continue;
        const reported = /^(?:asked|asks|wonder|wondered|wonders)$/.test(
          words[verb.main]?.form ?? "",
        );
        const wanted = words[verb.main]?.form === "wanted" && words[verb.to + 1]?.form === "know";
        const at = wanted ? verb.to + 2 : verb.to;
        const who = words[at]?.form ?? "";
        if (
          (!reported && !wanted) ||
          !(QUESTION_WORDS.has(who) || who === "if" || who === "whether")
        )
          continue;
        if (tags[from] === TAG.PPSS && first === "you") continue;
        found.push({ from: end - 1, to: end + 1, mends: [withMark(syntax, end, ".")] });
      }
    }
    return found;
  },
});

function withMark(syntax: Syntax, end: number, mark: string): Choice {
  const stop = syntax.units[end];
  const label = `${written(syntax, end - 1)}${mark}`;
  return { label, edits: [{ from: stop?.from ?? 0, to: stop?.to ?? 0, insert: mark }] };
}

const AUXILIARY =
  /^(?:is|are|was|were|do|does|did|has|have|had|can|could|will|would|shall|should|may|might|must)$/;

/** "Where is the key", "How many visitors came", "Who read it". */
function isQuestion(syntax: Syntax, from: number, to: number): boolean {
  const { words, tags } = syntax;
  const first = words[from]?.form ?? "";
  let at = from + 1;
  if (
    first === "how" &&
    /^(?:many|much|long|far|often|old|big|high|deep|soon|well)$/.test(words[at]?.form ?? "")
  )
    at++;
  else if (first === "how" && TAG_SETS.ADJ[tags[at] ?? 0]) return false;
  const counted = at > from + 1;
  if (
    (first === "what" || first === "which" || first === "whose" || counted) &&
    !AUXILIARY.test(words[at]?.form ?? "")
  ) {
    const group =
      syntax.nounGroups[syntax.nounAt[at] ?? -1] ?? syntax.nounGroups[syntax.nounAt[from] ?? -1];
    if (!group) return false;
    if (group.pronoun) return false;
    at = group.to;
    if (!counted && first === "what" && !AUXILIARY.test(words[at]?.form ?? "")) return false;
    if (counted && syntax.verbAt[at] !== -1) return oneClause(syntax, from, to);
  }
  const form = words[at]?.form ?? "";
  if (first === "who" || first === "which") {
    return syntax.verbAt[at] !== -1 && oneClause(syntax, from, to) && tags[at] !== TAG.VBG;
  }
  if (
    first === "when" ||
    first === "where" ||
    first === "why" ||
    first === "how" ||
    first === "what" ||
    first === "whom" ||
    first === "whose"
  ) {
    if (!AUXILIARY.test(form)) return false;
    if (first === "what" && at === from + 1 && /^(?:is|was)$/.test(form)) {
      // "What is needed is a lamp", "What was once a well is dry".
      if (
        tags[at + 1] === TAG.VBN ||
        tags[at + 1] === TAG.JJ ||
        TAG_SETS.ADV[tags[at + 1] ?? 0] ||
        tags[at + 1] === TAG.IN
      )
        return false;
      return oneClause(syntax, from, to);
    }
    const group = syntax.nounGroups[syntax.nounAt[at + 1] ?? -1];
    return group !== undefined && group.from === at + 1 && !commaBefore(syntax, from, to);
  }
  return false;
}

function commaBefore({ tags }: Syntax, from: number, to: number): boolean {
  for (let unit = from; unit < to; unit++) if (tags[unit] === TAG[","]) return true;
  return false;
}

function oneClause(syntax: Syntax, from: number, to: number): boolean {
  return syntax.verbGroups.filter((verb) => verb.finite >= from && verb.to <= to).length === 1;
}

/** "Did the keeper sign the log", "Is the door shut": an auxiliary, then its subject. */
function isInverted(syntax: Syntax, from: number, to: number): boolean {
  const { words, tags } = syntax;
  const first = words[from]?.form ?? "";
  if (!/^(?:do|does|did|is|are|was|were|has|have|can|could|will|would)$/.test(first)) return false;
  const group = syntax.nounGroups[syntax.nounAt[from + 1] ?? -1];
  if (!group || group.from !== from + 1) return false;
  if (commaBefore(syntax, from, to)) return false;
  if (first === "do" || first === "have") {
    if (!group.pronoun || tags[group.from] === TAG.PPO || tags[group.from] === TAG.PN) return false;
    return /^(?:you|we|they|i)$/.test(words[group.from]?.form ?? "");
  }
  const after = syntax.verbAt[group.to] !== -1 || TAG_SETS.ADJ[tags[group.to] ?? 0] === 1;
  return after && to - from > 3;
}

/** A sentence that ends without a mark. */
export const finalMark = markCheck({
  id: "grammar/final-mark",
  weight: "settle",
  code: "fs",
  title: "Sentence without its full stop",
  why: "A sentence of running text ends with a full stop, a question mark or an exclamation mark.",
  source: "common practice",
  examples: [
    {
      wrong: "The tide turned at noon. They all went home",
      right: "The tide turned at noon. They all went home.",
    },
    { leave: "The tide turned at noon. See also:" },
    { leave: "Yours sincerely" },
    { leave: "They saw three things: a lamp, a float, a wire" },
  ],
  reason: "The sentence ends without a mark.",
  notIn: NOT_SENTENCES,
  find(syntax, _language, block) {
    const found: Found[] = [];
    const { units, text, words, tags } = syntax;
    for (let unit = 1; unit < units.length - 2; unit++) {
      if (isMissingStop(syntax, unit)) found.push(withStop(syntax, unit));
    }
    const last = units.length - 1;
    const unit = units[last];
    if (!unit) return found;
    const from = syntax.sentenceFrom[last] ?? 0;
    const ending = text.slice(unit.from, unit.to);
    const opens = /^[“"‘']?\p{Lu}/u.test(text.slice(units[from]?.from ?? 0));
    if (!/^[\p{L}\p{N}’'”")\]%]+$/u.test(ending) || !opens || text.includes("|")) return found;
    const closing = /^[’'”")\]]+$/.test(ending);
    if (closing && /[.?!:;,…]/.test(text[unit.from - 1] ?? "")) return found;
    // Other sentences around it, or one of some length: a line of a list or a title is neither.
    const verb = syntax.verbGroups.find((one) => one.finite > from && one.to <= last + 1);
    const others = block.sentences.length > 1;
    const whole = verb && (others || text.length > 120);
    const lastTag = tags[last] ?? 0;
    const open =
      lastTag === TAG.IN || lastTag === TAG.CS || lastTag === TAG.CC || lastTag === TAG.DT;
    if (!whole || open || lastTag === TAG.TO || lastTag === TAG.VBG) return found;
    if (/^(?:like|say|write|be|is|are|following|example|instance)$/.test(words[last]?.form ?? ""))
      return found;
    found.push(withStop(syntax, last, closing));
    return found;
  },
});

/** A full stop after a unit, or before it where it closes. */
function withStop({ units, text }: Syntax, unit: number, closing = false): Found {
  const { from, to } = units[unit] ?? { from: 0, to: 0 };
  const word = text.slice(from, to);
  const at = closing ? from : to;
  const label = closing ? `.${word}` : `${word}.`;
  return {
    from: unit,
    to: unit + 1,
    mends: [{ label, edits: [{ from: at, to: at, insert: "." }] }],
  };
}

/** A small word, then a capital on a word that names nothing: "went home The lamp was out". */
function isMissingStop(syntax: Syntax, unit: number): boolean {
  const { tags, words, verbGroups, verbAt, nounGroups, nounAt, units, text } = syntax;
  const next = unit + 1;
  if (syntax.sentenceFrom[unit] !== syntax.sentenceFrom[next]) return false;
  const opener = written(syntax, next);
  if (!opensSentence(syntax, next, opener)) return false;
  const before = written(syntax, unit);
  const capital = /^\p{Lu}\p{Ll}+$/u.test(before) && STRICT_OPENERS.test(opener);
  if (
    !(capital || /^[\p{Ll}\d][\p{L}\d]+$/u.test(before)) ||
    text.slice(units[unit]?.to ?? 0, units[next]?.from ?? 0) !== " "
  )
    return false;
  const tag = tags[unit] ?? 0;
  if (tag === TAG.DT || tag === TAG.IN || tag === TAG.CC || tag === TAG.CS || tag === TAG.PRP$)
    return false;
  // A finite verb on both sides makes two sentences of it.
  const from = syntax.sentenceFrom[unit] ?? 0;
  if (!verbGroups.some((verb) => verb.finite >= from && verb.to <= next)) return false;
  const group = nounGroups[nounAt[next] ?? -1];
  const at = group && group.from === next ? group.to : next + 1;
  for (let ahead = at; ahead < at + 6 && ahead < units.length; ahead++) {
    const verb = verbGroups[verbAt[ahead] ?? -1];
    if (verb && verb.finite >= 0) return words[unit]?.form !== "the";
  }
  return false;
}

const STRICT_OPENERS = /^(?:It|He|She|They|We|But|However|This|These|There|The|Each)$/;

/** A capital that only a sentence's start explains. */
function opensSentence({ tags, words }: Syntax, unit: number, opener: string): boolean {
  const tag = tags[unit] ?? 0;
  if (TAG_SETS.NAME[tag]) return false;
  if (OPENERS.has(opener)) return true;
  const grammatical =
    tag === TAG.RB ||
    tag === TAG.VBG ||
    tag === TAG.VBD ||
    tag === TAG.WRB ||
    tag === TAG.DT ||
    tag === TAG.PN;
  return (
    grammatical && /^\p{Lu}\p{Ll}+$/u.test(opener) && ((words[unit]?.traits ?? 0) & ~NAME) !== 0
  );
}

/** Words that open a sentence and are capitalised for nothing else. */
const OPENERS = new Set(
  "The This That These Those It He She They We You There If When While Although Because However But And His Her Their Our My Its In At On For As After Before Since No Some Many One Each Another What Who How Why Where A An".split(
    " ",
  ),
);

interface Slip {
  pattern: RegExp;
  reason: string;
  mend: (match: RegExpExecArray) => string;
}

/** Marks and spaces that typing leaves behind; offsets in the text, not units. */
const SLIPS: readonly Slip[] = [
  { pattern: /,(?:\s*,)+/g, reason: "One comma is enough.", mend: () => "," },
  {
    pattern: /(?<![.\d])\.\.(?=\s+\p{Lu}|\s*$)/gu,
    reason: "One full stop is enough.",
    mend: () => ".",
  },
  {
    pattern: /([?!])\.(?=\s|$)/g,
    reason: "The mark before it ends the sentence already.",
    mend: (match) => match[1] ?? "",
  },
  {
    pattern: /(?<=[\p{Ll}])[ \u00a0]+([,;])(?=[\p{L}\p{N}\s])\s*/gu,
    reason: "The space stands after the mark, not before it.",
    mend: (match) => `${match[1]} `,
  },
  {
    pattern: /(?<=\p{Ll}{2})([,;])(?=\p{L}{2})/gu,
    reason: "A space follows the mark.",
    mend: (match) => `${match[1]} `,
  },
  {
    pattern: /\([ \u00a0]+(?=\p{L})/gu,
    reason: "No space stands inside the bracket.",
    mend: () => "(",
  },
  {
    pattern: /(?<=\p{L})[ \u00a0]+\)(?!\s*\()/gu,
    reason: "No space stands inside the bracket.",
    mend: () => ")",
  },
  {
    pattern: /(?<=\p{Ll})[ ]+\.(?=\s+\p{Lu}|\s*$)/gu,
    reason: "No space stands before a full stop.",
    mend: () => ".",
  },
];

/** What every slip has in it: told at once. */
const ANY_SLIP = /,\s*,|\.\.|[?!]\.|[ \u00a0][,;.)]|[,;]\p{L}|\([ \u00a0]/u;

/** ",," and " ," and "( the". */
export const markSlips = markCheck({
  id: "grammar/mark-slips",
  weight: "fix",
  code: "pt",
  title: "Marks doubled or out of place",
  why: "A mark stands once, close to the word before it and with a space after it; inside brackets there is none.",
  source: "common practice",
  examples: [
    { wrong: "The wire broke,, and it sank.", right: "The wire broke, and it sank." },
    { wrong: "The lamp was lit ,and they sat.", right: "The lamp was lit, and they sat." },
    { wrong: "The plan ( the old one) is here.", right: "The plan (the old one) is here." },
    { wrong: "Where is it?. Nobody knew.", right: "Where is it? Nobody knew." },
    { leave: "It was … late. See a, b; and 1,000 of f(x,y)." },
  ],
  reason: "A mark is doubled or out of place.",
  find(syntax, _language, block) {
    const found: Found[] = [];
    const { text } = block;
    if (!ANY_SLIP.test(text)) return found;
    for (const { pattern, reason, mend } of SLIPS) {
      for (const match of text.matchAll(pattern)) {
        const from = match.index;
        const to = from + match[0].length;
        const first = syntax.units.findIndex((unit) => unit.to > from);
        const last = syntax.units.findIndex((unit) => unit.from >= to);
        if (first < 0) continue;
        const insert = mend(match as RegExpExecArray);
        const start = syntax.units[Math.max(0, first - 1)]?.from ?? from;
        const shown = (last < 0 ? syntax.units.at(-1) : syntax.units[last])?.to ?? to;
        const label = text.slice(start, from) + insert + text.slice(to, shown);
        const end = last < 0 ? syntax.units.length : last;
        found.push({
          from: first,
          to: Math.max(first + 1, end),
          reason,
          mends: [{ label, edits: [{ from, to, insert }] }],
        });
      }
    }
    return found;
  },
});

const PAIRS: Record<string, string> = { "(": ")", "[": "]", "“": "”" };

/** A bracket or quotation mark without its partner. */
export const unpaired = markCheck({
  id: "grammar/unpaired",
  weight: "settle",
  code: "pr",
  title: "Bracket or quotation mark without its partner",
  why: "What is opened is closed. A quotation that runs over several paragraphs opens each and closes only the last.",
  source: "common practice",
  examples: [
    { leave: "The gauge (see the plan) is “shut”." },
    { leave: "a) read it, b) write it; “He ran on" },
    { leave: "It lies between 3 (inclusive) and 5." },
  ],
  reason: "“{}” has no partner in this paragraph.",
  notIn: ["cell", "heading"],
  find(syntax, _language, block) {
    const found: Found[] = [];
    const open: { unit: number; character: string }[] = [];
    const { units, text } = syntax;
    const straight: number[] = [];
    const add = (unit: number) => found.push({ from: unit, to: unit + 1, mends: [] });
    for (const [unit, { from, to }] of units.entries()) {
      if (to - from !== 1) continue;
      const character = text[from] ?? "";
      if (character === '"' && !/\d/.test(text[from - 1] ?? "")) straight.push(unit);
      if (PAIRS[character]) {
        open.push({ unit, character });
        continue;
      }
      if (!/[)\]”]/.test(character)) continue;
      const last = open.at(-1);
      if (last && PAIRS[last.character] === character) {
        open.pop();
        continue;
      }
      // "a)", "1)": a list's mark needs no partner.
      const before = text.slice(Math.max(0, from - 4), from);
      if (character === ")" && /(?:^|[\s(])(?:\p{L}|\d{1,3}|[ivx]{1,4})$/u.test(before)) continue;
      if (character === ")" && /[:;]-?$/.test(before)) continue;
      const opposite = open.findLastIndex((one) => PAIRS[one.character] === character);
      if (opposite >= 0) {
        for (const one of open.splice(opposite))
          if (PAIRS[one.character] !== character) add(one.unit);
      } else if (last && character !== "”" && last.character !== "“") {
        open.pop();
        const mend = PAIRS[last.character] ?? "";
        found.push({
          from: unit,
          to: unit + 1,
          mends: [mend],
          reason: "This bracket closes another kind than was opened.",
        });
      } else add(unit);
    }
    for (const { unit, character } of open) {
      // A quotation may go on in the next paragraph.
      if (
        character === "“" &&
        !/”/.test(text.slice(units[unit]?.from ?? 0)) &&
        unit === open.at(-1)?.unit &&
        !endsInside(block.text)
      )
        add(unit);
      else if (character !== "“") add(unit);
    }
    if (straight.length % 2 === 1 && block.sentences.length === 1) add(straight.at(-1) ?? 0);
    return found;
  },
});

/** Speech that runs on leaves its paragraph open at a full stop right away. */
function endsInside(text: string): boolean {
  return text.startsWith("“");
}

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
  weight: "fix",
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

/** "a well known fact", "a five year plan", "a newly-built boat". */
export const compoundHyphen = markCheck({
  id: "grammar/compound-hyphen",
  weight: "settle",
  code: "hy",
  title: "Hyphen in a compound before a noun",
  why: "Two words that qualify a noun together are joined by a hyphen before it: a well-known fact, a five-year plan. After the noun, and after an adverb in -ly, there is none.",
  source: "common practice",
  examples: [
    { wrong: "It is a well known fact.", right: "It is a well-known fact." },
    { wrong: "They drew up a five year plan.", right: "They drew up a five-year plan." },
    { wrong: "We took a newly-built boat.", right: "We took a newly built boat." },
    { wrong: "It is a long term problem.", right: "It is a long-term problem." },
    { leave: "The fact is well known, and in the long term it is no problem." },
    { leave: "They stayed five years; a family-owned boat; an early-morning tide." },
  ],
  reason: "Before the noun this is written “{1}”.",
  patterns: [
    "a|an|the|this|my|our|his|her|their|no|some|any [well|ill known|written|made|kept|built|defined|established|read|paid|dressed|informed|equipped|meant] NOUN|ADJ => $2-$3",
    "a|an|the|this|our|his|her|their [long|short|medium term] NOUN|ADJ => $2-$3",
    "a|an|the|this|our|his|her|their [full|part time] job|work|post|staff|keeper|clerk|worker|employee|student|teacher|nurse|position => $2-$3",
    "a|an|the|this|our|his|her|their [first|second|third class|rate|hand|floor|year] NN => $2-$3",
    "a|an|the|this|our|his|her|their [high|low|middle|large|small quality|level|speed|pressure|income|class|scale|risk|cost] NN|NNS => $2-$3",
    "a|an|the|this|his|her|our|their [two|three|four|five|six|seven|eight|nine|ten|twelve|twenty|thirty|fifty|hundred year|month|week|day|hour|minute|mile|foot|inch|man|part|page|storey|story|bedroom] NN => $2-$3",
    "a|an|the|this|his|her|our [two|three|four|five|six|seven|eight|nine|ten|twelve|twenty year|month|week|day old] NOUN => $2-$3-$4",
    "a|an|the [up to date] NOUN => $2-$3-$4",
    "a|an|the [state of the art] NOUN => $2-$3-$4-$5",
    "a|an|the|his|her [so called] NOUN => $2-$3",
    "a|an|the [day to day] NOUN => $2-$3-$4",
    "a|an|the [face to face] NOUN => $2-$3-$4",
    "a|an|the [one|two way|sided|thirds|piece] street|road|traffic|mirror|ticket|radio|majority|suit|argument => $2-$3",
    "a|an|the|this [hard working|earned|won] NOUN => $2-$3",
    "a|an|the|this [fast|slow|far moving|growing|running|reaching|flowing] NOUN => $2-$3",
    "a|an|the|this [old fashioned] NOUN => $2-$3",
    "a|an|the|this [left|right hand] side|man|drive|turn|corner|page|column|margin => $2-$3",
  ],
  accepts: ({ bounds, pattern }, { words, tags }) => {
    const last = bounds[2 * pattern.marked.to - 1] ?? 0;
    const form = words[last]?.form ?? "";
    const first = words[bounds[2 * pattern.marked.from] ?? 0]?.form ?? "";
    if (/^(?:first|second|third)$/.test(first)) {
      return (
        /^(?:class|rate|hand)$/.test(words[last - 1]?.form ?? "") &&
        TAG_SETS.NOUN[tags[last] ?? 0] === 1
      );
    }
    if (
      /^(?:two|three|four|five|six|seven|eight|nine|ten|twelve|twenty|thirty|fifty|hundred)$/.test(
        first,
      )
    ) {
      return (
        tags[last] === TAG.NN &&
        !/^(?:ago|later|before|old|high|long|wide|deep|each|away|more|rule)$/.test(form)
      );
    }
    return TAG_SETS.NOUN[tags[last] ?? 0] === 1 || TAG_SETS.ADJ[tags[last] ?? 0] === 1;
  },
  find(syntax) {
    const found: Found[] = [];
    for (const [unit, word] of syntax.words.entries()) {
      if (!word.form.includes("ly-")) continue;
      const match = /^(\p{L}{3,}ly)-(\p{L}+(?:ed|en|wn|lt|ilt|ing|ade))$/u.exec(word.form);
      if (
        !match ||
        /^(?:family|only|early|likely|friendly|lovely|lonely|daily|weekly|monthly|yearly|elderly|costly|deadly|holy|ugly|silly|july|fly|reply|supply|assembly|anomaly|butterfly|belly|jelly|bully|lily)$/.test(
          match[1] ?? "",
        )
      )
        continue;
      const written = syntax.text.slice(syntax.units[unit]?.from ?? 0, syntax.units[unit]?.to ?? 0);
      found.push({
        from: unit,
        to: unit + 1,
        mends: [written.replace("-", " ")],
        reason: "An adverb in -ly takes no hyphen.",
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
