import { written } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { fragment as card } from "./cards.ts";
import { finiteIn, NOT_SENTENCES, sentencesOf } from "./sentences.ts";

/** "Because the wire was broken.": a subordinate clause that stands alone. */
export const fragment = markCheck({
  ...card,
  reason: "“{}” opens no sentence that can be by itself.",
  notIn: NOT_SENTENCES,
  at: ["<s> because|although|whereas|until|unless|which"],
  find(syntax) {
    const found: Found[] = [];
    const { words, tags, text, units } = syntax;
    let previousEnd = -1;
    let previousMark = "";
    for (const { from, to } of sentencesOf(syntax)) {
      const opener = words[from]?.form ?? "";
      const mark = written(syntax, to - 1);
      const before = previousEnd;
      const asked = previousMark === "?";
      previousEnd = to;
      previousMark = mark;
      if (mark !== "." || to - from < 5 || to - from > 22 || asked) continue;
      const sure = opener === "because" || opener === "although" || opener === "whereas";
      if (!sure && opener !== "until" && opener !== "unless" && opener !== "which") continue;
      if (opener === "because" && words[from + 1]?.form === "of") continue;
      // Any comma or second finite verb may bring the main clause.
      let commas = 0;
      for (let unit = from; unit < to; unit++)
        if (tags[unit] === TAG[","] || tags[unit] === TAG[":"]) commas++;
      if (commas > 0) continue;
      const verbs = finiteIn(syntax, from, to);
      if (opener === "which") {
        if (
          verbs.length === 0 ||
          verbs[0]?.finite !== from + 1 ||
          TAG_SETS.NOMINAL[tags[from + 1] ?? 0]
        )
          continue;
        found.push({ from, to: from + 1, mends: ["this"] });
        continue;
      }
      if (verbs.length !== 1) continue;
      if (before < 0) {
        found.push({ from, to: from + 1, mends: [] });
        continue;
      }
      const stop = units[before - 1];
      const first = units[from];
      if (!stop || !first || text[stop.from] !== ".") {
        found.push({ from, to: from + 1, mends: [] });
        continue;
      }
      const joined = sure && opener !== "because" ? `, ${opener}` : ` ${opener}`;
      const label = `… ${written(syntax, before - 2)}${joined}`;
      found.push({
        from,
        to: from + 1,
        mends: [{ label, edits: [{ from: stop.from, to: first.to, insert: joined }] }],
      });
    }
    return found;
  },
});
