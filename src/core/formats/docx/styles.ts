import type { BlockKind } from "../../manuscript/model.ts";
import { attribute, scanXml } from "../xml/scan.ts";

/** What a paragraph style says about the paragraphs that use it (ISO/IEC 29500-1, clause 17.7). */
export interface ParagraphStyle {
  name: string;
  basedOn: string | null;
  outline: number | null;
  list: { id: string; level: number } | null;
}

export type Styles = Map<string, ParagraphStyle>;

/** Paragraph styles by id. */
export function readStyles(source: string): Styles {
  const styles: Styles = new Map();
  let style: ParagraphStyle | null = null;
  let listId: string | null = null;
  let listLevel = 0;
  scanXml(source, {
    open(name, _tag, from, to) {
      if (name === "w:style") {
        const id = attribute(source, from, to, "styleId");
        if (id === undefined || attribute(source, from, to, "type") !== "paragraph") return;
        style = { name: "", basedOn: null, outline: null, list: null };
        listId = null;
        listLevel = 0;
        styles.set(id, style);
      } else if (style) {
        const value = attribute(source, from, to, "val") ?? "";
        if (name === "w:name") style.name = value;
        else if (name === "w:basedOn") style.basedOn = value;
        else if (name === "w:outlineLvl") style.outline = Number(value);
        else if (name === "w:numId") listId = value;
        else if (name === "w:ilvl") listLevel = Number(value);
      }
    },
    close(name) {
      if (name !== "w:style" || !style) return;
      if (listId !== null) style.list = { id: listId, level: listLevel };
      style = null;
    },
  });
  return styles;
}

/** A property of a style or of the nearest style it is based on that states it. */
export function inherited<Key extends "outline" | "list">(
  styles: Styles,
  id: string | null,
  key: Key,
): ParagraphStyle[Key] | null {
  const seen = new Set<string>();
  let next = id;
  while (next !== null && !seen.has(next)) {
    seen.add(next);
    const style = styles.get(next);
    if (!style) return null;
    if (style[key] !== null) return style[key];
    next = style.basedOn;
  }
  return null;
}

/** Whether a style or one it is based on has a name that matches. */
function named(styles: Styles, id: string | null, pattern: RegExp): RegExpExecArray | null {
  const seen = new Set<string>();
  let next = id;
  while (next !== null && !seen.has(next)) {
    seen.add(next);
    const match = pattern.exec(styles.get(next)?.name ?? next);
    if (match) return match;
    next = styles.get(next)?.basedOn ?? null;
  }
  return null;
}

/**
 * Heading level from 1 by the style's name ("heading 2", whatever its id in a localised file) or by
 * outline level; 0 for a title; null for no heading.
 */
export function headingLevel(
  styles: Styles,
  style: string | null,
  outline: number | null,
): number | null {
  const heading = named(styles, style, /^heading ?([1-9])$/i);
  if (heading) return Number(heading[1]);
  if (named(styles, style, /^title$/i)) return 0;
  const level = outline ?? inherited(styles, style, "outline");
  return level !== null && level < 9 ? level + 1 : null;
}

/** Kind of block by the style's name where the name tells; null otherwise. */
export function kindByStyle(styles: Styles, style: string | null): BlockKind | null {
  if (named(styles, style, /caption/i)) return "caption";
  if (named(styles, style, /quot/i)) return "quote";
  if (named(styles, style, /bibliography|^references?$/i)) return "reference";
  if (named(styles, style, /\bcode\b|preformatted/i)) return "code";
  return null;
}
