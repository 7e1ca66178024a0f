import type { Block, Edit, Manuscript, Range, Span } from "./model.ts";

/** Several documents read as one, each after the other, and which of them a place is in. */

/** One of the documents, as it stands. */
export interface Part extends Pick<Manuscript, "text" | "blocks" | "spans"> {
  id: string;
  title: string;
}

/** A place in one of the documents; offsets in its own text. */
export interface PlaceInPart extends Range {
  /** Which of the documents it is, from 0. */
  part: number;
}

/** Documents joined by line breaks; sections and lists are numbered on, and blocks named by their document. */
export class Combined {
  readonly text: string;
  readonly blocks: Block[] = [];
  readonly spans: Span[] = [];
  private readonly starts: number[] = [];

  constructor(readonly parts: readonly Part[]) {
    let at = 0;
    let sections = 0;
    let lists = 0;
    for (const [index, { text, blocks, spans }] of parts.entries()) {
      this.starts.push(at);
      for (const block of blocks) {
        const { list } = block;
        this.blocks.push({
          ...block,
          id: `${index}:${block.id}`,
          from: block.from + at,
          to: block.to + at,
          section: block.section + sections,
          ...(list === undefined ? {} : { list: list + lists }),
          ...(block.cell ? { cell: { ...block.cell, sheet: `${index}:${block.cell.sheet}` } } : {}),
        });
      }
      for (const span of spans)
        this.spans.push({ ...span, from: span.from + at, to: span.to + at });
      sections += 1 + blocks.reduce((most, { section }) => Math.max(most, section), 0);
      lists += blocks.reduce((most, { list = 0 }) => Math.max(most, list), 0);
      at += text.length + 1;
    }
    this.text = parts.map(({ text }) => text).join("\n");
  }

  /** Which document a place is in, and where there. */
  placeOf({ from, to }: Range): PlaceInPart {
    let part = 0;
    while (part + 1 < this.starts.length && (this.starts[part + 1] ?? 0) <= from) part++;
    const start = this.starts[part] ?? 0;
    return { part, from: from - start, to: to - start };
  }

  /** Edits of the whole, by the document each is in, on its own text. */
  apart(edits: readonly Edit[]): Map<number, Edit[]> {
    const byPart = new Map<number, Edit[]>();
    for (const edit of edits) {
      const { part, from, to } = this.placeOf(edit);
      byPart.set(part, [...(byPart.get(part) ?? []), { ...edit, from, to }]);
    }
    return byPart;
  }
}
