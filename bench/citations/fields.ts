import type { Entry } from "../../src/core/citations/entry.ts";
import { readEntry } from "../../src/core/citations/read-entry.ts";
import { STYLE_IDS, type StyleId } from "../../src/core/citations/styles/style.ts";
import { styleOf } from "../../src/core/citations/styles/styles.ts";
import type { CslItem, SetEntry } from "../../test/support/csl.ts";
import { realRecords } from "./records.ts";
import { setEntries } from "./set.ts";

const PARTS = ["authors", "year", "title", "container", "numbers", "doi"] as const;
type Part = (typeof PARTS)[number];
/** Shares of entries whose part is read right, over all styles, that are aimed at. */
const GOALS: Record<Part, number> = {
  authors: 95,
  year: 99.5,
  title: 95,
  container: 95,
  numbers: 97,
  doi: 99.5,
};

/** How often each part of an entry is read right, by style, on records set by the processor. */
export function benchFields(part: "tune" | "test", show = ""): void {
  const records = realRecords(part);
  const totals = new Map<Part, [number, number]>();
  console.log(`\nFields of ${records.length} real records, right in percent`);
  console.log(`  ${"style".padEnd(20)}${PARTS.map((one) => one.padStart(11)).join("")}`);
  for (const id of STYLE_IDS) {
    const counts = countStyle(id, setEntries(records, id), show);
    for (const one of PARTS) {
      const [right, all] = totals.get(one) ?? [0, 0];
      const [r = 0, a = 0] = counts.get(one) ?? [];
      totals.set(one, [right + r, all + a]);
    }
    console.log(`  ${id.padEnd(20)}${PARTS.map((one) => percent(counts.get(one))).join("")}`);
  }
  console.log(`  ${"all".padEnd(20)}${PARTS.map((one) => percent(totals.get(one))).join("")}`);
  console.log(
    `  ${"goal".padEnd(20)}${PARTS.map((one) => GOALS[one].toFixed(1).padStart(11)).join("")}`,
  );
}

function percent(counts: [number, number] | undefined): string {
  const [right = 0, all = 0] = counts ?? [];
  return (all ? ((right / all) * 100).toFixed(1) : "-").padStart(11);
}

function countStyle(
  id: StyleId,
  entries: readonly SetEntry[],
  show: string,
): Map<Part, [number, number]> {
  const counts = new Map<Part, [number, number]>();
  let before: CslItem | null = null;
  for (const { item, text, italics } of entries) {
    const read = readEntry(text, styleOf(id), process.env["NO_ITALICS"] ? [] : italics);
    for (const part of PARTS) {
      const verdict = compare(part, item, read, before);
      if (!verdict) continue;
      const [right, all] = counts.get(part) ?? [0, 0];
      counts.set(part, [right + (verdict.right ? 1 : 0), all + 1]);
      if (!verdict.right && show === `${id}:${part}`) {
        console.log(`    ${text}\n      want ${verdict.want}\n      got  ${verdict.got}`);
      }
    }
    before = item;
  }
  return counts;
}

interface Verdict {
  right: boolean;
  want: string;
  got: string;
}

const plain = (text: string) =>
  text
    .normalize("NFKD")
    .replaceAll(/[\u0300-\u036f]/g, "")
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, " ")
    .trim();

function verdict(want: string, got: string): Verdict {
  return { right: plain(want) === plain(got), want, got };
}

/** What a part should be and is; null where the entry has none, or sets another in its place. */
function compare(part: Part, item: CslItem, read: Entry, before: CslItem | null): Verdict | null {
  if (part === "authors") {
    if (!item.author) return null;
    if (read.repeated) return verdict(familyOf(before?.author?.[0]), familyOf(before?.author?.[0]));
    const shown = read.authors?.names.length ?? 0;
    const want = item.author.slice(0, Math.max(1, shown)).map(familyOf);
    // Behind dots the last name stands.
    if (read.authors?.ellipsis && shown > 1) want[shown - 1] = familyOf(item.author.at(-1));
    // Some styles set a particle behind the given names.
    const particle = /\s((?:de|van|von|der|den|del|la|di)(?:\s\p{Ll}+)*)$/u;
    const got =
      read.authors?.names.map(({ family, given, literal }) =>
        family
          ? [particle.exec(given ?? "")?.[1], family].filter(Boolean).join(" ")
          : (literal ?? ""),
      ) ?? [];
    const complete =
      read.authors?.etAl || read.authors?.ellipsis || got.length === item.author.length;
    return { ...verdict(want.join("; "), got.join("; ")), ...(complete ? {} : { right: false }) };
  }
  if (part === "year")
    return verdict(`${item.issued?.["date-parts"]?.[0]?.[0]}`, read.year?.text.split("–")[0] ?? "");
  if (part === "title") return verdict(item.title ?? "", read.fields.title?.text ?? "");
  if (part === "doi")
    return item.DOI && read.text.includes(item.DOI)
      ? verdict(item.DOI, read.fields.doi?.text ?? "")
      : null;
  if (part === "container") {
    const container = item["container-title"];
    if (!container || !plain(read.text).includes(plain(container))) return null;
    return verdict(container, read.fields.container?.text ?? "");
  }
  if (!item.type.startsWith("article") || !(item.volume || item.issue || item.page)) return null;
  const want = [item.volume, item.issue, firstPage(item.page)].map((one) => one ?? "-").join(" / ");
  const { volume, issue, pages } = read.fields;
  const got = [volume?.text, issue?.text, firstPage(pages?.text)]
    .map((one) => one ?? "-")
    .join(" / ");
  return { right: plain(want) === plain(got), want, got };
}

function familyOf(name: NonNullable<CslItem["author"]>[number] | undefined): string {
  if (!name) return "";
  if (name.literal) return name.literal;
  // What stands behind a name is told by itself.
  const family = name.family?.replace(/,? Jr\.?$/, "");
  return [name["non-dropping-particle"], family].filter(Boolean).join(" ");
}

function firstPage(pages: string | undefined): string | undefined {
  return pages?.split(/[–-]/)[0];
}
