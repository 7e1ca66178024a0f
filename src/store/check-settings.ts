import type { CheckSettings } from "../core/engine/mark.ts";
import {
  knownWords,
  type Layers,
  layeredAppetites,
  layeredSoundRules,
  rulesOf,
} from "../core/house/layers.ts";
import type { ShelfRecord } from "./shelf.ts";

/** What a document is checked by: its own switches, and the layers it is read under. */
export function checkSettings(
  { variety, kind, off, appetites, subjects, leave, reader, forms, citationStyle }: ShelfRecord,
  layers: Layers,
): CheckSettings {
  return {
    variety,
    kind,
    appetites: {
      ...layeredAppetites(layers, kind),
      ...Object.fromEntries(off.map((id) => [id, "off" as const])),
      ...appetites,
    },
    leave,
    reader,
    forms,
    citationStyle,
    subjects,
    words: knownWords(layers, subjects),
    soundRules: layeredSoundRules(layers),
    rules: rulesOf(layers),
  };
}
