import { markCheck } from "../../mark-check.ts";
import { doubleDeterminer as card } from "./cards.ts";

/** Two determiners where one belongs. */
export const doubleDeterminer = markCheck({
  ...card,
  reason: "“{}”: one of these is enough before a noun.",
  patterns: [
    "[the a|an] ADJ|NN => the | $2",
    "[a|an the] ADJ|NOUN => the | $1",
    "[a|an a|an] ADJ|NN => $2",
    "[the|a|an my|your|our|their|its|his] ADJ|NOUN => $2 | $1",
    "[the|a|an her] NOUN => $2 | $1",
    "[my|your|our|their|its the|a|an] ADJ|NOUN => $1 | $2",
    "[a|an this|these|those] NOUN => $2",
    "[the this|these|those] NOUN => $2",
  ],
  accepts: ({ bounds }, { text, units, sentenceFrom }) => {
    const at = bounds[0] ?? 0;
    if (/^\p{Lu}/u.test(text.slice(units[at]?.from ?? 0)) && at !== sentenceFrom[at]) return false;
    const first = units[bounds[0] ?? 0];
    const second = units[bounds[2] ?? 0];
    // "A A" in a table, "an a{sv}": letters that stand for something.
    if (/^(?:a\s+a|A\s+A)$|^\S+\s+\p{Lu}/u.test(text.slice(first?.from ?? 0, second?.to ?? 0)))
      return false;
    if (/^[^\s,]/.test(text.slice(second?.to ?? 0))) return false;
    return !/["“”]/.test(text.slice(first?.from ?? 0, second?.to ?? 0));
  },
});
