import type { Kind } from "../manuscript/model.ts";
import type { HouseRule } from "./rules.ts";
import {
  appetitesFor,
  EMPTY_STYLE,
  type HouseStyle,
  houseName,
  styleStamp,
  wordsFor,
} from "./style.ts";

/**
 * The layers a document is read under, the strongest first: the houses it follows in their order, then
 * the person’s own style. Above them is what was chosen in the document itself, below them what ships.
 */
export type Layers = readonly HouseStyle[];

/** The houses among the layers, and the style that holds for every document, which is the last. */
export function layersApart(layers: Layers): { houses: readonly HouseStyle[]; style: HouseStyle } {
  return { houses: layers.slice(0, -1), style: layers.at(-1) ?? EMPTY_STYLE };
}

/** A short text that differs where documents would have other marks under these layers. */
export function layersStamp(layers: Layers): string {
  return layers.map(styleStamp).join(" ");
}

/** The rules of all layers, the strongest first. */
export function rulesOf(layers: Layers): HouseRule[] {
  return layers.flatMap((style) => style.rules.map((rule) => ({ rule, house: houseName(style) })));
}

/** The words that count as known: those of the lists, and those that rules put in. */
export function knownWords(layers: Layers, subjects: readonly string[]): string[] {
  const known = new Set<string>();
  for (const style of layers) {
    for (const word of wordsFor(style, subjects)) known.add(word);
    for (const rule of style.rules) {
      if (rule.off) continue;
      const right =
        rule.type === "term" || rule.type === "wording"
          ? rule.use
          : rule.type === "capitals" || rule.type === "compound" || rule.type === "name"
            ? [rule.write]
            : rule.type === "abbreviation"
              ? [rule.short]
              : [];
      for (const phrase of right) for (const word of phrase.split(/\s+/)) known.add(word);
    }
  }
  return [...known];
}

/** How much of each check the layers want, where one says so; the strongest is heard. */
export function layeredAppetites(layers: Layers, kind: Kind): HouseStyle["appetites"] {
  return Object.assign({}, ...layers.toReversed().map((style) => appetitesFor(style, kind)));
}

/** The sound rules of all layers. */
export function layeredSoundRules(layers: Layers): HouseStyle["soundRules"] {
  return layers.flatMap(({ soundRules }) => soundRules);
}

/** What the strongest house that says anything of citations wants: a style, and its own points on top. */
export function layeredCitations(layers: Layers): {
  style: string | null;
  points: Readonly<Record<string, string>>;
  house: string;
} {
  const style = layers.find(({ citations }) => citations.style)?.citations.style ?? null;
  const own = layers.find(({ citations }) => Object.keys(citations.overrides).length > 0);
  return { style, points: own?.citations.overrides ?? {}, house: own ? houseName(own) : "" };
}

/** The share of words that may stand elsewhere, as the strongest house that says one has it; null for no limit. */
export function layeredOverlapLimit(layers: Layers, kind: Kind): number | null {
  for (const { overlapLimits } of layers) {
    const limit = overlapLimits[kind];
    if (limit !== undefined) return limit;
  }
  return null;
}

/** Steps of the clean-up that the layers want, or not. */
export function layeredCleanup(layers: Layers): HouseStyle["cleanup"] {
  return Object.assign({}, ...layers.toReversed().map(({ cleanup }) => cleanup));
}
