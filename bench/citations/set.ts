import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import CSL from "citeproc";
import type { StyleId } from "../../src/core/citations/styles/style.ts";
import type { Range } from "../../src/core/manuscript/model.ts";
import { type CslItem, recordsFolder } from "./records.ts";

/** The published style file of each style. */
const FILES: Record<StyleId, string> = {
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

/** An entry as the processor sets a record, without markup. */
export interface SetEntry {
  item: CslItem;
  text: string;
  italics: readonly Range[];
}

/** Records set in a style by the processor, sorted as the style sorts a list; kept on disk, for it is slow. */
export function setEntries(items: readonly CslItem[], style: StyleId): SetEntry[] {
  const folder = path.join(recordsFolder(), "..", "set");
  mkdirSync(folder, { recursive: true });
  const key = createHash("sha1")
    .update(`2 ${style} ${JSON.stringify(items)}`)
    .digest("hex");
  const file = path.join(folder, `${key}.json`);
  if (existsSync(file)) return JSON.parse(readFileSync(file, "utf8"));
  const made = process(items, style);
  writeFileSync(file, JSON.stringify(made));
  return made;
}

/** A processor for records, whose ids are their numbers here. */
export function processorFor(
  items: readonly CslItem[],
  style: StyleId,
): { engine: InstanceType<typeof CSL.Engine>; byId: Map<string, CslItem> } {
  const share = path.join(recordsFolder(), "share/citation-style-language");
  const byId = new Map(items.map((item, index) => [`${index}`, { ...item, id: `${index}` }]));
  const engine = new CSL.Engine(
    {
      retrieveLocale: (lang: string) =>
        readFileSync(path.join(share, "locales", `locales-${lang}.xml`), "utf8"),
      retrieveItem: (id: string) => byId.get(id),
    },
    readFileSync(path.join(share, "styles", `${FILES[style]}.csl`), "utf8"),
    "en-US",
  );
  engine.updateItems([...byId.keys()]);
  return { engine, byId };
}

function process(items: readonly CslItem[], style: StyleId): SetEntry[] {
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
