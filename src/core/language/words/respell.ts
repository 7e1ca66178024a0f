import type { Variety } from "../../manuscript/model.ts";
import { likeOriginal } from "../corrections/corrections.ts";
import { type Lexicon, VARIETY_BITS } from "./lexicon.ts";
import { wordList } from "./word-lists.ts";

/** How US spellings differ elsewhere, the first that the variety's dictionary has being taken. */
const RESPELLINGS: Rules = [
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
    const other = byRules(lower, RESPELLINGS, (one) => (lexicon.varieties(one) & bit) !== 0);
    return other === null ? word : likeOriginal(other, word);
  });
}

type Rules = readonly (readonly [RegExp, string])[];

/** The first that a rule makes of a word and that is accepted; null where none is. */
function byRules(lower: string, rules: Rules, accepts: (other: string) => boolean): string | null {
  for (const [pattern, replacement] of rules) {
    const other = lower.replace(pattern, replacement);
    if (other !== lower && accepts(other)) return other;
  }
  return null;
}

/** British spellings and the US ones of the same words, where no rule leads from one to the other. */
const PAIRS = [...wordList("respell/counterparts")].map((pair) => pair.split(" "));
const COUNTERPARTS = new Map(
  PAIRS.flatMap(([british = "", american = ""]) => [
    [british, american] as const,
    [american, british] as const,
  ]),
);

/** From British endings to US ones; the other way round is `RESPELLINGS`. */
const TO_US: Rules = [
  [/is(e|es|ed|ing|er|ers|ation|ations)$/, "iz$1"],
  [/ys(e|es|ed|ing|er|ers)$/, "yz$1"],
  [/our/, "or"],
  [/re(s|d)?$/, "er$1"],
  [/tring$/, "tering"],
  [/ogue(s)?$/, "og$1"],
  [/ll(ed|ing|er|ers|or|ors|ous)$/, "l$1"],
  [/ence(s|less)?$/, "ense$1"],
  [/ae|oe/, "e"],
  [/dgement/, "dgment"],
  [/ramme(s)?$/, "ram$1"],
  [/l(ment|s)?$/, "ll$1"],
];

/** A lower-case word of another variety as a variety spells it; null where none is known. */
export function counterpartOf(lower: string, variety: Variety, lexicon: Lexicon): string | null {
  const bit = VARIETY_BITS[variety];
  const known = COUNTERPARTS.get(lower);
  if (known && lexicon.varieties(known) & bit) return known;
  const accepts = (other: string) =>
    (lexicon.varieties(other) & bit) !== 0 && !lexicon.isRare(other);
  return byRules(lower, TO_US, accepts) ?? byRules(lower, RESPELLINGS, accepts);
}
