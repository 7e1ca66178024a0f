import { useEffect, useMemo, useState } from "react";
import type { ListedWord } from "../../core/house/style.ts";
import { netEdits } from "../../core/ledger/ledger.ts";
import { readDecisions } from "../../store/ledger.ts";
import { listShelf, readOriginal, type ShelfRecord } from "../../store/shelf.ts";
import { connectProofreader } from "../../worker/connect.ts";

/** How often the words of a list stand in a document of the shelf, as it is corrected so far. */
export function useWordCounts(words: readonly ListedWord[]) {
  const worker = useMemo(() => connectProofreader(), []);
  const [documents, setDocuments] = useState<ShelfRecord[]>([]);
  const [document, setDocument] = useState("");
  const [counts, setCounts] = useState<ReadonlyMap<string, number> | null>(null);
  useEffect(() => {
    void listShelf().then((records) => {
      setDocuments(records);
      setDocument((now) => now || (records[0]?.id ?? ""));
    });
  }, []);
  useEffect(() => {
    let current = true;
    const record = documents.find(({ id }) => id === document);
    if (!record) return;
    const load = async () => {
      const [bytes, decisions] = await Promise.all([
        readOriginal(record.id),
        readDecisions(record.id),
      ]);
      if (!bytes) return;
      const read = await worker.read(bytes, record.fileName, record.variety);
      if ("problem" in read) return;
      const steps = decisions.map(({ edits }) => edits);
      const edits = netEdits(read.manuscript.text, steps);
      const found = await worker.countWords(
        edits,
        words.map(({ word }) => word),
      );
      if (current) setCounts(found);
    };
    void load();
    return () => {
      current = false;
    };
  }, [worker, documents, document, words]);
  return { documents, document, setDocument, counts };
}
