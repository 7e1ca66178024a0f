import type { Variety } from "../../manuscript/model.ts";
import { likeOriginal } from "../corrections/corrections.ts";
import { type Lexicon, VARIETY_BITS } from "./lexicon.ts";

/** How US spellings differ elsewhere, the first that the variety's dictionary has being taken. */
const RESPELLINGS: readonly (readonly [RegExp, string])[] = [
  [/iz(e|es|ed|ing|ation|ations)$/, "is$1"],
  [/yz(e|es|ed|ing)$/, "ys$1"],
  [/or(s|ed|ing|able|ful|ite)?$/, "our$1"],
  [/(t|b)er(s|ed)?$/, "$1re$2"],
  [/og(s)?$/, "ogue$1"],
  [/l(ed|ing|er|ers)$/, "ll$1"],
  [/ense(s)?$/, "ence$1"],
  [/l(ment|s)?$/, "ll$1"],
  [/ill(s|ment)?$/, "il$1"],
  [/dgment/, "dgement"],
  [/ram(s)?$/, "ramme$1"],
];

/** A text in US spelling as another variety spells it; words that it has stay as they are. */
export function respell(text: string, variety: Variety, lexicon: Lexicon): string {
  if (variety === "en-US") return text;
  const bit = VARIETY_BITS[variety];
  return text.replace(/\p{L}{4,}/gu, (word) => {
    const lower = word.toLowerCase();
    const varieties = lexicon.varieties(lower);
    if (varieties === 0 || varieties & bit) return word;
    for (const [pattern, replacement] of RESPELLINGS) {
      const other = lower.replace(pattern, replacement);
      if (other !== lower && lexicon.varieties(other) & bit) return likeOriginal(other, word);
    }
    return word;
  });
}
