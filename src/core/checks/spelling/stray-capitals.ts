import {
  type StrayCapitals,
  strayCapitals,
  withoutStrayCapitals,
} from "../../language/words/stray-capitals.ts";
import type { Card } from "../card.ts";
import type { Check, Fact } from "../check.ts";

interface StrayCapital extends Fact {
  word: string;
}

/** A check of words whose capitals are wrong in one way. */
export function strayCapitalsCheck(card: Card, wrong: StrayCapitals): Check<StrayCapital> {
  return {
    ...card,
    examine(block, { lexicon }) {
      if (block.kind === "code") return [];
      return block.unusual.flatMap(({ from, to, text }) => {
        if (strayCapitals(text, lexicon) !== wrong) return [];
        const inCode = block.spans.some(
          (span) => span.kind === "code" && from >= span.from && to <= span.to,
        );
        return inCode ? [] : [{ from, to, word: text }];
      });
    },
    conclude: ({ from, to, word }, { words }) =>
      words.has(word.toLowerCase())
        ? null
        : {
            from,
            to,
            reason: `“${word}” has capitals where none belong.`,
            group: `${card.id}:${word}`,
          },
    choose(text, { from, to }) {
      const insert = withoutStrayCapitals(text.slice(from, to), wrong);
      return [{ label: insert, edits: [{ from, to, insert }] }];
    },
  };
}
