import { useEffect, useState } from "react";
import type { PlacedMark } from "../../reported.ts";
import type { PlacedChoice } from "../../state.ts";
import type { BoardDeciding } from "../board.ts";

/** The corrections of a mark; null until they are known, and where there is no mark. */
export function useChoices(
  mark: PlacedMark | null,
  deciding: BoardDeciding,
): readonly PlacedChoice[] | null {
  const [found, setFound] = useState<{
    mark: PlacedMark;
    choices: readonly PlacedChoice[];
  } | null>(null);
  useEffect(() => {
    let current = true;
    if (mark) {
      void deciding.corrections(mark).then((choices) => {
        if (current && choices) setFound({ mark, choices });
      });
    }
    return () => {
      current = false;
    };
  }, [mark, deciding]);
  return found && found.mark === mark ? found.choices : null;
}
