import { useEffect, useState } from "react";
import { tieOf } from "../../core/citations/hand-ties.ts";
import type { Mark } from "../../core/engine/mark.ts";
import type { ListedEntry } from "../../core/gathered/citations.ts";
import type { DeskSession } from "./session.ts";

interface TieByHandProps {
  mark: Mark;
  session: DeskSession;
}

/** Says which entry of the list a citation means, whatever its name and year say. */
export function TieByHand({ mark, session }: TieByHandProps) {
  const [entries, setEntries] = useState<readonly ListedEntry[]>([]);
  useEffect(() => {
    let current = true;
    void session.settling.gathered("citations").then((table) => {
      if (current) setEntries(table?.entries ?? []);
    });
    return () => {
      current = false;
    };
  }, [session]);
  if (entries.length === 0) return null;
  const work = mark.group.slice(mark.rule.length + 1);
  return (
    <label
      className="mt-2 flex items-baseline gap-2 text-[13px] text-soft"
      // The slip keeps the keys from what is pressed; a list must open.
      onMouseDown={(event) => event.stopPropagation()}
    >
      It means
      <select
        aria-label="The entry that is meant"
        className="max-w-80 border-b border-dotted border-faint bg-transparent"
        value=""
        onChange={({ target }) => {
          if (target.value !== "") void session.settings.choose(tieOf(work), target.value);
          target.blur();
        }}
      >
        <option value="">another entry…</option>
        {entries.map(({ reference, key, shown }) => (
          <option key={reference} value={key}>
            {shown}
          </option>
        ))}
      </select>
      <span>wherever it is cited so</span>
    </label>
  );
}
