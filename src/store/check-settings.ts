import type { CheckSettings } from "../core/engine/mark.ts";
import { appetitesFor, type HouseStyle, wordsFor } from "../core/house/style.ts";
import type { ShelfRecord } from "./shelf.ts";

/** What a document is checked by: its own switches and the house style. */
export function checkSettings(
  { variety, kind, off, appetites, subjects, leave, reader, forms }: ShelfRecord,
  style: HouseStyle,
): CheckSettings {
  return {
    variety,
    kind,
    appetites: {
      ...appetitesFor(style, kind),
      ...Object.fromEntries(off.map((id) => [id, "off" as const])),
      ...appetites,
    },
    leave,
    reader,
    forms,
    subjects,
    words: wordsFor(style, subjects),
    soundRules: style.soundRules,
  };
}
