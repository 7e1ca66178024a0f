import type { Syntax } from "./syntax.ts";
import { TAG, TAG_SETS, type TagSet, tagSet } from "./tag-sets.ts";

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
  ["the", { after: tagSet("NN", "NNS", "NNP", "NNPS", "JJ", "JJR", "JJS", "CD", "VBN", "VBG") }],
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
  ["there", { after: tagSet("VBZ", "VBD", "VBP") }],
  ["they", { after: FINITE }],
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

/** Whether a word stands where nothing else could be meant. */
export function isPlainWord(syntax: Syntax, at: number): boolean {
  const { words, tags, sentenceFrom } = syntax;
  const form = words[at]?.form ?? "";
  const next = tags[at + 1] ?? 0;
  if (form === "and") return !/^[aeiou]/.test(words[at + 1]?.form ?? "");
  if (form === "to") {
    return tags[at] === TAG.TO
      ? next === TAG.VB
      : next === TAG.DT || next === TAG.PRP$ || next === TAG.NNP;
  }
  if (form === "that") return !followsComparison(syntax, at);
  const plain = PLAIN.get(form);
  if (!plain) return false;
  if (plain.after && plain.after[next] !== 1) return false;
  if (!plain.before) return true;
  return at > (sentenceFrom[at] ?? 0) && plain.before[tags[at - 1] ?? 0] === 1;
}

const COMPARED = /^(?:more|less|rather|other|different|else|fewer)$/;
/** Words within which a comparison looks for its "than". */
const COMPARISON_REACH = 7;

function followsComparison({ words, tags, sentenceFrom }: Syntax, at: number): boolean {
  const start = Math.max(sentenceFrom[at] ?? 0, at - COMPARISON_REACH);
  for (let before = at - 1; before >= start; before--) {
    const tag = tags[before];
    if (tag === TAG.JJR || tag === TAG.RBR || COMPARED.test(words[before]?.form ?? "")) return true;
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
