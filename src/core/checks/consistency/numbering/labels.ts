/** The numbers that things of a document bear, and how text refers to them. */

/** A number typed before a heading: "3.1 Wall", "Appendix B Logs", "Chapter 4". */
const HEADING =
  /^(?:(?<word>Section|Chapter|Part|Appendix|Annex|Schedule)\s+)?(?<path>(?:[A-Z]|\d{1,3})(?:\.\d{1,3}){0,5})(?<end>[.:)]?)(?=\s|$)/iu;

export interface HeadingNumber {
  /** "appendix" or "section", and "3.1" above "3.1.2". */
  series: string;
  number: number;
  /** As text refers to it: "section 3.1.2", "appendix B". */
  target: string;
  label: string;
  from: number;
  to: number;
}

export function headingNumberOf(text: string): HeadingNumber | null {
  const match = HEADING.exec(text);
  if (!match?.groups) return null;
  const { word = "", path = "", end = "" } = match.groups;
  const lettered = /^[A-Z]/i.test(path);
  // "A guide", "I came": a letter is a number after its word, or before a point.
  if (lettered && word === "" && !path.includes(".")) return null;
  if (word === "" && end === ")") return null;
  const parts = path.split(".");
  const last = parts.at(-1) ?? "";
  const sort = /^(?:appendix|annex|schedule)$/i.test(word) ? word.toLowerCase() : "section";
  const from = match[0].length - path.length - end.length;
  return {
    series: `${sort} ${parts.slice(0, -1).join(".")}`,
    number: lettered && parts.length === 1 ? letterNumber(last) : Number(last),
    target: `${sort} ${path.toUpperCase()}`,
    label: path,
    from,
    to: from + path.length,
  };
}

export function letterNumber(letter: string): number {
  return letter.toUpperCase().charCodeAt(0) - 64;
}

/** What text calls by a number: the word, and what its kind is called. */
const CALLED: readonly (readonly [pattern: RegExp, kind: string])[] = [
  [/^fig/i, "figure"],
  [/^tab/i, "table"],
  [/^(?:eq|equation)/i, "equation"],
  [/^(?:sec|section|chap|ch\b|part)/i, "section"],
  [/^append/i, "appendix"],
  [/^annex/i, "annex"],
  [/^schedule/i, "schedule"],
];

export function kindCalled(word: string): string {
  return CALLED.find(([pattern]) => pattern.test(word))?.[1] ?? word.toLowerCase();
}

/** "Figure 7", "Fig. 7", "Tables 3 and 4", "section 9", "Appendix D", "Eq. (3)". */
export const REFERENCES =
  /(?<![\p{L}\p{N}])(?<word>fig(?:ure)?s?\.?|tables?|eq(?:uation)?s?\.?|sections?|chapters?|appendi(?:x|ces)|annex(?:es)?|schedules?)[ \u00a0]\(?(?<first>[A-Z]?\d{1,3}(?:\.\d{1,3}){0,4}|[A-Z](?![\p{L}\p{N}]))(?<letter>[a-z]?)\)?(?:(?<joint>,? (?:and|or|to) |[–-]|, )\(?(?<second>\d{1,3}(?:\.\d{1,3}){0,4})[a-z]?\)?)?(?![\p{L}\p{N}]|[.,]\d)/giu;
