import type { Edit } from "../manuscript/model.ts";
import type { CleanBlock } from "./places.ts";

/** Symbols after which a number belongs to them (SI Brochure, 9th edition, section 5.4.3, and common ones). */
const UNIT =
  "(?:[kcdmµμnMGT]?(?:m|g|s|Hz|Pa|V|W|A|N|J|l|L)|km|kg|hPa|kPa|mbar|°C|°F|K|dB|kn|ft|in|lb|oz|mi|ha|min|h|%|m/s|km/h|m²|m³|km²)";
const NO_BREAK: readonly RegExp[] = [
  // A number and the symbol of its unit.
  new RegExp(
    `(?<=(?<![\\p{L}\\p{N}])\\d(?:[\\d.,]*\\d)?) (?=${UNIT}(?![\\p{L}\\p{N}]|/\\p{Lu}))`,
    "gu",
  ),
  // Initials: “J. R. Marlow”; “A. Any addition” at the head of a line is a letter of a list.
  /(?<=(?<=[\s\u00a0(“"‘'])\p{Lu}\.) (?=\p{Lu}\.|\p{Lu}\p{Ll})|(?<=^\p{Lu}\.) (?=\p{Lu}\. ?\p{Lu})/gu,
  // What stands before a number.
  /(?<=[§¶№]) (?=\d)/gu,
  /(?<=(?<![\p{L}])(?:pp?|No|Nos|Fig|Figs|Eq|Sec|Ch|Vol|Art|para|cl|vol)\.) (?=\d)/gu,
];

/** Spaces that must not be broken at, as edits of single characters. */
export function wordBreaks({ text, isSpared }: CleanBlock): Edit[] {
  const places = new Set<number>();
  for (const expression of NO_BREAK) {
    for (const { index } of text.matchAll(expression)) {
      if (!isSpared(index, index + 1)) places.add(index);
    }
  }
  return [...places]
    .sort((a, b) => a - b)
    .map((at) => ({ from: at, to: at + 1, insert: "\u00a0" }));
}
