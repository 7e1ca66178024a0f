import Ellipsis from "lucide-react/icons/ellipsis";
import { DropdownMenu } from "radix-ui";
import type { Pass } from "../../core/checks/card.ts";
import { KINDS, type Kind } from "../../core/manuscript/model.ts";
import { readOriginal, type ShelfRecord } from "../../store/shelf.ts";
import { saveFile } from "../parts/save-file.ts";
import { figure, KIND_LABELS, PASS_LABELS, when } from "../parts/words.ts";

/** What the table is sorted by. */
export interface Sorting {
  by: "title" | "kind" | "words" | "marks" | "run" | "addedAt";
  down: boolean;
}

interface ShelfTableProps {
  records: readonly ShelfRecord[];
  /** The document being read for the first time, and how far. */
  running: { id: string; share: number } | null;
  sorting: Sorting;
  onSort: (sorting: Sorting) => void;
  onKind: (record: ShelfRecord, kind: Kind) => void;
  onRename: (record: ShelfRecord) => void;
  onDelete: (record: ShelfRecord) => void;
}

const COLUMNS: { by: Sorting["by"]; label: string; numeric?: boolean }[] = [
  { by: "title", label: "Title" },
  { by: "kind", label: "Kind" },
  { by: "words", label: "Words", numeric: true },
  { by: "marks", label: "Open marks" },
  { by: "run", label: "Last run" },
];

/** The shelf as a table; each heading sorts by its column. */
export function ShelfTable(props: ShelfTableProps) {
  const { records, running, sorting, onSort } = props;
  return (
    <table className="w-full border-collapse border-t border-ink bg-sheet">
      <thead>
        <tr className="border-b border-rule text-left text-xs text-soft">
          {COLUMNS.map(({ by, label, numeric }) => (
            <th
              key={by}
              scope="col"
              className={`px-3.5 py-2 font-semibold ${numeric ? "text-right" : ""}`}
              aria-sort={sorting.by === by ? (sorting.down ? "descending" : "ascending") : "none"}
            >
              <button
                type="button"
                onClick={() => onSort({ by, down: sorting.by === by ? !sorting.down : false })}
              >
                {label}
                {sorting.by === by ? (sorting.down ? " ↓" : " ↑") : ""}
              </button>
            </th>
          ))}
          <th scope="col" className="px-3.5 py-2">
            <span className="sr-only">Go on</span>
          </th>
          <th scope="col" className="w-10">
            <span className="sr-only">More</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {records.map((record) => (
          <Row
            key={record.id}
            record={record}
            share={running?.id === record.id ? running.share : null}
            onKind={props.onKind}
            onRename={props.onRename}
            onDelete={props.onDelete}
          />
        ))}
      </tbody>
    </table>
  );
}

interface RowProps {
  record: ShelfRecord;
  share: number | null;
  onKind: (record: ShelfRecord, kind: Kind) => void;
  onRename: (record: ShelfRecord) => void;
  onDelete: (record: ShelfRecord) => void;
}

function Row({ record, share, onKind, onRename, onDelete }: RowProps) {
  const { run } = record;
  const address = `/desk?doc=${record.id}`;
  return (
    <tr className="border-b border-hair align-baseline">
      <td className="px-3.5 py-3">
        <a
          href={address}
          className="block font-book text-[16.5px] leading-tight font-semibold hover:underline"
        >
          {record.title}
        </a>
        <span className="text-[13px] text-soft">{record.fileName}</span>
      </td>
      <td className="px-3.5">
        <select
          aria-label={`Kind of copy: ${record.title}`}
          className="bg-transparent"
          value={record.kind}
          onChange={(event) => onKind(record, event.target.value as Kind)}
        >
          {KINDS.map((kind) => (
            <option key={kind} value={kind}>
              {KIND_LABELS[kind]}
            </option>
          ))}
        </select>
      </td>
      <td className="px-3.5 text-right">{run ? figure(run.words) : "–"}</td>
      <td className="px-3.5">
        {share !== null ? (
          <span className="text-soft">reading, {Math.round(share * 100)}%</span>
        ) : (
          <>
            <OpenMarks run={run} />
            {run && run.unread.length > 0 ? (
              <span className="block text-[13px] text-soft">{unreadLabel(run.unread)}</span>
            ) : null}
          </>
        )}
      </td>
      <td className="px-3.5 whitespace-nowrap">{run ? when(run.at) : "–"}</td>
      <td className="px-3.5 whitespace-nowrap">
        <a href={address} className="hover:underline">
          {actionOf(run)}
        </a>
      </td>
      <td className="pr-2">
        <RowMenu record={record} onRename={onRename} onDelete={onDelete} />
      </td>
    </tr>
  );
}

function actionOf(run: ShelfRecord["run"]): string {
  if (!run) return "Run";
  if (run.fix + run.settle + run.weigh === 0) return "Export";
  return run.decided > 0 ? "Continue" : "Start";
}

function unreadLabel(unread: readonly Pass[]): string {
  const names = unread.map((pass) => PASS_LABELS[pass].toLowerCase());
  return `not read yet: ${names.join(", ")}`;
}

const WEIGHTS = [
  { weight: "fix", rule: "rule-fix", label: "to fix" },
  { weight: "settle", rule: "rule-settle", label: "to settle" },
  { weight: "weigh", rule: "rule-weigh", label: "to weigh" },
] as const;

function OpenMarks({ run }: { run: ShelfRecord["run"] }) {
  if (!run) return <span className="text-soft">not run yet</span>;
  const shown = WEIGHTS.filter(({ weight }) => run[weight] > 0);
  if (shown.length === 0) {
    return <span className="text-soft">none open, {figure(run.decided)} decided</span>;
  }
  return (
    <span className="inline-flex gap-3">
      {shown.map(({ weight, rule, label }) => (
        <span key={weight} className="inline-flex items-baseline gap-1.5" title={label}>
          <i className={rule} />
          {figure(run[weight])}
          <span className="sr-only">{label}</span>
        </span>
      ))}
    </span>
  );
}

function RowMenu({ record, onRename, onDelete }: Omit<RowProps, "share" | "onKind">) {
  const download = async () => {
    const bytes = await readOriginal(record.id);
    if (bytes) saveFile(bytes, record.fileName);
  };
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger
        className="rounded-xs p-1.5 text-soft"
        aria-label={`More for ${record.title}`}
      >
        <Ellipsis size={18} aria-hidden="true" />
      </DropdownMenu.Trigger>
      <DropdownMenu.Content align="end" className="z-10 border border-ink bg-sheet py-1">
        <MenuItem label="Rename…" onSelect={() => onRename(record)} />
        <MenuItem label="Download as it came" onSelect={() => void download()} />
        <MenuItem label="Delete…" onSelect={() => onDelete(record)} />
      </DropdownMenu.Content>
    </DropdownMenu.Root>
  );
}

function MenuItem({ label, onSelect }: { label: string; onSelect: () => void }) {
  return (
    <DropdownMenu.Item
      className="cursor-pointer px-4 py-1.5 outline-none data-highlighted:bg-tint"
      onSelect={onSelect}
    >
      {label}
    </DropdownMenu.Item>
  );
}
