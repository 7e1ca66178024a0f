import { hasVerbWithin } from "../../../language/models/slot-finder.ts";
import { type Subject, subjectOf } from "../../../language/phrases/clauses.ts";
import {
  CODE,
  type NounGroup,
  type Syntax,
  type VerbGroup,
  written,
} from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { ADJECTIVE, NOUN } from "../../../language/words/lexicon.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { isAmount, SUMS } from "./amounts.ts";

/** How far ahead the model must have the other number where the phrases show one as well. */
export const CLEAR = 2.5;
/** The same where the phrases show another subject far from the verb, or the subject is a word no list has. */
const FAR_CLEAR = 4;
/** The same where the verb may be a noun that has its own verb later on. */
const NOUN_CLEAR = 9;
/** The same after a name that may be a plural. */
const NAME_CLEAR = 6;
/** The same after "there". */
const THERE_CLEAR = 3;

/** Units within which the verb of a noun is looked for that was taken for a verb. */
export const NOUN_REACH = 9;
export const MODALS = wordList("may-disagree/modals");
export const PLURAL_FORMS = new Set(["are", "were", "have", "do"]);

/** "getRanges", "s.append", "axe_core": a name in code, of one thing. */
export function isIdentifier(word: string): boolean {
  return /\p{Ll}\p{Lu}|[_./()\d]/u.test(word);
}

/**
 * Whether a verb may be of the wrong number as the model has it (`best` 0 for the singular). The model is not
 * believed where the phrases show a subject of the verb's number; where they show none, by half.
 */
export function mayDisagree(
  syntax: Syntax,
  verb: VerbGroup,
  best: number,
  margin: number,
): boolean {
  const { words, places, tags } = syntax;
  const unit = verb.from;
  // "By being, as it were, alone".
  if (
    words[unit]?.form === "were" &&
    words[unit - 1]?.form === "it" &&
    words[unit - 2]?.form === "as"
  )
    return false;
  if (hasNoNumber(syntax, unit, best) || isInverted(syntax, unit)) return false;
  if (asksWithObject(syntax, unit)) return false;
  // "…, but bring a coat": a command.
  if (tags[unit] === TAG.VB && tags[unit - 1] === TAG.CC && margin < CLEAR) return false;
  if (best === 1 && opensWithDoing(syntax, unit)) return false;
  if (best === 0 && tags[unit] === TAG.VB && isWished(syntax, unit)) return false;
  const subject = subjectOf(syntax, verb);
  if (best === 1 && subject && isAmount(syntax, subject.group)) return false;
  if (words[unit - 1]?.form === "there" && subject) {
    // "There are a lamp and a rope": two things.
    if (best === 0 && /^(?:and|,)$/.test(words[subject.group.to]?.form ?? "")) return false;
    // "There is a lot of them": told by a check of its own.
    if (SUMS.has(words[subject.group.head]?.form ?? "")) return false;
    // "There were no sound": one thing, to the model as to the tagger.
    if (subject.number === "unknown")
      return best === 0 && margin > THERE_CLEAR && tags[subject.group.head] === TAG.NN;
  }
  // "That boats leave at noon is known", "what he saw was": a clause is the subject.
  if (!subject) return !CLAUSE_OPENERS.has(words[syntax.sentenceFrom[unit] ?? 0]?.form ?? "");
  const { head } = subject.group;
  if (isCutOff(syntax, subject.group, unit)) return false;
  if (margin < NOUN_CLEAR && mayBeNoun(syntax, unit)) return false;
  if ((places[head] ?? 0) & CODE || isIdentifier(written(syntax, head))) return false;
  if (TAG_SETS.NAME[tags[head] ?? 0]) return nameMayDisagree(syntax, subject, best, margin);
  if (margin <= FAR_CLEAR || !showsNumber(syntax, head, best)) {
    if (!isKnownSubject(syntax, subject.group)) return false;
  }
  // "this configure option": a word before a noun.
  const next = tags[unit + 1] ?? 0;
  if (tags[head] === TAG.DT && tags[unit] === TAG.VB && TAG_SETS.NOUN[next]) return false;
  // Over a distance the phrases are no surer than the model: "a plan to buy boats and ropes were".
  const told = subject.near || margin < FAR_CLEAR ? subject.number : "unknown";
  return told === (best === 0 ? "singular" : "plural") || told === "unknown";
}

/** "Moreover, parsing of the numbers works": what is done is the subject, whatever it is done to. */
function opensWithDoing({ tags, words, sentenceFrom }: Syntax, unit: number): boolean {
  let at = sentenceFrom[unit] ?? 0;
  while (at < unit && (TAG_SETS.ADV[tags[at] ?? 0] || tags[at] === TAG[","])) at++;
  return tags[at] === TAG.VBG && words[at + 1]?.form === "of";
}

/** "What tools does the house provide": the noun before is the object, the subject comes after. */
export function asksWithObject(
  { words, tags, nounGroups, nounAt, sentenceFrom }: Syntax,
  unit: number,
) {
  if (!/^(?:do|does|is|are|was|were|has|have)$/.test(words[unit]?.form ?? "")) return false;
  const subject = nounGroups[nounAt[unit + 1] ?? -1];
  const asked = nounGroups[nounAt[unit - 1] ?? -1];
  if (subject?.from !== unit + 1 || !asked || !TAG_SETS.VERB[tags[subject.to] ?? 0]) return false;
  const opener = words[Math.max(sentenceFrom[unit] ?? 0, asked.from)]?.form ?? "";
  const before = words[asked.from - 1]?.form ?? "";
  return [opener, before].some((form) => /^(?:what|which|whose|how|many|much)$/.test(form));
}

/** Whether a verb stands where none has a number: after a modal, in code, capitals, a command, a mood. */
function hasNoNumber(syntax: Syntax, unit: number, best: number): boolean {
  const { words, places, sentenceFrom, sentenceTo } = syntax;
  const before = words[unit - 1]?.form ?? "";
  if (MODALS.has(before) || written(syntax, unit) === written(syntax, unit).toUpperCase())
    return true;
  if (((places[unit - 1] ?? 0) | (places[unit + 1] ?? 0)) & CODE) return true;
  const opens = unit === sentenceFrom[unit];
  if (opens && written(syntax, (sentenceTo[unit] ?? 1) - 1) !== "?") return true;
  // "1) read it", "a) write it".
  if (before === ")" && (words[unit - 2]?.form ?? "").length === 1) return true;
  if (best !== 0) return false;
  return (words[unit]?.form === "were" && isSupposed(syntax, unit)) || isAskedFor(syntax, unit);
}

/** "They asked that it return", "letting the smoke lie": a plain form, which has no number. */
function isWished({ words, nounAt, nounGroups, sentenceFrom }: Syntax, unit: number): boolean {
  const before = nounGroups[nounAt[unit - 1] ?? -1];
  if (before && CAUSING.test(words[before.from - 1]?.form ?? "")) return true;
  const from = Math.max(sentenceFrom[unit] ?? 0, unit - WISHED_REACH);
  let told = false;
  for (let at = unit - 1; at >= from; at--) {
    const form = words[at]?.form ?? "";
    if (told && WISHING.test(form)) return true;
    told = form === "that";
  }
  return false;
}
const WISHED_REACH = 16;
const CAUSING =
  /^(?:let|lets|letting|makes?|made|making|saw|seen?|watch(?:ed|ing)?|heard?|helps?|helped|bade|bid)$/;
const WISHING =
  /^(?:ask|demand|insist|recommend|request|propose|suggest|order|urge|beg|advise|command)(?:s|ed|ing)?$|^(?:requir|propos|urg|advis)(?:es?|ed|ing)$|^(?:essential|imperative|important|necessary|vital|desirable|better|demand|request)$/;

/** "Up sixty-two steps is the lantern": a place opens the sentence, and the subject follows. */
function isInverted({ words, tags, sentenceFrom }: Syntax, unit: number): boolean {
  const opening = words[sentenceFrom[unit] ?? 0]?.form ?? "";
  return PLACES.test(opening) && tags[unit + 1] === TAG.DT;
}
const PLACES = /^(?:up|down|over|under|beyond|behind|beside|above|below|inside|outside|among)$/;

/** A capital between subject and verb begins another sentence, a bullet another line. */
function isCutOff(syntax: Syntax, { to }: NounGroup, unit: number): boolean {
  for (let at = to; at < unit; at++) {
    if (syntax.words[at]?.form === "/") return true;
    if (/^\p{Lu}\p{Ll}|^[·•*|-]$/u.test(written(syntax, at))) {
      if (!TAG_SETS.NAME[syntax.tags[at] ?? 0]) return true;
    }
  }
  return false;
}

/** "If the target commit already has": a noun, with the verb after it. */
function mayBeNoun(syntax: Syntax, unit: number): boolean {
  const word = syntax.words[unit];
  if (syntax.tags[unit] !== TAG.VB || PLURAL_FORMS.has(word?.form ?? "")) return false;
  if (((word?.traits ?? 0) & NOUN) === 0 || takesObject(syntax, unit)) return false;
  // "One of them say": no noun follows a pronoun; "the weather look good": nor does a quality follow a noun.
  if (TAG_SETS.PRONOUN[syntax.tags[unit - 1] ?? 0]) return false;
  const next = syntax.tags[unit + 1] ?? 0;
  const told = TAG_SETS.ADJ[next] === 1 || TAG_SETS.ADV[next] === 1;
  const quality = ((syntax.words[unit + 1]?.traits ?? 0) & ADJECTIVE) !== 0;
  if (told && quality && !TAG_SETS.NOMINAL[syntax.tags[unit + 2] ?? 0]) return false;
  return hasVerbWithin(syntax, unit, NOUN_REACH);
}

/** One person takes a singular verb; of several, or of a firm, nothing is sure. */
function nameMayDisagree(
  { words, tags }: Syntax,
  { group, number }: Subject,
  best: number,
  margin: number,
): boolean {
  const one = tags[group.head] === TAG.NNP;
  if (tags[group.head] === TAG.NNPS && words[group.from]?.form === "the") return best === 1;
  if (words[group.from - 1]?.form === "and")
    return best === 1 && number === "plural" && margin > CLEAR;
  return best === 0 && (one || margin > NAME_CLEAR);
}

/** Whether the form of a noun shows the number that the model has. */
function showsNumber({ words, tags }: Syntax, head: number, best: number): boolean {
  return best === 0 ? !/s$/.test(words[head]?.form ?? "s") : tags[head] === TAG.NNS;
}

/** A word no list has may be the name of one thing; "a vine-grown gate-post" is none. */
function isKnownSubject(syntax: Syntax, { head, pronoun }: NounGroup): boolean {
  const tag = syntax.tags[head] ?? 0;
  if (pronoun || tag === TAG.DT || TAG_SETS.WH[tag]) return true;
  return (
    (syntax.words[head]?.traits ?? 0) !== 0 || /^\p{Ll}+-\p{Ll}+$/u.test(written(syntax, head))
  );
}

/** What follows is an object, which a noun does not have. */
export function takesObject({ tags }: Syntax, unit: number): boolean {
  const next = tags[unit + 1];
  return next === TAG.DT || next === TAG.PRP$ || next === TAG.PPO;
}

/** "Does the office still have": a question whose first word decides the form of its verb. */
function isAskedFor({ words, tags, sentenceFrom, sentenceTo }: Syntax, unit: number): boolean {
  const asked = words[(sentenceTo[unit] ?? 1) - 1]?.form === "?";
  const first = words[sentenceFrom[unit] ?? 0]?.form ?? "";
  return asked && tags[unit] === TAG.VB && AUXILIARIES.has(first);
}

/** "If it were shut", "he wished it were". */
function isSupposed({ words, verbAt, verbGroups, sentenceFrom }: Syntax, unit: number): boolean {
  const from = Math.max(sentenceFrom[unit] ?? 0, unit - SUPPOSED_REACH);
  for (let at = unit - 1; at >= from; at--) {
    if (SUPPOSING.has(words[at]?.form ?? "")) return true;
    if (verbGroups[verbAt[at] ?? -1]?.finite === at) return false;
  }
  return false;
}
const SUPPOSED_REACH = 10;
const SUPPOSING = new Set("if though lest whether wish wished wishes unless suppose".split(" "));

const CLAUSE_OPENERS = new Set("that what whether how why whoever whatever".split(" "));

const AUXILIARIES = wordList("may-disagree/auxiliaries");
