import { type Syntax, written } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import type { Choice } from "../../check.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { questionMark as card } from "./cards.ts";
import { sentencesOf } from "./sentences.ts";

const QUESTION_WORDS = new Set("what where who whom whose why how which when".split(" "));

/** "Where is the spare key." */
export const questionMark = markCheck({
  ...card,
  reason: "A question ends with a question mark, a reported one with a stop: “{1}”.",
  notIn: ["heading", "cell"],
  at: [
    "<s> what|where|who|whom|whose|why|how|which|when",
    "<s> do|does|did|is|are|was|were|has|have|can|could|will|would",
    "ask~|asks|asked|wonder~|wanted who|what|where|whom|whose|why|how|which|when|if|whether|to",
  ],
  find(syntax) {
    const found: Found[] = [];
    const { words, tags, units } = syntax;
    for (const { from, to } of sentencesOf(syntax)) {
      const end = to - 1;
      const mark = written(syntax, end);
      const first = words[from]?.form ?? "";
      const asked = syntax.text.slice(units[from]?.from, units[end]?.from).includes("?");
      if (mark === "." && to - from > 3 && !asked) {
        if (
          QUESTION_WORDS.has(first) ? isQuestion(syntax, from, to) : isInverted(syntax, from, to)
        ) {
          found.push({ from: end - 1, to: end + 1, mends: [withMark(syntax, end, "?")] });
        }
      }
      if (mark === "?" && to - from > 4 && end < units.length) {
        const group = syntax.nounGroups[syntax.nounAt[from] ?? -1];
        if (!group || group.from !== from) continue;
        const verb = syntax.verbGroups[syntax.verbAt[group.to] ?? -1];
        if (!verb || verb.finite < 0 || verb.from !== group.to) continue;
        const reported = /^(?:asked|asks|wonder|wondered|wonders)$/.test(
          words[verb.main]?.form ?? "",
        );
        const wanted = words[verb.main]?.form === "wanted" && words[verb.to + 1]?.form === "know";
        const at = wanted ? verb.to + 2 : verb.to;
        const who = words[at]?.form ?? "";
        if (
          (!reported && !wanted) ||
          !(QUESTION_WORDS.has(who) || who === "if" || who === "whether")
        )
          continue;
        if (tags[from] === TAG.PPSS && first === "you") continue;
        found.push({ from: end - 1, to: end + 1, mends: [withMark(syntax, end, ".")] });
      }
    }
    return found;
  },
});

function withMark(syntax: Syntax, end: number, mark: string): Choice {
  const stop = syntax.units[end];
  const label = `${written(syntax, end - 1)}${mark}`;
  return { label, edits: [{ from: stop?.from ?? 0, to: stop?.to ?? 0, insert: mark }] };
}

const AUXILIARY = wordList("question-mark/auxiliary");

/** "Where is the key", "How many visitors came", "Who read it". */
function isQuestion(syntax: Syntax, from: number, to: number): boolean {
  const { words, tags } = syntax;
  const first = words[from]?.form ?? "";
  let at = from + 1;
  if (first === "how" && AFTER_HOW.has(words[at]?.form ?? "")) at++;
  else if (first === "how" && TAG_SETS.ADJ[tags[at] ?? 0]) return false;
  const counted = at > from + 1;
  if (
    (first === "what" || first === "which" || first === "whose" || counted) &&
    !AUXILIARY.has(words[at]?.form ?? "")
  ) {
    const group =
      syntax.nounGroups[syntax.nounAt[at] ?? -1] ?? syntax.nounGroups[syntax.nounAt[from] ?? -1];
    if (!group) return false;
    if (group.pronoun) return false;
    at = group.to;
    if (!counted && first === "what" && !AUXILIARY.has(words[at]?.form ?? "")) return false;
    if (counted && syntax.verbAt[at] !== -1) return oneClause(syntax, from, to);
  }
  const form = words[at]?.form ?? "";
  if (first === "who" || first === "which") {
    return syntax.verbAt[at] !== -1 && oneClause(syntax, from, to) && tags[at] !== TAG.VBG;
  }
  if (
    first === "when" ||
    first === "where" ||
    first === "why" ||
    first === "how" ||
    first === "what" ||
    first === "whom" ||
    first === "whose"
  ) {
    if (!AUXILIARY.has(form)) return false;
    if (first === "what" && at === from + 1 && /^(?:is|was)$/.test(form)) {
      // "What is needed is a lamp", "What was once a well is dry".
      if (
        tags[at + 1] === TAG.VBN ||
        tags[at + 1] === TAG.JJ ||
        TAG_SETS.ADV[tags[at + 1] ?? 0] ||
        tags[at + 1] === TAG.IN
      )
        return false;
      return oneClause(syntax, from, to);
    }
    const group = syntax.nounGroups[syntax.nounAt[at + 1] ?? -1];
    return group !== undefined && group.from === at + 1 && !commaBefore(syntax, from, to);
  }
  return false;
}

function commaBefore({ tags }: Syntax, from: number, to: number): boolean {
  for (let unit = from; unit < to; unit++) if (tags[unit] === TAG[","]) return true;
  return false;
}

function oneClause(syntax: Syntax, from: number, to: number): boolean {
  return syntax.verbGroups.filter((verb) => verb.finite >= from && verb.to <= to).length === 1;
}

/** "Did the keeper sign the log", "Is the door shut": an auxiliary, then its subject. */
function isInverted(syntax: Syntax, from: number, to: number): boolean {
  const { words, tags } = syntax;
  const first = words[from]?.form ?? "";
  if (!INVERTED.has(first)) return false;
  const group = syntax.nounGroups[syntax.nounAt[from + 1] ?? -1];
  if (!group || group.from !== from + 1) return false;
  if (commaBefore(syntax, from, to)) return false;
  if (first === "do" || first === "have") {
    if (!group.pronoun || tags[group.from] === TAG.PPO || tags[group.from] === TAG.PN) return false;
    return /^(?:you|we|they|i)$/.test(words[group.from]?.form ?? "");
  }
  const after = syntax.verbAt[group.to] !== -1 || TAG_SETS.ADJ[tags[group.to] ?? 0] === 1;
  return after && to - from > 3;
}

const AFTER_HOW = wordList("question-mark/after-how");
const INVERTED = wordList("question-mark/inverted");
