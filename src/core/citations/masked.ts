import type { Range } from "../manuscript/model.ts";
import type { Field } from "./entry.ts";

/** Stands for each character that has been told already. */
const TOLD = "\ue000";

/**
 * A text of which parts are taken out one by one, while all keep their places: what is left is what
 * nothing has been made of yet.
 */
export class Masked {
  private left: string;

  constructor(readonly text: string) {
    this.left = text;
  }

  /** Takes a range out. */
  take({ from, to }: Range): void {
    this.left =
      this.left.slice(0, from) + TOLD.repeat(Math.max(0, to - from)) + this.left.slice(to);
  }

  /** What is left of a range; what is told stands as U+E000. */
  rest(from = 0, to = this.text.length): string {
    return this.left.slice(from, to);
  }

  /** The first match in what is left from a place on; its index is one of the whole text. */
  find(pattern: RegExp, from = 0, to = this.text.length): RegExpExecArray | null {
    const found = pattern.exec(this.rest(from, to));
    if (found) found.index += from;
    return found;
  }

  /** A group of a match as a field; the group's text must stand in the match from `after` on. */
  field(found: RegExpExecArray, group: number, after = 0): Field | null {
    const text = found[group];
    if (text === undefined || text === "") return null;
    const from = found.index + found[0].indexOf(text, after);
    return { from, to: from + text.length, text };
  }

  /** The first stretch between two places that is not told, without the signs at its ends. */
  stretch(from: number, to: number): Field | null {
    let start = from;
    let end = to;
    while (start < end && /[\s\ue000,.;:()[\]]/.test(this.left[start] ?? "")) start++;
    const told = this.left.indexOf(TOLD, start);
    if (told >= 0 && told < end) end = told;
    return trimmedField(this.text, { from: start, to: end });
  }
}

/** A range as a field, without the signs and spaces at its ends; null where nothing is left. */
export function trimmedField(text: string, range: Range): Field | null {
  let { from, to } = range;
  while (from < to && /[\s,.;:]/.test(text[from] ?? "")) from++;
  while (to > from && /[\s,.;:([]/.test(text[to - 1] ?? "")) to--;
  if (from >= to) return null;
  if (
    /\b(?:Ltd|Inc|Co|Corp|D\.C|Jr|Int|Ed|Proc|Conf|Univ|Lab)$/.test(text.slice(from, to)) &&
    text[to] === "."
  )
    to++;
  return { from, to, text: text.slice(from, to) };
}
