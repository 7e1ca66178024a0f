import type { Entry, Field } from "./entry.ts";
import type { Masked } from "./masked.ts";

/** The numbers of a periodical or a part of a book, and where the first of them stands. */
export interface EntryNumbers {
  volume: Field | null;
  issue: Field | null;
  pages: Field | null;
  /** The start of the first of them, with what leads to it; the length of the text where there is none. */
  at: number;
}

const SINGLE = "[A-Z]{0,3}-?\\d+[A-Za-z]?";
const NUMERAL = `${SINGLE}(?:[–/-]\\d+)?|[IVXLC]+`;
const ISSUE = "[^()\\ue000]{1,30}?";
const MONTHS =
  "(?:Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec|Spring|Summer|Autumn|Fall|Winter)[a-z]*\\.?(?:[–/-][A-Z][a-z]+)?";
const PAGE = "[A-Za-z]{0,2}\\d+[A-Za-z]?|[ivxlc]+";

/** Ways a volume and an issue are written; the first group is the volume, the second the issue. */
const VOLUMES: readonly RegExp[] = [
  new RegExp(
    `[,.]?\\s\\(?[Vv]ol(?:ume|\\.)?\\s?(${NUMERAL})(?:,?\\s?\\(?(?:[Nn]o|[Ii]ss|[Ii]ssue|[Nn]umber)\\.?\\s(${NUMERAL})\\)?)?`,
    "u",
  ),
  new RegExp(`(?:,?\\s|;)(${NUMERAL}),\\s?(?:no|iss|issue|number)\\.?\\s(${NUMERAL})`, "u"),
  new RegExp(`;\\s?(${NUMERAL})\\s?\\((${ISSUE})\\)(?=[:;,.\\s]|$)`, "u"),
  new RegExp(
    `[.,]?\\s(${NUMERAL})\\s?\\((?!(?:${MONTHS}\\s)?(?:1[4-9]|20)\\d\\d\\))(${ISSUE})\\)(?=[:,.\\s]|$)`,
    "u",
  ),
  new RegExp(`;\\s?(${SINGLE}(?:/\\d+)?)(?=:|\\.?\\s*(?:\\ue000|$))`, "u"),
  new RegExp(`(?<!\\b(?:no|p)\\.),?\\s(${NUMERAL})(?=:\\s?(?:${PAGE})\\b)`, "u"),
  new RegExp(`,?\\s(${NUMERAL})(?=\\s\\((?:${MONTHS}\\s)?(?:1[4-9]|20)\\d\\d\\))`, "u"),
];
/** Issues without a volume. */
const ISSUES: readonly RegExp[] = [
  new RegExp(`[,.]?\\s(?:no|issue|iss)\\.\\s(${NUMERAL})`, "u"),
  new RegExp(`;\\s?\\((${ISSUE})\\)(?=[:.]|$)`, "u"),
  /,?\s\((\d{1,3})\)(?=[:,.]|$)/u,
];
const RANGE = `(${PAGE})\\s?(?:--|[–—‒-])\\s?(${PAGE})`;
const LABEL = "(?:pp?|pgs?|pages?|S)\\.?\\s?";
const PAGES: readonly RegExp[] = [
  new RegExp(`\\(?${LABEL}${RANGE}\\)?(?=[\\s,.;)\\ue000]|$)`, "u"),
  new RegExp(`(?:[:;,]|^)\\s?${RANGE}(?=[\\s,.;)\\ue000]|$)`, "u"),
  new RegExp(`\\(?\\b(?:pp?|pg)\\.\\s?(${PAGE})\\)?(?=[\\s,.;)\\ue000]|$)`, "u"),
];
/** A single page, where volume or issue have gone before. */
const LAST_PAGE = new RegExp(`^(?:[:,]|\\s\\([^)]*\\):)\\s?(${PAGE})(?=[.,;\\s\\ue000]|$)`, "u");

/** A volume at the end, where no year can stand there. */
/** A volume between commas, likewise. */
const PLAIN_VOLUME = new RegExp(
  `,\\s?(${NUMERAL})(?=,\\s?(?:pp?\\.\\s?)?(?:${PAGE})(?:[–—-]|[.,]|$))`,
  "u",
);
const LAST_VOLUME = new RegExp(`(?<!\\bno\\.),?\\s(${SINGLE})(?=\\.?\\s*(?:\\ue000|$))`, "u");

/** Reads volume, issue and pages behind a title, and takes them out of the text. */
export function readNumbers(entry: Masked, from: number, hasYear: boolean): EntryNumbers {
  const at = { first: entry.text.length };
  // The volume of a series is the series' own.
  const series = entry.find(/\s\([^()\ue000]*[;,]\s?[Vv]ol\.[^()\ue000]*\)/u, from);
  if (series) entry.take({ from: series.index, to: series.index + series[0].length });
  const ways = hasYear ? [...VOLUMES, PLAIN_VOLUME, LAST_VOLUME] : VOLUMES;
  const { volume, issue, end } = readVolume(entry, from, ways, hasYear, at);
  const pages = readPages(entry, from, end, hasYear, at);
  return { volume, issue, pages, at: at.first };
}

function readVolume(
  entry: Masked,
  from: number,
  ways: readonly RegExp[],
  hasYear: boolean,
  at: { first: number },
): { volume: Field | null; issue: Field | null; end: number | null } {
  for (const pattern of ways) {
    const found = entry.find(pattern, from);
    if (!found || (!hasYear && isYearAlone(entry, found, from))) continue;
    // A year may be a volume where it is called one.
    const mayBeYear = /^(?:1[4-9]|20)\d\d$/u.test(found[1] ?? "");
    if (mayBeYear && !/vol|\(|;/iu.test(found[0])) continue;
    if (
      mayBeYear &&
      found[0].startsWith(";") &&
      !/\d{4}[^;]{0,8}$/u.test(entry.text.slice(0, found.index))
    )
      continue;
    const volume = entry.field(found, 1);
    const issue = entry.field(found, 2, volume ? volume.to - found.index : 0);
    const end = found.index + found[0].length;
    at.first = Math.min(at.first, found.index);
    entry.take({ from: found.index, to: end });
    return { volume, issue, end };
  }
  for (const pattern of ISSUES) {
    const found = entry.find(pattern, from);
    if (!found) continue;
    const issue = entry.field(found, 1);
    const end = found.index + found[0].length;
    at.first = Math.min(at.first, found.index);
    entry.take({ from: found.index, to: end });
    return { volume: null, issue, end };
  }
  return { volume: null, issue: null, end: null };
}

/** A year before pages is taken for a volume only where another year is told. */
function isYearAlone(entry: Masked, found: RegExpExecArray, from: number): boolean {
  if (!/^(?:1[4-9]|20)\d\d$/u.test(found[1] ?? "")) return false;
  return (entry.rest(from).match(/\b(?:1[4-9]|20)\d\d(?:[–-]\d+)?\b/gu) ?? []).length < 2;
}

function readPages(
  entry: Masked,
  from: number,
  behindVolume: number | null,
  hasYear: boolean,
  at: { first: number },
): Field | null {
  for (const pattern of PAGES) {
    const found = entry.find(pattern, from);
    if (!found || (!hasYear && isYearAlone(entry, found, from))) continue;
    return taken(entry, found, at);
  }
  if (behindVolume === null) return null;
  const found = LAST_PAGE.exec(entry.rest(behindVolume));
  const isLast = found !== null && /^[.\s]*$/u.test(entry.rest(behindVolume + found[0].length));
  const isYear = /^(?:1[4-9]|20)\d\d$/u.test(found?.[1] ?? "");
  if (!found || (!hasYear && isYear && (isLast || isYearAlone(entry, found, from)))) return null;
  found.index += behindVolume;
  return taken(entry, found, at);
}

/** The pages of a match: from its first group to its second, without what leads to them. */
function taken(entry: Masked, found: RegExpExecArray, at: { first: number }): Field {
  const [whole, first = "", second] = found;
  const end =
    second === undefined
      ? whole.lastIndexOf(first) + first.length
      : whole.lastIndexOf(second) + second.length;
  const start = whole.lastIndexOf(
    first,
    end - (second === undefined ? first.length : second.length + 1),
  );
  const from = found.index + start;
  const to = found.index + end;
  at.first = Math.min(at.first, found.index);
  // A year in brackets may stand between a volume and its page.
  const lead = whole.slice(0, start).lastIndexOf(")") + 1;
  entry.take({ from: found.index + lead, to: found.index + whole.length });
  return { from, to, text: entry.text.slice(from, to) };
}

const TAIL_YEARS: readonly RegExp[] = [
  new RegExp(`\\((?:${MONTHS}\\s)?(?:\\d{1,2},?\\s)?((?:1[4-9]|20)\\d\\d)([a-z])?\\)`, "u"),
  /((?:1[4-9]|20)\d\d)([a-z])?(?:\s(?:Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec|Spring|Summer|Autumn|Winter)[a-z]*(?:\s\d{1,2})?)?\s?(?=;|:\s?\d)/u,
];
const LAST_YEAR = new RegExp(
  `(?:${MONTHS}(?:\\s\\d{1,2},)?\\s|\\d{1,2}\\s${MONTHS}\\s)?(?<![\\d–-])((?:1[4-9]|20)\\d\\d)(?:[–-](?:1[4-9]|20)?\\d\\d(?!\\d))?([a-z])?(?![\\d–-])`,
  "gu",
);

/** The year where a style has it near the end: the one in brackets, before a semicolon, or the last. */
export function readTailYear(entry: Masked, from: number): Entry["year"] {
  for (const pattern of TAIL_YEARS) {
    const found = entry.find(pattern, from);
    if (found) return yearOf(entry, found);
  }
  const last = [...entry.rest(from).matchAll(LAST_YEAR)].at(-1);
  if (!last) return null;
  const found = last as RegExpExecArray;
  found.index += from;
  return yearOf(entry, found);
}

function yearOf(entry: Masked, found: RegExpExecArray): Entry["year"] {
  const field = entry.field(found, 1);
  if (!field) return null;
  entry.take({ from: found.index, to: found.index + found[0].length });
  return { ...field, value: Number(field.text), suffix: found[2] ?? "" };
}
