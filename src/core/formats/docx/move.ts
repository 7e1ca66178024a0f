import { applyEdits } from "../../manuscript/edits.ts";
import type { Edit } from "../../manuscript/model.ts";
import { type BlockOrder, placesOf } from "../block-order.ts";
import { escapeAttribute } from "../xml/entities.ts";
import { encodeParts } from "../zip/parts.ts";
import { patchArchive } from "../zip/patch.ts";
import { openPackage } from "./package.ts";
import { type ChangeStyle, FreeIds } from "./render.ts";
import type { Part, SourceBlock } from "./source.ts";

/** Paragraphs moved within a .docx, as tracked moves (ISO/IEC 29500-1, clauses 17.13.5.21 to 17.13.5.28) or in place. */

export interface Moved {
  bytes: Uint8Array;
  /** Paragraphs that stay where they are, since others' changes, pictures or fields are in them. */
  left: number;
}

/**
 * Moves paragraphs of a document to where `orders` has them. `original` is the file as it came, by which is told
 * whose changes are in a paragraph; `written` the same with our own edits. Throws FormatProblem.
 */
export function moveParagraphs(
  original: Uint8Array,
  written: Uint8Array,
  orders: readonly BlockOrder[],
  style: ChangeStyle,
): Moved {
  const docx = openPackage(written);
  const [main] = docx.parts;
  if (!main) return { bytes: written, left: 0 };
  const asItCame = openPackage(original);
  const before = asItCame.parts[0]?.source ?? "";
  const ids = new FreeIds(docx.parts.map(({ source }) => source));
  const cuts: Edit[] = [];
  let left = 0;
  for (const { order, moved } of orders) {
    const last = placesOf(order).at(-1) ?? 0;
    for (const number of moved) {
      const block = docx.blocks[number];
      const own = asItCame.blocks[number];
      if (!block || !own || !isMovable(before.slice(own.openFrom, own.closeTo), block, main)) {
        left++;
        continue;
      }
      const next = order.slice(order.indexOf(number) + 1).find((one) => !moved.includes(one));
      const target = docx.blocks[next ?? last];
      if (!target) continue;
      const at = next === undefined ? target.closeTo : target.openFrom;
      const xml = main.source.slice(block.openFrom, block.closeTo);
      const { gone, come } =
        style.as === "tracked" ? trackedMove(xml, style, ids) : { gone: "", come: xml };
      cuts.push(
        { from: block.openFrom, to: block.closeTo, insert: gone },
        { from: at, to: at, insert: come },
      );
    }
  }
  if (cuts.length === 0) return { bytes: written, left };
  // Those that come in at one place keep the order in which they are to stand.
  cuts.sort((one, other) => one.from - other.from || one.to - other.to);
  const sources = new Map([[main.name, applyEdits(main.source, cuts)]]);
  return { bytes: patchArchive(docx.archive, encodeParts(docx.archive, sources)), left };
}

/** Whether a paragraph can be set elsewhere: no changes of others, pictures, fields or section ends in it. */
function isMovable(asItCame: string, block: SourceBlock, main: Part): boolean {
  if (block.part !== 0 || block.cell || block.shadow || block.selfClosing || block.box > 0)
    return false;
  const xml = main.source.slice(block.openFrom, block.closeTo);
  return !(
    /<(?:\w+:)?(?:ins|del|moveFrom|moveTo)[\s>]/.test(asItCame) ||
    /<(?:\w+:)?(?:drawing|pict|object|txbxContent|fldChar|sectPr|sdt|comment(?:RangeStart|Reference))[\s/>]/.test(
      xml,
    )
  );
}

/** A paragraph as it goes, without our own edits, and as it comes, with them. */
function trackedMove(
  xml: string,
  { author, date }: ChangeStyle,
  ids: FreeIds,
): { gone: string; come: string } {
  const prefix = /^<(\w+:)?/.exec(xml)?.[1] ?? "";
  const name = `dry-run-${ids.take()}`;
  const who = `${prefix}author="${escapeAttribute(author)}" ${prefix}date="${date}"`;
  const tag = (element: string) => `<${prefix}${element} ${prefix}id="${ids.take()}" ${who}>`;
  const marked = (paragraph: string, element: "moveFrom" | "moveTo") => {
    const mark = `${tag(element).slice(0, -1)}/>`;
    const range = ids.take();
    const runs = new RegExp(
      `(?:<${prefix}r(?=[\\s>])[^>]*>(?:(?!</${prefix}r>)[\\s\\S])*</${prefix}r>)+`,
      "g",
    );
    const wrapped = withParagraphMark(paragraph, prefix, mark).replace(
      runs,
      (found) => `${tag(element)}${found}</${prefix}${element}>`,
    );
    const start = `<${prefix}${element}RangeStart ${prefix}id="${range}" ${who} ${prefix}name="${name}"/>`;
    return `${start}${wrapped}<${prefix}${element}RangeEnd ${prefix}id="${range}"/>`;
  };
  const bookmarks = new RegExp(`<${prefix}bookmark(?:Start|End)[^>]*/>`, "g");
  return {
    gone: marked(rejected(xml, prefix).replace(bookmarks, ""), "moveFrom"),
    come: marked(accepted(xml, prefix), "moveTo"),
  };
}

/** The mark of a paragraph's end says that the paragraph was moved. */
function withParagraphMark(xml: string, prefix: string, mark: string): string {
  const open = xml.indexOf(">") + 1;
  const properties = new RegExp(`^\\s*<${prefix}pPr(?:\\s[^>]*)?>[\\s\\S]*?</${prefix}pPr>`).exec(
    xml.slice(open),
  )?.[0];
  if (!properties) {
    const made = `<${prefix}pPr><${prefix}rPr>${mark}</${prefix}rPr></${prefix}pPr>`;
    const empty = new RegExp(`^\\s*<${prefix}pPr/>`).exec(xml.slice(open))?.[0] ?? "";
    return xml.slice(0, open) + made + xml.slice(open + empty.length);
  }
  const ownRun = new RegExp(`<${prefix}rPr(?:\\s[^>]*)?>`).exec(properties);
  const put = ownRun
    ? properties.slice(0, ownRun.index + ownRun[0].length) +
      mark +
      properties.slice(ownRun.index + ownRun[0].length)
    : properties.replace(
        // What follows the run properties in the schema stays behind them.
        new RegExp(`(?=<${prefix}(?:sectPr|pPrChange)[\\s>]|</${prefix}pPr>$)`),
        `<${prefix}rPr>${mark}</${prefix}rPr>`,
      );
  return xml.slice(0, open) + put + xml.slice(open + properties.length);
}

/** A paragraph with our insertions out and our deletions back. */
function rejected(xml: string, prefix: string): string {
  return xml
    .replace(new RegExp(`<${prefix}ins\\s[^>]*>[\\s\\S]*?</${prefix}ins>`, "g"), "")
    .replace(new RegExp(`</?${prefix}del(?:\\s[^>]*)?>`, "g"), "")
    .replace(new RegExp(`(</?${prefix})delText`, "g"), "$1t");
}

/** A paragraph with our insertions as its own text and our deletions out. */
function accepted(xml: string, prefix: string): string {
  return xml
    .replace(new RegExp(`<${prefix}del\\s[^>]*>[\\s\\S]*?</${prefix}del>`, "g"), "")
    .replace(new RegExp(`</?${prefix}ins(?:\\s[^>]*)?>`, "g"), "");
}
