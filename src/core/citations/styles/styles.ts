import { ama11 } from "./ama-11.ts";
import { apa6 } from "./apa-6.ts";
import { apa7 } from "./apa-7.ts";
import { chicagoAuthorDate } from "./chicago-author-date.ts";
import { chicagoNotes } from "./chicago-notes.ts";
import { harvard } from "./harvard.ts";
import { ieee } from "./ieee.ts";
import { mla9 } from "./mla-9.ts";
import type { CitationStyle, StyleId } from "./style.ts";
import { vancouver } from "./vancouver.ts";

/** The shipped styles, in the order they are offered. */
export const STYLES: readonly CitationStyle[] = [
  apa7,
  apa6,
  mla9,
  chicagoAuthorDate,
  chicagoNotes,
  harvard,
  vancouver,
  ieee,
  ama11,
];

const BY_ID = new Map(STYLES.map((style) => [style.id, style]));

/** The style of an id. */
export function styleOf(id: StyleId): CitationStyle {
  const style = BY_ID.get(id);
  if (!style) throw new Error(`no style ${id}`);
  return style;
}
