import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";

const NAMESPACE = "http://schemas.openxmlformats.org/wordprocessingml/2006/main";

/** A minimal .docx around the XML of its body; other parts by their name in word/. */
export function docx(body: string, parts: Record<string, string> = {}): Uint8Array {
  const word = (root: string, inner: string) =>
    `<?xml version="1.0" encoding="UTF-8"?><w:${root} xmlns:w="${NAMESPACE}">${inner}</w:${root}>`;
  const relations = Object.keys(parts)
    .map(
      (name, index) =>
        `<Relationship Id="r${index}" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/${name.replace(/\d/g, "")}" Target="${name}.xml"/>`,
    )
    .join("");
  const files: Record<string, string> = {
    "[Content_Types].xml":
      '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="xml" ContentType="application/xml"/></Types>',
    "_rels/.rels":
      '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="a" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="word/document.xml"/></Relationships>',
    "word/document.xml": word("document", `<w:body>${body}</w:body>`),
    "word/_rels/document.xml.rels": `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">${relations}</Relationships>`,
  };
  for (const [name, inner] of Object.entries(parts)) {
    files[`word/${name}.xml`] = word(name.replace(/\d/g, "") === "header" ? "hdr" : name, inner);
  }
  return zipSync(
    Object.fromEntries(Object.entries(files).map(([name, text]) => [name, strToU8(text)])),
  );
}

/** A paragraph of plain runs. */
export function paragraph(...runs: string[]): string {
  return `<w:p>${runs.map((text) => `<w:r><w:t xml:space="preserve">${text}</w:t></w:r>`).join("")}</w:p>`;
}

/** The XML of a part. */
export function partOf(bytes: Uint8Array, name: string): string {
  const data = unzipSync(bytes)[name];
  if (!data) throw new Error(`no ${name}`);
  return strFromU8(data);
}
