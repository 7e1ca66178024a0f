import type { Edit } from "../manuscript/model.ts";
import type { Term, TermPlace } from "./terms.ts";

/** The edits that bring the places of other terms to one, in the number and with the capital each has. */
export function mergeEdits(into: string, others: readonly Term[]): Edit[] {
  return others
    .flatMap(({ term, places }) =>
      places.map(({ from, to, written }) => ({
        from,
        to,
        insert: inPlace(into, term, { written }),
      })),
    )
    .sort((one, other) => one.from - other.from);
}

function inPlace(into: string, term: string, { written }: Pick<TermPlace, "written">): string {
  const isPlural = written.toLowerCase().replace(/\s+/g, " ") !== term && /s$/i.test(written);
  const text = isPlural ? pluralOf(into) : into;
  return /^\p{Lu}/u.test(written) ? text.charAt(0).toUpperCase() + text.slice(1) : text;
}

/** The regular plural of a noun. */
export function pluralOf(noun: string): string {
  if (/(?:s|x|z|ch|sh)$/.test(noun)) return `${noun}es`;
  if (/[^aeiou]y$/.test(noun)) return `${noun.slice(0, -1)}ies`;
  return `${noun}s`;
}
