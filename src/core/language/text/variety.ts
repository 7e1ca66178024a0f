import { VARIETIES, type Variety } from "../../manuscript/model.ts";
import { type Lexicon, VARIETY_BITS } from "../words/lexicon.ts";

/** Enough text to tell; a whole book is not needed. */
const SAMPLE_LENGTH = 200_000;
const ALL = VARIETIES.reduce((bits, variety) => bits | VARIETY_BITS[variety], 0);

/**
 * The variety of a text: the one whose dictionary lacks the fewest of its words among those that
 * some varieties have and others have not ("colour", "color"). Where several fit as well, the
 * fallback if it is among them, or the first.
 */
export function guessVariety(text: string, lexicon: Lexicon, fallback: Variety): Variety {
  const lacking = new Map<Variety, number>(VARIETIES.map((variety) => [variety, 0]));
  for (const [word] of text.slice(0, SAMPLE_LENGTH).matchAll(/\p{Ll}{4,}/gu)) {
    const bits = lexicon.varieties(word);
    if (bits === ALL || bits === 0 || lexicon.isRare(word)) continue;
    for (const variety of VARIETIES) {
      if (bits & VARIETY_BITS[variety]) continue;
      lacking.set(variety, (lacking.get(variety) ?? 0) + 1);
    }
  }
  const least = Math.min(...lacking.values());
  const fitting = VARIETIES.filter((variety) => lacking.get(variety) === least);
  return fitting.includes(fallback) ? fallback : (fitting[0] ?? fallback);
}
