import type { ReactNode } from "react";
import type { Pass } from "../../core/checks/card.ts";
import { PASS_LABELS, VARIETY_LABELS } from "../../core/report/words.ts";
import type { ShelfRecord } from "../../store/shelf.ts";
import { figure, when } from "../parts/words.ts";

/** The columns of the shelf beside title and kind: what each shows, sorts by and adds up to. */

export const COLUMN_IDS = [
  "words",
  "marks",
  "decided",
  "grade",
  "overlap",
  "run",
  "addedAt",
  "variety",
] as const;
export type ColumnId = (typeof COLUMN_IDS)[number];

/** Those shown until the person chooses others. */
export const USUAL_COLUMNS: readonly ColumnId[] = ["words", "marks", "grade", "overlap", "run"];

export interface Column {
  id: ColumnId;
  label: string;
  numeric?: boolean;
  value(record: ShelfRecord): string | number;
  cell(record: ShelfRecord): ReactNode;
  /** What the column comes to over these documents; null where that says nothing. */
  total(records: readonly ShelfRecord[]): ReactNode;
}

function sum(records: readonly ShelfRecord[], of: (run: Run) => number): number {
  return records.reduce((total, { run }) => total + (run ? of(run) : 0), 0);
}

type Run = NonNullable<ShelfRecord["run"]>;

export const COLUMNS: readonly Column[] = [
  {
    id: "words",
    label: "Words",
    numeric: true,
    value: ({ run }) => run?.words ?? -1,
    cell: ({ run }) => (run ? figure(run.words) : "–"),
    total: (records) => figure(sum(records, ({ words }) => words)),
  },
  {
    id: "marks",
    label: "Open marks",
    value: ({ run }) => (run ? run.fix + run.settle + run.weigh : -1),
    cell: ({ run }) => <OpenMarks run={run} />,
    total: (records) => (
      <Weights
        fix={sum(records, ({ fix }) => fix)}
        settle={sum(records, ({ settle }) => settle)}
        weigh={sum(records, ({ weigh }) => weigh)}
      />
    ),
  },
  {
    id: "decided",
    label: "Decided",
    numeric: true,
    value: ({ run }) => run?.decided ?? -1,
    cell: ({ run }) => (run ? figure(run.decided) : "–"),
    total: (records) => figure(sum(records, ({ decided }) => decided)),
  },
  {
    id: "grade",
    label: "Grade",
    numeric: true,
    value: ({ run }) => run?.grade ?? -1,
    cell: ({ run }) => run?.grade?.toFixed(1) ?? "–",
    total: (records) => {
      const grades = records.flatMap(({ run }) => (run?.grade == null ? [] : [run.grade]));
      if (grades.length === 0) return null;
      return `${Math.min(...grades).toFixed(1)} to ${Math.max(...grades).toFixed(1)}`;
    },
  },
  {
    id: "overlap",
    label: "Overlap",
    numeric: true,
    value: ({ run }) => run?.overlap ?? -1,
    cell: ({ run }) => (run?.overlap == null ? "–" : `${(run.overlap * 100).toFixed(1)}%`),
    total: () => null,
  },
  {
    id: "run",
    label: "Last run",
    value: ({ run }) => run?.at ?? "",
    cell: ({ run }) => <span className="whitespace-nowrap">{run ? when(run.at) : "–"}</span>,
    total: () => null,
  },
  {
    id: "addedAt",
    label: "On the shelf since",
    value: ({ addedAt }) => addedAt,
    cell: ({ addedAt }) => <span className="whitespace-nowrap">{when(addedAt)}</span>,
    total: () => null,
  },
  {
    id: "variety",
    label: "Variety",
    value: ({ variety }) => VARIETY_LABELS[variety],
    cell: ({ variety }) => <span className="whitespace-nowrap">{VARIETY_LABELS[variety]}</span>,
    total: () => null,
  },
];

/** What the person chose, in the columns' own order; words that name none are passed over. */
export function chosenColumns(ids: readonly string[] | null): readonly Column[] {
  const wanted = ids ?? USUAL_COLUMNS;
  return COLUMNS.filter(({ id }) => wanted.includes(id));
}

const WEIGHTS = [
  { weight: "fix", rule: "rule-fix", label: "to fix" },
  { weight: "settle", rule: "rule-settle", label: "to settle" },
  { weight: "weigh", rule: "rule-weigh", label: "to weigh" },
] as const;

function OpenMarks({ run }: { run: ShelfRecord["run"] }) {
  if (!run) return <span className="text-soft">not run yet</span>;
  const open = run.fix + run.settle + run.weigh;
  return (
    <>
      {open === 0 ? (
        <span className="text-soft">none open, {figure(run.decided)} decided</span>
      ) : (
        <Weights {...run} />
      )}
      {run.unread.length > 0 ? (
        <span className="block text-[13px] text-soft">{unreadLabel(run.unread)}</span>
      ) : null}
    </>
  );
}

function unreadLabel(unread: readonly Pass[]): string {
  const names = unread.map((pass) => PASS_LABELS[pass].toLowerCase());
  return `not read yet: ${names.join(", ")}`;
}

function Weights(counts: Pick<Run, "fix" | "settle" | "weigh">) {
  return (
    <span className="inline-flex gap-3">
      {WEIGHTS.filter(({ weight }) => counts[weight] > 0).map(({ weight, rule, label }) => (
        <span key={weight} className="inline-flex items-baseline gap-1.5" title={label}>
          <i className={rule} />
          {figure(counts[weight])}
          <span className="sr-only">{label}</span>
        </span>
      ))}
    </span>
  );
}
