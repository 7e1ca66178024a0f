import type { Language } from "../../../language/analysis.ts";
import { type NounGroup, type Syntax, written } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS, tagSet } from "../../../language/tags/tag-sets.ts";
import { ADJECTIVE, ADVERB, NOUN, VERB } from "../../../language/words/lexicon.ts";
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
      const owner = ownerForVerb(syntax, unit);
      if (owner) found.push(owner);
      if (unit === 0 || ((syntax.words[unit]?.traits ?? 0) & VERB) === 0) continue;
      const one =
        afterPronoun(syntax, unit, table) ??
        afterDo(syntax, unit, table) ??
        afterAdverb(syntax, unit, table) ??
        takenForNoun(syntax, unit, language) ??
        perhapsTakenForNoun(syntax, unit, table);
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

/** The pronoun that is the subject of a word, with an adverb between at most; -1 for none. */
function pronounBefore(syntax: Syntax, unit: number): number {
  const { words, tags, sentenceFrom } = syntax;
  const start = sentenceFrom[unit] ?? 0;
  let at = unit - 1;
  if (at > start && FREQUENCY.test(words[at]?.form ?? "")) at--;
  if (at < start || !TAG_SETS.SUBJECT[tags[at] ?? 0]) return -1;
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
  if (has(PARTICIPLE) && !has(PAST) && !has(BARE)) {
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
  const start = sentenceFrom[unit] ?? 0;
  let at = unit - 1;
  if (at > start && FREQUENCY.test(words[at]?.form ?? "")) at--;
  const asked = at - 1 >= start && /^(?:do|does|did)$/.test(words[at - 1]?.form ?? "");
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

/** What shows that the word before it is a verb: a clause, an object, an infinitive. */
const AFTER_VERB = tagSet("CS", "DT", "PRP$", "PPO", "WRB");

/**
 * "The watchman notice that the door was open": the last word of a noun group, where its clause has no
 * other verb and what follows is what a verb takes.
 */
function takenForNoun(syntax: Syntax, unit: number, language: Language): Found | null {
  const { words, tags, nounGroups, nounAt, sentenceFrom, sentenceTo } = syntax;
  if (tags[unit] !== TAG.NN || !AFTER_VERB[tags[unit + 1] ?? 0]) return null;
  const group = nounGroups[nounAt[unit] ?? -1];
  if (!group || group.to !== unit + 1 || group.head !== unit || unit - group.from < 2) return null;
  const table = language.words;
  const form = words[unit]?.form ?? "";
  if (!table.isForm(form, BARE) || /\p{Lu}/u.test(written(syntax, unit))) return null;
  if (!isOwnedSubject(syntax, group)) return null;
  const start = sentenceFrom[unit] ?? 0;
  const end = sentenceTo[unit] ?? words.length;
  if (isTitleLike(syntax.text) || !/^[.!?]$/.test(words[end - 1]?.form ?? "")) return null;
  const finite = (from: number, to: number) =>
    syntax.verbGroups.filter((verb) => verb.finite >= from && verb.finite < to).length;
  if (finite(start, unit) > 0) return null;
  const clause = tags[unit + 1] === TAG.CS || tags[unit + 1] === TAG.WRB;
  // "The notice that he wrote was lost": a clause about the noun, and its verb after it.
  const that = words[unit + 1]?.form === "that";
  if (clause && that && TAG_SETS.VERB[tags[unit + 2] ?? 0]) return null;
  if (clause && !(that || /^(?:whether|if|how|why)$/.test(words[unit + 1]?.form ?? "")))
    return null;
  if (finite(unit + 1, end) > (clause ? 1 : 0)) return null;
  const past = tellsOfPast(syntax, unit);
  const third = table.inflect(form, "VBZ");
  const before = table.inflect(form, "VBD");
  return { from: unit, to: unit + 1, mends: past ? [before, third] : [third, before] };
}

/**
 * "The clock run ten minutes fast.", "The hand point to the hours, …": likewise before what may follow a
 * noun too, where it opens the clause and that has no verb at all.
 */
function perhapsTakenForNoun(syntax: Syntax, unit: number, table: WordTable): Found | null {
  const { words, tags, nounGroups, nounAt, sentenceFrom, sentenceTo } = syntax;
  if (tags[unit] !== TAG.NN || !MAY_FOLLOW_VERB[tags[unit + 1] ?? 0]) return null;
  const group = nounGroups[nounAt[unit] ?? -1];
  const start = sentenceFrom[unit] ?? 0;
  if (group?.from !== start || unit - group.from < 2) return null;
  if (tags[start] !== TAG.DT && tags[start] !== TAG["PRP$"]) return null;
  const form = words[unit]?.form ?? "";
  if (tags[unit - 1] !== TAG.NN || !table.isForm(form, BARE)) return null;
  const end = sentenceTo[unit] ?? words.length;
  if (isTitleLike(syntax.text) || !/^[.!]$/.test(words[end - 1]?.form ?? "")) return null;
  let to = unit + 1;
  while (to < end && tags[to] !== TAG[","] && tags[to] !== TAG.CS) to++;
  if (syntax.verbGroups.some((verb) => verb.finite >= start && verb.finite < to)) return null;
  const [third, past] = [table.inflect(form, "VBZ"), table.inflect(form, "VBD")];
  const mends = tellsOfPast(syntax, unit) ? [past, third] : [third, past];
  return { from: unit, to: unit + 1, mends, unsure: true };
}
const MAY_FOLLOW_VERB = tagSet("IN", "TO", "CD", "RB", "JJ");

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
  const capital = /^\p{Lu}/u.test(written(syntax, unit));
  const mend = capital ? short[0]?.toUpperCase() + short.slice(1) : short;
  return { from: unit, to: unit + 1, mends: [mend] };
}
const SHORT: Readonly<Record<string, string>> = { your: "you’re", their: "they’re" };

/** "The watchman", "his old hand": a determiner, and before the last word another noun in the singular. */
function isOwnedSubject({ tags }: Syntax, { from, to }: NounGroup): boolean {
  return (
    (tags[from] === TAG.DT || tags[from] === TAG.PRP$) && tags[to - 2] === TAG.NN && to - from >= 3
  );
}
