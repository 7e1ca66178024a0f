import type { Language } from "../../../language/analysis.ts";
import type { Syntax } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { doubleComparison as card } from "./cards.ts";

/** "more better", "most highest". */
export const doubleComparison = markCheck({
  ...card,
  reason: "One of the two is enough: “{1}”.",
  patterns: [
    "[more JJR|RBR] => $2",
    "[more better|worse] => $2",
    "the|my|his|her|our|their [most JJS|RBS] => $3",
  ],
  at: ["more|most JJ"],
  find: (syntax, language) => roundabout(syntax, language),
  accepts: ({ bounds, pattern }, { words, tags }) => {
    const second = bounds[2 * pattern.marked.to - 2] ?? 0;
    const form = words[second]?.form ?? "";
    if (!/(?:er|est)$/.test(form) || NOT_COMPARED.has(form)) return false;
    const after = tags[second + 1] ?? 0;
    const before = words[(bounds[2 * pattern.marked.from] ?? 0) - 1]?.form ?? "";
    // "more younger men", "no more higher walls": more of them.
    if (after === TAG.NNS) return false;
    return !/^(?:no|any|some|many|two|three|even)$/.test(before) || pattern.source.includes("most");
  },
});

const NOT_COMPARED = wordList("double-comparison/not-compared");

/** Log2 of how often a compared form must occur: "deeper" is in use, "realer" is not. */
const IN_USE = 7;

/** "more fast", "the most old": a short adjective that is compared by its ending. */
function roundabout({ words, tags, sentenceTo }: Syntax, { lexicon }: Language): Found[] {
  const found: Found[] = [];
  for (const [unit, { form }] of words.entries()) {
    if ((form !== "more" && form !== "most") || tags[unit + 1] !== TAG.JJ) continue;
    const adjective = words[unit + 1]?.form ?? "";
    if (!isShort(adjective) || ROUNDABOUT.has(adjective)) continue;
    const compared = withEnding(adjective, form === "more" ? "er" : "est");
    if (lexicon.varieties(compared) === 0 || lexicon.frequency(compared) < IN_USE) continue;
    const before = words[unit - 1]?.form ?? "";
    const after = words[unit + 2]?.form ?? "";
    const closes = unit + 2 >= (sentenceTo[unit] ?? 0) || TAG_SETS.STOP[tags[unit + 2] ?? 0] === 1;
    const predicate =
      TAG_SETS.VERB[tags[unit - 1] ?? 0] === 1 ||
      /^(?:is|are|was|were|be|been|much|even|far|get|gets|got|a|become|became|becomes|grew|grows|seems|looks|feels|felt)$/.test(
        before,
      );
    const ends = closes || /^(?:than|to|for|in|at|now|and|but)$/.test(after);
    const noun = TAG_SETS.NOMINAL[tags[unit + 2] ?? 0] === 1;
    const fits =
      form === "more"
        ? after === "than" || (predicate && ends) || (before === "a" && noun)
        : noun && /^(?:the|my|his|her|our|their)$/.test(before);
    if (!fits) continue;
    found.push({
      from: unit,
      to: unit + 2,
      mends: [compared],
      reason: "A short word is compared by its ending: “{1}”.",
      unsure: after !== "than" && !predicate && form === "more",
    });
  }
  return found;
}

/** One syllable, or two with a final y: "fast", "easy". */
function isShort(adjective: string): boolean {
  return (
    /^[^aeiouy]*[aeiouy]+[^aeiouy]*e?$/.test(adjective) ||
    /^[^aeiouy]*[aeiou]+[^aeiouy]+y$/.test(adjective)
  );
}

function withEnding(adjective: string, ending: string): string {
  if (adjective === "good" || adjective === "bad") {
    const best = ending === "est";
    return adjective === "good" ? (best ? "best" : "better") : best ? "worst" : "worse";
  }
  if (/[^aeiou]y$/.test(adjective)) return `${adjective.slice(0, -1)}i${ending}`;
  if (adjective.endsWith("e")) return adjective + ending.slice(1);
  const doubled = /^[^aeiou]*[aeiou][bdgmnpt]$/.test(adjective);
  return adjective + (doubled ? adjective.slice(-1) : "") + ending;
}

const ROUNDABOUT = wordList("double-comparison/roundabout");
