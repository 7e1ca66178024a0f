import Ellipsis from "lucide-react/icons/ellipsis";
import { DropdownMenu } from "radix-ui";
import { KINDS, type Kind } from "../../core/manuscript/model.ts";
import { KIND_LABELS } from "../../core/report/words.ts";
import { readOriginal, type ShelfRecord } from "../../store/shelf.ts";
import { saveFile } from "../parts/save-file.ts";
import { count } from "../parts/words.ts";
import type { Column, ColumnId } from "./columns.tsx";

/** What the table is sorted by. */
export interface Sorting {
  by: "title" | "kind" | ColumnId;
  down: boolean;
}

interface ShelfTableProps {
  records: readonly ShelfRecord[];
  /** The columns beside title and kind. */
  columns: readonly Column[];
  /** The document being read for the first time, and how far. */
  running: { id: string; share: number } | null;
  sorting: Sorting;
  onSort: (sorting: Sorting) => void;
  onKind: (record: ShelfRecord, kind: Kind) => void;
  onRename: (record: ShelfRecord) => void;
  onRevise: (record: ShelfRecord) => void;
  onDelete: (record: ShelfRecord) => void;
}

const FIXED: readonly (Pick<Column, "label" | "numeric"> & { id: Sorting["by"] })[] = [
  { id: "title", label: "Title" },
  { id: "kind", label: "Kind" },
];

/** The shelf as a table; each heading sorts by its column. */
export function ShelfTable(props: ShelfTableProps) {
  const { records, columns, running, sorting, onSort } = props;
  return (
    <table className="w-full border-collapse border-t border-ink bg-sheet">
      <thead>
        <tr className="border-b border-rule text-left text-xs text-soft">
          {[...FIXED, ...columns].map(({ id: by, label, numeric }) => (
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
            columns={columns}
            share={running?.id === record.id ? running.share : null}
            onKind={props.onKind}
            onRename={props.onRename}
            onRevise={props.onRevise}
            onDelete={props.onDelete}
          />
        ))}
      </tbody>
      {records.length > 1 ? (
        <tfoot>
          <tr className="border-t border-ink align-baseline text-soft">
            <th scope="row" colSpan={2} className="px-3.5 py-2.5 text-left font-normal">
              {count(records.length, "document")}
            </th>
            {columns.map(({ id, numeric, total }) => (
              <td key={id} className={`px-3.5 ${numeric ? "text-right" : ""}`}>
                {total(records)}
              </td>
            ))}
            <td colSpan={2} />
          </tr>
        </tfoot>
      ) : null}
    </table>
  );
}

interface RowProps {
  record: ShelfRecord;
  columns: readonly Column[];
  share: number | null;
  onKind: (record: ShelfRecord, kind: Kind) => void;
  onRename: (record: ShelfRecord) => void;
  onRevise: (record: ShelfRecord) => void;
  onDelete: (record: ShelfRecord) => void;
}

function Row({ record, columns, share, onKind, onRename, onRevise, onDelete }: RowProps) {
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
      {columns.map(({ id, numeric, cell }) => (
        <td key={id} className={`px-3.5 ${numeric ? "text-right" : ""}`}>
          {id === "marks" && share !== null ? (
            <span className="text-soft">reading, {Math.round(share * 100)}%</span>
          ) : (
            cell(record)
          )}
        </td>
      ))}
      <td className="px-3.5 whitespace-nowrap">
        <a href={address} className="hover:underline">
          {actionOf(run)}
        </a>
      </td>
      <td className="pr-2">
        <RowMenu record={record} onRename={onRename} onRevise={onRevise} onDelete={onDelete} />
      </td>
    </tr>
  );
}

function actionOf(run: ShelfRecord["run"]): string {
  if (!run) return "Run";
  if (run.fix + run.settle + run.weigh === 0) return "Export";
  return run.decided > 0 ? "Continue" : "Start";
}

function RowMenu({
  record,
  onRename,
  onRevise,
  onDelete,
}: Omit<RowProps, "share" | "onKind" | "columns">) {
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
        <MenuItem
          label="Report"
          onSelect={() => location.assign(`/report?doc=${encodeURIComponent(record.id)}`)}
        />
        <MenuItem
          label="Style sheet"
          onSelect={() => location.assign(`/sheet?doc=${encodeURIComponent(record.id)}`)}
        />
        <MenuItem label="Open a revised version…" onSelect={() => onRevise(record)} />
        {record.revises ? (
          <MenuItem
            label="Beside the version before"
            onSelect={() => location.assign(`/versions?doc=${encodeURIComponent(record.id)}`)}
          />
        ) : null}
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
