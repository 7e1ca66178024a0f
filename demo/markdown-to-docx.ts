import {
  AlignmentType,
  Document,
  FootnoteReferenceRun,
  Header,
  HeadingLevel,
  LevelFormat,
  Packer,
  Paragraph,
  Table,
  TableCell,
  TableRow,
  TextRun,
  WidthType,
} from "docx";
import type { PhrasingContent, Root, RootContent } from "mdast";
import { fromMarkdown } from "mdast-util-from-markdown";
import { frontmatterFromMarkdown } from "mdast-util-frontmatter";
import { gfmFootnoteFromMarkdown } from "mdast-util-gfm-footnote";
import { gfmTableFromMarkdown } from "mdast-util-gfm-table";
import { frontmatter } from "micromark-extension-frontmatter";
import { gfmFootnote } from "micromark-extension-gfm-footnote";
import { gfmTable } from "micromark-extension-gfm-table";

/** A demo source as a tree. */
export function parseSource(source: string): Root {
  return fromMarkdown(source, {
    extensions: [gfmTable(), gfmFootnote(), frontmatter()],
    mdastExtensions: [gfmTableFromMarkdown(), gfmFootnoteFromMarkdown(), frontmatterFromMarkdown()],
  });
}

const HEADINGS = [
  HeadingLevel.HEADING_1,
  HeadingLevel.HEADING_2,
  HeadingLevel.HEADING_3,
  HeadingLevel.HEADING_4,
];

/** Makes a .docx of a demo source: headings, lists, tables, footnotes and a page header. */
export async function toDocx(tree: Root): Promise<Uint8Array> {
  const matter = tree.children.find((node) => node.type === "yaml")?.value ?? "";
  const field = (name: string) =>
    new RegExp(`^${name}:\\s*"?(.*?)"?\\s*$`, "m").exec(matter)?.[1] ?? "";
  const builder = new Builder(tree);
  const document = new Document({
    title: field("title"),
    creator: "Gannet Head Tide Observatory",
    numbering: { config: [numbered] },
    footnotes: builder.footnotes(),
    sections: [
      {
        headers: { default: new Header({ children: [new Paragraph(field("header"))] }) },
        children: tree.children.flatMap((node) => builder.block(node)),
      },
    ],
  });
  return new Uint8Array(await Packer.toBuffer(document));
}

const numbered = {
  reference: "numbered",
  levels: [
    {
      level: 0,
      format: LevelFormat.DECIMAL,
      text: "%1.",
      alignment: AlignmentType.START,
      style: { paragraph: { indent: { left: 720, hanging: 360 } } },
    },
  ],
};

interface Style {
  bold?: boolean;
  italics?: boolean;
}

class Builder {
  private readonly numbers = new Map<string, number>();

  constructor(private readonly tree: Root) {
    for (const node of tree.children) {
      if (node.type === "footnoteDefinition") {
        this.numbers.set(node.identifier, this.numbers.size + 1);
      }
    }
  }

  footnotes(): Record<string, { children: Paragraph[] }> {
    const notes: Record<string, { children: Paragraph[] }> = {};
    for (const node of this.tree.children) {
      if (node.type !== "footnoteDefinition") continue;
      const children = node.children.flatMap((child) =>
        child.type === "paragraph" ? [new Paragraph({ children: this.runs(child.children) })] : [],
      );
      notes[String(this.numbers.get(node.identifier))] = { children };
    }
    return notes;
  }

  block(node: RootContent): (Paragraph | Table)[] {
    switch (node.type) {
      case "heading": {
        const heading = HEADINGS[node.depth - 1] ?? HeadingLevel.HEADING_4;
        return [new Paragraph({ heading, children: this.runs(node.children) })];
      }
      case "paragraph":
        return [new Paragraph({ children: this.runs(node.children), spacing: { after: 160 } })];
      case "list":
        return node.children.flatMap((item) =>
          item.children.flatMap((child) =>
            child.type === "paragraph"
              ? [
                  new Paragraph({
                    children: this.runs(child.children),
                    ...(node.ordered
                      ? { numbering: { reference: "numbered", level: 0 } }
                      : { bullet: { level: 0 } }),
                  }),
                ]
              : [],
          ),
        );
      case "table":
        return [
          new Table({
            width: { size: 100, type: WidthType.PERCENTAGE },
            rows: node.children.map(
              (row, index) =>
                new TableRow({
                  tableHeader: index === 0,
                  children: row.children.map(
                    (cell) =>
                      new TableCell({
                        children: [
                          new Paragraph({
                            children: this.runs(cell.children, { bold: index === 0 }),
                          }),
                        ],
                      }),
                  ),
                }),
            ),
          }),
          new Paragraph({ children: [] }),
        ];
      default:
        return [];
    }
  }

  private runs(
    nodes: readonly PhrasingContent[],
    style: Style = {},
  ): (TextRun | FootnoteReferenceRun)[] {
    return nodes.flatMap((node): (TextRun | FootnoteReferenceRun)[] => {
      switch (node.type) {
        case "text":
          return [new TextRun({ text: node.value.replace(/\n/g, " "), ...style })];
        case "emphasis":
          return this.runs(node.children, { ...style, italics: true });
        case "strong":
          return this.runs(node.children, { ...style, bold: true });
        case "footnoteReference":
          return [new FootnoteReferenceRun(this.numbers.get(node.identifier) ?? 1)];
        default:
          return [];
      }
    });
  }
}
