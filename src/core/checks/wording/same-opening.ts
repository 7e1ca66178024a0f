import { written } from "../../language/phrases/syntax.ts";
import { sentencesOf } from "../grammar/sentences/sentences.ts";
import { type Found, markCheck } from "../mark-check.ts";
import { sameOpening as card } from "./cards.ts";
import { NOT_PROSE } from "./not-prose.ts";

const SAME = 3;

/** Three sentences in a row that begin alike. */
export const sameOpening = markCheck({
  ...card,
  reason: "Three sentences in a row begin alike.",
  notIn: [...NOT_PROSE, "item"],
  find(syntax) {
    const found: Found[] = [];
    let run = 0;
    let last = "";
    for (const { from, to } of sentencesOf(syntax)) {
      const form = syntax.words[from]?.form ?? "";
      const counts = /^[a-z]+$/.test(form) && !/^(?:the|an?)$/.test(form) && to - from > 2;
      run = counts && form === last ? run + 1 : 1;
      last = form;
      if (run === SAME) {
        const word = written(syntax, from);
        found.push({
          from,
          to: from + 1,
          mends: [],
          reason: `${SAME} sentences in a row begin with “${word}”.`,
        });
      }
    }
    return found;
  },
});
