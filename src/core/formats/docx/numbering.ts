import { attribute, scanXml } from "../xml/scan.ts";

/** List numbering (ISO/IEC 29500-1, clause 17.9), enough to show the number a reader sees. */
interface Level {
  format: string;
  text: string;
  start: number;
}

export interface Numbering {
  /** Levels of each abstract list, and the abstract list of each list. */
  abstracts: Map<string, Level[]>;
  lists: Map<string, string>;
}

/** Reads the numbering part. */
export function readNumbering(source: string): Numbering {
  const numbering: Numbering = { abstracts: new Map(), lists: new Map() };
  let levels: Level[] = [];
  let level: Level | null = null;
  let list: string | null = null;
  scanXml(source, {
    open(name, _tag, from, to) {
      const value = () => attribute(source, from, to, "val") ?? "";
      if (name === "w:abstractNum") {
        levels = [];
        numbering.abstracts.set(attribute(source, from, to, "abstractNumId") ?? "", levels);
      } else if (name === "w:num") list = attribute(source, from, to, "numId") ?? null;
      else if (name === "w:abstractNumId" && list !== null) numbering.lists.set(list, value());
      else if (name === "w:lvl" && list === null) {
        level = { format: "decimal", text: "", start: 1 };
        levels[Number(attribute(source, from, to, "ilvl") ?? 0)] = level;
      } else if (level) {
        if (name === "w:numFmt") level.format = value();
        else if (name === "w:lvlText") level.text = value();
        else if (name === "w:start") level.start = startOf(value());
      }
    },
    close(name) {
      if (name === "w:lvl") level = null;
      else if (name === "w:num") list = null;
    },
  });
  return numbering;
}

/** No list begins beyond it in the programs that write them. */
const LAST_START = 32_767;

function startOf(value: string): number {
  const start = Math.round(Number(value));
  return start >= 0 && start <= LAST_START ? start : 1;
}

/** Counts list items in document order and says what stands before each. */
export class ListCounter {
  private readonly counts = new Map<string, number[]>();

  constructor(private readonly numbering: Numbering) {}

  /** The marker of the next item of this list at this level: "•", "3.", "2.1", "(b)". */
  next(list: string, depth: number): string {
    const abstract = this.numbering.lists.get(list) ?? "";
    const levels = this.numbering.abstracts.get(abstract) ?? [];
    const level = levels[depth];
    if (!level || level.format === "bullet") return "•";
    if (level.format === "none") return "";
    const counts = this.counts.get(abstract) ?? [];
    this.counts.set(abstract, counts);
    counts[depth] = (counts[depth] ?? level.start - 1) + 1;
    counts.length = depth + 1;
    return level.text.replace(/%([1-9])/g, (_, digit: string) => {
      const index = Number(digit) - 1;
      const count = counts[index] ?? levels[index]?.start ?? 1;
      return formatNumber(count, levels[index]?.format ?? "decimal");
    });
  }
}

function formatNumber(count: number, format: string): string {
  switch (format) {
    case "lowerLetter":
      return letters(count);
    case "upperLetter":
      return letters(count).toUpperCase();
    case "lowerRoman":
      return roman(count);
    case "upperRoman":
      return roman(count).toUpperCase();
    default:
      return String(count);
  }
}

/** Beyond these, letters and numerals say less than figures. */
const LAST_LETTERED = 780;
const LAST_ROMAN = 3999;

/** a … z, aa, bb, as list numbering repeats letters. */
function letters(count: number): string {
  if (count < 1 || count > LAST_LETTERED) return String(count);
  const letter = String.fromCharCode(97 + ((count - 1) % 26));
  return letter.repeat(Math.floor((count - 1) / 26) + 1);
}

const ROMAN: [number, string][] = [
  [1000, "m"],
  [900, "cm"],
  [500, "d"],
  [400, "cd"],
  [100, "c"],
  [90, "xc"],
  [50, "l"],
  [40, "xl"],
  [10, "x"],
  [9, "ix"],
  [5, "v"],
  [4, "iv"],
  [1, "i"],
];

/** Lower-case roman numeral of a positive number. */
export function roman(count: number): string {
  if (count > LAST_ROMAN) return String(count);
  let rest = count;
  let numeral = "";
  for (const [value, sign] of ROMAN) {
    while (rest >= value) {
      numeral += sign;
      rest -= value;
    }
  }
  return numeral;
}
