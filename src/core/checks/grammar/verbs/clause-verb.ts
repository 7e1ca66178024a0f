import { type Syntax, written } from "../../../language/phrases/syntax.ts";
import { OPENS_OBJECT, TAG, TAG_SETS, tagSet } from "../../../language/tags/tag-sets.ts";
import { ADJECTIVE, ADVERB, NOUN, VERB } from "../../../language/words/lexicon.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import {
  BARE,
  ING,
  PARTICIPLE,
  PAST,
  THIRD,
  type WordTable,
} from "../../../language/words/words.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { isTitleLike } from "../sentences/title-like.ts";
import { clauseVerb as card } from "./cards.ts";
import { tellsOfPast } from "./past-times.ts";

/** A clause whose verb has no form that its subject could take, told by the words and not by their tags. */
export const clauseVerb = markCheck({
  ...card,
  reason: "The clause wants “{1}” here.",
  notIn: ["heading", "cell", "caption", "item"],
  find(syntax, language) {
    const { words: table } = language;
    const found: Found[] = [];
    for (let unit = 0; unit < syntax.words.length; unit++) {
      const owner = ownerForVerb(syntax, unit) ?? pastForWeAre(syntax, unit);
      if (owner) found.push(owner);
      if (unit === 0 || ((syntax.words[unit]?.traits ?? 0) & VERB) === 0) continue;
      const one =
        afterPronoun(syntax, unit, table) ??
        afterDo(syntax, unit, table) ??
        afterAdverb(syntax, unit, table) ??
        participleAlone(syntax, unit, table) ??
        withoutEnding(syntax, unit, table);
      if (one) found.push(one);
    }
    return found;
  },
});

const MANY = new Set("i we they you".split(" "));
const AUXILIARY =
  /^(?:is|are|was|were|am|be|been|do|does|did|has|have|had|can|could|will|would|shall|should|may|might|must|need|let|dare)$/;
/** What may stand before the subject of a clause. */
const OPENS = tagSet("CC", "CS", ",", ":", "WRB", "QT", "BR");

/** Whether a pronoun is the subject of what follows, in a clause that is not asked or turned about. */
function isSubject({ tags, words, sentenceFrom }: Syntax, unit: number): boolean {
  if (unit === sentenceFrom[unit]) return true;
  let before = unit - 1;
  if (tags[before] === TAG.NOT) before--;
  if (AUXILIARY.test(words[before]?.form ?? "")) return false;
  // "You" and "it" may be what is seen or told.
  return !/^(?:you|it)$/.test(words[unit]?.form ?? "") || OPENS[tags[unit - 1] ?? 0] === 1;
}

/** The unit before a word and before an adverb that may stand between; -1 where its sentence begins. */
function subjectPlace({ words, sentenceFrom }: Syntax, unit: number): number {
  const start = sentenceFrom[unit] ?? 0;
  let at = unit - 1;
  if (at > start && FREQUENCY.test(words[at]?.form ?? "")) at--;
  return at < start ? -1 : at;
}

/** The pronoun that is the subject of a word, with an adverb between at most; -1 for none. */
function pronounBefore(syntax: Syntax, unit: number): number {
  const at = subjectPlace(syntax, unit);
  if (!TAG_SETS.SUBJECT[syntax.tags[at] ?? 0]) return -1;
  return isSubject(syntax, at) ? at : -1;
}
const FREQUENCY = /^(?:also|always|never|often|usually|sometimes|already|still|just|really|only)$/;

/** "They looks", "we spoken", "she going": what no subject in one word takes. */
function afterPronoun(syntax: Syntax, unit: number, table: WordTable): Found | null {
  const at = pronounBefore(syntax, unit);
  if (at < 0) return null;
  const { words } = syntax;
  const subject = words[at]?.form ?? "";
  const form = words[unit]?.form ?? "";
  if (AUXILIARY.test(form) || form.startsWith("'") || /\p{Lu}/u.test(written(syntax, unit))) {
    return null;
  }
  const forms = table.formsOf(form);
  const has = (one: number) => (forms & (1 << one)) !== 0;
  if (MANY.has(subject) && has(THIRD) && !has(BARE) && !has(PAST)) {
    // "I" may count or name a thing: "the points I lists".
    if (subject === "i" && written(syntax, at) !== "I") return null;
    return { from: unit, to: unit + 1, mends: [table.verb(form)] };
  }
  // "He open the window": taken for a quality, or for a past.
  const taken = syntax.tags[unit] !== TAG.VB && has(BARE) && !has(PAST);
  if (/^(?:he|she|it)$/.test(subject) && taken && OPENS_OBJECT[syntax.tags[unit + 1] ?? 0] === 1) {
    const joined =
      at === syntax.sentenceFrom[at] ||
      /^(?:and|but|because|when)$/.test(words[at - 1]?.form ?? "");
    const mends = singularForms(syntax, unit, table);
    return joined ? { from: unit, to: unit + 1, mends } : null;
  }
  if (has(PARTICIPLE) && !has(PAST) && !has(BARE)) {
    if (form === "born") {
      const was = subject === "we" || subject === "they" ? "were" : "was";
      return { from: unit, to: unit + 1, mends: [`${was} born`] };
    }
    const have = MANY.has(subject) ? "have" : "has";
    return {
      from: unit,
      to: unit + 1,
      mends: [table.inflect(table.verb(form), "VBD"), `${have} ${form}`],
    };
  }
  return has(ING) && !has(BARE) ? withoutAuxiliary(syntax, at, unit, table) : null;
}

/** "They waiting at the door", "before you using the clock". */
function withoutAuxiliary(
  syntax: Syntax,
  at: number,
  unit: number,
  table: WordTable,
): Found | null {
  const { words, tags, sentenceFrom } = syntax;
  const form = words[unit]?.form ?? "";
  const subject = words[at]?.form ?? "";
  const opener = at === sentenceFrom[at] ? "" : (words[at - 1]?.form ?? "");
  // "He being late, they left", "…, she saying nothing": a clause without a verb of its own.
  if (form === "being" || form === "having" || subject === "it") return null;
  if (opener !== "" && tags[at - 1] !== TAG.CS && tags[at - 1] !== TAG.WRB) return null;
  if (opener === "than" || opener === "as" || (subject === "you" && opener === "")) return null;
  const be = subject === "i" ? "am" : MANY.has(subject) ? "are" : "is";
  const was = subject === "we" || subject === "they" ? "were" : "was";
  const lemma = table.verb(form);
  const plain = MANY.has(subject) ? lemma : table.inflect(lemma, "VBZ");
  const mends = /^(?:before|after|if|until|unless|when|once)$/.test(opener)
    ? [plain, `${be} ${form}`]
    : [`${be} ${form}`, `${was} ${form}`];
  return { from: unit, to: unit + 1, mends };
}

/** "How does it looks", "did he went". */
function afterDo(syntax: Syntax, unit: number, table: WordTable): Found | null {
  const { words, sentenceFrom } = syntax;
  const at = subjectPlace(syntax, unit);
  const asked =
    at > (sentenceFrom[unit] ?? 0) && /^(?:do|does|did)$/.test(words[at - 1]?.form ?? "");
  if (!asked || !PERSONAL.test(words[at]?.form ?? "")) return null;
  const form = words[unit]?.form ?? "";
  if (/^(?:is|was|are|were)$/.test(form) || form.startsWith("'")) return null;
  const own = table.formsOf(form);
  if (own & (1 << BARE) || (own & ((1 << THIRD) | (1 << PAST))) === 0) return null;
  return { from: unit, to: unit + 1, mends: [table.verb(form)] };
}
const PERSONAL = /^(?:i|he|she|it|we|they|you)$/;

/** "It is well know", "it was widely accept": a base form that is nothing but a verb. */
function afterAdverb(syntax: Syntax, unit: number, table: WordTable): Found | null {
  const { words, tags } = syntax;
  const adverb = words[unit - 1]?.form ?? "";
  if (!BE.test(words[unit - 2]?.form ?? "") || !(adverb === "well" || /ly$/.test(adverb)))
    return null;
  const { form = "", traits = 0 } = words[unit] ?? {};
  const own = table.formsOf(form);
  if ((own & (1 << BARE)) === 0 || own & (1 << PARTICIPLE)) return null;
  const only = (traits & (VERB | NOUN | ADJECTIVE | ADVERB)) === VERB || form === "know";
  if (!only || TAG_SETS.NOMINAL[tags[unit + 1] ?? 0]) return null;
  return { from: unit, to: unit + 1, mends: [table.inflect(form, "VBN")] };
}
const BE = /^(?:is|are|was|were|be|been|'s|'re)$/;

/** "The bell rung at six", "before the shift begun": what happens to nothing, and so says nothing of a noun. */
function participleAlone(syntax: Syntax, unit: number, table: WordTable): Found | null {
  const { words, tags, nounGroups, nounAt, sentenceTo } = syntax;
  const form = words[unit]?.form ?? "";
  if (!/^(?:begun|rung|sung|sprung|swum|arisen)$/.test(form) || tags[unit - 1] !== TAG.NN)
    return null;
  const { from, to, opener } = clauseOf(syntax, unit);
  const group = nounGroups[nounAt[unit - 1] ?? -1];
  if (!group) return null;
  const opens = from === group.from && (opener === "" || OPENERS.has(opener));
  if (!opens && !isTimed(syntax, group.from)) return null;
  if (syntax.verbGroups.some(({ finite }) => finite >= group.from && finite < to)) return null;
  if (!/^[.!]$/.test(words[(sentenceTo[unit] ?? words.length) - 1]?.form ?? "")) return null;
  return { from: unit, to: unit + 1, mends: [table.inflect(table.verb(form), "VBD")] };
}

/** "They left before the shift": a time before which stands no clause mark. */
const isTimed = ({ words }: Syntax, subject: number) =>
  /^(?:before|after|until)$/.test(words[subject - 1]?.form ?? "");

/** Words that open a clause, which then has a verb; "that" and "if" may ask for a plain form. */
const OPENERS = new Set(
  "when because although though while whereas since that if unless why how".split(" "),
);
const WISHES = /^(?:that|if|lest|unless|though)$/;
/** Nouns of several people, which take either number. */
const COLLECTIVE = wordList("clauses/either");

/** A clause: its first unit, the one after its last, and the word that opens it, "" at a sentence's start. */
interface Clause {
  from: number;
  to: number;
  opener: string;
}

const ENDS = tagSet(",", ":", "CS", "WRB", "WDT", "WP", "CC", "BR", "QT", ".");

function clauseOf({ tags, words, sentenceFrom, sentenceTo }: Syntax, unit: number): Clause {
  const start = sentenceFrom[unit] ?? 0;
  const end = sentenceTo[unit] ?? words.length;
  let from = unit;
  while (from > start && !ENDS[tags[from - 1] ?? 0]) from--;
  let to = unit + 1;
  while (to < end && !ENDS[tags[to] ?? 0]) to++;
  return { from, to, opener: from > start ? (words[from - 1]?.form ?? "") : "" };
}

/**
 * "The watchman notice that it rains", "when the tide rise", "the glass come with a scratch": a verb in its
 * base form after a singular subject, taken for a noun or a participle, in a clause that has no other verb.
 */
function withoutEnding(syntax: Syntax, unit: number, table: WordTable): Found | null {
  const { words, tags, nounGroups, nounAt, sentenceTo } = syntax;
  const form = words[unit]?.form ?? "";
  const tag = tags[unit] ?? 0;
  if (tag !== TAG.NN && tag !== TAG.VB && tag !== TAG.VBN) return null;
  const forms = table.formsOf(form);
  if ((forms & (1 << BARE)) === 0 || forms & (1 << PAST) || AUXILIARY.test(form)) return null;
  if (/\p{Lu}/u.test(written(syntax, unit)) || tags[unit - 1] !== TAG.NN) return null;
  const clause = clauseOf(syntax, unit);
  const group = nounGroups[nounAt[unit - 1] ?? -1];
  if (!group) return null;
  // "At ten past six the watchman": the hour is no part of the subject.
  let start = group.from;
  while (start < unit && tags[start] === TAG.CD && tags[start + 1] === TAG.DT) start++;
  if (unit - start < 2) return null;
  if (start !== clause.from && !isAfterTime(syntax, clause, start)) return null;
  if (tags[start] !== TAG.DT && tags[start] !== TAG.PRP$) return null;
  const subject = words[unit - 1]?.form ?? "";
  if (COLLECTIVE.has(subject) || /^(?:these|those|all|both)$/.test(words[start]?.form ?? ""))
    return null;
  // "The company sell tide clocks": the first that may be the verb is it.
  if (AUXILIARY.test(subject)) return null;
  if (tags[unit - 2] === TAG.NN && table.isForm(subject, BARE) && hasVerbTrait(syntax, unit - 1))
    return null;
  const opens = clause.opener === "" || OPENERS.has(clause.opener) || isJoining(clause.opener);
  if (!opens || (tag === TAG.VB && WISHES.test(clause.opener))) return null;
  const other = ({ finite, from }: { finite: number; from: number }) =>
    from !== unit && finite >= clause.from && finite < clause.to;
  if (syntax.verbGroups.some(other)) return null;
  const end = sentenceTo[unit] ?? words.length;
  if (isTitleLike(syntax.text) || !/^[.!]$/.test(words[end - 1]?.form ?? "")) return null;
  // "A prize-fight referee, chieftain of a gang": what is said of a noun.
  const stops = tags[unit + 1] === TAG[","] || tags[unit + 1] === TAG[":"];
  if (stops && !OPENERS.has(clause.opener)) return null;
  const joined = clause.opener === "and" || clause.opener === "or" || clause.opener === ",";
  const before = tags[clause.from - 2] ?? 0;
  // "He and his wife serve": two.
  if (joined && (TAG_SETS.NOMINAL[before] || TAG_SETS.PRONOUN[before])) return null;
  const sure = certainty(syntax, unit, clause);
  if (sure === "none") return null;
  return {
    from: unit,
    to: unit + 1,
    mends: singularForms(syntax, unit, table),
    ...(sure === "doubt" ? { unsure: true } : sure === "likely" ? { weight: "settle" } : {}),
  };
}

/** The forms that one person or thing takes of a verb; where the sentence tells of the past, that first. */
function singularForms(syntax: Syntax, unit: number, table: WordTable): string[] {
  const form = syntax.words[unit]?.form ?? "";
  const forms = [table.inflect(form, "VBZ"), table.inflect(form, "VBD")];
  return tellsOfPast(syntax, unit) ? forms.reverse() : forms;
}

/** "On Tuesday evening the watchman": a time or place opens the sentence before the subject. */
function isAfterTime({ tags }: Syntax, { from, opener }: Clause, subject: number): boolean {
  const before = tags[subject - 1] ?? 0;
  const ended = TAG_SETS.NOMINAL[before] === 1 || before === TAG.CD || TAG_SETS.ADV[before] === 1;
  return opener === "" && ended && (tags[from] === TAG.IN || tags[from] === TAG.RB);
}

const hasVerbTrait = ({ words }: Syntax, unit: number) => ((words[unit]?.traits ?? 0) & VERB) !== 0;

const isJoining = (form: string) => /^(?:,|and|but|or|so|:)$/.test(form);

/** How sure it is that a word is the verb of its clause. */
function certainty(
  syntax: Syntax,
  unit: number,
  { to, opener }: Clause,
): "sure" | "likely" | "doubt" | "none" {
  const { words, tags, sentenceTo } = syntax;
  const next = tags[unit + 1] ?? 0;
  const end = sentenceTo[unit] ?? words.length;
  const rest = (from: number) =>
    syntax.verbGroups.filter(({ finite }) => finite >= from && finite < end).length;
  // "That the door was open": what was noticed. "The notice that he wrote was lost" has a verb of its own after it.
  if (unit + 1 === to && /^(?:that|whether|how|why)$/.test(words[to]?.form ?? "")) {
    return !TAG_SETS.VERB[tags[to + 1] ?? 0] && rest(to) <= 1 ? "sure" : "none";
  }
  if (OPENS_OBJECT[next]) return opener === "" && rest(to) > 0 ? "doubt" : "sure";
  if (OPENERS.has(opener) && !WISHES.test(opener)) return "likely";
  if (tags[unit] === TAG.VB || tags[unit] === TAG.VBN) return "likely";
  return "doubt";
}

/** "Your late.", "Their going home.": a sentence without a verb, which its owner has. */
function ownerForVerb(syntax: Syntax, unit: number): Found | null {
  const { words, tags, sentenceFrom, sentenceTo, verbGroups } = syntax;
  const short = SHORT[words[unit]?.form ?? ""];
  if (!short || unit !== sentenceFrom[unit]) return null;
  const end = sentenceTo[unit] ?? words.length;
  if (end - unit < 3 || !/^[.!?]$/.test(words[end - 1]?.form ?? "")) return null;
  if (verbGroups.some((verb) => verb.finite >= unit && verb.finite < end)) return null;
  const next = tags[unit + 1] ?? 0;
  const said = next === TAG.VBG || TAG_SETS.ADJ[next] || next === TAG.RB || next === TAG.NOT;
  // "Your late father.": a quality belongs to a noun that follows.
  let at = unit + 1;
  while (TAG_SETS.ADV[tags[at] ?? 0] || TAG_SETS.ADJ[tags[at] ?? 0]) at++;
  if (!said || TAG_SETS.NOMINAL[tags[at] ?? 0]) return null;
  return { from: unit, to: unit + 1, mends: [short] };
}
const SHORT: Readonly<Record<string, string>> = { your: "you’re", their: "they’re" };

/** "Were delighted to see you.", "if it rains, were late": a past without a subject, for "we’re". */
function pastForWeAre(syntax: Syntax, unit: number): Found | null {
  const { words, tags, sentenceFrom, sentenceTo } = syntax;
  if (words[unit]?.form !== "were") return null;
  const start = sentenceFrom[unit] ?? 0;
  const end = sentenceTo[unit] ?? words.length;
  if (!/^[.!]$/.test(words[end - 1]?.form ?? "")) return null;
  const opens =
    unit === start || (tags[unit - 1] === TAG[","] && CONDITIONS.test(words[start]?.form ?? ""));
  const next = tags[unit + 1] ?? 0;
  const quality = ((words[unit + 1]?.traits ?? 0) & ADJECTIVE) !== 0 && TAG_SETS.ADV[next] === 1;
  const said =
    quality || TAG_SETS.ADJ[next] || next === TAG.VBG || next === TAG.VBN || next === TAG.NOT;
  // "Were late trains the trouble": a noun that is asked about.
  if (!opens || !said || TAG_SETS.NOMINAL[tags[unit + 2] ?? 0]) return null;
  // "If it rains, were late": the clause before the comma is whole, and no other comma closes a list.
  for (let at = start; at < unit - 1; at++) if (tags[at] === TAG[","]) return null;
  return { from: unit, to: unit + 1, mends: ["we’re"] };
}
const CONDITIONS = /^(?:if|when|because|as|since|although|while)$/;
