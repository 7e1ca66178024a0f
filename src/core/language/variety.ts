import type { Variety } from "../manuscript/model.ts";
import { type Lexicon, VARIETY_BITS } from "./lexicon.ts";

/** Enough text to tell; a whole book is not needed. */
const SAMPLE_LENGTH = 200_000;

/**
 * The variety of a text, by counting words that only one variety's dictionary has ("colour",
 * "color"). `fallback` where the text holds no such word or as many of each.
 */
export function guessVariety(text: string, lexicon: Lexicon, fallback: Variety): Variety {
  let american = 0;
  let british = 0;
  for (const [word] of text.slice(0, SAMPLE_LENGTH).matchAll(/\p{Ll}{4,}/gu)) {
    const bits = lexicon.varieties(word);
    if (bits === VARIETY_BITS["en-US"]) american++;
    else if (bits === VARIETY_BITS["en-GB"]) british++;
  }
  if (american === british) return fallback;
  return american > british ? "en-US" : "en-GB";
}
