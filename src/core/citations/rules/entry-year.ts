import type { Entry } from "../entry.ts";
import type { CitationStyle } from "../styles/style.ts";
import { type EntryFinding, type EntryRule, replacing } from "./rule.ts";

/** The first printed books. */
const EARLIEST = 1450;

/** The year: that it can be, and how it is set off. */
export const entryYear: EntryRule = (entry, { style, thisYear }) => {
  const { year } = entry;
  if (!year) return [];
  const { value } = year;
  if (value !== null && (value > thisYear + 1 || value < EARLIEST)) {
    return [
      {
        from: year.from,
        to: year.to,
        reason: `“${year.text}” can’t be the year of a work that is cited.`,
        edits: [],
      },
    ];
  }
  const found = setOff(entry, style);
  return found ? [found] : [];
};

function setOff({ text, year, fields, authors }: Entry, style: CitationStyle): EntryFinding | null {
  if (!year) return null;
  const isBehindNames = !fields.title || year.to <= fields.title.from;
  if (!isBehindNames || (!authors && style.year === "end")) return null;
  const before = /[\s(,.]*$/u.exec(text.slice(0, year.from))?.[0] ?? "";
  const after = /^[a-z]?(?:,[^()]{1,30})?[\s),.;:]*/u.exec(text.slice(year.to))?.[0] ?? "";
  const date = /^[a-z]?(?:,[^()]{1,30}(?=\)))?/u.exec(after)?.[0] ?? "";
  const range = { from: year.from - before.length, to: year.to + after.length };
  const written = `${before}${year.text}${after}`.replaceAll(/[\s\u00a0]+/gu, " ");
  const shown = `${year.text}${date}`;
  // The stop of an initial or of “Eds.” before the year is theirs.
  const lead = before.includes(".") && style.year === "brackets" ? ". " : " ";
  if (style.year === "brackets") {
    const right = `${lead}(${shown})${style.afterYear}`;
    if (written.trimStart() === right.trimStart() && /\s\($/u.test(before)) return null;
    if (written.replace(/^\. \(/u, " (") === `${right.replace(/^\. /u, " ")}`) return null;
    return replacing(
      range,
      right,
      `${style.name} has the year as “(${shown})${style.afterYear.trim()}” behind the names.`,
    );
  }
  if (style.year === "stops") {
    const right = `. ${shown}. `;
    if (written === right || written === right.trimStart()) return null;
    return replacing(range, right, `${style.name} has the year between stops behind the names.`);
  }
  return {
    from: year.from,
    to: year.to,
    reason: `${style.name} has the year near the end, not behind the names.`,
    edits: [],
  };
}
