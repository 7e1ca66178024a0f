import {
  AlignmentType,
  BorderStyle,
  Document,
  Footer,
  HeadingLevel,
  Packer,
  PageNumber,
  Paragraph,
  Table,
  TableCell,
  TableRow,
  TextRun,
  WidthType,
} from "docx";
import { storable } from "../manuscript/layout.ts";
import { figureColumns, type Table as ReportTable, shownCells } from "../readings/tables.ts";
import type { ReportPart } from "./parts.ts";

/** A report as a Word-processing document with page numbers. */
export async function reportDocx(title: string, parts: readonly ReportPart[]): Promise<Uint8Array> {
  const pages = new TextRun({ children: [PageNumber.CURRENT, " / ", PageNumber.TOTAL_PAGES] });
  const document = new Document({
    title: storable(title),
    creator: "Dry Run",
    sections: [
      {
        footers: {
          default: new Footer({
            children: [new Paragraph({ alignment: AlignmentType.CENTER, children: [pages] })],
          }),
        },
        children: [
          new Paragraph({ text: storable(title), heading: HeadingLevel.TITLE }),
          ...parts.flatMap(partBlocks),
        ],
      },
    ],
  });
  return new Uint8Array(await Packer.toArrayBuffer(document));
}

function partBlocks({ title, lines, tables }: ReportPart): (Paragraph | Table)[] {
  return [
    new Paragraph({ text: storable(title), heading: HeadingLevel.HEADING_1 }),
    ...lines.map((line) => new Paragraph(storable(line))),
    ...tables.flatMap((table) => [
      new Paragraph({ text: storable(table.title), heading: HeadingLevel.HEADING_2 }),
      tableBlock(table),
    ]),
  ];
}

const RULE = { style: BorderStyle.SINGLE, size: 2, color: "C6CCC3" };
const NO_RULE = { style: BorderStyle.NONE, size: 0, color: "auto" };

function tableBlock(table: ReportTable): Table {
  const { columns } = table;
  const isFigure = figureColumns(table);
  const hasHead = columns.some((column) => column !== "");
  const row = (cells: readonly string[], bold: boolean) =>
    new TableRow({
      tableHeader: bold,
      cantSplit: true,
      children: cells.map(
        (cell, index) =>
          new TableCell({
            children: [
              new Paragraph({
                ...(isFigure[index] ? { alignment: AlignmentType.RIGHT } : {}),
                children: [new TextRun({ text: storable(cell), bold, size: 18 })],
              }),
            ],
          }),
      ),
    });
  return new Table({
    width: { size: 100, type: WidthType.PERCENTAGE },
    borders: {
      top: NO_RULE,
      left: NO_RULE,
      right: NO_RULE,
      insideVertical: NO_RULE,
      bottom: RULE,
      insideHorizontal: RULE,
    },
    rows: [
      ...(hasHead ? [row(columns, true)] : []),
      ...shownCells(table).map((cells) => row(cells, false)),
    ],
  });
}
