import type { Entry } from "./entry.ts";
import { folded } from "./fold.ts";
import type { CitationItem } from "./text/citation.ts";

/**
 * Ties made by hand: which entry a work that is cited means, whatever its name and year say. They stand
 * among the choices of a document, by how the work is cited.
 */
const PREFIX = "citations:tie:";
/** Of an entry so many folded characters tell it from others, through small corrections behind them. */
const KEY_LENGTH = 40;

/** Names and year of a cited work: citations of one work have the same. */
export function citedKey(item: CitationItem): string {
  return item.number !== null
    ? `${item.number}`
    : `${item.names.map(({ text }) => folded(text)).join("+")}:${item.year?.text ?? item.title ?? ""}`;
}

/** The name under which stands which entry a cited work means. */
export function tieOf(citedWork: string): string {
  return `${PREFIX}${citedWork}`;
}

/** An entry, as such a choice names it. */
export function entryKey({ text }: Pick<Entry, "text">): string {
  return folded(text).slice(0, KEY_LENGTH);
}

/** The ties made by hand, by cited work, among the choices of a document. */
export function handTies(
  forms: Readonly<Record<string, string>> = {},
): ReadonlyMap<string, string> {
  return new Map(
    Object.entries(forms).flatMap(([of, value]) =>
      of.startsWith(PREFIX) && value !== "" ? [[of.slice(PREFIX.length), value] as const] : [],
    ),
  );
}
