import { VARIETIES, type Variety } from "../../manuscript/model.ts";
import { type Lexicon, VARIETY_BITS } from "../words/lexicon.ts";
import { wordList } from "../words/word-lists.ts";

/** Enough text to tell; a whole book is not needed. */
const SAMPLE_LENGTH = 200_000;
const ALL = VARIETIES.reduce((bits, variety) => bits | VARIETY_BITS[variety], 0);

/** Where a habit of writing is at home. */
type Side = "american" | "british";
const STRANGERS: Record<Side, readonly Variety[]> = {
  american: ["en-GB", "en-GB-oxendict", "en-AU"],
  british: ["en-US"],
};
/** Canada shares habits of both, so that one speaks less against it. */
const SHARED = 0.5;

/** A spelling of one side tells more than a word or a habit, which may come with what is written of. */
const BY_SPELLING = 3;
const BY_RARE_SPELLING = 1;
const BY_WORD = 2;
const BY_HABIT = 1;
/** A habit shown again and again says little more than one shown a few times. */
const MOST_BY_HABIT = 4;

/** Months as they stand in dates. */
const MONTH =
  "(?:January|February|March|April|May|June|July|August|September|October|November|December)";
/**
 * How each side writes dates, quotations, titles, times and addresses: ISO 8601 apart, as handbooks of
 * both sides have it; common practice.
 */
const HABITS: readonly [Side, RegExp][] = [
  ["british", new RegExp(`\\b[0-3]?\\d(?:st|nd|rd|th)? ${MONTH}\\b`, "g")],
  ["american", new RegExp(`\\b${MONTH} [0-3]?\\d(?:, \\d{4})`, "g")],
  ["british", /\b(?:Mr|Mrs|Ms|Dr) \p{Lu}/gu],
  ["american", /\b(?:Mr|Mrs|Ms|Dr)\. \p{Lu}/gu],
  ["british", /\p{Ll}["”][,.](?=\s)/gu],
  ["british", /(?<=[\s(])['‘]\p{Lu}[^'’"“”\n]{8,200}[,.?!]?['’](?=[\s.,)])/gu],
  ["british", /\b\d{1,2}\.\d{2} ?[ap]\.?m\b/g],
  ["british", /£ ?\d/g],
  ["british", /\b[A-Z]{1,2}\d[A-Z\d]? \d[A-Z]{2}\b/g],
  ["american", /\b[A-Z]{2} \d{5}(?:-\d{4})?\b/g],
  ["british", /\b(?:plc|Ltd)\b(?!\.)/g],
  ["american", /\b(?:Inc\.|LLC|Corp\.)/g],
];

/**
 * The variety of a text, by whatever is written on one side of the Atlantic only: first words that
 * some varieties have and others have not ("colour", "color"), with a capital or rare ones too; then
 * words that all dictionaries have and one side uses ("fortnight", "gotten"), and habits: dates,
 * quotations, titles, times, sums, addresses. Never names. Where several varieties fit as well, the
 * fallback if it is among them, or the first.
 */
export function guessVariety(text: string, lexicon: Lexicon, fallback: Variety): Variety {
  const sample = text.slice(0, SAMPLE_LENGTH);
  const against = new Map<Variety, number>(VARIETIES.map((variety) => [variety, 0]));
  const count = (varieties: Iterable<Variety>, points: number) => {
    for (const variety of varieties) against.set(variety, (against.get(variety) ?? 0) + points);
  };
  const speakAgainst = (side: Side, points: number) => {
    count(STRANGERS[side], points);
    count(["en-CA"], points * SHARED);
  };
  for (const [written] of sample.matchAll(WORD)) {
    const word = written.toLowerCase();
    for (const side of SIDES) if (USED_BY[side].has(word)) speakAgainst(side, BY_WORD);
    const bits = lexicon.varieties(word);
    if (bits === ALL || bits === 0 || (written !== word && lexicon.varieties(written) !== 0)) {
      continue;
    }
    count(
      VARIETIES.filter((variety) => (bits & VARIETY_BITS[variety]) === 0),
      lexicon.isRare(word) ? BY_RARE_SPELLING : BY_SPELLING,
    );
  }
  for (const [side, pattern] of HABITS) {
    const found = sample.match(pattern)?.length ?? 0;
    speakAgainst(side, Math.min(MOST_BY_HABIT, found) * BY_HABIT);
  }
  const least = Math.min(...against.values());
  const fitting = VARIETIES.filter((variety) => against.get(variety) === least);
  return fitting.includes(fallback) ? fallback : (fitting[0] ?? fallback);
}

/** A word in small letters, or with the capital of a sentence or a line: others may be names. */
const WORD = /(?<!\p{L})\p{Ll}{4,}|(?<=^|\n|[.!?]["”’]? )\p{Lu}\p{Ll}{3,}/gu;

const SIDES: readonly Side[] = ["american", "british"];
const USED_BY: Record<Side, ReadonlySet<string>> = {
  american: wordList("variety/american"),
  british: wordList("variety/british"),
};
