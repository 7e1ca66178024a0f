import type { Syntax } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { ADJECTIVE, ADVERB, NAME, NOUN, VERB } from "../../../language/words/lexicon.ts";
import { BARE, PARTICIPLE, type WordTable } from "../../../language/words/words.ts";
import { markCheck } from "../../mark-check.ts";
import { gerundAfterPreposition as card } from "./cards.ts";

/** What is nothing but a verb, in its base form, right after a preposition. */
const BARE_AFTER =
  "by|for|without|about|of|from|after|before|in|at|on|despite [VB|NN|JJ] DT|PRP$|PPO|CD|NN|NNS|JJ|RB|.|, => $2:VBG";

/** "without say a word", "look forward to see". */
export const gerundAfterPreposition = markCheck({
  ...card,
  reason: "After “{before}” the verb takes “-ing”: “{1}”.",
  patterns: [
    "look~ forward to [VB] => $4:VBG",
    "insist~|insisted|rely~|count~|concentrate~|focus~ on [to VB] => $4:VBG",
    "interested|succeed~|succeeded in [to VB] => $4:VBG",
    "good|bad at [to VB] => $4:VBG",
    "afraid|tired|capable|fond|proud|aware of [to VB] => $4:VBG",
    "instead of [VB] => $3:VBG",
    "object~/VERB|opposed|addition|prior to [pay|read|write|work|leave|go|make|take|do|use|open|close|give|send|move|build|check|measure|clean] => $3:VBG",
    "i|he|she|we|they|you am|is|are|was|were|'m|'s|'re|get|got used to [work|live|read|write|walk|sail|drive|get|go|eat|see|hear|do] => $5:VBG",
    "without [say|tell|ask|read|see|know|take|make|go|have|be|look|wait|pay|write|give|leave|think] a|the|any|an|it|them|him|her|that|to => $2:VBG",
    "thank~ PPO for [VB] => $4:VBG",
    "by|for|about|after|before|of [send|make|take|give|write|say|get|move|become|provide|include|create|put|keep|read|do|go] the|a|an|it|them|this|that|my|our|his => $2:VBG",
    BARE_AFTER,
    "good|bad|interested|succeed~|succeeded|persist~ at|in [VB|draw|read|write|cook|sail|fish|paint|teach|work|swim|walk] !is|was|of => $3:VBG",
  ],
  accepts: ({ bounds, pattern }, syntax, { words: table }) => {
    const { words, tags } = syntax;
    if (pattern.source === BARE_AFTER) return isBareVerb(syntax, bounds[0] ?? 0, table);
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const form = words[marked]?.form ?? "";
    const first = words[bounds[0] ?? 0]?.form ?? "";
    // "instead of make", "versions of make": a command by its name.
    const object = /^[\p{L}\d]/u.test(words[marked + 1]?.form ?? "");
    const clause = tags[marked + 1] === TAG.CS || tags[marked + 1] === TAG.WRB;
    if (first === "instead" && (!object || clause || form === "make")) return false;
    if (first === "of" && (form === "make" || form === "go")) return false;
    if (/^by|for\|about/.test(pattern.source) && !TAG_SETS.VERB[tags[marked] ?? 0]) return false;
    // "the day before put the", "what he asked for make the": a clause may end there.
    if (first === "for" || first === "before" || first === "after" || first === "of") {
      const before = tags[(bounds[0] ?? 0) - 1] ?? 0;
      if (first === "of" && (form === "read" || form === "put")) return false;
      if (first !== "of" && (form === "put" || form === "read" || form === "become")) return false;
      if (TAG_SETS.VERB[before] && first !== "of") return false;
    }
    return true;
  },
});

/** Verbs that are seldom the nouns that dictionaries have of them. */
const HARDLY_NOUNS = new Set("add know go get make take give find keep say let buy pay".split(" "));

/** A clause may end with a preposition: "what he asked for", "the one he went to". */
const LEAVES_OPEN = /^(?:what|which|who|whom|that|where|how|whatever|than|as)$/;

/** "Thanks for choose our product": a word that is a verb and nothing else. */
function isBareVerb(
  { words, tags, text, units, sentenceFrom }: Syntax,
  preposition: number,
  table: WordTable,
): boolean {
  const { form = "", traits = 0 } = words[preposition + 1] ?? {};
  const only = (traits & (VERB | NOUN | ADJECTIVE | ADVERB | NAME)) === VERB;
  if (!only && !(HARDLY_NOUNS.has(form) && tags[preposition + 1] === TAG.VB)) return false;
  if (!table.isForm(form, BARE) || table.isForm(form, PARTICIPLE)) return false;
  if (!/^\p{Ll}/u.test(text.slice(units[preposition + 1]?.from))) return false;
  // "In configure scripts": a command that names what follows.
  const named = TAG_SETS.NOUN[tags[preposition + 2] ?? 0] === 1;
  if (named && !/^(?:by|without|before|after)$/.test(words[preposition]?.form ?? "")) return false;
  const by = words[preposition]?.form === "by";
  if (!by && (TAG_SETS.VERB[tags[preposition - 1] ?? 0] || tags[preposition - 1] === TAG.TO))
    return false;
  for (let at = sentenceFrom[preposition] ?? 0; at < preposition; at++) {
    const opens = tags[at] !== TAG.CS || /^(?:than|as)$/.test(words[at]?.form ?? "");
    if (opens && LEAVES_OPEN.test(words[at]?.form ?? "")) return false;
  }
  return true;
}
