import { STYLE_IDS } from "../core/citations/styles/style.ts";
import type { CheckSettings } from "../core/engine/mark.ts";
import {
  knownWords,
  type Layers,
  layeredAppetites,
  layeredCitations,
  layeredOverlapLimit,
  layeredSoundRules,
  rulesOf,
} from "../core/house/layers.ts";
import type { ShelfRecord } from "./shelf.ts";

/** What a document is checked by: its own switches, and the layers it is read under. */
export function checkSettings(
  { variety, kind, off, appetites, subjects, leave, reader, forms, citationStyle }: ShelfRecord,
  layers: Layers,
): CheckSettings {
  const house = layeredCitations(layers);
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
    citationStyle: citationStyle ?? STYLE_IDS.find((id) => id === house.style) ?? null,
    citationPoints: house,
    overlapLimit: layeredOverlapLimit(layers, kind),
    subjects,
    words: knownWords(layers, subjects),
    soundRules: layeredSoundRules(layers),
    rules: rulesOf(layers),
  };
}
