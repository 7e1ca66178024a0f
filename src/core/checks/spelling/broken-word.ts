import { brokenWordAt } from "../../language/words/broken-word.ts";
import type { Check, Fact } from "../check.ts";
import { brokenWord as card } from "./cards.ts";

interface BrokenWord extends Fact {
  joined: string;
}

/** A word that still carries the hyphen of a line's end. */
export const brokenWord: Check<BrokenWord> = {
  ...card,
  examine({ kind, text, tokens }, { lexicon }) {
    if (kind === "code" || !/[-\u2010]\s/.test(text)) return [];
    return tokens.flatMap((_, index) => brokenWordAt(text, tokens, index, lexicon) ?? []);
  },
  conclude: ({ from, to, joined }) => ({
    from,
    to,
    reason: `“${joined}” is broken by a hyphen.`,
  }),
  choose(text, { from, to }) {
    const label = text.slice(from, to).replace(/[-\u2010]\s+/, "");
    return [{ label, edits: [{ from, to, insert: label }] }];
  },
};
