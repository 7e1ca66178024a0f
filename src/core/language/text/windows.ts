import type { Range } from "../../manuscript/model.ts";
import { splitSentences } from "./sentences.ts";

/**
 * Very long paragraphs are read in windows, so that reading takes time in proportion to their length
 * whatever they hold, and an edit has only its own window read again. A window ends where a sentence
 * does; where none does for long, at a space; where there is none, anywhere.
 */

/** Characters up to which a block is read whole: some five pages, more than a paragraph of any book. */
export const LONGEST_WHOLE = 8000;
/** Characters of a window, at least and at most. */
const LEAST = 1500;
const MOST = 4000;
/** One sentence end in so many, told by its text, ends a window: so an edit moves few of them. */
const ONE_IN = 3;
/** Characters before a sentence's end that tell whether a window ends there. */
const TELLING = 12;

/** The windows of a text, in order; together they cover it. One for a text that is read whole. */
export function windowsOf(text: string): Range[] {
  if (text.length <= LONGEST_WHOLE) return [{ from: 0, to: text.length }];
  const windows: Range[] = [];
  let from = 0;
  const close = (to: number) => {
    if (to > from) windows.push({ from, to });
    from = to;
  };
  for (const sentence of splitSentences(text)) {
    if (sentence.to - from > MOST && sentence.from > from) close(sentence.from);
    while (sentence.to - from > MOST) close(cutBefore(text, from, from + MOST));
    if (sentence.to - from >= LEAST && isTelling(text, sentence.to)) close(sentence.to);
  }
  close(text.length);
  return windows;
}

function isTelling(text: string, end: number): boolean {
  let sum = 0;
  for (let at = Math.max(0, end - TELLING); at < end; at++) sum = sum * 31 + text.charCodeAt(at);
  return (sum >>> 0) % ONE_IN === 0;
}

/** A place at or before `most` where no word is cut, if there is one in the second half. */
function cutBefore(text: string, from: number, most: number): number {
  const space = text.lastIndexOf(" ", most - 1);
  if (space > from + LEAST) return space + 1;
  // Not between the halves of one character.
  return (text.charCodeAt(most) & 0xfc00) === 0xdc00 ? most - 1 : most;
}
