import type { Range } from "../../../../core/manuscript/model.ts";

/** The part of a text that is otherwise in another; where letters are only missing, the one after the gap. */
export function difference(text: string, other: string): Range | null {
  if (text === other) return null;
  const shorter = Math.min(text.length, other.length);
  let from = 0;
  while (from < shorter && text[from] === other[from]) from++;
  let end = 0;
  while (end < shorter - from && text[text.length - 1 - end] === other[other.length - 1 - end])
    end++;
  const to = text.length - end;
  if (to > from) return { from, to };
  return from < text.length ? { from, to: from + 1 } : { from: text.length - 1, to: text.length };
}

/** Longest text of a place that a row shows whole, in characters. */
const LONGEST = 38;

export interface Shown {
  text: string;
  /** What is underlined in it. */
  differs: Range | null;
}

/** A place's text for a row: a long one by what differs in it and what stands around that. */
export function shownOf(text: string, other: string | null): Shown {
  const flat = text.replace(/\s/g, " ");
  const differs = other === null ? null : difference(text, other);
  if (flat.length <= LONGEST) return { text: flat, differs };
  const middle = differs ? Math.min(differs.from, flat.length - 1) : 0;
  const from = Math.max(0, Math.min(middle - LONGEST / 2, flat.length - LONGEST));
  const to = Math.min(flat.length, from + LONGEST);
  const before = from > 0 ? "…" : "";
  const shift = before.length - from;
  return {
    text: `${before}${flat.slice(from, to)}${to < flat.length ? "…" : ""}`,
    differs: differs && {
      from: Math.max(0, differs.from + shift),
      to: Math.min(to + shift, differs.to + shift),
    },
  };
}
