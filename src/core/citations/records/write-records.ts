import type { Maker, Work } from "../work.ts";

const CSL_TYPES: Readonly<Partial<Record<Work["type"], string>>> = {
  article: "article-journal",
  newspaper: "article-newspaper",
  preprint: "article",
  chapter: "chapter",
  conference: "paper-conference",
  report: "report",
  thesis: "thesis",
  web: "webpage",
  dataset: "dataset",
  software: "software",
  film: "motion_picture",
  standard: "standard",
};

/** Works as CSL-JSON, version 1.0. */
export function writeCslJson(works: readonly Work[]): string {
  const records = works.map((work, at) => ({
    id: keyOf(work, at),
    type: CSL_TYPES[work.type] ?? "book",
    title: work.title,
    author: work.authors,
    ...(work.editors?.length ? { editor: work.editors } : {}),
    ...(/^\d{4}/u.test(work.year)
      ? { issued: { "date-parts": [[Number.parseInt(work.year, 10)]] } }
      : {}),
    ...present({
      "container-title": work.container,
      volume: work.volume,
      issue: work.issue,
      page: work.pages?.replace("–", "-"),
      publisher: work.publisher,
      "publisher-place": work.place,
      edition: work.edition,
      DOI: work.doi,
      URL: work.url,
    }),
  }));
  return `${JSON.stringify(records, null, 2)}\n`;
}

const BIB_TYPES: Readonly<Partial<Record<Work["type"], string>>> = {
  article: "article",
  newspaper: "article",
  chapter: "incollection",
  conference: "inproceedings",
  report: "techreport",
  thesis: "phdthesis",
  web: "misc",
};

/** Works as BibTeX. */
export function writeBibtex(works: readonly Work[]): string {
  return works
    .map((work, at) => {
      const type = BIB_TYPES[work.type] ?? "book";
      const fields = present({
        author: bibNames(work.authors),
        editor: bibNames(work.editors ?? []),
        title: `{${work.title}}`,
        [type === "article" ? "journal" : "booktitle"]: work.container,
        year: /^\d{4}/u.exec(work.year)?.[0],
        volume: work.volume,
        number: work.issue,
        pages: work.pages?.replace("–", "--"),
        publisher: work.publisher,
        address: work.place,
        edition: work.edition,
        doi: work.doi,
        url: work.url,
      });
      const lines = Object.entries(fields).map(([name, value]) => `  ${name} = {${value}},`);
      return [`@${type}{${keyOf(work, at)},`, ...lines, "}"].join("\n");
    })
    .join("\n\n")
    .concat("\n");
}

const RIS_TYPES: Readonly<Partial<Record<Work["type"], string>>> = {
  article: "JOUR",
  newspaper: "NEWS",
  chapter: "CHAP",
  conference: "CONF",
  report: "RPRT",
  thesis: "THES",
  web: "ELEC",
  dataset: "DATA",
};

/** Works as RIS. */
export function writeRis(works: readonly Work[]): string {
  return works
    .map((work) => {
      const [first, last] = work.pages?.split("–") ?? [];
      const tags: [string, string | undefined][] = [
        ["TY", RIS_TYPES[work.type] ?? "BOOK"],
        ...work.authors.map((one): [string, string] => ["AU", risName(one)]),
        ...(work.editors ?? []).map((one): [string, string] => ["ED", risName(one)]),
        ["TI", work.title],
        [work.type === "article" ? "JO" : "T2", work.container],
        ["PY", /^\d{4}/u.exec(work.year)?.[0]],
        ["VL", work.volume],
        ["IS", work.issue],
        ["SP", first],
        ["EP", last],
        ["PB", work.publisher],
        ["CY", work.place],
        ["ET", work.edition],
        ["DO", work.doi],
        ["UR", work.url],
      ];
      const lines = tags.flatMap(([tag, value]) => (value ? [`${tag}  - ${value}`] : []));
      return [...lines, "ER  - "].join("\n");
    })
    .join("\n\n")
    .concat("\n");
}

function bibNames(makers: readonly Maker[]): string | undefined {
  if (makers.length === 0) return undefined;
  return makers
    .map((one) => ("literal" in one ? `{${one.literal}}` : `${one.family}, ${one.given}`))
    .join(" and ");
}

function risName(maker: Maker): string {
  return "literal" in maker ? maker.literal : `${maker.family}, ${maker.given}`;
}

/** A key by first author and year, told apart by the place in the list. */
function keyOf({ authors: [first], year }: Work, at: number): string {
  const name = first ? ("literal" in first ? first.literal : first.family) : "work";
  return `${name.replaceAll(/[^\p{L}]/gu, "").toLowerCase()}${/^\d{4}/u.exec(year)?.[0] ?? ""}-${at + 1}`;
}

function present(fields: Record<string, string | undefined>): Record<string, string> {
  return Object.fromEntries(
    Object.entries(fields).filter((entry): entry is [string, string] => Boolean(entry[1])),
  );
}
