import { applyEdits, trimEdit } from "../../manuscript/edits.ts";
import { blockIndexAt } from "../../manuscript/layout.ts";
import { type Edit, LINE_SEPARATOR, type Range } from "../../manuscript/model.ts";
import { type ReadFile, titleOf } from "../assemble.ts";
import { guessKind } from "../guess-kind.ts";
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
  const wanted = edits.flatMap((edit) => trimEdit(layout.text, edit) ?? []);
  for (const way of WAYS) {
    const cuts = wanted.flatMap((edit, index) => {
      const free = { from: wanted[index - 1]?.to ?? 0, to: wanted[index + 1]?.from ?? Infinity };
      return sourceEdits(source.text, layout, edit, way, free) ?? [];
    });
    if (reads(source.text, cuts, applyEdits(layout.text, wanted))) {
      return { bytes: encodeText(source, cuts), refused: [] };
    }
  }
  return oneByOne(edits, source.text, layout, (cuts) => encodeText(source, cuts));
}

/** How an edit is put into the source, tried in this order. */
type Way = "plain" | "escaped" | "with-markup";
const WAYS: Way[] = ["plain", "escaped", "with-markup"];

function oneByOne(
  edits: readonly Edit[],
  source: string,
  layout: MarkdownLayout,
  encode: (cuts: Edit[]) => Uint8Array,
): { bytes: Uint8Array; refused: { edit: Edit; reason: string }[] } {
  const refused: { edit: Edit; reason: string }[] = [];
  const done: Edit[] = [];
  let cuts: Edit[] = [];
  for (const [index, edit] of edits.entries()) {
    const trimmed = trimEdit(layout.text, edit);
    if (!trimmed) continue;
    const expected = applyEdits(layout.text, [...done, trimmed]);
    const free = { from: done.at(-1)?.to ?? 0, to: edits[index + 1]?.from ?? Infinity };
    const attempt = WAYS.map((way) => sourceEdits(source, layout, trimmed, way, free)).find(
      (added) => added !== null && reads(source, [...cuts, ...added], expected),
    );
    if (attempt) {
      cuts = [...cuts, ...attempt];
      done.push(trimmed);
    } else {
      refused.push({ edit, reason: "In Markdown this change would alter the text around it." });
    }
  }
  return { bytes: encode(cuts), refused };
}

/** Whether the source with these cuts reads as the expected text, block for block. */
function reads(source: string, cuts: readonly Edit[], expected: string): boolean {
  for (let index = 1; index < cuts.length; index++) {
    if ((cuts[index]?.from ?? 0) < (cuts[index - 1]?.to ?? 0)) return false;
  }
  return layOutMarkdown(applyEdits(source, cuts)).text === expected;
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
