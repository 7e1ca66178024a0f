import type { Edit, Range } from "../../manuscript/model.ts";
import type { Entry, EntryName, TextField } from "../entry.ts";
import { folded } from "../fold.ts";
import type { CitationStyle } from "../styles/style.ts";
import type { IndexedWork } from "./asking.ts";

/** A field that an index has otherwise than an entry; offsets in the entry's text. */
export interface FieldDifference {
  field: string;
  written: string;
  found: string;
  /** Puts what was found in the place of what is written; null where the entry has no place for it. */
  edit: Edit | null;
}

/** Fields that are compared as they are, with the sentence's name of each. */
const COMPARED: readonly (readonly [keyof IndexedWork & TextField, string])[] = [
  ["title", "title"],
  ["container", "periodical or book"],
  ["volume", "volume"],
  ["issue", "issue"],
  ["publisher", "publisher"],
  ["doi", "DOI"],
];

/** What an index has otherwise than an entry, field by field. */
export function differencesOf(
  entry: Entry,
  work: IndexedWork,
  names: readonly EntryName[],
  style: CitationStyle,
): FieldDifference[] {
  const found: FieldDifference[] = [];
  const authors = authorDifference(entry, work, names);
  if (authors) found.push(authors);
  if (entry.year?.value !== work.year) {
    const edit = entry.year ? replacing(entry.year, `${work.year}`) : null;
    found.push({ field: "year", written: entry.year?.text ?? "", found: `${work.year}`, edit });
  }
  for (const [field, name] of COMPARED) {
    const value = work[field];
    if (typeof value !== "string" || value === "") continue;
    const own = entry.fields[field];
    if (own && folded(own.text) === folded(value)) continue;
    // Marks at the end of a title are the entry's, and abbreviated periodicals are the style's.
    if (own && field === "container" && isShortened(own.text, value)) continue;
    found.push({
      field: name,
      written: own?.text ?? "",
      found: value,
      edit: own ? replacing(own, value) : field === "doi" ? atTheEnd(entry, value, style) : null,
    });
  }
  const pages = pagesDifference(entry, work);
  if (pages) found.push(pages);
  return found;
}

/** A DOI behind everything else, as the style writes one. */
function atTheEnd({ text }: Entry, doi: string, style: CitationStyle): Edit {
  const end = text.trimEnd().length;
  const lead = style.doi === "any" ? "https://doi.org/" : style.doi;
  const stop = style.finalStop === "not-after-address" ? "" : ".";
  return { from: end, to: end, insert: ` ${lead}${doi}${stop}` };
}

function replacing({ from, to }: Range, insert: string): Edit {
  return { from, to, insert };
}

function authorDifference(
  entry: Entry,
  { authors }: IndexedWork,
  names: readonly EntryName[],
): FieldDifference | null {
  if (names.length === 0 || authors.length === 0) return null;
  const isShort = Boolean(entry.authors?.etAl ?? entry.authors?.ellipsis);
  const own = names.map(({ family, literal }) => family ?? literal ?? "");
  const wanted = authors.map(({ family }) => family).slice(0, isShort ? own.length : undefined);
  if (own.map(folded).join() === wanted.map(folded).join()) return null;
  const at = own.findIndex((name, index) => folded(name) !== folded(wanted[index] ?? ""));
  const name = names[at];
  const family = wanted[at];
  const isOne = own.length === wanted.length && name?.family !== undefined && family !== undefined;
  const from = isOne ? entry.text.indexOf(name.family ?? "", name.from) : -1;
  return {
    field: "authors",
    written: own.join(", "),
    found: wanted.join(", "),
    edit:
      isOne && from >= 0
        ? replacing({ from, to: from + (name.family?.length ?? 0) }, family)
        : null,
  };
}

function pagesDifference(entry: Entry, { pages }: IndexedWork): FieldDifference | null {
  if (!pages) return null;
  const own = entry.fields.pages;
  const [first = "", last = ""] = pages.split(/[–-]/u);
  const [ownFirst = "", ownLast = ""] = own?.text.split(/\s?[–-]+\s?/u) ?? [];
  // A shortened second page is the style's way of writing it.
  if (own && ownFirst === first && last.endsWith(ownLast)) return null;
  const dash = own?.text.match(/\s?[–-]+\s?/u)?.[0] ?? "–";
  const found = last ? `${first}${dash}${last}` : first;
  return {
    field: "pages",
    written: own?.text ?? "",
    found,
    edit: own ? replacing(own, found) : null,
  };
}

/** Whether a name of a periodical is the short form of another, word by word. */
function isShortened(short: string, long: string): boolean {
  const words = (text: string) =>
    text
      .split(/[\s.]+/u)
      .map(folded)
      .filter((word) => word && !/^(?:of|the|and|for|in|on)$/u.test(word));
  const own = words(short);
  const whole = words(long);
  return own.length === whole.length && own.every((word, at) => whole[at]?.startsWith(word));
}
