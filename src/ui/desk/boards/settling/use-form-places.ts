import { useEffect, useState } from "react";
import type { FormPlace } from "../../settling.ts";
import type { BoardDeciding, BoardReports } from "../board.ts";

/** Milliseconds after which places are asked for again while the text is being checked. */
const AGAIN_MS = 120;

interface Known {
  group: string;
  form: string;
  places: readonly FormPlace[];
}

/** The places of a group beside a form, kept up to date with the text; null until they are known. */
export function useFormPlaces(
  group: string,
  form: string,
  { open }: Pick<BoardReports, "open">,
  deciding: Pick<BoardDeciding, "formPlaces">,
): readonly FormPlace[] | null {
  const [known, setKnown] = useState<Known | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: marks are others when the text is
  useEffect(() => {
    if (group === "") return;
    let current = true;
    let again: ReturnType<typeof setTimeout> | undefined;
    const ask = async () => {
      const places = await deciding.formPlaces(group, form);
      if (!current) return;
      if (places) setKnown({ group, form, places });
      else again = setTimeout(() => void ask(), AGAIN_MS);
    };
    void ask();
    return () => {
      current = false;
      clearTimeout(again);
    };
  }, [group, form, open, deciding]);
  return known?.group === group && known.form === form ? known.places : null;
}
