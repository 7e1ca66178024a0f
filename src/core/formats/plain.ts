import type { Block, Manuscript, Span } from "../manuscript/model.ts";

/** A manuscript written afresh as plain text or Markdown, for documents of another format. */

type Written = Pick<Manuscript, "text" | "blocks" | "spans">;

/** Plain text: a blank line between paragraphs, list markers kept, table rows set with tabs. */
export function plainText({ text, blocks }: Written): string {
  let out = "";
  for (const [index, block] of blocks.entries()) {
    out += between(blocks[index - 1], block, "\t", "\n");
    const body = readable(text.slice(block.from, block.to)).replaceAll("\u2028", "\n");
    out += block.marker ? `${block.marker} ${body}` : body;
  }
  return `${out}\n`;
}

/** CommonMark with pipe tables and footnotes. */
export function markdownText({ text, blocks, spans }: Written): string {
  let out = "";
  for (const [index, block] of blocks.entries()) {
    const before = blocks[index - 1];
    out += between(before, block, " | ", " |\n| ");
    if (block.cell && before?.cell?.sheet !== block.cell.sheet) out += "| ";
    const own = spans.filter((span) => span.from >= block.from && span.to <= block.to);
    out += prefix(block) + inlineMarkdown(text, block, own);
    const next = blocks[index + 1];
    const endsRow = block.cell && !sameRow(block, next);
    if (endsRow && isFirstRow(block)) {
      out += ` |\n|${" --- |".repeat(block.cell?.columns ?? 1)}`;
      if (next?.cell?.sheet === block.cell?.sheet) out += "\n| ";
    } else if (endsRow && next?.cell?.sheet !== block.cell?.sheet) out += " |";
  }
  return `${out}\n`;
}

function between(before: Block | undefined, block: Block, cells: string, rows: string): string {
  if (!before) return "";
  if (before.cell && block.cell && before.cell.sheet === block.cell.sheet) {
    if (before.cell.address === block.cell.address) return cells === "\t" ? " " : "<br>";
    if (sameRow(before, block)) return cells;
    return rows.startsWith(" |") && isFirstRow(before) ? "" : rows;
  }
  return before.kind === "item" && block.kind === "item" ? "\n" : "\n\n";
}

function rowOf(block: Block): string {
  return block.cell?.address.replace(/^[A-Z]+/, "") ?? "";
}

function isFirstRow(block: Block): boolean {
  return rowOf(block) === "1";
}

function sameRow(block: Block, other: Block | undefined): boolean {
  return block.cell?.sheet === other?.cell?.sheet && rowOf(block) === (other ? rowOf(other) : "");
}

function prefix(block: Block): string {
  const indent = "  ".repeat(Math.max(0, (block.level ?? 1) - 1));
  switch (block.kind) {
    case "heading":
      return `${"#".repeat(Math.min(6, block.level ?? 1))} `;
    case "item":
      return `${indent}${/^\d+\.$/.test(block.marker ?? "") ? block.marker : "-"} `;
    case "quote":
      return "> ";
    case "note":
      return block.marker ? `[^${block.marker}]: ` : "";
    case "code":
      return "    ";
    default:
      return "";
  }
}

const MARKS = new Map<Span["kind"], string>([
  ["emphasis", "*"],
  ["strong", "**"],
]);

function inlineMarkdown(text: string, block: Block, spans: readonly Span[]): string {
  const marks: { at: number; mark: string; order: number }[] = [];
  for (const span of spans) {
    const mark = MARKS.get(span.kind);
    if (span.kind === "note-anchor")
      marks.push({ at: span.from, mark: `[^${span.label}]`, order: 1 });
    else if (mark && block.kind !== "heading" && text.slice(span.from, span.to).trim() !== "") {
      // CommonMark 6.2: an emphasis mark must stand next to a character that is not white space.
      const inner = text.slice(span.from, span.to);
      const from = span.from + inner.length - inner.trimStart().length;
      const to = span.to - (inner.length - inner.trimEnd().length);
      marks.push({ at: from, mark, order: 2 }, { at: to, mark, order: 0 });
    }
  }
  marks.sort((a, b) => a.at - b.at || a.order - b.order);
  let out = "";
  let position = block.from;
  for (const { at, mark } of marks) {
    out += escaped(text.slice(position, at), block) + mark;
    position = at;
  }
  out += escaped(text.slice(position, block.to), block);
  return out.replaceAll("\u2028", block.cell ? "<br>" : "\\\n");
}

function escaped(text: string, block: Block): string {
  const plain = readable(text);
  if (block.kind === "code") return plain;
  const safe = plain.replace(/[\\`*_[\]<>]/g, "\\$&");
  return block.cell ? safe.replace(/\|/g, "\\|") : safe;
}

/** Objects leave no character behind; page breaks and soft hyphens are of no use outside their format. */
function readable(text: string): string {
  return text.replace(/[\ufffc\f\u00ad]/g, "");
}
