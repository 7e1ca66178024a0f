import { figureColumns, shownCells, type Table } from "../readings/tables.ts";
import type { ReportPart } from "./parts.ts";

/** A report as one HTML file, without script: to be opened anywhere, filed, printed with page numbers. */

const STYLE = `
:root { color-scheme: light; }
body { max-width: 46rem; margin: 2.5rem auto; padding: 0 1.5rem; background: #fffefa; color: #1c211e;
  font: 15px/1.5 Georgia, "Times New Roman", serif; }
h1 { font-size: 1.7rem; margin: 0 0 .3rem; }
h2 { font-size: 1.2rem; margin: 2rem 0 .5rem; border-bottom: 1px solid #1c211e; }
h3 { font: 600 .8rem/1.4 system-ui, sans-serif; margin: 1.2rem 0 .2rem; color: #535b55; }
p { margin: .5rem 0; }
table { width: 100%; border-collapse: collapse; font: 13px/1.45 system-ui, sans-serif;
  font-variant-numeric: tabular-nums; }
th, td { padding: .25rem .6rem .25rem 0; border-bottom: 1px solid #dce1d9; text-align: left; vertical-align: top; }
th { color: #535b55; }
.n { text-align: right; }
@page { size: A4; margin: 20mm 18mm; @bottom-center { content: counter(page) " / " counter(pages); font: 11px sans-serif; } }
@media print { body { margin: 0; max-width: none; padding: 0; background: white; }
  h2, h3 { break-after: avoid; } tr { break-inside: avoid; } thead { display: table-header-group; } }
`;

/** The report as a file; everything in it is text. */
export function reportHtml(title: string, parts: readonly ReportPart[]): string {
  const body = parts.map(partHtml).join("\n");
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Report: ${escaped(title)}</title>
<style>${STYLE}</style>
</head>
<body>
<h1>${escaped(title)}</h1>
<p>Report of a dry run</p>
${body}
</body>
</html>
`;
}

function partHtml({ title, lines, tables }: ReportPart): string {
  return [
    `<section>\n<h2>${escaped(title)}</h2>`,
    ...lines.map((line) => `<p>${escaped(line)}</p>`),
    ...tables.map(tableHtml),
    "</section>",
  ].join("\n");
}

function tableHtml(table: Table): string {
  const { title, columns } = table;
  const isFigure = figureColumns(table);
  const cell = (tag: string, value: string, index: number) =>
    `<${tag}${isFigure[index] ? ' class="n"' : ""}>${escaped(value)}</${tag}>`;
  const head = columns.some((column) => column !== "")
    ? `<thead><tr>${columns.map((column, index) => cell("th", column, index)).join("")}</tr></thead>\n`
    : "";
  const body = shownCells(table)
    .map((row) => `<tr>${row.map((value, index) => cell("td", value, index)).join("")}</tr>`)
    .join("\n");
  return `<h3>${escaped(title)}</h3>\n<table>\n${head}<tbody>\n${body}\n</tbody>\n</table>`;
}

const ENTITIES: Readonly<Record<string, string>> = {
  "&": "&amp;",
  "<": "&lt;",
  ">": "&gt;",
  '"': "&quot;",
};

function escaped(text: string): string {
  return text.replace(/[&<>"]/g, (sign) => ENTITIES[sign] ?? sign);
}
