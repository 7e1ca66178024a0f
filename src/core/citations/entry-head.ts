import type { Range } from "../manuscript/model.ts";
import type { Entry, Field } from "./entry.ts";
import type { Masked } from "./masked.ts";
import { BARE_INITIALS, FAMILY, INITIALS, isGiven, SUFFIX } from "./name-parts.ts";
import type { CitationStyle } from "./styles/style.ts";

/** What an entry begins with: its number, the stretch of its names, and where its title begins. */
export interface EntryHead {
  number: Entry["number"];
  repeated: Field | null;
  authors: Range | null;
  /** Where the year stands behind the names. */
  year: Entry["year"];
  titleAt: number;
}

const YEAR = "(?:1[4-9]|20|21)\\d\\d";
const DATE_REST = "(?:[,\\s][^()]{1,40})?";
const IN_BRACKETS = new RegExp(
  `\\((?:ca?\\. ?)?(${YEAR}(?:[/–-]\\d{2,4})?|n\\.\\s?d\\.|in press|forthcoming|\\d{4,5})(-?[a-z])?${DATE_REST}\\)\\.?,?\\s*`,
  "u",
);
const BETWEEN_STOPS = new RegExp(
  `[.),]\\s(${YEAR}(?:[–/-]\\d{2,4})?|n\\.d\\.|Forthcoming|\\d{4,5})([a-z])?[.,]\\s`,
  "u",
);
/** A year that stands plainly behind the names though the style has it otherwise. */
const BARE = new RegExp(
  `(?:[.,]|\\p{L})\\s\\(?(${YEAR})([a-z])?\\)?[.,]?\\s(?=\\p{Lu}|[“‘"'])`,
  "u",
);
const NUMBER = /^\s*(?:\[(\d{1,4})\]|\((\d{1,4})\)|(\d{1,3})[.)]?)\s+(?=[\p{L}“‘"[’])/u;
const DASHES = /^(?:[—–_-]{3,}|———)/u;
const OPENING = /[“"‘]/u;

/** Reads the head of an entry by a style's layout, and by the others where that one is not there. */
export function readHead(entry: Masked, style: CitationStyle): EntryHead {
  const number = readNumber(entry);
  const from = number?.to ?? 0;
  const start = entry.text.slice(from).search(/\S/u) + from;
  const dashes = DASHES.exec(entry.text.slice(start));
  const repeated = dashes
    ? { from: start, to: start + dashes[0].trimEnd().length, text: dashes[0].trimEnd() }
    : null;
  const begin = repeated?.to ?? start;
  const named = { number: number?.field ?? null, repeated };
  const year = style.year === "end" ? null : yearBehindNames(entry, begin, style);
  if (year) {
    const authors = { from: begin, to: year.at };
    return { ...named, authors, year: year.year, titleAt: year.to };
  }
  const titleAt = titleStart(entry.text, begin, style);
  return {
    ...named,
    authors: titleAt > begin ? { from: begin, to: titleAt } : null,
    year: null,
    titleAt,
  };
}

function readNumber(entry: Masked): { field: NonNullable<Entry["number"]>; to: number } | null {
  const found = entry.find(NUMBER);
  const text = found?.[1] ?? found?.[2] ?? found?.[3];
  if (!found || !text || found.index !== 0) return null;
  const from = found[0].indexOf(text);
  return {
    field: { from, to: from + text.length, text, value: Number(text) },
    to: found[0].length,
  };
}

function yearBehindNames(
  entry: Masked,
  begin: number,
  style: CitationStyle,
): { at: number; to: number; year: NonNullable<Entry["year"]> } | null {
  const quote = entry.find(OPENING, begin)?.index ?? entry.text.length;
  const ways =
    style.year === "brackets"
      ? [IN_BRACKETS, BETWEEN_STOPS, BARE]
      : [BETWEEN_STOPS, IN_BRACKETS, BARE];
  for (const way of ways) {
    const found = entry.find(way, begin);
    if (!found || found.index > quote) continue;
    const text = found[1] ?? "";
    // The numbers of a periodical stand in brackets too.
    if (way === IN_BRACKETS && /\d ?$/u.test(entry.text.slice(begin, found.index))) continue;
    if (way === BARE && /\d[–-]$/u.test(entry.text.slice(0, found.index))) continue;
    const field = entry.field(found, 1);
    if (!field) continue;
    const value = Number.parseInt(text, 10);
    const at = found.index + (way === IN_BRACKETS ? 0 : 1);
    const suffix = found[2] ?? "";
    const year = { ...field, value: Number.isNaN(value) ? null : value, suffix };
    return { at, to: found.index + found[0].length, year };
  }
  return null;
}

const INITIALS_NAME = `(?:${INITIALS})\\s?(?:${FAMILY})(?:,? ${SUFFIX})?`;
const INITIALS_LIST = new RegExp(
  `^${INITIALS_NAME}(?:(?:,? and |,? & |, )${INITIALS_NAME})*(?:,? et al\\.?)?(?:,? \\(?Eds?\\.?\\)?)?,?\\s`,
  "u",
);
const INVERTED_LIST = new RegExp(
  `^${FAMILY}, (?:${INITIALS})(?:(?:, & | & |,? and |, )${FAMILY}, (?:${INITIALS}))*,?\\s(?=\\p{Lu}|‘)`,
  "u",
);
const BARE_NAME = `${FAMILY} (?:(?:\\p{Lu}\\. ?)+(?=[,.])|${BARE_INITIALS})(?: ${SUFFIX})?`;
const BARE_LIST = new RegExp(
  `^${BARE_NAME}(?:(?:,|;|,? and|,? &) ${BARE_NAME})*(?:,? et al)?(?:,? (?:editors?|eds?))?\\.{1,2}\\s?`,
  "u",
);

/** Where the title begins: behind the names, or at a quotation mark. */
function titleStart(text: string, begin: number, style: CitationStyle): number {
  const rest = text.slice(begin);
  const quote = rest.search(/[“"]/u);
  const { form } = style.authors;
  if (form === "bare-initials") {
    const list = BARE_LIST.exec(rest);
    if (list) return begin + list[0].length;
  }
  if (form === "initials-first") {
    if (quote > 0 && quote < 700) return begin + quote;
    const list = INITIALS_LIST.exec(rest);
    if (list) return begin + list[0].length;
    // A list of names with a fault ends where its pieces no longer look like names.
    const group = /^[^,]{3,80},\s/u.exec(rest);
    return begin + (group?.[0].length ?? 0);
  }
  if (form === "given-names") {
    const stop = endOfGivenNames(rest);
    if (stop > 0 && (quote < 0 || stop <= quote + 1))
      return begin + Math.min(stop, quote > 0 ? quote : stop);
  }
  if (form === "inverted-initials") {
    const list = INVERTED_LIST.exec(rest);
    if (list) return begin + list[0].length;
  }
  if (quote > 0 && quote < 400) return begin + quote;
  const list = BARE_LIST.exec(rest) ?? INITIALS_LIST.exec(rest);
  if (list) return begin + list[0].length;
  return begin + firstStop(rest);
}

/** Where a list whose first name is inverted and whose others are not comes to its stop. */
function endOfGivenNames(rest: string): number {
  const stops = rest.matchAll(/\.\s+/gu);
  for (const stop of stops) {
    const before = rest.slice(0, stop.index);
    const after = rest.slice(stop.index + stop[0].length);
    if (/\b(?:Jr|Sr|St|Dr|al)$/u.test(before) && !/al$/u.test(before)) continue;
    if (/(?:^|[\s.-])\p{Lu}\p{Ll}?$/u.test(before) && goesOn(before, after)) continue;
    return stop.index + stop[0].length;
  }
  return 0;
}

/** Whether names go on behind the stop of an initial. */
function goesOn(before: string, after: string): boolean {
  if (/^\p{Lu}\p{Ll}?\.(?:[\s,.-]|$)/u.test(after)) return true;
  // “Orrin, Ida, and T. Vale.”: an initial before its family name.
  const piece = before.split(/,\s*(?:and\s+)?|\sand\s/u).at(-1) ?? "";
  if (!before.includes(",")) return false;
  const isInverted = before.split(",").length === 2 && !/\sand\s/u.test(before);
  if (isInverted)
    return (
      /^\p{Lu}[\p{L}’'-]+(?:,? and |, \p{Lu}[\p{L}’'-]+ \p{Lu}|\. [“"‘])/u.test(after) &&
      isGiven(piece.trim())
    );
  return /^(?:\p{Ll}+ )?\p{Lu}[\p{L}’'-]+(?:,|\.| and )/u.test(after);
}

/** Behind the first stop that ends no initial and no abbreviation. */
function firstStop(rest: string): number {
  const found = /(?<!\b\p{Lu})(?<!\b(?:Jr|Sr|St|Dr|Inc|Ltd|Co|eds?|vol|no))\.\s/u.exec(rest);
  return found ? found.index + found[0].length : 0;
}
