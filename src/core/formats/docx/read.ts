import type { BlockKind, Span } from "../../manuscript/model.ts";
import { type Assembled, assemble, type RawBlock, type ReadFile, titleOf } from "../assemble.ts";
import { guessKind } from "../guess-kind.ts";
import { FormatProblem } from "../problem.ts";
import { attribute } from "../xml/scan.ts";
import { partText, relatedPart, relationships } from "../zip/parts.ts";
import { readComments } from "./comments.ts";
import { ListCounter, type Numbering, readNumbering, roman } from "./numbering.ts";
import { type DocxPackage, openPackage } from "./package.ts";
import type { SourceBlock } from "./source.ts";
import { headingLevel, inherited, kindByStyle, readStyles, type Styles } from "./styles.ts";

/** Reads a .docx. Throws FormatProblem. */
export function readDocx(bytes: Uint8Array, fileName: string): ReadFile {
  const docx = openPackage(bytes);
  const assembled = placeBlocks(docx);
  if (assembled.text.trim() === "") {
    if (docx.parts.some(({ source }) => /<(?:\w+:)?delText[\s>]/.test(source))) {
      throw new FormatProblem(
        "no-text",
        "All text of this document is struck out as tracked changes. Reject those that should stay where it was made, then open that copy.",
      );
    }
    throw new FormatProblem(
      "no-text",
      "This document holds no text. If its pages are scanned images, their words must be typed or recognised first.",
    );
  }
  return {
    ...assembled,
    title: storedTitle(docx) ?? titleOf(assembled, fileName),
    kind: guessKind(assembled),
    warnings: warningsOf(docx),
    comments: readComments(docx),
  };
}

/** Lays the package's blocks out and tells each where its text stands in the manuscript. */
export function placeBlocks(docx: DocxPackage): Assembled {
  const { archive, parts, blocks } = docx;
  const main = parts[0]?.name ?? "";
  const stylesName = relatedPart(archive, main, "styles");
  const styles = stylesName ? readStyles(partText(archive, stylesName)) : new Map();
  const numberingName = relatedPart(archive, main, "numbering");
  const numbering: Numbering = numberingName
    ? readNumbering(partText(archive, numberingName))
    : { abstracts: new Map(), lists: new Map() };
  const counter = new ListCounter(numbering);
  const labels = noteLabels(blocks);
  const assembled = assemble(blocks.map((block) => rawBlock(block, styles, counter, labels)));
  for (const [index, block] of blocks.entries()) block.at = assembled.blocks[index]?.from ?? -1;
  return assembled;
}

function rawBlock(
  block: SourceBlock,
  styles: Styles,
  counter: ListCounter,
  labels: ReadonlyMap<string, string>,
): RawBlock {
  const heading =
    block.cell || block.note ? null : headingLevel(styles, block.style, block.outline);
  const list = block.list ?? inherited(styles, block.style, "list");
  const numbered = list !== null && list.id !== "0" && block.text !== "";
  const marker = numbered ? counter.next(list.id, list.level) : "";
  let kind: BlockKind = "paragraph";
  let level: number | undefined;
  if (block.note !== null) kind = "note";
  else if (heading !== null && block.text.trim() !== "") {
    kind = "heading";
    level = Math.max(1, heading);
  } else if (block.cell) kind = "cell";
  else if (numbered) {
    kind = "item";
    level = list.level + 1;
  } else kind = kindByStyle(styles, block.style) ?? "paragraph";
  const noteMarker = block.note === null ? marker : (labels.get(block.note) ?? "");
  return {
    kind,
    text: block.text,
    story: block.story,
    spans: block.spans.map((span) => labelled(span, labels)),
    ...(level === undefined ? {} : { level }),
    ...(noteMarker ? { marker: noteMarker } : {}),
    ...(block.cell ? { cell: block.cell } : {}),
    // Nothing in it shows that it is locked: no text, no span.
    ...(block.locked && block.text === "" ? { fixed: `${block.locked}.` } : {}),
  };
}

function labelled(span: Span, labels: ReadonlyMap<string, string>): Span {
  if (span.kind !== "note-anchor") return span;
  return { ...span, label: labels.get(span.label ?? "") ?? "" };
}

/** Notes are numbered by their references: footnotes 1, 2, 3; endnotes i, ii, iii. */
function noteLabels(blocks: readonly SourceBlock[]): Map<string, string> {
  const labels = new Map<string, string>();
  let footnotes = 0;
  let endnotes = 0;
  for (const block of blocks) {
    for (const span of block.spans) {
      const note = span.kind === "note-anchor" ? span.label : undefined;
      if (note === undefined || labels.has(note)) continue;
      labels.set(note, note.startsWith("endnote") ? roman(++endnotes) : String(++footnotes));
    }
  }
  return labels;
}

function storedTitle({ archive }: DocxPackage): string | null {
  const core = relationships(archive, "").find(({ type }) => type === "core-properties");
  const name = core && archive.find(core.target)?.name;
  if (!name) return null;
  const match = /<(?:\w+:)?title[^>]*>([^<]+)</.exec(partText(archive, name));
  return match?.[1]?.trim() || null;
}

function warningsOf({ archive, parts }: DocxPackage): string[] {
  const warnings: string[] = [];
  const has = (pattern: RegExp) => archive.entries.some((entry) => pattern.test(entry.name));
  if (has(/_xmlsignatures\//i)) {
    warnings.push("This document is signed. Any change breaks the signature.");
  }
  if (has(/vbaProject\.bin$/i)) {
    warnings.push("This document carries macros. They are kept and never run.");
  }
  const settings = relatedPart(archive, parts[0]?.name ?? "", "settings");
  if (settings) {
    const source = partText(archive, settings);
    const at = source.search(/<(?:\w+:)?documentProtection[\s/>]/);
    const tag = at < 0 ? "" : source.slice(at, source.indexOf(">", at) + 1);
    if (tag && attribute(tag, 0, tag.length, "enforcement") === "1") {
      warnings.push(
        "This document is protected against changes. The export keeps that protection.",
      );
    }
  }
  if (parts.some((part) => part.source.includes(":del ") || part.source.includes(":ins "))) {
    warnings.push(
      "This document has tracked changes already. They are shown as if accepted and stay as they are.",
    );
  }
  return warnings;
}
