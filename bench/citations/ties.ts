import { loadLanguage } from "../../src/command/checking.ts";
import {
  type CitedDocument,
  type ReadableBlock,
  readCitedDocument,
} from "../../src/core/citations/cited-text.ts";
import { reviewCitations } from "../../src/core/citations/review-citations.ts";
import { STYLE_IDS } from "../../src/core/citations/styles/style.ts";
import { seeded } from "../../test/support/random.ts";
import { type Article, makeArticle } from "./articles.ts";
import { realRecords } from "./records.ts";
import { TEXT_FAULTS } from "./text-faults.ts";

const WORKS = 24;
const ARTICLES = 8;

/** An article as blocks, with its list under a heading. */
export function blocksOf({ paragraphs, entries, style }: Article): ReadableBlock[] {
  const block = (text: string, kind: ReadableBlock["kind"] = "paragraph"): ReadableBlock => ({
    text: text.replaceAll("\u0001", ""),
    kind,
    story: "body",
    section: 1,
    spans: style === "ama-11" ? raised(text) : [],
  });
  return [
    block("Soundings at Gannet Head", "heading"),
    ...paragraphs.map((text) => block(text)),
    block("References", "heading"),
    ...entries.map((text) => block(text)),
  ];
}

/** Numbers behind a letter or a stop are superscripts in that style. */
function raised(text: string): { kind: "superscript"; from: number; to: number }[] {
  return [...text.matchAll(/(?<=\p{L}[.,]?)\d{1,3}(?:[,–-]\d{1,3})*/gu)].map((one) => ({
    kind: "superscript",
    from: one.index,
    to: one.index + one[0].length,
  }));
}

export function makeArticles(part: "tune" | "test"): Article[] {
  const records = realRecords(part).filter(({ author }) => author);
  return STYLE_IDS.filter((id) => id !== "chicago-notes").flatMap((style) =>
    Array.from({ length: ARTICLES }, (_, at) => {
      const random = seeded(at + 1);
      const items = Array.from(
        { length: WORKS },
        () => records[Math.floor(random() * records.length)],
      ).filter((item, index, all) => item && all.indexOf(item) === index);
      return makeArticle(items as typeof records, style, at + 1);
    }),
  );
}

/** Citations found and tied in clean articles, marks there, and planted faults found. */
export function benchTies(part: "tune" | "test", show = ""): void {
  const articles = makeArticles(part);
  const { lexicon } = loadLanguage();
  const isWord = (word: string) => lexicon.varieties(word) > 0;
  const totals = { works: 0, found: 0, tied: 0, marks: 0 };
  const faults = new Map<string, [number, number]>();
  console.log(`\nCitations of ${articles.length} articles of ${WORKS} works`);
  for (const id of STYLE_IDS) {
    const own = articles.filter(({ style }) => style === id);
    if (own.length === 0) continue;
    const sums = { works: 0, found: 0, tied: 0, marks: 0 };
    const planted = { all: 0, found: 0 };
    for (const [at, article] of own.entries()) {
      const document = readCitedDocument(blocksOf(article), { style: id, isWord, thisYear: 2026 });
      const found = compare(article, document, show === `${id}:ties`);
      const marks = reviewCitations(document);
      sums.works += found.works;
      sums.found += found.found;
      sums.tied += found.tied;
      sums.marks += marks.length;
      if (show === `${id}:clean`)
        for (const mark of marks)
          console.log(
            `    ${mark.rule} “${document.blocks[mark.block]?.text.slice(mark.from, mark.to)}” ${mark.reason}`,
          );
      for (const [name, fault] of Object.entries(TEXT_FAULTS)) {
        const faulty = fault(article, seeded(at * 31 + 7));
        if (!faulty) continue;
        const after = reviewCitations(
          readCitedDocument(blocksOf(faulty), { style: id, isWord, thisYear: 2026 }),
        );
        const key = (one: (typeof after)[number]) => `${one.rule} ${one.reason}`;
        const before = new Set(marks.map(key));
        const isFound = after.some((one) => !before.has(key(one))) || after.length > marks.length;
        const [right, all] = faults.get(name) ?? [0, 0];
        faults.set(name, [right + (isFound ? 1 : 0), all + 1]);
        planted.all++;
        if (isFound) planted.found++;
        else if (show === `faults:${name}`) console.log(`    ${id} ${faulty.told}`);
      }
    }
    for (const key of ["works", "found", "tied", "marks"] as const) totals[key] += sums[key];
    console.log(
      `  ${id.padEnd(20)} found ${percent(sums.found, sums.works)}, tied ${percent(sums.tied, sums.works)} of ${sums.works}; marks an article ${(sums.marks / own.length).toFixed(2)}; faults found ${percent(planted.found, planted.all)} of ${planted.all}`,
    );
  }
  const [found, all] = [...faults.values()].reduce(([a, b], [c, d]) => [a + c, b + d], [0, 0]);
  console.log(
    `  all: found ${percent(totals.found, totals.works)} (99.5), tied ${percent(totals.tied, totals.works)} (99.5), marks an article ${(totals.marks / articles.length).toFixed(2)} (0.5), faults ${percent(found, all)} (97)`,
  );
  console.log(`  ${[...faults].map(([name, [right, of]]) => `${name} ${right}/${of}`).join(", ")}`);
}

function percent(part: number, whole: number): string {
  return `${((part / Math.max(1, whole)) * 100).toFixed(1)}%`;
}

/** How many cited works are found at their place, and tied to their entry. */
function compare(
  article: Article,
  document: CitedDocument,
  show: boolean,
): { works: number; found: number; tied: number } {
  let works = 0;
  let found = 0;
  let tied = 0;
  for (const truth of article.citations) {
    const here = document.citations.filter(
      ({ block, citation }) =>
        block === truth.paragraph + 1 && citation.from < truth.to && citation.to > truth.from,
    );
    const items = here.flatMap((one) => one.items);
    const got = items.map((one) => one.tied.reference ?? -1);
    works += truth.works.length;
    found += Math.min(items.length, truth.works.length);
    const right = truth.works.filter((work) => got.includes(work)).length;
    tied += right;
    if (show && right < truth.works.length) {
      console.log(
        `    ${truth.text} -> ${items.map((one) => `${one.tied.tie} ${one.item.names.map((name) => name.text).join("+")}`).join(", ") || "not found"}; want ${truth.works.map((work) => article.entries[work]?.slice(0, 60)).join(" | ")}`,
      );
    }
  }
  return { works, found, tied };
}
