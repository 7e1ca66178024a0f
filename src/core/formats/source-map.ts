import type { Edit } from "../manuscript/model.ts";

/**
 * Where each character of a manuscript comes from in a text file. A character may come from more
 * than one source character (an escape, an entity, or a line end with the indent after it), and
 * source characters between two neighbours (markup) belong to neither.
 */
export class SourceMap {
  private readonly starts: Uint32Array;
  private readonly ends: Uint32Array;

  /** `length` is the length of the manuscript's text. */
  constructor(readonly length: number) {
    this.starts = new Uint32Array(length);
    this.ends = new Uint32Array(length);
  }

  /** Says that the character at `index` comes from source[from, to). */
  set(index: number, from: number, to: number): void {
    this.starts[index] = from;
    this.ends[index] = to;
  }

  start(index: number): number {
    return this.starts[index] ?? 0;
  }

  end(index: number): number {
    return this.ends[index] ?? 0;
  }

  /**
   * Source edits for a manuscript edit inside one block that starts at `blockFrom` and ends at
   * `blockTo`: each contiguous stretch of struck source is cut by itself, so that markup between
   * stays, and the new text goes where the first stretch was. `emptyAt` is where text goes in a
   * block that has no characters.
   */
  splice(edit: Edit, blockFrom: number, blockTo: number, emptyAt: number): Edit[] {
    if (edit.from === edit.to) {
      const at =
        edit.from > blockFrom
          ? this.end(edit.from - 1)
          : blockTo > blockFrom
            ? this.start(edit.from)
            : emptyAt;
      return [{ from: at, to: at, insert: edit.insert }];
    }
    const cuts: Edit[] = [];
    for (let index = edit.from; index < edit.to; index++) {
      const last = cuts.at(-1);
      if (last && last.to === this.start(index)) last.to = this.end(index);
      else cuts.push({ from: this.start(index), to: this.end(index), insert: "" });
    }
    const first = cuts[0];
    if (first) first.insert = edit.insert;
    return cuts;
  }
}

/**
 * An edit that would take out a wrapped line's end keeps the wrap: the line end moves to the nearest
 * space of the result. `text` is the manuscript's; `isWrap` tells which of its characters are line
 * ends in the source. The result may reach one character beyond the edit, inside [lower, upper).
 */
export function keepWraps(
  text: string,
  edit: Edit,
  isWrap: (index: number) => boolean,
  lower: number,
  upper: number,
): Edit & { wrapAt: number | null } {
  let wraps = false;
  for (let index = edit.from; index < edit.to; index++) wraps ||= isWrap(index);
  if (!wraps) return { ...edit, wrapAt: null };
  const space = edit.insert.lastIndexOf(" ");
  if (space >= 0) return { ...edit, wrapAt: space };
  if (edit.to < upper && text[edit.to] === " " && !isWrap(edit.to)) {
    return {
      from: edit.from,
      to: edit.to + 1,
      insert: `${edit.insert} `,
      wrapAt: edit.insert.length,
    };
  }
  if (edit.from > lower && text[edit.from - 1] === " " && !isWrap(edit.from - 1)) {
    return { from: edit.from - 1, to: edit.to, insert: ` ${edit.insert}`, wrapAt: 0 };
  }
  return { ...edit, wrapAt: null };
}
