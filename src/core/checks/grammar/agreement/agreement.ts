import { numberForm } from "../../../language/models/choice-models.ts";
import { finiteVerbAt } from "../../../language/models/number-slots.ts";
import { hasVerbWithin } from "../../../language/models/slot-finder.ts";
import { subjectOf } from "../../../language/phrases/clauses.ts";
import {
  CODE,
  type NounGroup,
  type Syntax,
  type VerbGroup,
  written,
} from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { NOUN, VERB } from "../../../language/words/lexicon.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { BARE, ING, UNCHANGED, type WordTable } from "../../../language/words/words.ts";
import type { BlockKind } from "../../../manuscript/model.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { isTitleLike } from "../sentences/title-like.ts";
import { tellsOfPast } from "../verbs/past-times.ts";
import { betterChoices } from "../words/better-choices.ts";
import { isAmount } from "./amounts.ts";
import { agreement as card } from "./cards.ts";
import {
  asksWithObject,
  CLEAR,
  isIdentifier,
  MODALS,
  mayDisagree,
  NOUN_REACH,
  PLURAL_FORMS,
} from "./may-disagree.ts";

/** A finite verb and its subject, told by the phrases and by the model. */
export const agreement = markCheck({
  ...card,
  reason: "“{}” does not agree with its subject: “{1}”.",
  find(syntax, language, block) {
    const { words: table } = language;
    const found: Found[] = [];
    const better = betterChoices(syntax, language, "number");
    for (const verb of syntax.verbGroups) {
      const sure = plainDisagreement(syntax, verb, table);
      if (!sure) continue;
      // A noun as subject is only sure where the model agrees; pronouns speak for themselves.
      const agreed =
        sure.pronoun ||
        better.some(({ from, margin }) => from === sure.from && margin > CLEAR) ||
        isPluralOfOne(syntax, sure.from);
      found.push(agreed ? sure : { ...sure, unsure: true });
    }
    // Cells, headings and titles are seldom sentences.
    const fragment = NO_SENTENCES.has(block.kind) || isUnended(syntax, block);
    for (const { from, best, margin, sure } of fragment ? [] : better) {
      const form = syntax.words[from]?.form ?? "";
      if ((syntax.words[from]?.traits ?? 0) === 0) continue;
      // "SQLite Release 3": part of a name.
      if (from !== syntax.sentenceFrom[from] && /^\p{Lu}\p{Ll}/u.test(written(syntax, from)))
        continue;
      // "That evening": no form of a verb that has a number.
      if (table.isForm(form, ING)) continue;
      const other = numberForm(form, best === 0, table);
      if (found.some((one) => one.from === from)) continue;
      if (other === form || UNCHANGED.has(form)) continue;
      const verb = finiteVerbAt(syntax, from);
      if (!mayDisagree(syntax, verb, best, margin)) continue;
      const lexical = verb.main === from && table.isForm(form, BARE) && !PLURAL_FORMS.has(form);
      found.push({
        from,
        to: from + 1,
        mends: lexical && best === 0 ? formsOfOne(syntax, from, other, table) : [other],
        reason: reasonFor(syntax, verb, best),
        unsure: !sure || !subjectOf(syntax, verb),
        weight: "settle",
      });
    }
    return found;
  },
});

const NO_SENTENCES = new Set<BlockKind>(["cell", "heading", "caption"]);

/** "SQLite Release 3.2.8": a line without a mark at its end, and without a subject for its verb. */
function isUnended(syntax: Syntax, { text }: { text: string }): boolean {
  return isTitleLike(text) && !syntax.verbGroups.some((verb) => subjectOf(syntax, verb)?.near);
}

/** "The pages of the old book is": both groups with their determiners, and nothing else before the verb. */
function isPluralOfOne({ words, nounGroups, nounAt, sentenceFrom }: Syntax, unit: number): boolean {
  const first = nounGroups[nounAt[sentenceFrom[unit] ?? 0] ?? -1];
  const second = first && nounGroups[nounAt[first.to + 1] ?? -1];
  if (!first || !second || first.from !== sentenceFrom[unit] || second.to !== unit) return false;
  if (second.from !== first.to + 1 || words[first.to]?.form !== "of") return false;
  const determined = first.determiner >= 0 && second.determiner >= 0;
  return (
    determined &&
    first.number === "plural" &&
    second.number === "singular" &&
    /^(?:is|was|has)$/.test(words[unit]?.form ?? "")
  );
}

/** What a base form is to be after one person: its singular, and "she come yesterday" the past before it. */
function formsOfOne(syntax: Syntax, unit: number, singular: string, table: WordTable): string[] {
  const past = table.inflect(syntax.words[unit]?.form ?? "", "VBD");
  return tellsOfPast(syntax, unit) ? [past, singular] : [singular];
}

function reasonFor(syntax: Syntax, verb: VerbGroup, best: number): string {
  const subject = subjectOf(syntax, verb);
  const wanted = best === 0 ? "singular" : "plural";
  if (!subject || subject.number !== wanted) return "“{}” does not agree with its subject: “{1}”.";
  return `“${written(syntax, subject.group.head)}” is ${wanted}: “{1}”.`;
}

const THIRD = new Set(["he", "she", "it", "this"]);
const ONE_THING = new Set(
  "everything something nothing anything everyone someone everybody somebody nobody".split(" "),
);
const PLURAL = new Set(["we", "they", "you"]);
const SINGULAR_FORMS = new Set(["is", "was", "has", "does"]);

/** A finite verb whose subject the phrases tell without doubt, and that is of the other number. */
function plainDisagreement(
  syntax: Syntax,
  verb: VerbGroup,
  table: WordTable,
): (Found & { pronoun?: boolean }) | null {
  const { words, tags } = syntax;
  const unit = verb.finite;
  if (unit < 0 || unit !== verb.from) return null;
  const form = words[unit]?.form ?? "";
  if (words[unit + 1]?.form === "'s") return null;
  if (asksWithObject(syntax, unit)) return null;
  const tag = tags[unit];
  const lexical = verb.main === unit && !SINGULAR_FORMS.has(form) && !PLURAL_FORMS.has(form);
  const singular =
    SINGULAR_FORMS.has(form) || (lexical && tag === TAG.VBZ && !form.startsWith("'"));
  const plural = PLURAL_FORMS.has(form) || (lexical && tag === TAG.VB);
  if (!singular && !plural) return null;
  const mend = () => {
    const other = numberForm(form, plural, table);
    const mends = lexical && plural ? formsOfOne(syntax, unit, other, table) : [other];
    return { from: unit, to: unit + 1, mends };
  };
  let ahead = unit - 1;
  while (ahead > 0 && TAG_SETS.ADV[tags[ahead] ?? 0]) ahead--;
  if (MODALS.has(words[ahead]?.form ?? "")) return null;
  if (form === "do" && asksOfOne(syntax, unit)) {
    return { ...mend(), reason: `“${written(syntax, unit + 1)}” takes “{1}”.`, pronoun: true };
  }
  const byPronoun = pronounDisagreement(syntax, unit, singular);
  if (byPronoun) return { ...mend(), reason: `“${byPronoun}” takes “{1}”.`, pronoun: true };
  const subject = subjectOf(syntax, verb);
  if (!subject || subject.group.pronoun || subject.number === "unknown") return null;
  const head = written(syntax, subject.group.head);
  if (isIdentifier(head) || (words[subject.group.head]?.traits ?? 0) === 0) return null;
  if ((syntax.places[subject.group.head] ?? 0) & CODE) return null;
  if ((subject.number === "singular") === singular) return null;
  if (singular && isAmount(syntax, subject.group)) return null;
  // "algorithm" taken for a plural, "semantics" that may be either.
  const plain = words[subject.group.head]?.form ?? "";
  const noPlural = table.noun(plain) === plain && !TRUE_PLURALS.has(plain);
  if (subject.number === "plural" && tags[subject.group.head] === TAG.NNS && noPlural) return null;
  if (/ics$/.test(plain) || plain.length < 3 || TAG_SETS.NAME[tags[subject.group.head] ?? 0])
    return null;
  const opening = openingOf(syntax, unit);
  if (singular && isPair(syntax, opening, unit)) {
    const reason = "Two things joined by “and” are plural, unless meant as one: “{1}”.";
    return { ...mend(), reason, unsure: true };
  }
  if (!isPlain(syntax, subject.group, unit, opening, subject.inverted)) return null;
  // A plural verb may be a mood: "if it were", "demands that he go", "let the wall stand".
  if (plural && (hasMood(syntax, unit) || (lexical && subject.inverted))) return null;
  if (lexical && plural && (opening !== subject.group.from || !takesPlain(syntax, unit)))
    return null;
  // "A rare sign flip in the log has been fixed": a noun, with its verb later on.
  if (lexical && plural && hasVerbWithin(syntax, unit, NOUN_REACH)) return null;
  const wanted = singular ? "plural" : "singular";
  const reason = `“${head}” is ${wanted}: “{1}”.`;
  return { ...mend(), reason, unsure: isDoubtful(syntax, subject.group, unit, lexical) };
}

/**
 * Where the tagger may have the verb wrong: "the program preserves comments", "values in system calls",
 * "the version using two keys has"; or where a plural is the name of one thing: "Requests is".
 */
function isDoubtful(
  { words, tags, text, units }: Syntax,
  { from, to, head }: NounGroup,
  unit: number,
  lexical: boolean,
): boolean {
  const before = tags[head - 1] ?? 0;
  const compound = head > from && (before === TAG.NN || TAG_SETS.NAME[before] === 1);
  if (compound && tags[head] === TAG.NNS && (words[head]?.traits ?? 0) & VERB) return true;
  const nounBefore = tags[unit - 1] === TAG.NN && unit - 1 !== head;
  if (lexical && nounBefore && (words[unit]?.traits ?? 0) & NOUN) return true;
  for (let at = from + 1; at < to; at++) {
    if (tags[at] === TAG.VBG || MAY_LEAD.has(words[at]?.form ?? "")) return true;
  }
  // "An additional headers", "all these new feature": it is the noun that is wrong.
  for (let at = from; at < head; at++) {
    const one = tags[head] === TAG.NNS ? ONE : MANY;
    if (one.test(words[at]?.form ?? "")) return true;
  }
  return to - from === 1 && /\p{Lu}/u.test(text[units[from]?.from ?? 0] ?? "");
}

const ONE = /^(?:an?|one|this|that|each|every|another)$/;
const MANY = /^(?:these|those|all|many|several|few|two|three|both)$/;
/** Prepositions that the tagger may take for adverbs inside a noun group. */
const MAY_LEAD = new Set("about over around near under off up out".split(" "));

/** Plurals that no rule brings back to a singular. */
const TRUE_PLURALS = wordList("agreement/true-plurals");

/** "Do it attempt …?" */
function asksOfOne({ words, tags, sentenceFrom, sentenceTo }: Syntax, unit: number): boolean {
  const asked = words[(sentenceTo[unit] ?? 1) - 1]?.form === "?";
  if (!asked || unit !== sentenceFrom[unit] || tags[unit + 2] !== TAG.VB) return false;
  return /^(?:he|she|it)$/.test(words[unit + 1]?.form ?? "");
}

/** The pronoun right before a verb of the other number: "she have", "they was", "it don't". */
function pronounDisagreement(syntax: Syntax, unit: number, singular: boolean): string | null {
  const { words, tags } = syntax;
  const start = syntax.sentenceFrom[unit] ?? 0;
  const form = words[unit]?.form ?? "";
  let at = unit - 1;
  if (at >= start && tags[at] === TAG.RB && !/^(?:not|only|so|nor)$/.test(words[at]?.form ?? ""))
    at--;
  if (at < start) return null;
  const subject = words[at]?.form ?? "";
  const before = at > start ? (words[at - 1]?.form ?? "") : "";
  const opens =
    at === start || /^(?:[,;:.?!“"(—]|but|because|when|while|so|which|what|then)$/.test(before);
  if (!opens) return null;
  if (singular) return PLURAL.has(subject) ? subject : null;
  const supposed = /^(?:if|though|lest|wish|unless|that)$/.test(before);
  if (ONE_THING.has(subject) && form === "were" && !supposed) return subject;
  if (ONE_THING.has(subject) && tags[unit] === TAG.VB && !PLURAL_FORMS.has(form)) {
    return takesPlain(syntax, unit) ? subject : null;
  }
  // "That boats leave" opens with a clause.
  const opening =
    at === start && subject === "that" && tags[at] === TAG.DT && !TAG_SETS.NOUN[tags[unit] ?? 0];
  if (!THIRD.has(subject) && !opening && !ONE_THING.has(subject)) return null;
  if (form === "were") return at === start ? subject : null;
  if (PLURAL_FORMS.has(form)) return subject;
  // "this configure option": a word before a noun.
  if (subject === "this" && TAG_SETS.NOUN[tags[unit + 1] ?? 0]) return null;
  const plain = takesPlain(syntax, unit) || TAG_SETS.NOMINAL[tags[unit + 1] ?? 0] === 1;
  // "because he know that"; after "if", "that" and "lest" it may be a mood.
  const told = at === start || (subject !== "this" && /^(?:because|but|when|while)$/.test(before));
  return told && tags[unit] === TAG.VB && plain ? subject : null;
}

/** Where the clause of a verb begins, as far as that is plain: the sentence's start, after "and" or "but". */
function openingOf({ sentenceFrom, tags, words }: Syntax, unit: number): number {
  let at = sentenceFrom[unit] ?? 0;
  while (
    at < unit &&
    (tags[at] === TAG.CC ||
      tags[at] === TAG.QT ||
      (tags[at] === TAG.RB && words[at + 1]?.form === ","))
  )
    at++;
  if (at < unit && words[at]?.form === ",") at++;
  return at;
}

/** "The pump and its motor", "bridges, tunnels and ferries": groups that open the clause, the verb after. */
function isPair({ nounGroups, nounAt, words }: Syntax, opening: number, unit: number): boolean {
  let group = nounGroups[nounAt[opening] ?? -1];
  if (!group || group.from !== opening || group.pronoun) return false;
  let joined = false;
  while (group.to < unit) {
    let next: number = group.to;
    if (words[next]?.form === "," && !joined) next++;
    if (words[next]?.form === "and") {
      joined = true;
      next++;
    }
    const other: NounGroup | undefined = nounGroups[nounAt[next] ?? -1];
    if (!other || other.from !== next || next === group.to) return false;
    group = other;
  }
  return joined && group.to === unit;
}

/** The subject opens the sentence and nothing but phrases with prepositions parts it from the verb. */
function isPlain(
  syntax: Syntax,
  group: NounGroup,
  unit: number,
  opening: number,
  inverted: boolean,
): boolean {
  const { tags, words, nounAt, nounGroups } = syntax;
  const asked = written(syntax, (syntax.sentenceTo[unit] ?? 1) - 1) === "?";
  for (let at = group.from; at < group.to; at++) {
    if (inverted && (TAG_SETS.NAME[tags[at] ?? 0] || words[at]?.form === "such")) return false;
  }
  if (inverted) return asked && unit === opening && nounGroups[nounAt[unit + 1] ?? -1] === group;
  if (group.from !== opening) return false;
  // "What tide are we waiting for?"
  const next = tags[unit + 1];
  if (TAG_SETS.WH[tags[group.from] ?? 0] && (next === TAG.PPSS || next === TAG.PPS)) return false;
  if (group.number === "singular" && group.determiner < 0) return false;
  for (let at = group.to; at < unit; at++) {
    const tag = tags[at] ?? 0;
    const phrase = tag === TAG.IN || (nounAt[at] ?? -1) >= 0 || TAG_SETS.ADV[tag];
    const group = nounGroups[nounAt[at] ?? -1];
    if (group?.from === at && (nounAt[at - 1] ?? -1) >= 0) return false;
    // "the examples/ folder": part of a path.
    if (words[at]?.form === "/") return false;
    if (!phrase || words[at]?.form === "and" || words[at]?.form === "or") return false;
    if (
      TAG_SETS.WH[tag] ||
      /^(?:with|than|as|like|plus|including|besides|but|which|that)$/.test(words[at]?.form ?? "")
    )
      return false;
  }
  // "The fourth and fifth", "the deaf": a group whose head is no noun may be either.
  return TAG_SETS.NOUN[tags[group.head] ?? 0] === 1 && !hasConjunction(words, group);
}

function hasConjunction(words: Syntax["words"], group: NounGroup): boolean {
  for (let at = group.from; at < group.to; at++)
    if (words[at]?.form === "and" || words[at]?.form === ",") return true;
  return false;
}

function hasMood({ words, sentenceFrom }: Syntax, unit: number): boolean {
  for (let at = unit - 1; at >= (sentenceFrom[unit] ?? 0) && unit - at < 16; at--) {
    if (/^(?:if|though|lest|whether|that|let|wish|unless|god|suppose)$/.test(words[at]?.form ?? ""))
      return true;
  }
  return false;
}

/** What follows a base form shows that it is a verb: an object, a preposition, "to". */
function takesPlain({ tags, words }: Syntax, unit: number): boolean {
  const next = tags[unit + 1] ?? 0;
  if (UNCHANGED.has(words[unit]?.form ?? "")) return false;
  return (
    next === TAG.DT ||
    next === TAG.PRP$ ||
    next === TAG.PPO ||
    next === TAG.TO ||
    next === TAG.IN ||
    next === TAG.CS ||
    next === TAG.WRB
  );
}
