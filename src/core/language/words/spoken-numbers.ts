/** Syllables of numbers as they are read aloud in English; common practice. */

/** Zero to nineteen. */
const SMALL = [2, 1, 1, 1, 1, 1, 1, 2, 1, 1, 1, 3, 1, 2, 2, 2, 2, 3, 2, 2];
/** Twenty to ninety. */
const TENS = [0, 0, 2, 2, 2, 2, 2, 3, 2, 2];
const HUNDRED = 2;
/** Thousand, million, billion, trillion: from the right, three figures each. */
const GROUPS = [0, 2, 2, 2, 2];
const POINT = 1;
const OH = 1;
/** Four figures without a comma are read as a year between these. */
const FIRST_YEAR = 1100;
const LAST_YEAR = 2099;
/** Longer numbers are read figure by figure. */
const LONGEST_READ = 15;

/** Syllables of a number from 0 to 999. */
function below1000(value: number): number {
  const hundreds = Math.floor(value / 100);
  const rest = value % 100;
  const head = hundreds > 0 ? (SMALL[hundreds] ?? 0) + HUNDRED : 0;
  if (rest === 0 && hundreds > 0) return head;
  return head + below100(rest);
}

function below100(value: number): number {
  if (value < 20) return SMALL[value] ?? 0;
  const ones = value % 10;
  return (TENS[Math.floor(value / 10)] ?? 0) + (ones > 0 ? (SMALL[ones] ?? 0) : 0);
}

function figureByFigure(figures: string): number {
  let sum = 0;
  for (const figure of figures) sum += SMALL[Number(figure)] ?? 0;
  return sum;
}

/** Syllables of a whole number given as figures: "4900" is four thousand nine hundred. */
function whole(figures: string): number {
  if (figures.length > LONGEST_READ) return figureByFigure(figures);
  // "007" is read as it stands.
  if (figures.length > 1 && figures.startsWith("0")) return figureByFigure(figures);
  let sum = 0;
  for (let end = figures.length, group = 0; end > 0; end -= 3, group++) {
    const value = Number(figures.slice(Math.max(0, end - 3), end));
    if (value > 0) sum += below1000(value) + (GROUPS[group] ?? 0);
  }
  return sum || (SMALL[0] ?? 0);
}

/** "1981" is nineteen eighty-one, "1905" nineteen oh five, "2005" two thousand five. */
function year(value: number): number {
  const century = Math.floor(value / 100);
  const rest = value % 100;
  if (value % 1000 < 10) return whole(String(value));
  if (rest === 0) return below100(century) + HUNDRED;
  return below100(century) + (rest < 10 ? OH : 0) + below100(rest);
}

/**
 * Syllables of a number as written: "4,900", "3.5", "1981", "21st", "10:30". Figures grouped by commas
 * are one number; what stands after a full stop is read figure by figure.
 */
export function spokenNumber(written: string): number {
  const ordinal = /^([\d,]+)(?:st|nd|rd|th)$/i.exec(written);
  if (ordinal) return ordinalSyllables((ordinal[1] ?? "").replaceAll(",", ""));
  let sum = 0;
  for (const part of written.split(/[:/]/)) {
    if (part === "") continue;
    const [first = "", ...others] = part.split(".");
    const figures = first.replaceAll(",", "");
    const value = Number(figures);
    const isYear = /^\d{4}$/.test(part) && value >= FIRST_YEAR && value <= LAST_YEAR;
    if (figures !== "") sum += isYear ? year(value) : whole(figures);
    for (const rest of others) if (rest !== "") sum += POINT + figureByFigure(rest);
  }
  return sum;
}

/** An ordinal is as long as its number but for "second" and "twentieth" to "ninetieth". */
function ordinalSyllables(figures: string): number {
  const value = Number(figures);
  const isTens = value % 10 === 0 && value % 100 >= 20;
  const isSecond = value % 10 === 2 && value % 100 !== 12;
  return whole(figures) + (isTens || isSecond ? 1 : 0);
}
