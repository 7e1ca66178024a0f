import { Cite } from "@citation-js/core";
import "@citation-js/plugin-bibtex";
import "@citation-js/plugin-ris";
import { z } from "zod";
import type { WorkType } from "../entry.ts";
import type { Maker, Work } from "../work.ts";

/** So long a text is read as records. */
const LONGEST = 2_000_000;

const nameSchema = z.object({
  family: z.string().optional(),
  given: z.string().optional(),
  literal: z.string().optional(),
  suffix: z.string().optional(),
  "non-dropping-particle": z.string().optional(),
});

const textSchema = z.union([z.string(), z.number()]).transform(String);

/** The fields of CSL-JSON that a reference is made of. */
const recordSchema = z.object({
  type: z.string().default("book"),
  title: z.string().default(""),
  author: z.array(nameSchema).default([]),
  editor: z.array(nameSchema).default([]),
  issued: z
    .object({ "date-parts": z.array(z.array(z.union([z.number(), z.string()]))).optional() })
    .optional(),
  "container-title": z.union([z.string(), z.array(z.string())]).optional(),
  volume: textSchema.optional(),
  issue: textSchema.optional(),
  page: textSchema.optional(),
  publisher: z.string().optional(),
  "publisher-place": z.string().optional(),
  edition: textSchema.optional(),
  DOI: z.string().optional(),
  URL: z.string().optional(),
});
type CslRecord = z.infer<typeof recordSchema>;

const TYPES: Readonly<Record<string, WorkType>> = {
  "article-journal": "article",
  "article-magazine": "article",
  "article-newspaper": "newspaper",
  article: "preprint",
  chapter: "chapter",
  "paper-conference": "conference",
  report: "report",
  thesis: "thesis",
  webpage: "web",
  dataset: "dataset",
  software: "software",
  motion_picture: "film",
  standard: "standard",
};

/** The works of a text in BibTeX, RIS or CSL-JSON. Throws RangeError with a sentence where it is none of them. */
export function readRecords(text: string): Work[] {
  if (text.length > LONGEST) throw new RangeError("This is too long to be read as references.");
  let records: unknown[];
  try {
    records = new Cite(text).data;
  } catch {
    throw new RangeError("This is no BibTeX, RIS or CSL-JSON that can be read.");
  }
  const works = records.flatMap((record) => {
    const parsed = recordSchema.safeParse(record);
    return parsed.success ? [workOfRecord(parsed.data)] : [];
  });
  if (works.length === 0) throw new RangeError("There is no reference in this.");
  return works;
}

function workOfRecord(record: CslRecord): Work {
  const { volume, issue, publisher, edition } = record;
  const [year] = record.issued?.["date-parts"]?.[0] ?? [];
  const [container] = [record["container-title"] ?? []].flat();
  const fields = {
    container: container && plain(container),
    volume,
    issue,
    pages: record.page?.replace(/\s?-+\s?/u, "–"),
    publisher,
    place: record["publisher-place"],
    edition,
    doi: record.DOI?.replace(/^https?:\/\/(?:dx\.)?doi\.org\//u, ""),
    url: record.URL,
  };
  return {
    type: TYPES[record.type] ?? "book",
    authors: record.author.flatMap(maker),
    editors: record.editor.flatMap(maker),
    year: year === undefined ? "n.d." : String(year),
    title: plain(record.title),
    ...(Object.fromEntries(Object.entries(fields).filter(([, value]) => value)) as Partial<Work>),
  };
}

/** A title without markup. */
function plain(text: string): string {
  return text.replaceAll(/<\/?[a-z]+[^<>]*>/gu, "");
}

function maker(name: z.infer<typeof nameSchema>): Maker[] {
  const { family, given = "", literal, suffix } = name;
  if (family) {
    const particle = name["non-dropping-particle"];
    return [
      { family: particle ? `${particle} ${family}` : family, given, ...(suffix ? { suffix } : {}) },
    ];
  }
  return literal ? [{ literal }] : [];
}
