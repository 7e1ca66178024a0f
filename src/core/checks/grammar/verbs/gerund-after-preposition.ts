import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { markCheck } from "../../mark-check.ts";
import { gerundAfterPreposition as card } from "./cards.ts";

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
    "good|bad|interested|succeed~|succeeded|persist~ at|in [VB|draw|read|write|cook|sail|fish|paint|teach|work|swim|walk] !is|was|of => $3:VBG",
  ],
  accepts: ({ bounds, pattern }, { words, tags }) => {
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
