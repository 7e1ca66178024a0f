import { useCallback, useEffect, useMemo, useState } from "react";
import { netEdits } from "../../core/ledger/ledger.ts";
import type { Edit } from "../../core/manuscript/model.ts";
import { readDecisions } from "../../store/ledger.ts";
import { listShelf, readOriginal, type ShelfRecord } from "../../store/shelf.ts";
import { connectProofreader, type ProofreaderLink } from "../../worker/connect.ts";

/** A document of the shelf, read in the worker as it is corrected so far. */
export interface Tried {
  worker: ProofreaderLink;
  documents: readonly ShelfRecord[];
  /** The one that is read; null before it is, and where it can't be. */
  record: ShelfRecord | null;
  edits: readonly Edit[];
  choose(id: string): void;
  chosen: string;
  /** Reads another document in its place and back, for what is asked of all of them. */
  readAnother(record: ShelfRecord): Promise<readonly Edit[] | null>;
}

/** Reads a document into the worker; null where it can't be read. */
async function readInto(
  worker: ProofreaderLink,
  record: ShelfRecord,
): Promise<readonly Edit[] | null> {
  const [bytes, decisions] = await Promise.all([readOriginal(record.id), readDecisions(record.id)]);
  if (!bytes) return null;
  const read = await worker.read(bytes, record.fileName, record.variety);
  if ("problem" in read) return null;
  return netEdits(
    read.manuscript.text,
    decisions.map(({ edits }) => edits),
  );
}

/** The document that rules are tried on; the newest one first, or the one the address names. Read once it is asked for. */
export function useTried(isAsked: boolean): Tried {
  const worker = useMemo(() => connectProofreader(), []);
  const [documents, setDocuments] = useState<readonly ShelfRecord[]>([]);
  const [chosen, choose] = useState(() => new URLSearchParams(location.search).get("doc") ?? "");
  const [read, setRead] = useState<{ record: ShelfRecord; edits: readonly Edit[] } | null>(null);
  useEffect(() => {
    if (!isAsked) return;
    void listShelf().then((records) => {
      setDocuments(records);
      choose((now) => now || (records[0]?.id ?? ""));
    });
  }, [isAsked]);
  useEffect(() => {
    let current = true;
    const record = documents.find(({ id }) => id === chosen);
    setRead(null);
    if (!record) return;
    void readInto(worker, record).then((edits) => {
      if (current && edits) setRead({ record, edits });
    });
    return () => {
      current = false;
    };
  }, [worker, documents, chosen]);
  const readAnother = useCallback((record: ShelfRecord) => readInto(worker, record), [worker]);
  const { record = null, edits = [] } = read ?? {};
  return { worker, documents, record, edits, choose, chosen, readAnother };
}
