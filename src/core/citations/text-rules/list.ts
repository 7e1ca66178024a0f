import type { CitedDocument, Reference } from "../cited-text.ts";
import type { Entry } from "../entry.ts";
import { folded } from "../fold.ts";
import type { CitedFinding, TextRule } from "./rule.ts";

/** What an entry is sorted by: names one by one, then the year, then the title. */
interface SortKey {
  names: readonly string[];
  year: string;
  title: string;
}

function keyOf(cited: CitedDocument, at: number): SortKey {
  const entry = cited.references[at]?.entry;
  const names = cited.index.namesOf(at).map((name) => {
    const family = sortName(name.family ?? name.literal ?? "");
    return `${family} ${folded((name.given ?? "").replaceAll(/[^\p{L}]/gu, ""))}`;
  });
  const title = sortName((entry?.fields.title?.text ?? "").replace(/^(?:the|a|an)\s/iu, ""));
  return { names: names.length > 0 ? names : [`${title} `], year: yearKey(entry), title };
}

/** “Nothing before something”: spaces part words, and marks do not count. */
function sortName(name: string): string {
  return name
    .split(/[\s-]+/u)
    .map(folded)
    .join(" ");
}

/** No date first, in press last. */
function yearKey(entry: Entry | undefined): string {
  const { year, text = "" } = entry ?? {};
  if (!year) return /in press|forthcoming/iu.test(text) ? "9999" : "0000";
  return (
    `${year.value ?? (/in press|forth/iu.test(year.text) ? 9999 : 0)}`.padStart(4, "0") +
    year.suffix
  );
}

function compare(one: SortKey, other: SortKey, byYear: boolean): number {
  for (let at = 0; at < Math.max(one.names.length, other.names.length); at++) {
    const a = one.names[at];
    const b = other.names[at];
    // An author alone comes before the same author with others.
    if (a === undefined) return -1;
    if (b === undefined) return 1;
    const [familyA = "", givenA = ""] = splitKey(a);
    const [familyB = "", givenB = ""] = splitKey(b);
    if (familyA !== familyB) {
      // By some customs particles count, by others not.
      const plain = [bare(familyA), bare(familyB)] as const;
      const isEither = familyA < familyB !== plain[0] < plain[1];
      return isEither ? 0 : familyA < familyB ? -1 : 1;
    }
    if (givenA === givenB) continue;
    // Initials and a full name that begins with them may be one's or another's.
    if (givenA.startsWith(givenB) || givenB.startsWith(givenA)) return 0;
    return givenA < givenB ? -1 : 1;
  }
  if (byYear && one.year !== other.year) return one.year < other.year ? -1 : 1;
  return byYear ? 0 : one.title < other.title ? -1 : one.title > other.title ? 1 : 0;
}

function bare(family: string): string {
  return family.replace(
    /^(?:(?:van|von|der|den|de|del|della|di|da|du|la|le|ten|ter|al|el) )+/u,
    "",
  );
}

function splitKey(key: string): [string, string] {
  const at = key.lastIndexOf(" ");
  return [key.slice(0, at), key.slice(at + 1)];
}

/** The right place of an entry that is out of order. */
export interface Misplaced {
  reference: number;
  /** The entry it belongs before; null for the end of its list. */
  before: number | null;
  reason: string;
}

/** Entries out of order: the fewest that must move (the others are the longest run in order). */
export function misplacedEntries(cited: CitedDocument): Misplaced[] {
  const { lists, references, style } = cited;
  if (style.order !== "alphabetical") return [];
  const byYear = style.inText.system === "author-date";
  return lists.flatMap((_, list) => {
    const own = references.flatMap((reference, at) => (reference.list === list ? [at] : []));
    const keys = new Map(own.map((at) => [at, keyOf(cited, at)]));
    const order = (a: number, b: number) =>
      compare(keys.get(a) ?? NO_KEY, keys.get(b) ?? NO_KEY, byYear);
    const kept = longestRun(own, order);
    return own
      .filter((at) => !kept.has(at))
      .sort(order)
      .map((at) => {
        const before = own.find((other) => kept.has(other) && order(at, other) < 0) ?? null;
        return { reference: at, before, reason: reasonOf(cited, at, before, keys) };
      });
  });
}

/** The entries of each list in their right order, and which of them must move for it. */
export function sortedEntries(cited: CitedDocument): { order: number[]; moved: number[] }[] {
  const misplaced = misplacedEntries(cited);
  return cited.lists.map((_, list) => {
    const moved = misplaced.filter(({ reference }) => cited.references[reference]?.list === list);
    const gone = new Set(moved.map(({ reference }) => reference));
    const order = cited.references.flatMap((one, at) =>
      one.list === list && !gone.has(at) ? [at] : [],
    );
    for (const { reference, before } of moved) {
      order.splice(before === null ? order.length : order.indexOf(before), 0, reference);
    }
    return { order, moved: moved.map(({ reference }) => reference) };
  });
}

const NO_KEY: SortKey = { names: [], year: "", title: "" };

function reasonOf(
  cited: CitedDocument,
  at: number,
  before: number | null,
  keys: ReadonlyMap<number, SortKey>,
): string {
  const shown = cited.index.shown(at);
  if (before === null) return `“${shown}” belongs at the end of the list.`;
  const own = keys.get(at) ?? NO_KEY;
  const other = keys.get(before) ?? NO_KEY;
  const why =
    own.names[0] === other.names[0] && own.names.length === 1 && other.names.length > 1
      ? ": an author alone comes before the same author with others"
      : own.names.join() === other.names.join()
        ? ": the earlier year comes first"
        : "";
  return `“${shown}” belongs before “${cited.index.shown(before)}”${why}.`;
}

/** The entry of the first list before which names would be sorted; null for the end. */
export function compareEntries(cited: CitedDocument, names: string): number | null {
  const { references } = cited;
  if (cited.style.order !== "alphabetical") return null;
  const own: SortKey = { names: [`${sortName(names)} `], year: "", title: "" };
  const at = references.findIndex(
    (reference, index) => reference.list === 0 && compare(own, keyOf(cited, index), false) < 0,
  );
  return at < 0 ? null : at;
}

/** The longest run of members that are in order (patience sorting, with the members before each). */
function longestRun(all: readonly number[], order: (a: number, b: number) => number): Set<number> {
  const tails: number[] = [];
  const before = new Map<number, number | undefined>();
  for (const one of all) {
    let low = 0;
    let high = tails.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      const tail = tails[middle];
      if (tail !== undefined && order(tail, one) <= 0) low = middle + 1;
      else high = middle;
    }
    before.set(one, low > 0 ? tails[low - 1] : undefined);
    tails[low] = one;
  }
  const kept = new Set<number>();
  for (let at = tails.at(-1); at !== undefined; at = before.get(at)) kept.add(at);
  return kept;
}

function heads({ place, entry }: Reference): { from: number; to: number } {
  const to = place.from + (entry.authors?.to ?? Math.min(entry.text.length, 40));
  return { from: place.from, to: Math.min(place.to, Math.max(to, place.from + 1)) };
}

/** What is found of lists alone, kept for as long as they are as they were. */
function onceAList(find: TextRule): TextRule {
  const known = new WeakMap<CitedDocument["references"], CitedFinding[]>();
  return (cited) => {
    const found = known.get(cited.references) ?? find(cited);
    known.set(cited.references, found);
    return found;
  };
}

/** Entries out of order. */
export const listOrder: TextRule = onceAList((cited) =>
  misplacedEntries(cited).flatMap(({ reference, reason }): CitedFinding[] => {
    const found = cited.references[reference];
    return found
      ? [{ block: found.place.block, ...heads(found), reason, choices: [], reference }]
      : [];
  }),
);

/** Two entries of one work. */
export const duplicateEntry: TextRule = onceAList((cited) => {
  const seen = new Map<string, number>();
  const found: CitedFinding[] = [];
  for (const [at, reference] of cited.references.entries()) {
    const { entry, list, place } = reference;
    const doi = entry.fields.doi?.text.toLowerCase();
    const title = folded(entry.fields.title?.text ?? "");
    const [first] = cited.index.namesOf(at);
    const name = folded(first?.family ?? first?.literal ?? "");
    const keys = [
      ...(doi ? [`${list} doi ${doi}`] : []),
      ...(title.length > 12
        ? [
            `${list} ${name} ${title} ${entry.year?.value ?? ""} ${folded(entry.fields.container?.text ?? "")} ${entry.fields.volume?.text ?? ""} ${entry.fields.pages?.text ?? ""}`,
          ]
        : []),
    ];
    const twin = keys.map((key) => seen.get(key)).find((one) => one !== undefined);
    for (const key of keys) if (!seen.has(key)) seen.set(key, at);
    if (twin === undefined) continue;
    const other = cited.references[twin]?.entry;
    // Parts of one work under one title differ in their letters and pages, not in identifiers.
    if (other && other.year?.suffix !== entry.year?.suffix && !doi) continue;
    found.push({
      block: place.block,
      ...heads(reference),
      reason: `“${cited.index.shown(at)}” is in the list twice.`,
      choices: [],
      reference: at,
    });
  }
  return found;
});
