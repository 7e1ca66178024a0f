import type { Language } from "../../../language/analysis.ts";
import { formOf } from "../../../language/models/choice-models.ts";
import { fitOf, idsAround } from "../../../language/models/fit.ts";
import { unitBefore } from "../../../language/models/slots.ts";
import type { Trigrams } from "../../../language/models/trigrams.ts";
import { BE, HAVE } from "../../../language/phrases/auxiliaries.ts";
import { type Syntax, written } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS, tagSet } from "../../../language/tags/tag-sets.ts";
import { ADJECTIVE, ADVERB, NAME, NOUN, VERB } from "../../../language/words/lexicon.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { BARE, ING, PARTICIPLE, type WordTable } from "../../../language/words/words.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { takesObject } from "../agreement/may-disagree.ts";
import { betterChoices } from "../words/better-choices.ts";
import { verbForm as card } from "./cards.ts";

/** A verb in a form that what stands before it does not take. */
export const verbForm = markCheck({
  ...card,
  reason: "After “{before}”: “{1}”.",
  find(syntax, language) {
    const { words: table } = language;
    const found: Found[] = [];
    const add = (from: number, form: string, unsure = false, told = false) => {
      const own = syntax.words[from]?.form ?? "";
      const known = found.find((one) => one.from === from);
      if (form === own || (known && (unsure || !known.unsure))) return;
      if (known) found.splice(found.indexOf(known), 1);
      // "What he did was open the gate."
      if (IS_BE.test(own) && isCleft(syntax, from)) return;
      // "Has showed" may stand; "will showed" may not.
      if (TWO_PARTICIPLES.has(own) && form !== table.verb(own)) return;
      const reason = `After “${governor(syntax, from)}”: “{1}”.`;
      found.push({
        from,
        to: from + 1,
        mends: isBareAfterModal(syntax, from, form)
          ? withPassive(syntax, from, form, table)
          : [form],
        reason,
        unsure,
        ...(told ? {} : { weight: "settle" }),
      });
    };
    for (let unit = 1; unit < syntax.tags.length; unit++) {
      const tag = syntax.tags[unit] ?? 0;
      if (!GOVERNORS[syntax.tags[unit - 1] ?? 0]) continue;
      if (((syntax.words[unit]?.traits ?? 0) & VERB) === 0 && !TAG_SETS.VERB[tag]) continue;
      const wanted = plainForm(syntax, unit, tag, table);
      if (wanted < 0) continue;
      const form = syntax.words[unit]?.form ?? "";
      // "It was not murder at all", "must needs drive": what stands there may be a noun.
      const be = BE.has(syntax.words[unit - 1]?.form ?? "") || syntax.tags[unit - 1] === TAG.NOT;
      const unsure = (be && mayBeNoun(syntax, unit, table)) || form === "needs";
      add(unit, formOf(form, wanted, table), unsure, true);
    }
    for (const { unit, form, unsure } of unlikelyForms(syntax, language)) add(unit, form, unsure);
    for (const { from, best, sure, margin } of betterChoices(syntax, language, "form")) {
      const form = syntax.words[from]?.form ?? "";
      const by = unitBefore(syntax, from);
      const start = syntax.sentenceFrom[from] ?? 0;
      const asks = by === start && syntax.tags[by + 1] !== TAG.NOT;
      if (by < start || !isGovernor(syntax.words[by]?.form ?? "", asks)) continue;
      const after = syntax.tags[from + 1] ?? 0;
      const tag = syntax.tags[from] ?? 0;
      // "Those who were late did not come": a verb of its own.
      if (/^(?:did|does|do)$/.test(form) && by < from - 1) continue;
      // "had trailing spaces", "to nested elements", "there are rejects": they belong to a noun.
      const noun = TAG_SETS.NOMINAL[after] === 1 && tag !== TAG.VBZ && tag !== TAG.VB;
      if (noun && (tag !== TAG.NN || margin < NOUN_MARGIN)) continue;
      if (syntax.words[by - 1]?.form === "there") continue;
      // "have proofs", "have meaning", "extremely breaking": a noun, a quality.
      const had = form.endsWith("s") || HAD_THINGS.has(form);
      if (HAVE.has(syntax.words[by]?.form ?? "") && had) continue;
      const deed = /^(?:do|does|did)$/.test(syntax.words[by]?.form ?? "");
      if (by < from - 1 && form.endsWith("ing") && !deed) continue;
      if (((syntax.words[from]?.traits ?? 0) & VERB) === 0 && table.verb(form) === form) continue;
      if (!/^\p{L}+$/u.test(form) || from === syntax.sentenceFrom[from]) continue;
      const be = BE.has(syntax.words[from - 1]?.form ?? "");
      // "reduced to imitating": the preposition, not the infinitive.
      if (form.endsWith("ing") && mayFollowTo(syntax, by)) continue;
      const pointed = pointsTo(syntax.words[by - 1]?.form ?? "", table);
      if (IS_BE.test(form) && (be || (pointed && syntax.words[by]?.form === "to"))) continue;
      // "The rest is silt": what it is may be a noun without an article; "we are plan to go" is none.
      const plans = after === TAG.TO && margin > NOUN_MARGIN;
      const held = HAVE.has(syntax.words[from - 1]?.form ?? "") && after !== TAG.IN;
      const named = (be || held) && !plans && mayBeNoun(syntax, from, table);
      add(from, formOf(form, best, table), !sure || noun || named);
    }
    return found;
  },
});

/** "What he did was open the gate": the verb of doing belongs to what is told of. */
function isCleft({ words, sentenceFrom }: Syntax, unit: number): boolean {
  if (!/^(?:do|does|did|done|doing)$/.test(words[unit - 1]?.form ?? "")) return false;
  for (let at = sentenceFrom[unit] ?? 0; at < unit - 1; at++) {
    if (/^(?:what|all|thing)$/.test(words[at]?.form ?? "")) return true;
  }
  return false;
}

/** "What they point to is the lamp": the "to" belongs to the verb before it. */
const pointsTo = (form: string, table: WordTable) => POINTS.has(table.verb(form));
const POINTS = wordList("verb-form/points");
const PREPOSITION_TO = wordList("verb-form/preposition-to");

const MAY_LEAD_TO = tagSet("VB", "VBD", "VBG", "VBN", "VBZ", "NN", "NNS");

/** "Reduced to imitating", "defaults to not asking": what stands before "to" does not ask for an infinitive. */
function mayFollowTo({ words, tags }: Syntax, to: number): boolean {
  let at = to;
  while (tags[at] === TAG.NOT) at--;
  if (words[at]?.form !== "to") return false;
  const before = words[at - 1]?.form ?? "";
  if (INFINITIVE_AFTER.has(before) || BEFORE_INFINITIVE.has(before)) return false;
  return PREPOSITION_TO.has(before) || MAY_LEAD_TO[tags[at - 1] ?? 0] === 1;
}

function isBareAfterModal(syntax: Syntax, unit: number, form: string): boolean {
  const by = syntax.tags[unitBefore(syntax, unit)];
  return by === TAG.MD && form !== "be" && form !== "have";
}

/**
 * "Options can passed": the plain form, or the passive that a participle was meant for, which comes
 * first before "by", "to" and the like.
 */
function withPassive(syntax: Syntax, unit: number, form: string, table: WordTable): string[] {
  const written = syntax.words[unit]?.form ?? "";
  const next = syntax.words[unit + 1]?.form ?? "";
  if (!table.isForm(written, PARTICIPLE) || takesObject(syntax, unit)) return [form];
  const passive = `be ${written}`;
  return /^(?:as|by|from|into|on|to|with)$/.test(next) ? [passive, form] : [form, passive];
}

/** Nouns in -ing that one has, as they may be tagged as verbs. */
const HAD_THINGS = new Set("meaning bearing standing training funding backing feeling".split(" "));

/** How far ahead another form must be where a noun follows: "had walk miles". */
const NOUN_MARGIN = 6;

/** Past forms that serve as participles beside another one; common practice. */
const TWO_PARTICIPLES = wordList("verb-form/two-participles");

/** A base form that is a noun as well: "the rest is silt". */
function mayBeNoun({ words }: Syntax, unit: number, table: WordTable): boolean {
  const { form = "", traits = 0 } = words[unit] ?? {};
  return (traits & NOUN) !== 0 && table.verb(form) === form;
}

function governor(syntax: Syntax, unit: number): string {
  return written(syntax, Math.max(0, unitBefore(syntax, unit)));
}

/** Whether a word decides the form of the verb after it; at a sentence's start it asks a question. */
function isGovernor(form: string, opens: boolean): boolean {
  return GOVERNING.has(form) && !(opens && form !== "to");
}

const GOVERNING = wordList("verb-form/governing");

/** The form that leaves no doubt, as an index into FORMS; -1 where there is none. */
function plainForm(syntax: Syntax, unit: number, tag: number, table: WordTable): number {
  const byWord = formByWord(syntax, unit, table);
  if (byWord >= 0) return byWord;
  if (!TAG_SETS.VERB[tag]) return -1;
  const { words, tags } = syntax;
  const start = syntax.sentenceFrom[unit] ?? 0;
  let at = unit - 1;
  while (at >= start && (tags[at] === TAG.NOT || words[at]?.form === "never")) at--;
  if (at < start) return -1;
  const before = words[at]?.form ?? "";
  const form = words[unit]?.form ?? "";
  const next = tags[unit + 1] ?? 0;
  const object = takesObject(syntax, unit);
  if (form.startsWith("'") || !isGovernor(words[at]?.form ?? "", at === start)) return -1;
  if (
    tags[at] === TAG.MD &&
    at === unit - 1 &&
    before !== "need" &&
    (tag === TAG.VBD || tag === TAG.VBZ)
  )
    return BARE;
  if (tags[at] === TAG.MD && at === unit - 1 && tag === TAG.VBN && takesBare(syntax, unit, table)) {
    return BARE;
  }
  // "What will reading it bring?": the subject is still to come.
  const subject = TAG_SETS.NOMINAL[tags[at - 1] ?? 0] || TAG_SETS.PRONOUN[tags[at - 1] ?? 0];
  if (tags[at] === TAG.MD && tag === TAG.VBG && subject && !/^(?:need|like)$/.test(before))
    return BARE;
  if (
    /^(?:did|does|do)$/.test(before) &&
    at < unit - 1 &&
    !BE.has(form) &&
    (tag === TAG.VBD || tag === TAG.VBZ)
  )
    return BARE;
  if (tags[at] === TAG.TO) {
    if (tag === TAG.VBD && PAST_ONLY.has(form)) return BARE;
    if ((tag === TAG.VBN || tag === TAG.VBD) && object) return BARE;
    if (tag === TAG.VBZ && object && !pointsTo(words[at - 1]?.form ?? "", table)) return BARE;
    if (tag === TAG.VBG && BEFORE_INFINITIVE.has(words[at - 1]?.form ?? "")) return BARE;
  }
  if ((HAVE.has(before) || BE.has(before)) && PAST_ONLY.has(form)) return PARTICIPLE;
  if (HAVE.has(before) && at === unit - 1 && form === "be") return PARTICIPLE;
  // "was greet with", "is lock at": a base form that cannot be a noun's part.
  if (BE.has(before) && namesDeed(syntax, unit)) return -1;
  const quality = ((words[unit]?.traits ?? 0) & ADJECTIVE) !== 0;
  if (BE.has(before) && tag === TAG.VB && form !== "be" && next === TAG.IN && !quality)
    return PARTICIPLE;
  return -1;
}

const SURE_MODALS = new Set(["could", "would", "should"]);
const MODALS = new Set(["can", "will", "may", "might", "must", "shall"]);

/** "He could got along", "they will showed": a participle right after a modal verb, which may be no noun. */
function takesBare({ words, tags }: Syntax, unit: number, table: WordTable): boolean {
  const form = words[unit]?.form ?? "";
  if (table.isForm(form, BARE)) return false;
  const modal = words[unit - 1]?.form ?? "";
  if (SURE_MODALS.has(modal)) return true;
  const subject = tags[unit - 2] ?? 0;
  return (
    MODALS.has(modal) &&
    (TAG_SETS.NOMINAL[subject] === 1 || TAG_SETS.SUBJECT[subject] === 1 || subject === TAG.PN)
  );
}

/** "Have", "be" and "to", as they may be tagged. */
const LEADERS = tagSet("VB", "VBD", "VBG", "VBN", "VBZ", "VBP", "TO", "IN");

/** What tells without the tagger, which a wrong form misleads: words that are verbs and nothing else. */
function formByWord(syntax: Syntax, unit: number, table: WordTable): number {
  const { words, tags } = syntax;
  if (!LEADERS[tags[unit - 1] ?? 0]) return -1;
  const before = words[unit - 1]?.form ?? "";
  const have = HAVE.has(before);
  if (
    (!have && before !== "to" && !BE.has(before)) ||
    unit <= (syntax.sentenceFrom[unit] ?? 0) + 1
  ) {
    return -1;
  }
  const { form = "", traits = 0 } = words[unit] ?? {};
  const shown = written(syntax, unit);
  const following = written(syntax, unit + 1);
  if (/\p{Lu}/u.test(shown) || /\d/.test(following)) return -1;
  if (have && /^(?:was|were|is|are)$/.test(form)) {
    // "The one we had was broken": what is had stands before.
    const follows = tags[unit + 1] === TAG.VBN || tags[unit + 1] === TAG.VBG;
    const subject = syntax.nounGroups[syntax.nounAt[unit - 2] ?? -1];
    const ahead = (subject?.from ?? unit - 2) - 1;
    const gap = TAG_SETS.NOMINAL[tags[ahead] ?? 0] || OBJECTS_AHEAD[tags[ahead] ?? 0];
    return follows && !gap && !/^(?:that|all)$/.test(words[ahead]?.form ?? "") ? PARTICIPLE : -1;
  }
  const lemma = table.verb(form);
  const participle = table.inflect(lemma, "VBN");
  const asked = before === "to" && INFINITIVE_AFTER.has(words[unit - 2]?.form ?? "");
  const only = (traits & (VERB | NOUN | ADJECTIVE | ADVERB | NAME)) === VERB && !BE.has(form);
  if (!only && !(asked && traits & VERB)) return -1;
  if (before === "to") {
    if (table.isForm(form, BARE) || form === participle || form.endsWith("ing")) return -1;
    // "points to commits": many nouns of the trade are verbs to a dictionary.
    const leads = tags[unit - 2] ?? 0;
    const led = leads === TAG.NN || leads === TAG.NNS || leads === TAG.JJ;
    const open =
      tags[unit - 1] === TAG.TO && led && !BE.has(form) && TAKEN[tags[unit + 1] ?? 0] === 1;
    return open || asked ? BARE : -1;
  }
  // "What it lets you do is install it": what is done stands alone.
  if (BE.has(before) && namesDeed(syntax, unit)) return -1;
  // "have write access", "if Linux has commit 6d1e": it belongs to a noun or names one.
  const next = tags[unit + 1] ?? 0;
  if (TAG_SETS.NOUN[next] || TAG_SETS.NAME[next] || next === TAG.CD || next === TAG.CC) return -1;
  if (/e[dn]$/.test(form)) return -1;
  return form === lemma && form !== participle && !MODAL_LIKE.test(form) ? PARTICIPLE : -1;
}
/** What may stand before "he had was" and be what he had. */
const OBJECTS_AHEAD = tagSet("WDT", "WP", "WP$", "WRB", "CD", "PN");
/** What a verb may take right after it. */
const TAKEN = tagSet("DT", "PRP$", "PPO", "JJ", "NN", "NNS", "NNP", "CS");
const INFINITIVE_AFTER = wordList("verb-form/infinitive-after");
/** "The best way is install it": what is wanted there is "to". */
const DEEDS = wordList("verb-form/deeds");
const IS_DONE = /^(?:do|does|did|done|to|doing)$/;

/** "What it lets you do is install it", "the first step is rename the file". */
function namesDeed({ words, sentenceFrom }: Syntax, unit: number): boolean {
  if (IS_DONE.test(words[unit - 2]?.form ?? "")) return true;
  for (let at = sentenceFrom[unit] ?? 0; at < unit - 1; at++) {
    if (DEEDS.has(words[at]?.form ?? "")) return true;
  }
  return false;
}

const MODAL_LIKE = /^(?:be|have|do|go|let|ought|dare|except|save)$/;

const IS_BE = /^(?:is|was|are|were|be)$/;
const BEFORE_INFINITIVE = wordList("verb-form/before-infinitive");

/** What may stand right before a governed verb. */
const GOVERNORS = tagSet("MD", "TO", "IN", "NOT", "RB", "VB", "VBD", "VBZ", "VBP", "VBN", "VBG");

/** log10 by which another form must fit better; chosen on the training part of the Brown corpus. */
const FIT_LEAD = 1.6;
/** The same where the tagger sees an inflected verb after "to", and a lone noun after "was". */
const VERB_LEAD = 1;
const NOUN_LEAD = 0.7;

/** Forms after an auxiliary or "to" that hardly ever stand there, where the right one does. */
function unlikelyForms(
  syntax: Syntax,
  { words: table, trigrams }: Language,
): { unit: number; form: string; unsure: boolean }[] {
  const found: { unit: number; form: string; unsure: boolean }[] = [];
  if (!trigrams) return found;
  const { words, tags } = syntax;
  for (let unit = 1; unit < words.length; unit++) {
    const word = words[unit];
    const tag = tags[unit] ?? 0;
    const candidate = TAG_SETS.VERB[tag] === 1 || tag === TAG.NN || tag === TAG.NNS;
    if (!word || !candidate || (word.traits & VERB) === 0 || word.form.startsWith("'")) continue;
    if (!GOVERNORS[tags[unit - 1] ?? 0]) continue;
    const start = syntax.sentenceFrom[unit] ?? 0;
    let at = unit - 1;
    if (at >= start && (tags[at] === TAG.NOT || (TAG_SETS.ADV[tags[at] ?? 0] && tag !== TAG.NN)))
      at--;
    if (at < start) continue;
    const before = words[at]?.form ?? "";
    const governor = tags[at] ?? 0;
    const inflected = tag === TAG.VBD || tag === TAG.VBN || tag === TAG.VBZ;
    const bare =
      governor === TAG.MD ||
      governor === TAG.TO ||
      (before === "to" && inflected) ||
      (at < unit - 1 && /^(?:did|does)$/.test(before));
    const have = HAVE.has(before) && TAG_SETS.VERB[governor] === 1;
    const be = BE.has(before) && TAG_SETS.VERB[governor] === 1;
    if (!bare && !have && !be) continue;
    const own = table.formsOf(word.form);
    const wanted = bare ? AFTER_MODAL : have ? AFTER_HAVE : AFTER_BE;
    if (own === 0 || (own & wanted.bits) !== 0) continue;
    if (!isGovernor(before, at === start)) continue;
    const next = tags[unit + 1] ?? 0;
    const object =
      next === TAG.DT ||
      next === TAG.PRP$ ||
      next === TAG.PPO ||
      next === TAG.CS ||
      next === TAG.WRB;
    if (tag === TAG.NNS && !object) continue;
    // "to hashed collections", "have write permission": what follows makes a noun group of it.
    if (!object && (TAG_SETS.NOMINAL[next] || TAG_SETS.ADJ[next]) && governor !== TAG.MD) continue;
    if (have && IS_BE.test(word.form)) continue;
    // "set it to locked and go on", "the rest is silt", "they have type float".
    const ending = tag === TAG.VBN || tag === TAG.VBD;
    const unsure =
      (before === "to" && ending && !object && !INFINITIVE_AFTER.has(words[at - 1]?.form ?? "")) ||
      (have && tag === TAG.NN && !object && next !== TAG.IN && next !== TAG.TO) ||
      (be && mayBeNoun(syntax, unit, table));
    // "What it is is hard to say."
    if (be && IS_BE.test(word.form)) continue;
    if (before === "to" && pointsTo(words[at - 1]?.form ?? "", table)) continue;
    if (word.form.endsWith("ing") && mayFollowTo(syntax, at)) continue;
    // A noun after "to", "have" or "be" is no verb.
    if ((have || be) && tag === TAG.NNS) continue;
    if (have && HAD_THINGS.has(word.form)) continue;
    const best = likelierForm(syntax, unit, wanted, table, trigrams);
    const lone = tag === TAG.NN && (next === TAG.IN || next === TAG.TO || next === TAG.CS);
    const needed = bare && inflected && !object ? VERB_LEAD : !bare && lone ? NOUN_LEAD : FIT_LEAD;
    if (best && best.lead > needed) found.push({ unit, form: best.form, unsure });
  }
  return found;
}

/** Forms that one kind of word takes after it, one by one and as bits. */
interface Wanted {
  forms: readonly number[];
  bits: number;
}

const wantedForms = (...forms: number[]): Wanted => ({
  forms,
  bits: forms.reduce((bits, form) => bits | (1 << form), 0),
});
const AFTER_MODAL = wantedForms(BARE);
const AFTER_HAVE = wantedForms(PARTICIPLE);
const AFTER_BE = wantedForms(PARTICIPLE, ING);

/** The form of those wanted that fits a place best, and how much better than the one there, in log10. */
function likelierForm(
  syntax: Syntax,
  unit: number,
  { forms }: Wanted,
  table: WordTable,
  trigrams: Trigrams,
): { form: string; lead: number } | undefined {
  const typed = syntax.words[unit]?.form ?? "";
  const around = idsAround(syntax, unit, unit + 1, trigrams);
  const own = fitOf(typed, around, trigrams);
  const fits = forms.map((one) => {
    const form = formOf(typed, one, table);
    return { form, lead: fitOf(form, around, trigrams) - own };
  });
  return fits.sort((a, b) => b.lead - a.lead)[0];
}

/** Past forms that are nothing else; common practice. */
const PAST_ONLY = wordList("verb-form/past-only");
