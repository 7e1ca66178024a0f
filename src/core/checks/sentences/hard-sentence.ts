import { causesOf, causeTold, costOf } from "../../language/phrases/causes.ts";
import {
  type SentenceDifficulty,
  sentenceFigures,
  shownStretch,
} from "../../language/phrases/sentence-figures.ts";
import { costBound } from "../../readings/readers.ts";
import type { Check, Fact } from "../check.ts";
import { hardSentence as card } from "./cards.ts";
import { splitsOf } from "./splits.ts";

/** A sentence that costs some reader something; its range is what costs most. */
interface HardFact extends Fact {
  cost: number;
  reason: string;
}

/** Below this cost a sentence is easy for every reader there is. */
const LEAST_COST = 8;
const NOT_PROSE = new Set(["heading", "cell", "caption", "reference", "code"]);

/** A sentence that costs the document's reader too much, and where it could end sooner. */
export const hardSentence: Check<HardFact> = {
  ...card,
  examine(block, language) {
    if (NOT_PROSE.has(block.kind)) return [];
    const facts: HardFact[] = [];
    for (const sentence of sentenceFigures(block, language)) {
      const cost = costOf(sentence);
      if (cost < LEAST_COST) continue;
      facts.push({ ...shownStretch(sentence), cost, reason: reasonFor(sentence) });
    }
    return facts;
  },
  conclude({ from, to, cost, reason }, { reader }) {
    return cost >= costBound(reader) ? { from, to, reason, group: null } : null;
  },
  choose: (text, place, { language }) => splitsOf(text, place, language),
};

/** How many causes a reason names. */
const NAMED = 3;

/** "41 words; 19 words between subject and verb." */
function reasonFor(sentence: SentenceDifficulty): string {
  const causes = causesOf(sentence).slice(0, NAMED);
  const told = causes.map((cause) => causeTold(cause, sentence)).join("; ");
  return `${told[0]?.toUpperCase()}${told.slice(1)}.`;
}
