import { cardById } from "../../../../core/checks/cards.ts";
import type {
  CitationTable,
  Ghost,
  ListedEntry,
  UsePlace,
} from "../../../../core/gathered/citations.ts";
import type { PlacedMark } from "../../reported.ts";

/** A row of the list as an index: an entry, a work without one, or the place where an entry belongs. */
export type ListRow =
  | {
      kind: "entry";
      key: string;
      entry: ListedEntry;
      uses: readonly UsePlace[];
      marks: readonly PlacedMark[];
    }
  | {
      kind: "ghost";
      key: string;
      ghost: Ghost;
      uses: readonly UsePlace[];
      marks: readonly PlacedMark[];
    }
  | { kind: "slot"; key: string; reason: string; uses: readonly []; marks: readonly [] };

/** What narrows the list. */
export interface ListFilter {
  /** Rows with open marks only. */
  open: boolean;
  /** A check's id; empty for all. */
  rule: string;
  /** The title of a section in which it is used; empty for all. */
  section: string;
  /** Part of an entry's text, or of a citation's. */
  word: string;
}

export const NO_LIST_FILTER: ListFilter = { open: false, rule: "", section: "", word: "" };

/** The rows of the list in their right order, each with the open marks that are about it. */
export function listRows(table: CitationTable, open: readonly PlacedMark[]): ListRow[] {
  const own = open.filter(({ mark }) => mark.pass === "citations");
  const within = (one: PlacedMark, { from, to }: { from: number; to: number }) =>
    one.from < to && one.to > from;
  const rows: ListRow[] = [];
  const put = (before: number | null) => {
    for (const ghost of table.ghosts.filter((one) => one.before === before)) {
      const marks = own.filter((one) => ghost.uses.some((use) => within(one, use)));
      rows.push({ kind: "ghost", key: `ghost ${ghost.shown}`, ghost, uses: ghost.uses, marks });
    }
    for (const { reference, reason } of table.slots.filter((one) => one.before === before)) {
      rows.push({ kind: "slot", key: `slot ${reference}`, reason, uses: [], marks: [] });
    }
  };
  for (const entry of table.entries) {
    put(entry.reference);
    const marks = own.filter(
      (one) => within(one, entry) || entry.uses.some((use) => within(one, use)),
    );
    rows.push({ kind: "entry", key: `entry ${entry.reference}`, entry, uses: entry.uses, marks });
  }
  put(null);
  return rows;
}

/** The rows a filter leaves. */
export function filteredRows(
  rows: readonly ListRow[],
  { open, rule, section, word }: ListFilter,
  text: string,
  sectionOf: (use: UsePlace) => string,
): ListRow[] {
  const wanted = word.trim().toLowerCase();
  return rows.filter((row) => {
    if ((open || rule !== "") && row.marks.length === 0) return false;
    if (rule !== "" && !row.marks.some(({ mark }) => mark.rule === rule)) return false;
    if (section !== "" && !row.uses.some((use) => sectionOf(use) === section)) return false;
    if (wanted === "") return true;
    if (row.kind === "slot") return row.reason.toLowerCase().includes(wanted);
    const own = row.kind === "entry" ? text.slice(row.entry.from, row.entry.to) : row.ghost.shown;
    return own.toLowerCase().includes(wanted);
  });
}

/** How many open marks each check has among the rows, by its title. */
export function troubles(
  rows: readonly ListRow[],
): { rule: string; title: string; marks: number }[] {
  const counts = new Map<string, Set<string>>();
  for (const { marks } of rows) {
    for (const { mark, from } of marks) {
      const known = counts.get(mark.rule) ?? new Set<string>();
      known.add(`${mark.id} ${from}`);
      counts.set(mark.rule, known);
    }
  }
  return [...counts].map(([rule, marks]) => ({
    rule,
    title: cardById(rule)?.title ?? rule,
    marks: marks.size,
  }));
}

/** What stands at the left of a row, in a word or two. */
export function rowLabel(row: ListRow): { first: string; second: string; isOpen: boolean } {
  if (row.kind === "slot") return { first: "", second: "", isOpen: false };
  const times = row.uses.length;
  const cited = times === 0 ? "never cited" : times === 1 ? "cited once" : `${times} times`;
  if (row.kind === "ghost") return { first: "no entry", second: cited, isOpen: true };
  const isNear = row.uses.some(({ tie }) => tie !== "tied");
  if (isNear) return { first: "nearly tied", second: cited, isOpen: true };
  return { first: cited, second: "", isOpen: times === 0 };
}

/** The entries one under the other in the order they should have, as plain text. */
export function sortedList(table: CitationTable, text: string): string {
  const moved = new Map(table.slots.map(({ reference, before }) => [reference, before]));
  const kept = table.entries.filter(({ reference }) => !moved.has(reference));
  const order = [...kept.map(({ reference }) => reference)];
  for (const [reference, before] of moved) {
    const at = before === null ? order.length : order.indexOf(before);
    order.splice(at < 0 ? order.length : at, 0, reference);
  }
  return order
    .flatMap((reference) => {
      const entry = table.entries.find((one) => one.reference === reference);
      return entry ? [text.slice(entry.from, entry.to)] : [];
    })
    .join("\n");
}
