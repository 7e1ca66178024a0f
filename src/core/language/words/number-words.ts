/** Whole numbers and ordinals as words and back, as they are written in English; common practice. */

const SMALL =
  "zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen".split(
    " ",
  );
const TENS = "_ _ twenty thirty forty fifty sixty seventy eighty ninety".split(" ");
const ORDINALS: Readonly<Record<string, string>> = {
  one: "first",
  two: "second",
  three: "third",
  five: "fifth",
  eight: "eighth",
  nine: "ninth",
  twelve: "twelfth",
};
/** Numbers from here on are written in figures whatever the house. */
export const MOST_IN_WORDS = 999;

/** A number from 0 to 999 in words, "and" after the hundreds where asked for; null beyond. */
export function inWords(value: number, and = true): string | null {
  if (!Number.isInteger(value) || value < 0 || value > MOST_IN_WORDS) return null;
  if (value < 20) return SMALL[value] ?? null;
  if (value < 100) {
    const ones = value % 10;
    return `${TENS[Math.floor(value / 10)]}${ones > 0 ? `-${SMALL[ones]}` : ""}`;
  }
  const rest = value % 100;
  const head = `${SMALL[Math.floor(value / 100)]} hundred`;
  return rest === 0 ? head : `${head} ${and ? "and " : ""}${inWords(rest)}`;
}

/** An ordinal from 1st to 99th in words; null beyond. */
export function ordinalInWords(value: number): string | null {
  if (value < 1 || value > 99) return null;
  const words = inWords(value);
  if (words === null) return null;
  const cut = words.lastIndexOf("-") + 1;
  const last = words.slice(cut);
  const ordinal = ORDINALS[last] ?? (last.endsWith("y") ? `${last.slice(0, -1)}ieth` : `${last}th`);
  return words.slice(0, cut) + ordinal;
}

/** An ordinal in figures: "1st", "22nd", "13th". */
export function ordinalInFigures(value: number): string {
  const teen = value % 100 > 10 && value % 100 < 14;
  return `${value}${teen ? "th" : (["th", "st", "nd", "rd"][value % 10] ?? "th")}`;
}

const VALUES = new Map<string, number>();
const ORDINAL_VALUES = new Map<string, number>();
for (let value = 0; value <= MOST_IN_WORDS; value++) {
  for (const and of [true, false]) VALUES.set(inWords(value, and) ?? "", value);
  const ordinal = ordinalInWords(value);
  if (ordinal) ORDINAL_VALUES.set(ordinal, value);
}

/** The value of a number in words, lower case; null for what is none. */
export function valueOfWords(words: string): number | null {
  return VALUES.get(words) ?? null;
}

/** The value of an ordinal in words, lower case; null for what is none. */
export function valueOfOrdinal(word: string): number | null {
  return ORDINAL_VALUES.get(word) ?? null;
}
