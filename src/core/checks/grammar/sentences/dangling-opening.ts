import { written } from "../../../language/phrases/syntax.ts";
import { TAG } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { danglingOpening as card } from "./cards.ts";
import { NOT_SENTENCES, sentencesOf } from "./sentences.ts";

/** "Walking along the quay, the lamp came into view." */
export const danglingOpening = markCheck({
  ...card,
  reason: "The opening would belong to “{subject}”.",
  notIn: NOT_SENTENCES,
  at: [
    "walking|looking|reading|having|opening|closing|running|driving|sitting|standing|turning|entering|arriving|leaving|coming|going|hearing|seeing|waiting|climbing|sailing",
  ],
  find(syntax) {
    const found: Found[] = [];
    const { words, tags, nounGroups, nounAt } = syntax;
    for (const { from, to } of sentencesOf(syntax)) {
      const first =
        tags[from] === TAG.VBG
          ? from
          : /^(?:after|before|while|when|by)$/.test(words[from]?.form ?? "") &&
              tags[from + 1] === TAG.VBG
            ? from + 1
            : -1;
      if (first < 0) continue;
      const form = words[first]?.form ?? "";
      if (!DOINGS.has(form)) continue;
      if (form === "having" && tags[first + 1] !== TAG.VBN) continue;
      let comma = first;
      while (comma < to && tags[comma] !== TAG[","]) comma++;
      if (
        comma >= to ||
        comma - first > 12 ||
        syntax.verbGroups.some((verb) => verb.finite > first && verb.finite < comma)
      )
        continue;
      const subject = nounGroups[nounAt[comma + 1] ?? -1];
      if (!subject || subject.from !== comma + 1 || subject.pronoun) continue;
      const head = words[subject.head]?.form ?? "";
      if (tags[subject.head] === TAG.NNP || tags[subject.head] === TAG.NNPS) continue;
      const verb = syntax.verbGroups[syntax.verbAt[subject.to] ?? -1];
      if (!verb || verb.finite < 0) continue;
      const thing = THINGS.has(head);
      const unmoved =
        verb.passive ||
        /^(?:came|seemed|looked|appeared|was|were|is|are|stopped|fell)$/.test(
          words[verb.main]?.form ?? "",
        );
      if (!thing || !unmoved) continue;
      const reason = `The opening would belong to “${written(syntax, subject.head)}”.`;
      found.push({ from, to: comma, mends: [], reason });
    }
    return found;
  },
});

/** Heads that neither walk nor read; common practice. */
const THINGS = wordList("dangling-opening/things");

const DOINGS = wordList("dangling-opening/doings");
