import type { Edit, Range } from "../manuscript/model.ts";
import type { Replacement } from "./style.ts";

/** Finding the places of habitual slips, and what is put there. */

/**
 * The places in a text where replacements apply: whole words in any capitals, outside the phrases
 * that are exceptions. Sorted, not overlapping; a longer slip goes before a shorter one.
 */
export function findReplacements(text: string, replacements: readonly Replacement[]): Edit[] {
  const edits: Edit[] = [];
  const byLength = replacements.toSorted((a, b) => b.from.length - a.from.length);
  for (const { from: slip, to, exceptions } of byLength) {
    const spared = exceptions.flatMap((phrase) => placesOf(text, phrase));
    for (const { from, to: end } of placesOf(text, slip)) {
      if (spared.some((range) => range.from <= from && range.to >= end)) continue;
      if (edits.some((edit) => edit.from < end && edit.to > from)) continue;
      const written = text.slice(from, end);
      const insert = inCapitalsOf(to, written);
      if (insert !== written) edits.push({ from, to: end, insert });
    }
  }
  return edits.sort((a, b) => a.from - b.from);
}

/** The replacement that applies to the word ending at a place, as typing needs it; null for none. */
export function replacementBefore(
  text: string,
  end: number,
  replacements: readonly Replacement[],
): Edit | null {
  const longest = replacements.reduce((most, { from }) => Math.max(most, from.length), 0);
  const reach = Math.max(
    longest,
    ...replacements.flatMap((one) => one.exceptions.map((e) => e.length)),
  );
  const start = Math.max(0, end - reach - 1);
  const edits = findReplacements(text.slice(start, end), replacements);
  const last = edits.at(-1);
  if (!last || last.to !== end - start) return null;
  return { from: last.from + start, to: last.to + start, insert: last.insert };
}

function placesOf(text: string, phrase: string): Range[] {
  if (phrase === "") return [];
  const pattern = phrase.replace(/[.*+?^${}()|[\]\\]/g, "\\$&").replace(/\s+/g, "\\s+");
  const whole = new RegExp(`(?<![\\p{L}\\p{N}\\p{M}])${pattern}(?![\\p{L}\\p{N}\\p{M}])`, "giu");
  return [...text.matchAll(whole)].map((match) => ({
    from: match.index,
    to: match.index + match[0].length,
  }));
}

/** A replacement in the capitals of what it replaces; one with capitals of its own keeps them. */
function inCapitalsOf(replacement: string, written: string): string {
  if (replacement !== replacement.toLowerCase()) return replacement;
  if (written.length > 1 && written === written.toUpperCase()) return replacement.toUpperCase();
  const first = written[0] ?? "";
  if (first === first.toLowerCase()) return replacement;
  return (replacement[0] ?? "").toUpperCase() + replacement.slice(1);
}
