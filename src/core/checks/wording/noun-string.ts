import { TAG } from "../../language/tags/tag-sets.ts";
import { type Found, markCheck } from "../mark-check.ts";
import { nounString as card } from "./cards.ts";
import { NOT_PROSE } from "./not-prose.ts";

const STRING = 4;

/** "the gauge house door lock replacement". */
export const nounString = markCheck({
  ...card,
  reason: "Four or more nouns in a row.",
  notIn: NOT_PROSE,
  find(syntax) {
    const found: Found[] = [];
    for (const group of syntax.nounGroups) {
      let first = group.to;
      while (first > group.from && syntax.tags[first - 1] === TAG.NN) first--;
      if (syntax.tags[group.to - 1] === TAG.NNS) {
        first = group.to - 1;
        while (first > group.from && syntax.tags[first - 1] === TAG.NN) first--;
      }
      const count = group.to - first;
      if (count < STRING) continue;
      found.push({
        from: first,
        to: group.to,
        mends: [],
        reason: `${count} nouns in a row.`,
      });
    }
    return found;
  },
});
