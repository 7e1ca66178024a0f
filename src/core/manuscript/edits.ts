import type { Edit, Range } from "./model.ts";

/**
 * Edits as values. A list of edits is sorted by position, does not overlap, and all its positions
 * refer to the text before any of them is applied.
 */

/** Orders edits and throws a RangeError when two of them overlap or one lies outside [0, length]. */
export function sortEdits(edits: readonly Edit[], length: number): Edit[] {
  const sorted = [...edits].sort((a, b) => a.from - b.from || a.to - b.to);
  let last = 0;
  for (const edit of sorted) {
    if (edit.from < last || edit.to < edit.from || edit.to > length) {
      throw new RangeError(`edit [${edit.from}, ${edit.to}) overlaps another or leaves the text`);
    }
    last = edit.to;
  }
  return sorted;
}

/** The text with all edits applied. */
export function applyEdits(text: string, edits: readonly Edit[]): string {
  const pieces: string[] = [];
  let position = 0;
  for (const edit of edits) {
    pieces.push(text.slice(position, edit.from), edit.insert);
    position = edit.to;
  }
  pieces.push(text.slice(position));
  return pieces.join("");
}

/** The same edits on a text that starts `by` later, or earlier where it is negative. */
export function moveEdits(edits: readonly Edit[], by: number): Edit[] {
  return edits.map((edit) => ({ ...edit, from: edit.from + by, to: edit.to + by }));
}

/** The edits that lead back: positions refer to the text after `edits`; same order, same count. */
export function invertEdits(text: string, edits: readonly Edit[]): Edit[] {
  let shift = 0;
  return edits.map((edit) => {
    const from = edit.from + shift;
    shift += edit.insert.length - (edit.to - edit.from);
    return { from, to: from + edit.insert.length, insert: text.slice(edit.from, edit.to) };
  });
}

/** Which way a position leans when text is inserted exactly at it: before it stays, after it moves. */
export type Lean = "before" | "after";

/** Where a position of the old text lies in the new one; inside a replaced range, its near edge. */
export function mapPosition(position: number, edits: readonly Edit[], lean: Lean): number {
  let shift = 0;
  for (const edit of edits) {
    if (edit.from > position || (edit.from === position && edit.to > position)) break;
    if (edit.to < position) {
      shift += edit.insert.length - (edit.to - edit.from);
      continue;
    }
    if (edit.to === position && edit.from < position) {
      shift += edit.insert.length - (edit.to - edit.from);
      continue;
    }
    if (edit.from === position) {
      if (lean === "before") break;
      shift += edit.insert.length;
      continue;
    }
    return edit.from + shift + (lean === "after" ? edit.insert.length : 0);
  }
  return position + shift;
}

/** Whether an edit changes anything inside the range; insertions at its two ends do not. */
export function touches(edit: Edit, range: Range): boolean {
  if (edit.from === edit.to) return edit.from > range.from && edit.from < range.to;
  if (range.from === range.to) return edit.from < range.from && edit.to > range.from;
  return edit.from < range.to && edit.to > range.from;
}

/** The same edit with what both sides share at its ends taken off; null when nothing remains. */
export function trimEdit(text: string, edit: Edit): Edit | null {
  let { from, to, insert } = edit;
  while (from < to && insert.length > 0 && text[from] === insert[0]) {
    from++;
    insert = insert.slice(1);
  }
  while (from < to && insert.length > 0 && text[to - 1] === insert[insert.length - 1]) {
    to--;
    insert = insert.slice(0, -1);
  }
  if (isLowSurrogate(text, from) && from > edit.from) {
    from--;
    insert = text[from] + insert;
  }
  if (isLowSurrogate(text, to) && to < edit.to) {
    insert += text[to];
    to++;
  }
  return from === to && insert === "" ? null : { from, to, insert };
}

const WORD_CHARACTER = /[\p{L}\p{M}\p{N}'’]/u;

/**
 * A trimmed edit grown back to whole words, never beyond `within`: a reader of tracked changes
 * wants to see a word struck and a word put in, not two letters of it.
 */
export function widenToWords(text: string, edit: Edit, within: Range): Edit {
  if (edit.from === edit.to && !touchesWord(text, edit)) return edit;
  let { from, to } = edit;
  const startsInWord = isWordAt(text, from - 1) && (isWordAt(text, from) || isWord(edit.insert[0]));
  const endsInWord = isWordAt(text, to) && (isWordAt(text, to - 1) || isWord(edit.insert.at(-1)));
  if (startsInWord) while (from > within.from && isWordAt(text, from - 1)) from--;
  if (endsInWord) while (to < within.to && isWordAt(text, to)) to++;
  return { from, to, insert: text.slice(from, edit.from) + edit.insert + text.slice(edit.to, to) };
}

function touchesWord(text: string, edit: Edit): boolean {
  return isWordAt(text, edit.from - 1) && isWordAt(text, edit.from);
}

function isWordAt(text: string, position: number): boolean {
  return isWord(text[position]);
}

function isWord(character: string | undefined): boolean {
  if (character === undefined) return false;
  const code = character.charCodeAt(0);
  return (code >= 0xd800 && code <= 0xdfff) || WORD_CHARACTER.test(character);
}

/** Whether a position cuts a surrogate pair in two. */
export function cutsSurrogatePair(text: string, position: number): boolean {
  return isLowSurrogate(text, position) && (text.charCodeAt(position - 1) & 0xfc00) === 0xd800;
}

function isLowSurrogate(text: string, position: number): boolean {
  return (text.charCodeAt(position) & 0xfc00) === 0xdc00;
}

/** Half of a character that takes two units, without the other. */
const HALF = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

/** Why an edit that would leave half a character cannot be made, as a sentence; null for any other. */
export function whyHalf(text: string, { from, to, insert }: Edit): string | null {
  const halves = cutsSurrogatePair(text, from) || cutsSurrogatePair(text, to) || HALF.test(insert);
  return halves ? "This change would cut one character in two." : null;
}
