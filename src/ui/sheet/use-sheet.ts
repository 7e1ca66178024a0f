import { useCallback, useEffect, useState } from "react";
import { STYLES } from "../../core/citations/styles/styles.ts";
import { type SheetByHand, type SheetEntry, sheetOf } from "../../core/house/sheet.ts";
import type { Decision } from "../../core/ledger/decision.ts";
import { readDecisions } from "../../store/ledger.ts";
import { readRecord, type ShelfRecord, updateRecord } from "../../store/shelf.ts";

/** The style sheet of a document, and how it is edited. */
export interface Sheet {
  /** Null until it is read, and where the document is gone. */
  record: ShelfRecord | null;
  isGone: boolean;
  entries: readonly SheetEntry[];
  edit(change: (hand: SheetByHand) => SheetByHand): void;
}

export function useSheet(id: string): Sheet {
  const [record, setRecord] = useState<ShelfRecord | null>(null);
  const [decisions, setDecisions] = useState<readonly Decision[]>([]);
  const [isGone, setGone] = useState(false);
  useEffect(() => {
    void Promise.all([readRecord(id), readDecisions(id)]).then(([own, all]) => {
      setRecord(own);
      setDecisions(all);
      setGone(own === null);
    });
  }, [id]);
  const edit = useCallback<Sheet["edit"]>(
    (change) => {
      setRecord((now) => {
        if (!now) return now;
        const sheet = change(now.sheet);
        void updateRecord(id, { sheet });
        return { ...now, sheet };
      });
    },
    [id],
  );
  const entries = record ? sheetOf(decisions, record.sheet, styleName) : [];
  return { record, isGone, entries, edit };
}

function styleName(id: string): string {
  return STYLES.find((style) => style.id === id)?.name ?? id;
}
