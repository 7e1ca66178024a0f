import type { Syntax } from "./syntax.ts";

/** Unknown words from which on a sentence is not in today's standard English, and their share of it. */
const MANY = 4;
const SHARE = 1 / 6;

/**
 * Whether the sentence of a unit is in another language, in old spelling or in dialect put down by
 * sound: what a model learned from edited prose says of it counts for nothing.
 */
export function isForeign({ words, text, units, sentenceFrom, sentenceTo }: Syntax, unit: number) {
  const from = sentenceFrom[unit] ?? 0;
  const to = sentenceTo[unit] ?? words.length;
  let unknown = 0;
  for (let at = from; at < to; at++) {
    const word = words[at];
    if (word?.traits !== 0 || word.frequency !== 0 || word.form.length < 2) continue;
    if (/^\p{Ll}[^-]*$/u.test(text.slice(units[at]?.from, units[at]?.to))) unknown++;
  }
  return unknown >= MANY && unknown >= SHARE * (to - from);
}
