import { useEffect, useState } from "react";
import type { GatheredTables } from "../../../../worker/proofreader.ts";
import type { BoardProps } from "../board.ts";

/** Milliseconds after which a table is asked for again while the text is being checked. */
const AGAIN_MS = 150;

/** A table that the worker gathers, kept up to date with the text; null until it is known. */
export function useGathered<K extends keyof GatheredTables>(
  what: K,
  { reports, deciding }: BoardProps,
): GatheredTables[K] | null {
  const [table, setTable] = useState<GatheredTables[K] | null>(null);
  const { open, decisions } = reports;
  // biome-ignore lint/correctness/useExhaustiveDependencies: marks are others when the text is
  useEffect(() => {
    let current = true;
    let again: ReturnType<typeof setTimeout> | undefined;
    const ask = async () => {
      const found = await deciding.gathered(what);
      if (!current) return;
      if (found) setTable(found);
      else again = setTimeout(() => void ask(), AGAIN_MS);
    };
    void ask();
    return () => {
      current = false;
      clearTimeout(again);
    };
  }, [what, open, decisions, deciding]);
  return table;
}
