import type { Variety } from "../manuscript/model.ts";
import { channelCost } from "./edit-cost.ts";
import { judgeWord, withoutPossessive } from "./known.ts";
import type { Lexicon } from "./lexicon.ts";

/** Weight of a word's log2 frequency against the cost of an edit; chosen on misspelling pairs. */
const FREQUENCY_WEIGHT = 0.085;
/** Cost of a missing space, and how frequent a short word must be to be split off. */
const SPLIT_COST = 1.2;
const SHORT_WORD_FREQUENCY = 13;

/**
 * Corrections of an unknown word, likeliest first: words near it by edits, each weighed by which
 * letters differ (keyboard, sound) and how frequent it is, and two words run together. Case and a
 * possessive ending follow the original.
 */
export function correctWord(
  written: string,
  lexicon: Lexicon,
  variety: Variety,
  limit: number,
): string[] {
  const word = written.replaceAll("\u00ad", "").replaceAll("’", "'");
  const base = withoutPossessive(word);
  const ending = written.slice(base.length);
  const query = base.toLowerCase();
  const scored = candidates(query, lexicon, variety).map(({ word: candidate, frequency }) => ({
    text: candidate,
    cost: channelCost(query, candidate.toLowerCase()) - FREQUENCY_WEIGHT * frequency,
  }));
  const split = splitWord(query, lexicon, variety);
  if (split) scored.push(split);
  scored.sort((a, b) => a.cost - b.cost);
  const corrections: string[] = [];
  for (const { text } of scored) {
    const cased = likeOriginal(text, base) + ending;
    if (cased !== written && !corrections.includes(cased)) corrections.push(cased);
    if (corrections.length === limit) break;
  }
  return corrections;
}

function candidates(query: string, lexicon: Lexicon, variety: Variety) {
  if (query.length > 40) return [];
  const first = lexicon.near(query, query.length <= 3 ? 1 : 2, variety);
  if (first.length > 0) return first;
  return lexicon.near(query, query.length <= 3 ? 2 : 3, variety);
}

function splitWord(
  query: string,
  lexicon: Lexicon,
  variety: Variety,
): { text: string; cost: number } | null {
  let best: { text: string; cost: number } | null = null;
  for (let at = 1; at < query.length; at++) {
    const left = query.slice(0, at);
    const right = query.slice(at);
    if (!isSplitWord(left, lexicon, variety) || !isSplitWord(right, lexicon, variety)) continue;
    const frequency = Math.min(lexicon.frequency(left), lexicon.frequency(right));
    const cost = SPLIT_COST - FREQUENCY_WEIGHT * frequency;
    if (!best || cost < best.cost) best = { text: `${left} ${right}`, cost };
  }
  return best;
}

function isSplitWord(word: string, lexicon: Lexicon, variety: Variety): boolean {
  if (word.length === 1) return word === "a";
  if (judgeWord(word, lexicon, variety) !== "known") return false;
  return word.length > 3 || lexicon.frequency(word) >= SHORT_WORD_FREQUENCY;
}

/** A correction in the capitals of the original, where the original has any. */
function likeOriginal(correction: string, original: string): string {
  if (original.length > 1 && original === original.toUpperCase()) return correction.toUpperCase();
  const first = original[0] ?? "";
  return first === first.toLowerCase()
    ? correction
    : (correction[0] ?? "").toUpperCase() + correction.slice(1);
}
