/**
 * Which words before or after an abbreviation it stands for. The letters are matched from the last to the
 * first, as in A. Schwartz and M. Hearst, "A simple algorithm for identifying abbreviation definitions in
 * biomedical text", Pacific Symposium on Biocomputing 8 (2003); initials of words come first.
 */

/** Small words, which have no letter of their own in most abbreviations. */
const SMALL = new Set("of the and for in on to a an at by with from & de".split(" "));
/** Longer ones are words in capitals. */
const MOST_LETTERS = 7;
const WORD = /[\p{L}\p{N}]+(?:['’.][\p{L}\p{N}]+)*/gu;

interface Piece {
  from: number;
  to: number;
  text: string;
}

/** Words and the parts of hyphenated words. */
function piecesOf(text: string): Piece[] {
  return [...text.matchAll(WORD)].map(({ 0: word, index }) => ({
    from: index,
    to: index + word.length,
    text: word,
  }));
}

/** The letters and digits of an abbreviation, without a plural s. */
export function lettersOf(short: string): string {
  return stemOf(short)
    .replace(/[^\p{L}\p{N}]/gu, "")
    .toLowerCase();
}

/** An abbreviation in the singular. */
export function stemOf(short: string): string {
  return /\p{Lu}s$/u.test(short) ? short.slice(0, -1) : short;
}

/** Where the long form of an abbreviation begins in the text before it; -1 where no words there fit. */
export function longFormBefore(before: string, short: string): number {
  const letters = lettersOf(short);
  if (letters.length < 2 || letters.length > MOST_LETTERS) return -1;
  const text = before.trimEnd();
  const pieces = piecesOf(text);
  const last = pieces.at(-1);
  if (!last || last.to < text.length - 1) return -1;
  const most = Math.min(letters.length + 5, letters.length * 2);
  const near = pieces.slice(-most - 3);
  const byInitials = initialsEnd(near, letters);
  if (byInitials >= 0) return byInitials;
  const from = byLetters(text, letters);
  if (from < 0) return -1;
  const words = text.slice(from).split(/\s+/);
  const isLong = words.length <= most && text.length - from > short.length + 1;
  return isLong && !words.includes(short) && words.length > 1 ? from : -1;
}

/** Whether all of a text is the long form of an abbreviation. */
export function isLongForm(text: string, short: string): boolean {
  if (!/\s/.test(text.trim()) || text.includes(short)) return false;
  const letters = lettersOf(short);
  const pieces = piecesOf(text);
  if (pieces.length > Math.min(letters.length + 5, letters.length * 2)) return false;
  if (initialsEnd(pieces, letters) === pieces[0]?.from) return true;
  return byLetters(text, letters) === (pieces[0]?.from ?? -1);
}

/** Where words begin whose initials are the letters, the last word being the last of the pieces; -1 for none. */
function initialsEnd(pieces: readonly Piece[], letters: string): number {
  let at = letters.length - 1;
  for (let index = pieces.length - 1; index >= 0; index--) {
    const piece = pieces[index];
    const word = piece?.text.toLowerCase() ?? "";
    if (word.charAt(0) === letters.charAt(at)) {
      if (at === 0) return piece?.from ?? -1;
      at--;
    } else if (!SMALL.has(word)) return -1;
  }
  return -1;
}

/** The shortest end of a text whose characters hold the letters in order, the first at a word's beginning. */
function byLetters(text: string, letters: string): number {
  const lower = text.toLowerCase();
  let at = lower.length;
  for (let index = letters.length - 1; index >= 0; index--) {
    do at--;
    while (
      at >= 0 &&
      (lower.charAt(at) !== letters.charAt(index) || (index === 0 && !begins(lower, at)))
    );
    if (at < 0) return -1;
  }
  return at;
}

function begins(text: string, at: number): boolean {
  return at === 0 || !/[\p{L}\p{N}]/u.test(text.charAt(at - 1));
}

/** The initials of a phrase as an abbreviation would have them, in capitals, and without those of small words. */
export function initialsOf(phrase: string): string {
  return piecesOf(phrase)
    .filter(({ text }) => !SMALL.has(text.toLowerCase()))
    .map(({ text }) => text.charAt(0))
    .join("")
    .toUpperCase();
}

export function isSmall(word: string): boolean {
  return SMALL.has(word);
}
