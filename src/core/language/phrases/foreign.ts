import type { Syntax } from "./syntax.ts";

/** Unknown words from which on a sentence is not in today's standard English, and their share of it. */
const MANY = 4;
const SHARE = 1 / 6;

/** What was found of each sentence, by the unit it begins with: all its places are asked about. */
const known = new WeakMap<Syntax, Map<number, boolean>>();

/**
 * Whether the sentence of a unit is in another language, in old spelling or in dialect put down by
 * sound: what a model learned from edited prose says of it counts for nothing.
 */
export function isForeign(syntax: Syntax, unit: number): boolean {
  const from = syntax.sentenceFrom[unit] ?? 0;
  let sentences = known.get(syntax);
  if (!sentences) {
    sentences = new Map();
    known.set(syntax, sentences);
  }
  const found = sentences.get(from) ?? isForeignSentence(syntax, from);
  sentences.set(from, found);
  return found;
}

function isForeignSentence({ words, text, units, sentenceTo }: Syntax, from: number): boolean {
  const to = sentenceTo[from] ?? words.length;
  let unknown = 0;
  for (let at = from; at < to; at++) {
    const word = words[at];
    if (word?.traits !== 0 || word.frequency !== 0 || word.form.length < 2) continue;
    if (/^\p{Ll}[^-]*$/u.test(text.slice(units[at]?.from, units[at]?.to))) unknown++;
  }
  return unknown >= MANY && unknown >= SHARE * (to - from);
}
