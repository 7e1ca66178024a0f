import type { Syntax } from "../../../language/phrases/syntax.ts";
import { TAG } from "../../../language/tags/tag-sets.ts";
import { WORD_LISTS } from "../../patterns/word-lists.ts";

const SPANS = "week night month year time summer winter spring autumn".split(" ");
const AFTER_LAST = new Set([...SPANS, ...(WORD_LISTS["weekdays"] ?? [])]);

/** Patterns that find in what blocks a time that is over is named. */
export const PAST_TIMES: readonly string[] = ["yesterday|ago", `last ${SPANS.join("|")}|@weekdays`];

/** Whether a time that is over is named at a unit: "yesterday", "ago", or "last" with what it is the last of. */
export function isPastTime({ words }: Syntax, unit: number): boolean {
  const form = words[unit]?.form ?? "";
  if (form === "yesterday" || form === "ago") return true;
  return (
    form === "last" &&
    words[unit - 1]?.form !== "the" &&
    AFTER_LAST.has(words[unit + 1]?.form ?? "")
  );
}

const CLAUSE_REACH = 4;
const ALWAYS_SO = /^(?:where|which|who|that|what|why|how|because|if|whether)$/;

/** Whether the sentence of a unit tells of the past: it names a time that is over, or another of its verbs does. */
export function tellsOfPast(syntax: Syntax, unit: number): boolean {
  const from = syntax.sentenceFrom[unit] ?? 0;
  const to = syntax.sentenceTo[unit] ?? syntax.words.length;
  for (let at = from; at < to; at++) if (isPastTime(syntax, at)) return true;
  // "The town where he teaches": what is always so may stand beside the past.
  for (let at = Math.max(from, unit - CLAUSE_REACH); at < unit; at++) {
    if (ALWAYS_SO.test(syntax.words[at]?.form ?? "")) return false;
  }
  return syntax.verbGroups.some(({ finite }) => {
    return finite >= from && finite < to && finite !== unit && syntax.tags[finite] === TAG.VBD;
  });
}
