import { strToU8, zipSync } from "fflate";

const MAIN = "http://schemas.openxmlformats.org/spreadsheetml/2006/main";
const RELATIONS = "http://schemas.openxmlformats.org/officeDocument/2006/relationships";

/** A minimal .xlsx of one cell that shows a shared string, given as XML text. */
export function workbook(string: string, encoding: "utf-8" | "utf-16" = "utf-8"): Uint8Array {
  const strings = `<?xml version="1.0" encoding="${encoding.toUpperCase()}"?><sst xmlns="${MAIN}" count="1" uniqueCount="1"><si><t xml:space="preserve">${string}</t></si></sst>`;
  const relation = (id: string, type: string, target: string) =>
    `<Relationship Id="${id}" Type="${RELATIONS}/${type}" Target="${target}"/>`;
  const relations = (inner: string) =>
    `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">${inner}</Relationships>`;
  return zipSync({
    "[Content_Types].xml": strToU8(
      '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="xml" ContentType="application/xml"/></Types>',
    ),
    "_rels/.rels": strToU8(relations(relation("a", "officeDocument", "xl/workbook.xml"))),
    "xl/workbook.xml": strToU8(
      `<workbook xmlns="${MAIN}" xmlns:r="${RELATIONS}"><sheets><sheet name="Log" sheetId="1" r:id="s"/></sheets></workbook>`,
    ),
    "xl/_rels/workbook.xml.rels": strToU8(
      relations(
        relation("s", "worksheet", "worksheets/sheet1.xml") +
          relation("t", "sharedStrings", "sharedStrings.xml"),
      ),
    ),
    "xl/worksheets/sheet1.xml": strToU8(
      `<worksheet xmlns="${MAIN}"><sheetData><row r="1"><c r="A1" t="s"><v>0</v></c></row></sheetData></worksheet>`,
    ),
    "xl/sharedStrings.xml":
      encoding === "utf-8"
        ? strToU8(strings)
        : new Uint8Array(Buffer.from(`\ufeff${strings}`, "utf16le")),
  });
}
