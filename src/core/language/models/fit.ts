import type { Syntax } from "../phrases/syntax.ts";
import { TAG_SETS } from "../tags/tag-sets.ts";
import type { Trigrams } from "./trigrams.ts";

/** How well words fit between others, by the trigram model. */

const SIDE = 2;

/** Two words before a place and two after it, by their numbers in the trigram model; -1 for none. */
export interface Around {
  before: [number, number];
  after: [number, number];
}

/** The ids of the words around some units, clitics joined to their words; "<s>" before, "</s>" after. */
export function idsAround(
  { words, tags, sentenceFrom, sentenceTo }: Syntax,
  from: number,
  to: number,
  trigrams: Trigrams,
): Around {
  const start = sentenceFrom[Math.min(from, words.length - 1)] ?? 0;
  const end = sentenceTo[Math.min(from, words.length - 1)] ?? words.length;
  const before: number[] = [];
  let tail = "";
  for (let at = from - 1; at >= start && before.length < SIDE; at--) {
    if (TAG_SETS.STOP[tags[at] ?? 0]) continue;
    const form = words[at]?.form ?? "";
    if (form.startsWith("'") || form === "n't") {
      tail = form + tail;
      continue;
    }
    before.push(tail === "" ? (words[at]?.trigram ?? -1) : trigrams.id(form + tail));
    tail = "";
  }
  if (before.length < SIDE) before.push(trigrams.id("<s>"));
  while (before.length < SIDE) before.push(-1);
  const after: number[] = [];
  for (let at = to; at < end && after.length < SIDE; at++) {
    if (TAG_SETS.STOP[tags[at] ?? 0]) continue;
    const next = words[at + 1]?.form ?? "";
    const joined = at + 1 < end && (next.startsWith("'") || next === "n't");
    after.push(joined ? trigrams.id((words[at]?.form ?? "") + next) : (words[at]?.trigram ?? -1));
    if (joined) at++;
  }
  if (after.length < SIDE) after.push(trigrams.id("</s>"));
  while (after.length < SIDE) after.push(-1);
  return {
    before: [before[1] ?? -1, before[0] ?? -1],
    after: [after[0] ?? -1, after[1] ?? -1],
  };
}

/** log10 of how well a word, two of them, or none for "", fits between others. */
export function fitOf(
  word: string,
  { before: [b2, b1], after: [a1, a2] }: Around,
  trigrams: Trigrams,
): number {
  if (word === "") {
    let sum = 0;
    if (a1 >= 0) sum += trigrams.score(b2, b1, a1);
    if (a2 >= 0) sum += trigrams.score(b1, a1, a2);
    // A word more always costs something; this is what "the" and "a" cost on the average.
    return sum + ABSENT_COST;
  }
  const gap = word.indexOf(" ");
  if (gap > 0) {
    const first = trigrams.id(word.slice(0, gap));
    const second = trigrams.id(word.slice(gap + 1));
    let both = trigrams.score(b2, b1, first) + trigrams.score(b1, first, second);
    if (a1 >= 0) both += trigrams.score(first, second, a1);
    if (a2 >= 0) both += trigrams.score(second, a1, a2);
    return both;
  }
  const id = trigrams.id(word);
  let sum = trigrams.score(b2, b1, id);
  if (a1 >= 0) sum += trigrams.score(b1, id, a1);
  if (a2 >= 0) sum += trigrams.score(id, a1, a2);
  return sum;
}

const ABSENT_COST = -1.2;

/** log10 of how well two words go together, or the first ends a sentence and the next opens one. */
export function fitOfEnd(
  ends: boolean,
  { before: [b2, b1], after: [a1, a2] }: Around,
  trigrams: Trigrams,
): number {
  const [opens, closes] = [trigrams.id("<s>"), trigrams.id("</s>")];
  if (a1 < 0) return 0;
  if (!ends) return trigrams.score(b2, b1, a1) + (a2 < 0 ? 0 : trigrams.score(b1, a1, a2));
  const opening = trigrams.score(-1, opens, a1) + (a2 < 0 ? 0 : trigrams.score(opens, a1, a2));
  return trigrams.score(b2, b1, closes) + opening;
}
