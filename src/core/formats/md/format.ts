import { applyEdits, trimEdit, whyHalf } from "../../manuscript/edits.ts";
import { blockIndexAt } from "../../manuscript/layout.ts";
import { type Edit, LINE_SEPARATOR, type Range } from "../../manuscript/model.ts";
import { type ReadFile, titleOf } from "../assemble.ts";
import type { BlockOrder } from "../block-order.ts";
import { guessKind } from "../guess-kind.ts";
import { orderedLines } from "../ordered-lines.ts";
import { noText } from "../problem.ts";
import { keepWraps } from "../source-map.ts";
import { decodeText, encodeText } from "../text-source.ts";
import { layOutMarkdown, type MarkdownLayout } from "./layout.ts";

/** Reads a Markdown file. Throws FormatProblem. */
export function readMd(bytes: Uint8Array, fileName: string): ReadFile {
  const { blocks, spans, text, title } = layOutMarkdown(decodeText(bytes).text);
  if (text.trim() === "") throw noText();
  const assembled = { blocks, spans, text };
  return {
    ...assembled,
    title: title ?? titleOf(assembled, fileName),
    kind: guessKind(assembled),
    warnings: [],
  };
}

/**
 * The original Markdown with the edits made in its source. Each change is checked by reading the
 * result again: where new characters would act as markup they are escaped, and where even that
 * would change anything else the edit is refused. `edits` refer to the original's text.
 */
export function writeMd(
  bytes: Uint8Array,
  edits: readonly Edit[],
): { bytes: Uint8Array; refused: { edit: Edit; reason: string }[] } {
  if (edits.length === 0) return { bytes, refused: [] };
  const source = decodeText(bytes);
  const layout = layOutMarkdown(source.text);
  const halved = edits.filter((edit) => whyHalf(layout.text, edit) !== null);
  const wanted = edits
    .filter((edit) => !halved.includes(edit))
    .flatMap((edit) => trimEdit(layout.text, edit) ?? []);
  const writing = new Writing(source.text, layout, wanted);
  const { cuts, refused } = writing.all();
  return {
    bytes: encodeText(source, cuts),
    refused: [
      ...halved.map((edit) => ({ edit, reason: whyHalf(layout.text, edit) ?? REFUSED })),
      ...refused.map((edit) => ({ edit, reason: REFUSED })),
    ],
  };
}

/** A Markdown file with the lines of some blocks in another order. */
export function orderMd(bytes: Uint8Array, orders: readonly BlockOrder[]): Uint8Array {
  const source = decodeText(bytes);
  const { blocks, map, starts } = layOutMarkdown(source.text);
  return orderedLines(source, orders, { blocks, map, starts });
}

const REFUSED = "In Markdown this change would alter the text around it.";

/** How an edit is put into the source, tried in this order. */
type Way = "plain" | "escaped" | "with-markup";
const WAYS: Way[] = ["plain", "escaped", "with-markup"];

/**
 * Finds how edits go into a source. All are tried together; where that alters something else, each
 * half is tried, so that one that cannot be made costs a few readings and not one for every edit.
 */
class Writing {
  private readonly refused: Edit[] = [];
  private done: Edit[] = [];
  private cuts: Edit[] = [];

  constructor(
    private readonly source: string,
    private readonly layout: MarkdownLayout,
    private readonly edits: readonly Edit[],
  ) {}

  all(): { cuts: Edit[]; refused: Edit[] } {
    this.try(0, this.edits.length);
    return { cuts: this.cuts, refused: this.refused };
  }

  private try(from: number, to: number): void {
    const group = this.edits.slice(from, to);
    const [only] = group;
    if (!only || this.fits(from, group)) return;
    if (group.length === 1) {
      this.refused.push(only);
      return;
    }
    const middle = (from + to) >> 1;
    this.try(from, middle);
    this.try(middle, to);
  }

  private fits(first: number, group: readonly Edit[]): boolean {
    const done = [...this.done, ...group];
    const expected = applyEdits(this.layout.text, done);
    for (const way of WAYS) {
      const added: Edit[] = [];
      let possible = true;
      for (const [offset, edit] of group.entries()) {
        const index = first + offset;
        const free = {
          from: this.edits[index - 1]?.to ?? 0,
          to: this.edits[index + 1]?.from ?? Number.POSITIVE_INFINITY,
        };
        const planned = sourceEdits(this.source, this.layout, edit, way, free);
        if (planned) for (const cut of planned) added.push(cut);
        else possible = false;
      }
      const cuts = [...this.cuts, ...added];
      if (!possible || !reads(this.source, this.layout, cuts, expected)) continue;
      this.cuts = cuts;
      this.done = done;
      return true;
    }
    return false;
  }
}

/** Whether the source with these cuts reads as the expected text, with the blocks and notes it had. */
function reads(
  source: string,
  layout: MarkdownLayout,
  cuts: readonly Edit[],
  expected: string,
): boolean {
  for (let index = 1; index < cuts.length; index++) {
    if ((cuts[index]?.from ?? 0) < (cuts[index - 1]?.to ?? 0)) return false;
  }
  const again = layOutMarkdown(applyEdits(source, cuts));
  return again.text === expected && shapeOf(again) === shapeOf(layout);
}

/** What no edit of the text changes: the kinds of the blocks, and the notes that are pointed at. */
function shapeOf({ blocks, spans }: MarkdownLayout): string {
  const notes = spans.filter(({ kind }) => kind === "note-anchor").map(({ label }) => label);
  return `${blocks.map(({ kind, level = 0 }) => `${kind}${level}`).join()} ${notes.join()}`;
}

function sourceEdits(
  source: string,
  layout: MarkdownLayout,
  edit: Edit,
  way: Way,
  free: Range,
): Edit[] | null {
  const { map, text, blocks, starts } = layout;
  const index = blockIndexAt(blocks, edit.from);
  const block = blocks[index];
  if (!block || edit.to > block.to) return null;
  const isWrap = (at: number) => source.slice(map.start(at), map.end(at)).includes("\n");
  const kept = keepWraps(
    text,
    edit,
    isWrap,
    Math.max(block.from, free.from),
    Math.min(block.to, free.to),
  );
  let insert = way === "plain" ? kept.insert : escapeMarkdown(kept.insert, block.kind === "cell");
  if (kept.wrapAt !== null) {
    const at = insert.lastIndexOf(" ");
    insert = `${insert.slice(0, at)}\n${insert.slice(at + 1)}`;
  }
  insert = insert.replaceAll(LINE_SEPARATOR, "\\\n");
  const cuts = map.splice({ ...kept, insert }, block.from, block.to, starts[index] ?? 0);
  return way === "with-markup" ? [withMarkup(source, cuts)] : cuts;
}

function escapeMarkdown(text: string, inCell: boolean): string {
  const escaped = text.replace(/[\\`*_{}[\]<>#&~]|^[-+](?=\s)|^\d+(?=[.)]\s)/g, (found) =>
    /^\d/.test(found) ? found : `\\${found}`,
  );
  return inCell ? escaped.replace(/\|/g, "\\|") : escaped;
}

/** The cuts as one, together with emphasis marks that would be left around nothing. */
function withMarkup(source: string, cuts: readonly Edit[]): Edit {
  let from = cuts[0]?.from ?? 0;
  let to = cuts.at(-1)?.to ?? from;
  const insert = cuts.map((cut) => cut.insert).join("");
  if (insert === "") {
    const before = /([*_~`]+)$/.exec(source.slice(Math.max(0, from - 4), from))?.[1] ?? "";
    const after = /^([*_~`]+)/.exec(source.slice(to, to + 4))?.[1] ?? "";
    const inside = source.slice(from, to);
    // Marks whose partners are inside go with them; marks on both sides go together.
    if (before && (inside.includes(before) || after === before)) from -= before.length;
    if (after && (inside.includes(after) || after === before)) to += after.length;
  }
  return { from, to, insert };
}
