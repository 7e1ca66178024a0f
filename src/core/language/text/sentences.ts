import { ABBREVIATIONS, BEFORE_NAME, SENTENCE_STARTERS } from "../words/abbreviations.ts";

/**
 * Sentences of a block, after Unicode Standard Annex 29 (sentence boundary rules SB6-SB8a) with
 * abbreviations, initials, decimals and list numbers told apart from sentence ends.
 */
export interface Sentence {
  from: number;
  to: number;
}

/** A run of stops counts from its start, lest a long one be looked at from each of its places. */
const STOP = /((?<![.?!])[.?!]+|…)(["'”’)\]]*)(\s+|$)/g;

/** Splits a text into sentences; white space between them belongs to none. */
export function splitSentences(text: string): Sentence[] {
  const sentences: Sentence[] = [];
  let from = skipSpace(text, 0);
  const close = (to: number, next: number) => {
    if (to > from) sentences.push({ from, to });
    from = skipSpace(text, next);
  };
  for (const match of text.matchAll(STOP)) {
    const stop = match[1] ?? "";
    const closing = match[2] ?? "";
    const after = match.index + match[0].length;
    if (after >= text.length) break;
    if (endsSentence(text, match.index, stop, closing, after)) {
      close(match.index + stop.length + closing.length, after);
    }
  }
  let end = text.length;
  while (end > from && /\s/.test(text[end - 1] ?? "")) end--;
  close(end, text.length);
  return sentences;
}

function skipSpace(text: string, position: number): number {
  let at = position;
  while (at < text.length && /\s/.test(text[at] ?? "")) at++;
  return at;
}

function endsSentence(
  text: string,
  at: number,
  stop: string,
  closing: string,
  after: number,
): boolean {
  let start = after;
  while (start < text.length && /["'“‘([—–-]/.test(text[start] ?? "")) start++;
  const next = text[start] ?? "";
  if (/\p{Ll}/u.test(next) || /[,;:)]/.test(next)) return false;
  if (stop !== "." || closing !== "") return true;
  return !isAbbreviation(text, at, start);
}

/** Whether the full stop at `at` belongs to the word before it; `next` is where the next word starts. */
function isAbbreviation(text: string, at: number, next: number): boolean {
  let from = at;
  while (from > 0 && /[\p{L}\p{N}.-]/u.test(text[from - 1] ?? "")) from--;
  const word = text.slice(from, at);
  const lower = word.toLowerCase();
  if (BEFORE_NAME.has(lower)) return true;
  if (/^(?:\d{1,3}|\p{L})$/u.test(word) && skipSpace(text, 0) === from) return true;
  const following = /^\p{L}+(?!\.)/u.exec(text.slice(next, next + 20))?.[0] ?? "";
  const opens = SENTENCE_STARTERS.has(following);
  if (/^\p{Lu}(?:\.\p{Lu})*$/u.test(word) && !ABBREVIATIONS.has(lower)) {
    if (opens && following.length > 1) return false;
    return word !== "I" || /\p{Lu}\p{Ll}+ $/u.test(text.slice(Math.max(0, from - 15), from));
  }
  return (ABBREVIATIONS.has(lower) || /^(?:\p{L}\.)+\p{L}$/u.test(word)) && !opens;
}
