import { useCallback, useEffect, useState } from "react";
import { type DocumentSet, deleteSet, keepSet, listSets } from "../../store/sets.ts";
import type { ShelfRecord } from "../../store/shelf.ts";
import { Modal } from "../parts/Modal.tsx";
import { count } from "../parts/words.ts";

/** Sets of documents that are one work: opened as one, made, ordered and undone. */
export function SetsPart({ records }: { records: readonly ShelfRecord[] }) {
  const [sets, setSets] = useState<readonly DocumentSet[]>([]);
  const [editing, setEditing] = useState<DocumentSet | null>(null);
  const refresh = useCallback(() => void listSets().then(setSets), []);
  useEffect(refresh, [refresh]);
  const title = (id: string) => records.find((record) => record.id === id)?.title;
  return (
    <section className="mt-8" aria-label="Several documents as one">
      <h2 className="font-semibold">Several documents as one</h2>
      <ul className="mt-1">
        {sets.map((set) => (
          <li key={set.id} className="flex items-baseline gap-4 border-b border-hair py-1.5">
            <a className="font-book text-base hover:underline" href={`/set?id=${set.id}`}>
              {set.name}
            </a>
            <span className="min-w-0 grow truncate text-[13px] text-soft">
              {set.documents.map((id) => title(id) ?? "gone").join(", ")}
            </span>
            <button
              type="button"
              className="button-text text-[13px]"
              onClick={() => setEditing(set)}
            >
              change<span className="sr-only"> {set.name}</span>
            </button>
            <button
              type="button"
              className="button-text text-[13px]"
              onClick={() => void deleteSet(set.id).then(refresh)}
            >
              take apart<span className="sr-only"> {set.name}</span>
            </button>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="button-text mt-2 text-[13px]"
        onClick={() =>
          setEditing({ id: `set-${Date.now().toString(36)}`, name: "", documents: [] })
        }
      >
        New set…
      </button>
      <SetDialog
        set={editing}
        records={records}
        onClose={() => setEditing(null)}
        onKeep={(set) => {
          setEditing(null);
          void keepSet(set).then(refresh);
        }}
      />
    </section>
  );
}

interface DialogProps {
  set: DocumentSet | null;
  records: readonly ShelfRecord[];
  onClose(): void;
  onKeep(set: DocumentSet): void;
}

function SetDialog({ set, records, onClose, onKeep }: DialogProps) {
  return (
    <Modal
      open={set !== null}
      onClose={onClose}
      title="Several documents as one"
      about="Chapters of a book, parts of a specification: checked as one text, in this order."
    >
      {set ? <SetForm start={set} records={records} onClose={onClose} onKeep={onKeep} /> : null}
    </Modal>
  );
}

function SetForm({
  start,
  records,
  onClose,
  onKeep,
}: Omit<DialogProps, "set"> & { start: DocumentSet }) {
  const [name, setName] = useState(start.name);
  const [documents, setDocuments] = useState<readonly string[]>(start.documents);
  const others = records.filter(({ id }) => !documents.includes(id));
  const titleOf = (id: string) => records.find((record) => record.id === id)?.title ?? "gone";
  const up = (at: number) => {
    const next = [...documents];
    const [one] = next.splice(at, 1);
    if (one !== undefined) next.splice(at - 1, 0, one);
    setDocuments(next);
  };
  return (
    <form
      className="mt-4"
      onSubmit={(event) => {
        event.preventDefault();
        onKeep({ ...start, name: name.trim(), documents: [...documents] });
      }}
    >
      <label className="block">
        Name
        <input
          className="field mt-1 block w-full"
          value={name}
          maxLength={120}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <ol className="mt-4" aria-label="In the set">
        {documents.map((id, at) => (
          <li key={id} className="flex items-baseline gap-3 border-b border-hair py-1">
            <span className="w-5 text-soft tabular-nums">{at + 1}</span>
            <span className="min-w-0 grow truncate">{titleOf(id)}</span>
            {at > 0 ? (
              <button type="button" className="button-text text-[13px]" onClick={() => up(at)}>
                up<span className="sr-only"> {titleOf(id)}</span>
              </button>
            ) : null}
            <button
              type="button"
              className="button-text text-[13px]"
              onClick={() => setDocuments(documents.filter((one) => one !== id))}
            >
              out<span className="sr-only"> {titleOf(id)}</span>
            </button>
          </li>
        ))}
      </ol>
      <label className="mt-3 block">
        Add
        <select
          className="field mt-1 block w-full"
          value=""
          onChange={(event) => setDocuments([...documents, event.target.value])}
        >
          <option value="">{others.length === 0 ? "nothing left" : "a document…"}</option>
          {others.map(({ id, title }) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
        </select>
      </label>
      <div className="mt-5 flex gap-4">
        <button
          type="submit"
          className="button-main"
          disabled={name.trim() === "" || documents.length < 2}
        >
          Keep {count(documents.length, "document")} as one
        </button>
        <button type="button" className="button-plain" onClick={onClose}>
          Close
        </button>
      </div>
    </form>
  );
}
