import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { NOUN, VERB } from "../../../language/words/lexicon.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { markCheck } from "../../mark-check.ts";
import { demonstrative as card } from "./cards.ts";

/** "this readings", "these kind". */
export const demonstrative = markCheck({
  ...card,
  reason: "“{}” and its noun differ in number: “{1}”.",
  patterns: [
    "[this] ADJ? NNS !NN|NNS|POS => these",
    "IN|VB|VBD|VBG [that] ADJ? NNS => those",
    "<s> [that] NNS VERB not? VERB|ADJ|the|a => those",
    "[these] ADJ? NN !NN|NNS|NNP|'s|-|and|or|,|CC|VBG|POS => this",
    "[those] ADJ? NN !NN|NNS|NNP|'s|-|and|or|,|CC|VBG|POS => that",
    "[these] kind|sort|type of => this | these",
    "[those] kind|sort|type of => that | those",
  ],
  accepts: ({ bounds, pattern }, { words, tags, nounGroups, nounAt, verbAt }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const form = words[marked]?.form ?? "";
    const group = nounGroups[nounAt[marked] ?? -1];
    if (!group || group.from !== marked) return false;
    const head = words[group.head]?.form ?? "";
    const plural = tags[group.head] === TAG.NNS;
    // "This rounds toward zero", "these default to none": a verb taken for a noun.
    const verbAfter = (verbAt[group.to] ?? -1) >= 0;
    if ((words[group.head]?.traits ?? 0) & VERB && !verbAfter) return false;
    // "This tutorial aims to show", "those patent claims licensable": the last noun may be a verb.
    const inner = words[group.head - 1];
    const compound = group.to - group.from > 2 && ((inner?.traits ?? 0) & NOUN) !== 0;
    if (compound && (words[group.head]?.traits ?? 0) & VERB) return false;
    const next = words[group.to];
    if (!compound && tags[group.to] === TAG.VBZ && (next?.traits ?? 0) & NOUN && form === "those")
      return false;
    // "Those wishing to read": people who do.
    if (form === "those" && (head.endsWith("ing") || TAG_SETS.ADJ[tags[group.to] ?? 0]))
      return false;
    if (form === "this" || form === "that") {
      if (!plural || group.to - group.from > 3) return false;
      if (SINGULAR_IN_S.has(head)) return false;
      // "that" opens a clause far more often than it points.
      if (form === "that") {
        const verb = tags[group.to] ?? 0;
        return pattern.source.startsWith("<s>")
          ? TAG_SETS.VERB[verb] === 1
          : !TAG_SETS.VERB[verb] &&
              verb !== TAG.MD &&
              /^(?:on|at|of|by|with|read|saw|took|see|keep)$/.test(words[marked - 1]?.form ?? "");
      }
      return !/ics$/.test(head);
    }
    if (plural || PLURAL_AS_THEY_ARE.has(head)) return false;
    if (/^(?:kind|sort|type)$/.test(head)) return words[group.to]?.form === "of";
    return (
      group.to - group.from <= 3 &&
      tags[group.head] === TAG.NN &&
      (words[group.head]?.traits ?? 0) !== 0 &&
      !/(?:s|men|ae|a|i)$/.test(head)
    );
  },
});

const SINGULAR_IN_S = wordList("demonstrative/singular-in-s");
const PLURAL_AS_THEY_ARE = wordList("demonstrative/plural-as-they-are");
