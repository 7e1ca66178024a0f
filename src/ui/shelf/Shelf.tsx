import { setNonce } from "get-nonce";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { ACCEPTED_EXTENSIONS } from "../../core/formats/document.ts";
import { NotKept } from "../../store/failure.ts";
import { holdDocument } from "../../store/hold.ts";
import { readSettings, updateSettings } from "../../store/house.ts";
import { deleteDocument, listShelf, type ShelfRecord, updateRecord } from "../../store/shelf.ts";
import { connectProofreader } from "../../worker/connect.ts";
import { keepPagesOffline } from "../parts/offline.ts";
import { SearchField } from "../parts/SearchField.tsx";
import { SiteHeader } from "../parts/SiteHeader.tsx";
import { useFileDrop } from "../parts/use-file-drop.ts";
import { ColumnsMenu } from "./ColumnsMenu.tsx";
import { COLUMNS, chosenColumns } from "./columns.tsx";
import { shelveDemo } from "./demo.ts";
import { needsRun, runForShelf, takeIn, turnKind } from "./intake.ts";
import { PasteDialog } from "./PasteDialog.tsx";
import { DeleteDialog, RenameDialog } from "./RowDialogs.tsx";
import { takeInRevision } from "./revision.ts";
import { SetsPart } from "./SetsPart.tsx";
import { ShelfTable, type Sorting } from "./ShelfTable.tsx";

/** The list of documents, and the way in for new ones. */
export function Shelf({ nonce }: { nonce: string }) {
  setNonce(nonce);
  const worker = useMemo(() => connectProofreader(), []);
  // First runs have a worker of their own: one checks what it read last, and files come in meanwhile.
  const runner = useMemo(() => connectProofreader(), []);
  const [records, setRecords] = useState<ShelfRecord[] | null>(null);
  const [busy, setBusy] = useState("");
  const [problems, setProblems] = useState<string[]>([]);
  const [running, setRunning] = useState<{ id: string; share: number } | null>(null);
  const [search, setSearch] = useState("");
  const [sorting, setSorting] = useState<Sorting>({ by: "addedAt", down: true });
  const [chosen, setChosen] = useState<readonly string[] | null>(null);
  const [pasting, setPasting] = useState(false);
  const [renaming, setRenaming] = useState<ShelfRecord | null>(null);
  const [deleting, setDeleting] = useState<ShelfRecord | null>(null);
  const picker = useRef<HTMLInputElement>(null);
  const revisionPicker = useRef<HTMLInputElement>(null);
  const revising = useRef<ShelfRecord | null>(null);
  const refresh = useCallback(async () => setRecords(await listShelf()), []);
  const startRef = useRef(false);
  const runs = useRef<Promise<void>>(Promise.resolve());
  /** Reads, one after the other, the documents whose counts are missing or old. */
  const runAll = useCallback(() => {
    runs.current = runs.current.then(async () => {
      for (const record of await listShelf()) {
        if (!(await needsRun(record))) continue;
        try {
          await runForShelf(runner, record, (share) => setRunning({ id: record.id, share }));
        } catch (error) {
          // Its own desk will say what is amiss; the others are read all the same.
          console.error(error);
        }
        await refresh();
      }
      setRunning(null);
    });
    return runs.current;
  }, [runner, refresh]);
  useEffect(() => {
    if (startRef.current) return;
    startRef.current = true;
    void navigator.storage?.persist?.();
    keepPagesOffline();
    void (async () => {
      setChosen((await readSettings()).shelfColumns);
      await refresh();
      if (await shelveDemo(worker)) await refresh();
      await runAll();
    })().catch((error: unknown) => setProblems([sentenceOf(error)]));
  }, [worker, runAll, refresh]);
  const bringIn = useCallback(
    async (files: readonly { name: string; bytes: () => Promise<ArrayBuffer> }[]) => {
      const said: string[] = [];
      let last: ShelfRecord | null = null;
      for (const file of files) {
        setBusy(`Reading ${file.name}…`);
        try {
          const taken = await takeIn(worker, file.name, new Uint8Array(await file.bytes()), false);
          if ("problem" in taken) said.push(`${file.name}: ${taken.problem}`);
          else last = taken.record;
        } catch (error) {
          said.push(`${file.name}: ${sentenceOf(error)}`);
        }
      }
      setBusy("");
      setProblems(said);
      if (last && files.length === 1) location.assign(`/desk?doc=${last.id}`);
      else {
        await refresh();
        await runAll();
      }
    },
    [worker, refresh, runAll],
  );
  const fromFiles = useCallback(
    (list: FileList | null) =>
      bringIn(
        [...(list ?? [])].map((file) => ({ name: file.name, bytes: () => file.arrayBuffer() })),
      ),
    [bringIn],
  );
  const revise = async (file: File | undefined) => {
    const earlier = revising.current;
    if (!file || !earlier) return;
    setBusy(`Reading ${file.name} as the next version of “${earlier.title}”…`);
    const bytes = new Uint8Array(await file.arrayBuffer());
    const taken = await takeInRevision(worker, earlier, file.name, bytes).catch(
      (error: unknown) => ({ problem: sentenceOf(error) }),
    );
    setBusy("");
    if ("problem" in taken) setProblems([`${file.name}: ${taken.problem}`]);
    else location.assign(`/versions?doc=${taken.record.id}`);
  };
  const dropping = useFileDrop(fromFiles, () =>
    setProblems(["Only files can be dropped here. Text is brought in with “Paste text”."]),
  );
  const columns = useMemo(() => chosenColumns(chosen), [chosen]);
  const chooseColumns = (ids: string[]) => {
    setChosen(ids);
    updateSettings({ shelfColumns: ids }).catch((error: unknown) =>
      setProblems([sentenceOf(error)]),
    );
  };
  const shown = useMemo(() => select(records ?? [], search, sorting), [records, search, sorting]);
  return (
    <div className="min-h-screen min-w-[960px]">
      <SiteHeader here="/" />
      <main className="mx-auto max-w-[1280px] px-8 pb-16">
        <div className="flex items-end gap-5 pt-8 pb-4.5">
          <div className="grow">
            <h1 className="font-book text-[28px] leading-tight font-semibold">Shelf</h1>
            <p className="mt-1 text-soft">{aboutOf(records)}</p>
          </div>
          <ColumnsMenu shown={columns} onChoose={chooseColumns} />
          <SearchField label="Find a title" value={search} onChange={setSearch} />
          <button type="button" className="button-plain" onClick={() => setPasting(true)}>
            Paste text
          </button>
          <button type="button" className="button-main" onClick={() => picker.current?.click()}>
            Open a document…
          </button>
          <input
            ref={picker}
            type="file"
            multiple
            hidden
            accept={ACCEPTED_EXTENSIONS.join(",")}
            data-testid="file-picker"
            onChange={(event) => {
              void fromFiles(event.target.files);
              event.target.value = "";
            }}
          />
        </div>
        <input
          ref={revisionPicker}
          type="file"
          hidden
          accept={ACCEPTED_EXTENSIONS.join(",")}
          data-testid="revision-picker"
          onChange={(event) => {
            void revise(event.target.files?.[0]);
            event.target.value = "";
          }}
        />
        <Messages busy={busy} problems={problems} onDismiss={() => setProblems([])} />
        {records === null ? null : (
          <ShelfTable
            records={shown}
            columns={columns}
            running={running}
            sorting={sorting}
            onSort={setSorting}
            onKind={(record, kind) => {
              void turnKind(record, kind)
                .then(async (refusal) => {
                  if (refusal) setProblems([refusal]);
                  await refresh();
                  await runAll();
                })
                .catch((error: unknown) => setProblems([sentenceOf(error)]));
            }}
            onRename={setRenaming}
            onRevise={(record) => {
              revising.current = record;
              revisionPicker.current?.click();
            }}
            onDelete={setDeleting}
          />
        )}
        <p className="pt-4.5 text-soft">
          {records?.length === 0 ? "The shelf is empty. " : ""}
          Drop a .docx, .txt, .md, .csv or .xlsx anywhere on this page.
        </p>
        {records && records.length > 1 ? <SetsPart records={records} /> : null}
      </main>
      {dropping ? (
        <div className="pointer-events-none fixed inset-3 border-2 border-dashed border-pen bg-wash/80 p-10 font-book text-2xl">
          Let go to open it
        </div>
      ) : null}
      <PasteDialog
        open={pasting}
        onClose={() => setPasting(false)}
        onText={(name, text) => {
          setPasting(false);
          const { buffer } = new TextEncoder().encode(text);
          void bringIn([{ name, bytes: async () => buffer }]);
        }}
      />
      <RenameDialog
        record={renaming}
        onClose={() => setRenaming(null)}
        onRename={async (record, title) => {
          setRenaming(null);
          await updateRecord(record.id, { title }).catch((error: unknown) =>
            setProblems([sentenceOf(error)]),
          );
          await refresh();
        }}
      />
      <DeleteDialog
        record={deleting}
        onClose={() => setDeleting(null)}
        onDelete={async (record) => {
          setDeleting(null);
          const refusal = await deleteHeld(record).catch(sentenceOf);
          if (refusal) setProblems([refusal]);
          await refresh();
        }}
      />
    </div>
  );
}

interface MessagesProps {
  busy: string;
  problems: readonly string[];
  onDismiss: () => void;
}

function Messages({ busy, problems, onDismiss }: MessagesProps) {
  return (
    <div aria-live="polite">
      {busy ? <p className="mb-4 border-l-3 border-pen bg-wash px-4 py-2.5">{busy}</p> : null}
      {problems.length > 0 ? (
        <div role="alert" className="mb-4 flex gap-4 border-l-3 border-alarm bg-sheet px-4 py-2.5">
          <div className="grow space-y-1">
            {problems.map((problem) => (
              <p key={problem}>{problem}</p>
            ))}
            <p className="text-soft">Nothing on the shelf has changed.</p>
          </div>
          <button type="button" className="button-text self-start" onClick={onDismiss}>
            Dismiss
          </button>
        </div>
      ) : null}
    </div>
  );
}

/** Deletes a document, unless a desk has it open, whose next decision would write it anew. */
async function deleteHeld(record: ShelfRecord): Promise<string> {
  const hold = await holdDocument(record.id);
  try {
    if (!hold.first)
      return `“${record.title}” is open on a desk. Close that first, then delete it.`;
    await deleteDocument(record.id);
    return "";
  } finally {
    hold.release();
  }
}

function select(records: readonly ShelfRecord[], search: string, { by, down }: Sorting) {
  const wanted = search.trim().toLowerCase();
  const found = records.filter(({ title, fileName }) =>
    `${title}\n${fileName}`.toLowerCase().includes(wanted),
  );
  const value = (record: ShelfRecord): string | number => {
    if (by === "title" || by === "kind") return record[by];
    return COLUMNS.find(({ id }) => id === by)?.value(record) ?? "";
  };
  const sign = down ? -1 : 1;
  return found.sort((a, b) => {
    const [one, other] = [value(a), value(b)];
    if (typeof one === "number" && typeof other === "number") return sign * (one - other);
    return sign * String(one).localeCompare(String(other));
  });
}

const NUMBERS = ["No", "One", "Two", "Three", "Four", "Five", "Six", "Seven", "Eight", "Nine"];

function aboutOf(records: readonly ShelfRecord[] | null): string {
  if (!records) return "Everything stays in this browser.";
  const number = NUMBERS[records.length] ?? String(records.length);
  const documents = `${number} ${records.length === 1 ? "document" : "documents"}`;
  const demo = records.filter((record) => record.demo).length;
  const madeUp =
    demo === 0
      ? ""
      : demo === records.length
        ? ", made up for trying things out"
        : `, ${demo} of them made up for trying things out`;
  return `${documents}${madeUp}. Everything stays in this browser.`;
}

function sentenceOf(error: unknown): string {
  if (error instanceof NotKept) return error.sentence;
  return "Something went wrong in Dry Run itself. Reload the page and try once more.";
}
