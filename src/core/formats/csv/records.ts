/** A field of a CSV file: where it stands in the source, and its text with quotes undone. */
export interface Field {
  from: number;
  to: number;
  quoted: boolean;
  text: string;
}

export const DELIMITERS = [",", ";", "\t", "|"] as const;
const SAMPLE_LINES = 20;

/** The delimiter that cuts the first lines into the same number of fields, more than one if any does. */
export function guessDelimiter(source: string): string {
  let best = ",";
  let most = 0;
  for (const delimiter of DELIMITERS) {
    const rows = parseRecords(source, delimiter, SAMPLE_LINES).filter((row) => row.length > 0);
    const width = rows[0]?.length ?? 0;
    const even = rows.filter((row) => row.length === width).length;
    const score = width > 1 ? even * Math.min(width, 50) : 0;
    if (score > most) {
      most = score;
      best = delimiter;
    }
  }
  return best;
}

/**
 * The records of a CSV text (RFC 4180) with "\n" line ends. A quote that is never closed runs to
 * the end; a quote inside an unquoted field is text. At most `limit` records.
 */
export function parseRecords(
  source: string,
  delimiter: string,
  limit = Number.POSITIVE_INFINITY,
): Field[][] {
  const records: Field[][] = [];
  let record: Field[] = [];
  let at = 0;
  while (at < source.length && records.length < limit) {
    const field = readField(source, at, delimiter);
    record.push(field);
    at = field.to;
    const next = source[at];
    if (next === delimiter) {
      at++;
      if (at < source.length && source[at] !== "\n") continue;
      if (at >= source.length || source[at] === "\n") {
        record.push({ from: at, to: at, quoted: false, text: "" });
      }
    }
    if (source[at] === "\n") at++;
    records.push(record);
    record = [];
  }
  if (record.length > 0) records.push(record);
  return records;
}

function readField(source: string, from: number, delimiter: string): Field {
  if (source[from] !== '"') {
    let to = from;
    while (to < source.length && source[to] !== delimiter && source[to] !== "\n") to++;
    return { from, to, quoted: false, text: source.slice(from, to) };
  }
  let text = "";
  let at = from + 1;
  for (;;) {
    const quote = source.indexOf('"', at);
    if (quote < 0) return { from, to: source.length, quoted: true, text: text + source.slice(at) };
    text += source.slice(at, quote);
    if (source[quote + 1] !== '"') {
      at = quote + 1;
      break;
    }
    text += '"';
    at = quote + 2;
  }
  // What stands between the closing quote and the delimiter is kept as text.
  let to = at;
  while (to < source.length && source[to] !== delimiter && source[to] !== "\n") to++;
  return { from, to, quoted: true, text: text + source.slice(at, to) };
}

/** A text as a field, in quotes where it needs them or had them. */
export function writeField(text: string, delimiter: string, quoted: boolean): string {
  const needs = text.includes(delimiter) || /["\n\r]/.test(text) || /^\s|\s$/.test(text);
  return quoted || needs ? `"${text.replaceAll('"', '""')}"` : text;
}
