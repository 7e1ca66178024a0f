import type { Range } from "../../manuscript/model.ts";
import type { CitationStyle } from "../styles/style.ts";
import type { Citation, CitationItem } from "./citation.ts";

/** What is read as citations by number: the signs around them, or what is set as superscript. */
export interface NumericShape {
  brackets: "square" | "round" | "superscript";
}

const SQUARE =
  /\[(\d{1,4}(?:\s?[–,;-]\s?\d{1,4})*(?:,? (?:pp?\.|ch\.|sec\.|fig\.|Fig\.|Sec\.|eq\.|Ch\.) ?[^\]]{1,40})?)\](?:\s?[–,-]\s?\[(?:\d{1,4}(?:,? (?:pp?\.|ch\.|sec\.) ?[^\]]{1,40})?)\])*/gu;
const ROUND = /\((\d{1,3}(?:\s?[–,;-]\s?\d{1,3})*(?:,? (?:pp?\.) ?[^)]{1,30})?)\)/gu;
const RAISED = /[⁰¹²³⁴⁵⁶⁷⁸⁹]+(?:[,⁻–-]\s?[⁰¹²³⁴⁵⁶⁷⁸⁹]+)*/gu;
/** Numbers behind a word's mark, as superscripts become in plain text. */
const GLUED =
  /(?<=\p{Ll}[.,;:)”’]?|\p{Lu}{2,}[.,;:)]?)(?<![\d.]\p{L}?)(\d{1,3}(?:[,–-]\d{1,3})*)(?=[\s.,;:)]|$)/gu;
const NUMBER = /(\d{1,4})(?:\s?\]?\s?[–-]\s?\[?\s?(\d{1,4}))?/gu;
const PINPOINT = /,? ((?:pp?\.|ch\.|sec\.|fig\.|eq\.) ?[^\]),]*)/iu;
/** A range of numbers longer than this is no range of entries. */
const LONGEST = 60;

/** Citations by number in the text of a block; `raised` are its superscript ranges. */
export function numericCitations(
  text: string,
  style: CitationStyle,
  raised: readonly Range[],
  entries: number,
): Citation[] {
  const { brackets } = style.inText;
  const citations: Citation[] = [];
  const patterns =
    brackets === "superscript" ? [SQUARE] : brackets?.[0] === "[" ? [SQUARE] : [SQUARE, ROUND];
  for (const pattern of patterns) {
    for (const found of text.matchAll(pattern)) {
      const citation = read(text, found.index, found.index + found[0].length);
      // A year in brackets is none, nor is the number of a list in the sentence.
      if (citation && !isEnumeration(text, found, pattern, entries)) citations.push(citation);
    }
    if (citations.length > 0) break;
  }
  for (const range of raised) {
    const inner = text.slice(range.from, range.to);
    if (!/^\d{1,3}(?:\s?[,–-]\s?\d{1,3})*$/u.test(inner.trim())) continue;
    // A power or a unit's exponent follows a number or stands alone on a unit.
    if (/(?:\d|\b(?:[kcm]?m|s|kg|mol|ha))\s?$/u.test(text.slice(0, range.from))) continue;
    const citation = read(text, range.from, range.to);
    if (citation) citations.push(citation);
  }
  if (brackets === "superscript" && citations.length === 0) {
    for (const found of text.matchAll(RAISED)) {
      const citation = readRaised(text, found);
      if (citation) citations.push(citation);
    }
    for (const found of text.matchAll(GLUED)) {
      const citation = read(text, found.index, found.index + found[0].length);
      if (citation) citations.push(citation);
    }
  }
  return citations.sort((a, b) => a.from - b.from);
}

function isEnumeration(
  text: string,
  found: RegExpExecArray,
  pattern: RegExp,
  entries: number,
): boolean {
  if (pattern !== ROUND) return false;
  const first = Number(/\d+/u.exec(found[0])?.[0]);
  if (first > entries)
    return !/\p{L}\s?$/u.test(text.slice(0, found.index)) || first > entries * 2 + 5;
  const before = text.slice(0, found.index).trimEnd();
  return before === "" || /(?:[:;]|\band|\bor|\bEq\.|\bequation|\bFig\.|\bsection)$/iu.test(before);
}

/** The numbers of a stretch, ranges opened. */
function read(text: string, from: number, to: number): Citation | null {
  const whole = text.slice(from, to);
  const items: CitationItem[] = [];
  let pinned = 0;
  for (const found of whole.matchAll(NUMBER)) {
    if (found.index < pinned) continue;
    const first = Number(found[1]);
    const last = found[2] === undefined ? first : Number(found[2]);
    if (last < first || last - first > LONGEST) return null;
    const pin = PINPOINT.exec(whole.slice(found.index + found[0].length));
    const isNext = pin && pin.index === 0 && pin[1];
    const end = found.index + found[0].length;
    for (let number = first; number <= last; number++) {
      items.push({
        from: from + found.index,
        to: from + end,
        names: [],
        etAl: null,
        abbreviation: null,
        year: null,
        number,
        title: null,
        pinpoint: isNext
          ? {
              from: from + end + pin[0].indexOf(pin[1] ?? ""),
              to: from + end + pin[0].length,
              text: pin[1] ?? "",
            }
          : null,
        prefix: "",
        isContinued: false,
      });
    }
    if (isNext) pinned = end + pin[0].length;
  }
  return items.length ? { kind: "numeric", from, to, text: whole, items, isPlain: true } : null;
}

const RAISED_DIGITS = "⁰¹²³⁴⁵⁶⁷⁸⁹";

function readRaised(text: string, found: RegExpExecArray): Citation | null {
  const from = found.index;
  const to = from + found[0].length;
  const plain = [...found[0]].map((sign) => {
    const digit = RAISED_DIGITS.indexOf(sign);
    return digit >= 0 ? `${digit}` : sign === "⁻" ? "-" : sign;
  });
  const citation = read(text.slice(0, from) + plain.join("") + text.slice(to), from, to);
  return citation && { ...citation, text: found[0] };
}
