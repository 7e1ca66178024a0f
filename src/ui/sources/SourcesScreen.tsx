import { useCallback, useEffect, useMemo, useState } from "react";
import { ACCEPTED_EXTENSIONS } from "../../core/formats/document.ts";
import { listShelf, type ShelfRecord } from "../../store/shelf.ts";
import {
  addSource,
  changeSource,
  listSources,
  removeSource,
  type StoredSource,
} from "../../store/sources.ts";
import { connectProofreader } from "../../worker/connect.ts";
import { SiteHeader } from "../parts/SiteHeader.tsx";
import { useFileDrop } from "../parts/use-file-drop.ts";
import { count, figure } from "../parts/words.ts";
import { OwnSourcesTable } from "./OwnSourcesTable.tsx";
import { readFileText, readShelfText } from "./read-text.ts";
import { ShippedSources } from "./ShippedSources.tsx";

/** The collection that drafts are compared with: the person's own sources, and those that ship. */
export function SourcesScreen() {
  const worker = useMemo(() => connectProofreader(), []);
  const [sources, setSources] = useState<readonly StoredSource[] | null>(null);
  const [shelf, setShelf] = useState<readonly ShelfRecord[]>([]);
  const [adding, setAdding] = useState<{ done: number; all: number } | null>(null);
  const [said, setSaid] = useState<readonly string[]>([]);
  const [closed, setClosed] = useState(false);
  const refresh = useCallback(async () => setSources(await listSources()), []);
  useEffect(() => {
    void refresh();
    void listShelf().then(setShelf);
  }, [refresh]);
  const addFiles = useCallback(
    async (files: readonly File[]) => {
      const problems: string[] = [];
      const before = (await listSources()).length;
      for (const [at, file] of files.entries()) {
        setAdding({ done: at, all: files.length });
        const read = await readFileText(worker, file);
        if ("problem" in read) problems.push(`${file.name}: ${read.problem}`);
        else await addSource({ ...read, author: null, year: null, closed, isOwn: false });
      }
      setAdding(null);
      await refresh();
      const added = (await listSources()).length - before;
      const known = files.length - problems.length - added;
      setSaid([
        `${count(added, "source")} added${known > 0 ? `; ${known} of the files were there already` : ""}.`,
        ...problems,
      ]);
    },
    [worker, closed, refresh],
  );
  const addFromShelf = async (id: string) => {
    const record = shelf.find((one) => one.id === id);
    const read = record && (await readShelfText(worker, record));
    if (!read) return;
    await addSource({ ...read, author: null, year: null, closed: false, isOwn: true });
    await refresh();
    setSaid([`“${read.title}” is among your sources, as your own.`]);
  };
  const isOver = useFileDrop(
    useCallback((files: FileList) => void addFiles([...files]), [addFiles]),
    useCallback(() => setSaid(["Only files can be dropped here."]), []),
  );
  const words = sources?.reduce((sum, { hashes }) => sum + hashes.length, 0) ?? 0;
  return (
    <>
      <SiteHeader here="/sources" />
      <main className={`mx-auto max-w-6xl px-8 pt-8 pb-20 ${isOver ? "bg-wash" : ""}`}>
        <h1 className="font-book text-2xl font-semibold">Sources</h1>
        <p className="mt-2 max-w-[76ch] text-soft">
          What drafts are compared with. Your own sources stay in this browser. Of a closed source
          only the hashes of its words are kept: it is counted and can never be shown.
        </p>
        <section className="mt-6">
          <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
            <FilePick label="Add files…" onPick={addFiles} />
            <FilePick label="Add a folder…" onPick={addFiles} isFolder />
            <select
              aria-label="Add a document from the shelf"
              className="field max-w-64 text-[13px]"
              value=""
              onChange={({ target }) => void addFromShelf(target.value)}
            >
              <option value="">Add from the shelf…</option>
              {shelf.map(({ id, title }) => (
                <option key={id} value={id}>
                  {title}
                </option>
              ))}
            </select>
            <label className="flex items-center gap-2 text-[13px]">
              <input
                type="checkbox"
                className="accent-[var(--pen)]"
                checked={closed}
                onChange={({ target }) => setClosed(target.checked)}
              />
              as closed sources
            </label>
            <span className="grow text-right text-[13px] text-soft" data-testid="own-count">
              {sources ? `${count(sources.length, "source")}, ${figure(words)} words` : ""}
            </span>
          </div>
          <div aria-live="polite" className="mt-2 min-h-5 text-[13px]">
            {adding ? `Reading file ${adding.done + 1} of ${adding.all}…` : null}
            {said.map((line) => (
              <p key={line}>{line}</p>
            ))}
          </div>
          {sources ? (
            <OwnSourcesTable
              sources={sources}
              onChange={async (id, changes) => {
                await changeSource(id, changes);
                await refresh();
              }}
              onRemove={async (id) => {
                await removeSource(id);
                await refresh();
              }}
            />
          ) : null}
        </section>
        <ShippedSources />
      </main>
    </>
  );
}

interface FilePickProps {
  label: string;
  isFolder?: boolean;
  onPick: (files: readonly File[]) => Promise<void>;
}

/** A button that opens the choice of files, or of a whole folder. */
function FilePick({ label, isFolder = false, onPick }: FilePickProps) {
  return (
    <label className="button-main text-sm">
      {label}
      <input
        type="file"
        multiple
        className="sr-only"
        accept={isFolder ? undefined : ACCEPTED_EXTENSIONS.join(",")}
        {...(isFolder ? { webkitdirectory: "" } : {})}
        onChange={({ target }) => {
          const files = [...(target.files ?? [])].filter(
            ({ name }) =>
              !isFolder || ACCEPTED_EXTENSIONS.some((one) => name.toLowerCase().endsWith(one)),
          );
          target.value = "";
          void onPick(files);
        }}
      />
    </label>
  );
}
