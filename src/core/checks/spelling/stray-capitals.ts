import type { Lexicon } from "../../language/words/lexicon.ts";
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

function frequencyOf(text: string, lexicon: Lexicon): number {
  const forms = [text.toLowerCase(), withoutStrayCapitals(text, "two")];
  return Math.max(...forms.map((form) => lexicon.frequency(form)));
}

/** log2 of a word's count in 50 million from which on two capitals are a slip. */
const EVERYDAY = 6;

/** A check of words whose capitals are wrong in one way. */
export function strayCapitalsCheck(card: Card, wrong: StrayCapitals): Check<StrayCapital> {
  return {
    ...card,
    examine(block, { lexicon, terms }) {
      return block.unusual.flatMap(({ from, to, text }) => {
        if (strayCapitals(text, lexicon) !== wrong || terms.has(text)) return [];
        // "GLib" is a name; of "THe" the word is an everyday one.
        if (wrong === "two" && frequencyOf(text, lexicon) < EVERYDAY) return [];
        return [{ from, to, word: text }];
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
