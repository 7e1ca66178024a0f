import { readFileSync } from "node:fs";
import path from "node:path";
import CSL from "citeproc";
import type { StyleId } from "../../src/core/citations/styles/style.ts";
import type { Range } from "../../src/core/manuscript/model.ts";

/** Sets works by the published style files, as an outside ground for what is read and marked. */

const FOLDER = path.resolve(import.meta.dirname, "../fixtures/csl");

/** The published style file of each style. */
export const STYLE_FILES: Record<StyleId, string> = {
  "apa-6": "apa-6th-edition",
  "apa-7": "apa",
  "mla-9": "modern-language-association",
  "chicago-author-date": "chicago-author-date",
  "chicago-notes": "chicago-note-bibliography",
  harvard: "harvard-cite-them-right",
  vancouver: "vancouver",
  ieee: "ieee",
  "ama-11": "american-medical-association",
};

/** A work as the processor takes it: the fields of CSL-JSON, version 1.0. */
export interface CslItem {
  id: string;
  type: string;
  title?: string;
  author?: CslName[];
  editor?: CslName[];
  issued?: { "date-parts"?: number[][] };
  "container-title"?: string;
  volume?: string;
  issue?: string;
  page?: string;
  publisher?: string;
  "publisher-place"?: string;
  edition?: string | number;
  DOI?: string;
  URL?: string;
  language?: string;
  [field: string]: unknown;
}

export interface CslName {
  family?: string;
  given?: string;
  literal?: string;
  "non-dropping-particle"?: string;
  "dropping-particle"?: string;
  suffix?: string;
}

/** An entry as the processor sets a work, without markup. */
export interface SetEntry {
  item: CslItem;
  text: string;
  italics: readonly Range[];
}

/** A processor for works, whose ids are their numbers here. */
export function processorFor(
  items: readonly CslItem[],
  style: StyleId,
): { engine: InstanceType<typeof CSL.Engine>; byId: Map<string, CslItem> } {
  const byId = new Map(items.map((item, index) => [`${index}`, { ...item, id: `${index}` }]));
  const engine = new CSL.Engine(
    {
      retrieveLocale: (lang: string) =>
        readFileSync(path.join(FOLDER, `locales-${lang === "en-GB" ? lang : "en-US"}.xml`), "utf8"),
      retrieveItem: (id: string) => byId.get(id),
    },
    readFileSync(path.join(FOLDER, `${STYLE_FILES[style]}.csl`), "utf8"),
    "en-US",
  );
  engine.updateItems([...byId.keys()]);
  return { engine, byId };
}

/** The works as entries of a list, sorted as the style sorts one. */
export function setList(items: readonly CslItem[], style: StyleId): SetEntry[] {
  const { engine, byId } = processorFor(items, style);
  const [{ entry_ids: ids }, entries] = engine.makeBibliography();
  return entries.map((html, index) => {
    const item = byId.get(ids[index]?.[0] ?? "");
    if (!item) throw new Error("an entry of no record");
    return { item, ...plainText(html) };
  });
}

/** The text of an entry's markup, and what of it is italic. */
export function plainText(html: string): { text: string; italics: Range[] } {
  let text = "";
  const italics: Range[] = [];
  let open = -1;
  for (const [part] of html.trim().matchAll(/<[^>]+>|[^<]+/g)) {
    if (part === "<i>") open = text.length;
    else if (part === "</i>") {
      if (open >= 0) italics.push({ from: open, to: text.length });
      open = -1;
    } else if (/right-inline/.test(part)) text = `${text.trimEnd()} `;
    else if (!part.startsWith("<")) {
      const plain = part
        .replaceAll("&#38;", "&")
        .replaceAll("&amp;", "&")
        .replaceAll("&#60;", "<")
        .replaceAll("&#62;", ">")
        .replaceAll(/\s+/g, " ");
      text += text === "" || text.endsWith(" ") ? plain.trimStart() : plain;
    }
  }
  return { text: text.trimEnd(), italics };
}
