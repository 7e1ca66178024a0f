import { spokenNumber } from "./spoken-numbers.ts";
import type { Syllables } from "./syllables.ts";
import { wordList } from "./word-lists.ts";

/** Syllables of what is read out as something else: "Dr" is doctor. Lower case, without full stops. */
const READINGS = new Map(
  [...wordList("spoken/readings")].map((line) => {
    const colon = line.indexOf(":");
    return [line.slice(0, colon), Number(line.slice(colon + 1))] as const;
  }),
);
/** Of these, everyday words unless a full stop says that they are short. */
const ONLY_WITH_STOP = wordList("spoken/only-with-stop");
/** Signs beside a number that are read as words: 5% is five per cent. */
const SIGNS: Readonly<Record<string, number>> = { "%": 2, "£": 1, $: 2, "€": 2, "°": 2, "&": 1 };
/** Capitals in a row up to which a word with a vowel is still read letter by letter. */
const LONGEST_INITIALISM = 3;

const PIECE =
  /[\p{L}\p{M}]+(?:['’][\p{L}\p{M}]+)*|\p{N}+(?:[.,:]\p{N}+)*(?:st|nd|rd|th)?|[%£$€°&]/giu;

/**
 * Syllables of a word as it stands in a text, a run without spaces, as it is read aloud: numbers as
 * their words, abbreviations as what they stand for, capitals in a row letter by letter where they
 * make no word. `isWord` tells of a lower-case form whether it is a word.
 */
export function spokenSyllables(
  run: string,
  syllables: Syllables,
  isWord: (form: string) => boolean,
): number {
  const bare = run.replace(/^[^\p{L}\p{N}%£$€°]+|[^\p{L}\p{N}%£$€°]+$/gu, "");
  const known = READINGS.get(bare.toLowerCase().replaceAll(".", ""));
  if (known !== undefined && (run.includes(".") || !ONLY_WITH_STOP.has(bare.toLowerCase()))) {
    return known;
  }
  if (/^(?:\p{L}\.)+\p{L}$/u.test(bare)) return letterByLetter(bare.replaceAll(".", ""));
  let sum = 0;
  let last = "";
  for (const [piece] of bare.matchAll(PIECE)) {
    sum += pieceSyllables(piece, last, syllables, isWord);
    last = piece;
  }
  return Math.max(1, sum);
}

function pieceSyllables(
  piece: string,
  before: string,
  syllables: Syllables,
  isWord: (form: string) => boolean,
): number {
  const sign = SIGNS[piece];
  if (sign !== undefined) return sign;
  if (/^\p{N}/u.test(piece)) return spokenNumber(piece);
  const lower = piece.toLowerCase();
  // "5km": a unit joined to its number.
  if (/^\p{N}/u.test(before)) {
    const unit = READINGS.get(lower);
    if (unit !== undefined) return unit;
  }
  if (isInitialism(piece, isWord)) return letterByLetter(piece);
  return syllables.count(piece);
}

/** "USA" and "BBC" are read letter by letter, "NATO" and "WARNING" are not. */
function isInitialism(piece: string, isWord: (form: string) => boolean): boolean {
  const capitals = piece.replace(/s$/, "");
  if (capitals.length < 2 || !/^\p{Lu}+$/u.test(capitals)) return false;
  if (!/[AEIOUY]/.test(capitals)) return true;
  if (capitals.length === 2) return true;
  return capitals.length <= LONGEST_INITIALISM && !isWord(piece.toLowerCase());
}

function letterByLetter(letters: string): number {
  let sum = 0;
  for (const letter of letters) if (letter !== "s") sum += letter.toLowerCase() === "w" ? 3 : 1;
  return sum;
}
