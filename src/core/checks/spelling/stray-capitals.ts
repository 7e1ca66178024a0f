import {
  type StrayCapitals,
  strayCapitals,
  withoutStrayCapitals,
} from "../../language/stray-capitals.ts";
import type { Check, Example, Fact } from "../check.ts";

interface StrayCapital extends Fact {
  word: string;
}

/** A check of words whose capitals are wrong in one way. */
function strayCapitalsCheck(
  wrong: StrayCapitals,
  { name, title, why, examples }: { name: string; title: string; why: string; examples: Example[] },
): Check<StrayCapital> {
  const id = `spelling/${name}`;
  return {
    id,
    pass: "spelling",
    weight: "fix",
    code: "cap",
    title,
    why,
    source: "common practice",
    examples,
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
            group: `${id}:${word}`,
          },
    choose(text, { from, to }) {
      const insert = withoutStrayCapitals(text.slice(from, to), wrong);
      return [{ label: insert, edits: [{ from, to, insert }] }];
    },
  };
}

export const twoCapitals = strayCapitalsCheck("two", {
  name: "two-capitals",
  title: "Two capitals at the start",
  why: "The shift key was held a moment too long. Plurals of abbreviations (“TVs”) and names (“McKay”) are not meant.",
  examples: [
    { wrong: "THere was no wind.", right: "There was no wind." },
    { wrong: "We read it on SUndays.", right: "We read it on Sundays." },
    { leave: "The PCs and TVs are off; Dr. McKay has a PhD." },
  ],
});

export const capsLock = strayCapitalsCheck("caps-lock", {
  name: "caps-lock",
  title: "Caps lock left on",
  why: "Small and capital letters have changed places, as they do when caps lock is on.",
  examples: [
    { wrong: "The log says: tHE index slipped.", right: "The log says: The index slipped." },
    { wrong: "It fell, hARBOUR and all.", right: "It fell, Harbour and all." },
    { leave: "The pH fell, said the RSPB." },
  ],
});

export const oddCapitals = strayCapitalsCheck("inside", {
  name: "odd-capitals",
  title: "A capital inside a word",
  why: "A common word has a capital in its middle. Where that is how a thing is named, put it on a word list.",
  examples: [
    { wrong: "The watEr rose again.", right: "The water rose again." },
    { wrong: "It was a grEat tide.", right: "It was a great tide." },
    { leave: "The tideLog writes to readGauge each hour." },
  ],
});
