import { useEffect, useState } from "react";
import type { ListedWord } from "../../core/house/style.ts";
import { useTried } from "./use-tried.ts";

/** How often the words of a list stand in a document of the shelf, as it is corrected so far. */
export function useWordCounts(words: readonly ListedWord[]) {
  const { worker, documents, record, edits, chosen, choose } = useTried(true);
  const [counts, setCounts] = useState<ReadonlyMap<string, number> | null>(null);
  useEffect(() => {
    let current = true;
    if (!record) return;
    const listed = words.map(({ word }) => word);
    void worker.countWords(edits, listed).then((found) => {
      if (current) setCounts(found);
    });
    return () => {
      current = false;
    };
  }, [worker, record, edits, words]);
  return { documents, document: chosen, setDocument: choose, counts };
}
