import type { Syntax } from "../../../language/phrases/syntax.ts";
import { OPENS_OBJECT, TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { ADJECTIVE, ADVERB, NAME, NOUN, VERB } from "../../../language/words/lexicon.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { BARE, PARTICIPLE, type WordTable } from "../../../language/words/words.ts";
import { markCheck } from "../../mark-check.ts";
import { gerundAfterPreposition as card } from "./cards.ts";

/** A verb in its base form right after a preposition, whatever it is taken for. */
const BARE_AFTER =
  "by|for|without|about|of|from|after|before|in|at|on|despite [VB|VBD|VBN|NN|JJ|UH] DT|PRP$|PPO|CD|NN|NNS|JJ|RB|.|, => $2:VBG";

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
    "thank~ PPO for [VB] => $4:VBG",
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
    return true;
  },
});

/** Verbs that dictionaries have as nouns or qualities too, and that are seldom those before an object. */
const OFTEN_VERBS = wordList("gerund-after-preposition/often-verbs");

/** A clause may end with a preposition: "what he asked for", "the one he went to". */
const LEAVES_OPEN = /^(?:what|which|who|whom|that|where|how|whatever|than|as)$/;

/** "Thanks for choose our product", "before use the lamp": a word that is a verb here. */
function isBareVerb(syntax: Syntax, preposition: number, table: WordTable): boolean {
  const { words, tags, text, units, sentenceFrom } = syntax;
  const { form = "", traits = 0 } = words[preposition + 1] ?? {};
  const before = words[preposition]?.form ?? "";
  const only = (traits & (VERB | NOUN | ADJECTIVE | ADVERB | NAME)) === VERB;
  const object = OPENS_OBJECT[tags[preposition + 2] ?? 0] === 1;
  const verb = tags[preposition + 1] === TAG.VB;
  const often = OFTEN_VERBS.has(form) && !/^(?:in|on|at|from)$/.test(before) && (verb || object);
  const told = verb && object && /^(?:by|without|before|after)$/.test(before);
  if ((!only && !often && !told) || !table.isForm(form, BARE)) return false;
  // "By read the log": where it may be a participle, an object must follow.
  if (table.isForm(form, PARTICIPLE) && !(object && /^(?:by|without)$/.test(before))) return false;
  if (!/^\p{Ll}/u.test(text.slice(units[preposition + 1]?.from))) return false;
  // "In configure scripts": a command that names what follows.
  const named = TAG_SETS.NOUN[tags[preposition + 2] ?? 0] === 1;
  if (named && !/^(?:by|without|before|after)$/.test(before)) return false;
  // "What he asked for make the crew wonder": a clause may end at these.
  const ends = /^(?:for|about|of|from|in|at|on)$/.test(before);
  if (ends && (TAG_SETS.VERB[tags[preposition - 1] ?? 0] || tags[preposition - 1] === TAG.TO)) {
    return false;
  }
  for (let at = sentenceFrom[preposition] ?? 0; at < preposition; at++) {
    const opens = tags[at] !== TAG.CS || /^(?:than|as)$/.test(words[at]?.form ?? "");
    if (opens && LEAVES_OPEN.test(words[at]?.form ?? "")) return false;
  }
  return true;
}
