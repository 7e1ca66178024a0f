import { TAG, TAG_SETS, type TagSet, tagSet } from "../tags/tag-sets.ts";
import { wordList } from "../words/word-lists.ts";
import type { Syntax } from "./syntax.ts";

/**
 * Places where the commonest words and forms stand as they must: "is" between a noun and an
 * adjective, "to" before a plain verb. Half of all slots, told without a model.
 */
interface Surroundings {
  /** Parts of speech one of which stands right before, or right after; any where there is no set. */
  before?: TagSet;
  after?: TagSet;
}

const NAMED = tagSet("DT", "PRP$", "PPO", "PPL", "NNP");
const VERBS_AND_PREPOSITIONS = tagSet("IN", "VB", "VBD", "VBG", "VBZ", "VBN", "CC", "TO");
const COMPLEMENT = tagSet(
  "DT",
  "PDT",
  "JJ",
  "VBN",
  "VBG",
  "RB",
  "IN",
  "TO",
  "CD",
  "PRP$",
  "NOT",
  "CS",
);
const FINITE = tagSet("VBZ", "VBD", "VBP", "MD");

const PLAIN = new Map<string, Surroundings>([
  ["the", { after: tagSet("NN", "NNS", "NNP", "NNPS", "JJ", "JJR", "JJS", "CD", "VBG") }],
  [
    "of",
    {
      before: TAG_SETS.NOMINAL,
      after: tagSet("DT", "PDT", "PRP$", "NN", "NNS", "NNP", "NNPS", "JJ", "CD", "PPO"),
    },
  ],
  ["is", { before: tagSet("NN", "NNP", "PPS", "EX", "WDT", "WP", "PN"), after: COMPLEMENT }],
  ["were", { before: tagSet("NNS", "PPSS", "EX"), after: COMPLEMENT }],
  ["are", { before: tagSet("NNS", "PPSS", "EX"), after: COMPLEMENT }],
  ["it", { before: tagSet("IN", "CS", "VB", "VBD", "WRB", ",", "CC"), after: FINITE }],
  ["its", { before: tagSet("IN"), after: TAG_SETS.NOUN }],
  ["his", { before: VERBS_AND_PREPOSITIONS, after: TAG_SETS.NOUN }],
  ["our", { before: VERBS_AND_PREPOSITIONS, after: TAG_SETS.NOUN }],
  ["their", { before: VERBS_AND_PREPOSITIONS, after: TAG_SETS.NOUN }],
  [
    "them",
    {
      before: tagSet("IN", "VB", "VBD", "VBG", "VBZ"),
      after: tagSet(".", ",", "IN", "CC", "TO"),
    },
  ],
  ["for", { after: NAMED }],
  ["from", { after: NAMED }],
  ["with", { after: NAMED }],
  ["on", { after: NAMED }],
  ["by", { before: tagSet("VBN", "VBG", "VBD"), after: NAMED }],
  [
    "will",
    {
      before: tagSet("NN", "NNS", "NNP", "PPS", "PPSS", "WDT", "WP"),
      after: tagSet("VB", "NOT"),
    },
  ],
  ["who", { before: TAG_SETS.NOMINAL }],
  ["other", { before: tagSet("DT", "PRP$"), after: TAG_SETS.NOUN }],
  ["this", { after: tagSet("NN", "VBZ") }],
  ["had", { before: tagSet("PPS", "PPSS"), after: tagSet("VBN", "DT") }],
]);

/** "Form J", "Will Rogers", "GH-406 If it fails": a capital inside a sentence, but not at the start of a quotation, a list's item or a dateline's text. */
function isName({ text, units }: Syntax, at: number): boolean {
  const code = text.charCodeAt(units[at]?.from ?? 0);
  const before = text[units[at - 1]?.from ?? 0] ?? "";
  const opens = /["“‘()—–]/.test(before);
  return code >= 65 && code <= 90 && !opens;
}

/** Whether a word stands where nothing else could be meant. */
export function isPlainWord(syntax: Syntax, at: number): boolean {
  const { words, tags, sentenceFrom } = syntax;
  const form = words[at]?.form ?? "";
  const next = tags[at + 1] ?? 0;
  if (at > (sentenceFrom[at] ?? 0) && isName(syntax, at)) return true;
  if (form === "and") return !/^[aeiou]/.test(words[at + 1]?.form ?? "");
  if (form === "to") {
    return tags[at] === TAG.TO
      ? next === TAG.VB
      : next === TAG.DT || next === TAG.PRP$ || next === TAG.NNP;
  }
  if (form === "that") return !followsComparison(syntax, at);
  const told = TOLD.get(form);
  if (told?.(syntax, at)) return true;
  const plain = PLAIN.get(form);
  if (!plain) return false;
  // "In most cases will understanding": to the tagger any word after "will" is a verb.
  if (form === "will" && NO_BASE.test(words[at + 1]?.form ?? "")) return false;
  if (plain.after && plain.after[next] !== 1) return false;
  if (!plain.before) return true;
  return at > (sentenceFrom[at] ?? 0) && plain.before[tags[at - 1] ?? 0] === 1;
}

/** Rarer words, each with what shows that it is meant. */
const TOLD = new Map<string, (syntax: Syntax, at: number) => boolean>([
  ["will", isAuxiliary],
  ["off", followsRemoval],
  ["than", followsSooner],
  ["there", introduces],
  ["they", hasItsVerb],
  ["too", standsAfterSubject],
  ["thus", opensClause],
  ["three", isCounted],
  ["witch", ({ words }, at) => /^(?:doctors?|hunts?|craft)$/.test(words[at + 1]?.form ?? "")],
]);

/** "Will the office face it?", "will soon resolve it", "will you?": a plain verb later on, or a tag. */
function isAuxiliary({ words, tags, nounAt, nounGroups, sentenceTo }: Syntax, at: number): boolean {
  const end = sentenceTo[at] ?? 0;
  if (words[at + 1]?.form === "you" && words[at + 2]?.form === "?") return true;
  const next = nounGroups[nounAt[at + 1] ?? -1];
  let verb = next?.from === at + 1 ? next.to : at + 1;
  // A verb right after it may be a noun that "will" makes a verb of.
  if (tags[verb] === TAG.VB && verb === at + 1) return false;
  while (verb < end && (TAG_SETS.ADV[tags[verb] ?? 0] || tags[verb] === TAG.NOT)) verb++;
  return verb < end && tags[verb] === TAG.VB;
}

/** Verbs after which something goes, or is put, off something. */
const REMOVES =
  /^(?:take|took|taken|takes|taking|wipe[ds]?|wiping|knock(?:ed|s|ing)?|pluck(?:ed|s|ing)?|pull(?:ed|s|ing)?|tear|tore|torn|strip(?:s|ped|ping)?|break|broke|broken|shake|shook|shaken|rip(?:s|ped)?|kick(?:ed|s)?|throw|threw|thrown|cut|cuts|cutting|chop(?:s|ped)?|scrape[ds]?|scraping|wash(?:ed|es|ing)?|brush(?:ed|es|ing)?|peel(?:ed|s|ing)?|lift(?:ed|s|ing)?|pour(?:ed|s|ing)?|shave[ds]?|fell|fall|falls|fallen|falling|blow|blew|blown|roll(?:ed|s|ing)?|drain(?:ed|s|ing)?|gouge[ds]?|live[ds]?|living|get|got|getting|bounce[ds]?|slip(?:s|ped)?|slide|slid|jump(?:ed|s|ing)?|step(?:s|ped|ping)?)$/;
const REMOVAL_REACH = 7;

function followsRemoval({ words, tags, sentenceFrom }: Syntax, at: number): boolean {
  const start = Math.max(sentenceFrom[at] ?? 0, at - REMOVAL_REACH);
  for (let before = at - 1; before >= start && tags[before] !== TAG[","]; before--) {
    if (REMOVES.test(words[before]?.form ?? "")) return true;
  }
  return false;
}

/** "No sooner had they left than the rain came", however much stands between. */
function followsSooner({ words, sentenceFrom }: Syntax, at: number): boolean {
  for (let before = at - 1; before >= (sentenceFrom[at] ?? 0); before--) {
    if (words[before]?.form === "sooner") return true;
  }
  return false;
}

const IS = /^(?:is|are|was|were)$/;
const INTRODUCED =
  /^(?:is|are|was|were|has|have|had|'s|will|would|can|could|may|might|must|should|having|being|be|seems?|seemed|remains?|remained|exists?|existed|comes?|came|stands?|stood|lies|lay|appears?|appeared|follows?|followed)$/;

/** "There is", "are there boats?", "there having been a storm". */
function introduces({ words, sentenceFrom }: Syntax, at: number): boolean {
  if (INTRODUCED.test(words[at + 1]?.form ?? "")) return true;
  return at - 1 === sentenceFrom[at] && IS.test(words[at - 1]?.form ?? "");
}

const OWN_VERBS = new Set("are were have had do did 've 're 'll".split(" "));
const AFTER_PAST = tagSet("DT", "PRP$", "PPO", "IN", "TO", "RB", "CS", "CD", ".", ",");
const AFTER_BASE = tagSet("DT", "PRP$", "PPO", "TO", "CS");
/** What takes "them", or "the" and a noun. */
const TAKES_OBJECT = tagSet("IN", "TO", "VBG");

/** "They are", "they left the house": a verb that is no noun or adjective in its place. */
function hasItsVerb({ words, tags, sentenceFrom }: Syntax, at: number): boolean {
  if (at > (sentenceFrom[at] ?? 0) && TAKES_OBJECT[tags[at - 1] ?? 0]) return false;
  const next = tags[at + 1] ?? 0;
  if (next === TAG.MD || OWN_VERBS.has(words[at + 1]?.form ?? "")) return true;
  const after = tags[at + 2] ?? 0;
  return next === TAG.VB ? AFTER_BASE[after] === 1 : FINITE[next] === 1 && AFTER_PAST[after] === 1;
}

/** Endings that plain verbs seldom have. */
const NO_BASE = /(?:[^s]s|[a-z]{3}ing|[^e]ed)$/;

/** "When they are three,", "if he has three.": a number that ends its clause; "of the boats, three were". */
function isCounted({ words, tags }: Syntax, at: number): boolean {
  const next = words[at + 1]?.form ?? "";
  if (words[at - 1]?.form === "," && /^(?:are|were|have)$/.test(next)) return true;
  return TAG_SETS.STOP[tags[at + 1] ?? 0] === 1 && COUNTED.has(words[at - 1]?.form ?? "");
}
const COUNTED = wordList("plain-places/counted");

/** "The keepers too have left", "they chose too not to go". */
function standsAfterSubject({ tags }: Syntax, at: number): boolean {
  const next = tags[at + 1] ?? 0;
  return TAG_SETS.NOMINAL[tags[at - 1] ?? 0] === 1 && (FINITE[next] === 1 || next === TAG.NOT);
}

const HAS_SUBJECT = tagSet("NN", "NNS", "NNP", "NNPS", "PPS", "PPSS", "PN", "CD");
const PARTS = tagSet(",", ":", "CC");

/** "The tide thus turns", ", thus further", "thus it was", "thus was made the first lamp", "it goes thus:". */
function opensClause({ words, tags }: Syntax, at: number): boolean {
  const next = tags[at + 1] ?? 0;
  if (IS.test(words[at + 1]?.form ?? "") && tags[at + 2] === TAG.VBN) return true;
  const verb = FINITE[next] === 1 || TAG_SETS.ADV[next] === 1;
  if (verb && HAS_SUBJECT[tags[at - 1] ?? 0]) return true;
  if ((TAG_SETS.ADV[next] || next === TAG.IN) && PARTS[tags[at - 1] ?? 0]) return true;
  return next === TAG.PPS || next === TAG.PPSS || next === TAG[":"];
}

const COMPARED = new Set(
  "more less rather other otherwise else different fewer sooner elsewhere".split(" "),
);

/** Whether a unit compares and may have its "than" later on. */
export function isComparison({ words, tags }: Syntax, at: number): boolean {
  const tag = tags[at];
  return tag === TAG.JJR || tag === TAG.RBR || COMPARED.has(words[at]?.form ?? "");
}

/** Words within which a comparison looks for its "than". */
const COMPARISON_REACH = 7;

function followsComparison(syntax: Syntax, at: number): boolean {
  const start = Math.max(syntax.sentenceFrom[at] ?? 0, at - COMPARISON_REACH);
  for (let before = at - 1; before >= start; before--) {
    if (isComparison(syntax, before)) return true;
  }
  return false;
}

/** "It is", "they were", "I was": a pronoun right before the verb, and of its number. */
export function isPlainNumber({ words, tags, sentenceFrom }: Syntax, at: number, typed: number) {
  if (at <= (sentenceFrom[at] ?? 0)) return false;
  const before = tags[at - 1];
  if (words[at - 1]?.form === "i") return words[at]?.form === "was";
  return typed === 0 ? before === TAG.PPS : typed === 1 && before === TAG.PPSS;
}

const AFTER_PLURAL = tagSet(
  ".",
  ",",
  ":",
  "BR",
  "IN",
  "CC",
  "TO",
  "VBD",
  "VBP",
  "MD",
  "WDT",
  "WP",
  "WRB",
  "CS",
  "NOT",
);

/** A plural that nothing follows which it could own. */
export function isPlainPlural({ words, tags, sentenceTo }: Syntax, at: number): boolean {
  const next = at + 1;
  if (next < (sentenceTo[at] ?? 0) && !AFTER_PLURAL[tags[next] ?? 0]) return false;
  return !/^(?:an?|this|that|each|every|one|another)$/.test(words[at - 1]?.form ?? "");
}
