import { useEffect, useState } from "react";
import type { StyleId } from "../../core/citations/styles/style.ts";
import { STYLES } from "../../core/citations/styles/styles.ts";
import type { CitationTable } from "../../core/gathered/citations.ts";
import { count } from "../parts/words.ts";
import type { DeskSession } from "./session.ts";
import { useSlice } from "./use-slice.ts";

/** What the style is where the document names none: the house's, or the one that the list tells. */
function unchosen(chosen: StyleId | null, table: CitationTable | null): string {
  if (!table?.guess) return "told from the list";
  const { guess, style, styleName } = table;
  return chosen === null && style !== guess.id
    ? `${styleName}, as the house has it`
    : `${guess.name}, as written`;
}

/** So much of the evidence is told. */
const TOLD = 4;

/** The style that citations and list are read by: told from the list with its evidence, or named by the person. */
export function CitationStyle({ session }: { session: DeskSession }) {
  const { record, open, reading } = useSlice(session, "record", "open", "reading");
  const [table, setTable] = useState<CitationTable | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the list may be another when marks are
  useEffect(() => {
    let current = true;
    void session.settling.gathered("citations").then((found) => {
      if (current && found) setTable(found);
    });
    return () => {
      current = false;
    };
  }, [session, record, open]);
  const chosen = record?.citationStyle ?? null;
  const guess = table?.guess ?? null;
  return (
    <section className="px-4.5 pt-3 text-[13px] text-soft" aria-label="Style of citations">
      <label className="block">
        Style
        <select
          className="mt-1 block w-full border-b border-dotted border-faint bg-transparent text-ink"
          value={chosen ?? ""}
          disabled={reading}
          onChange={({ target: { value } }) =>
            void session.settings.setCitationStyle(value === "" ? null : (value as StyleId))
          }
        >
          <option value="">{unchosen(chosen, table)}</option>
          {STYLES.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      {guess ? (
        <details className="mt-1.5">
          <summary className="select-none">
            {chosen && chosen !== guess.id ? `The list looks like ${guess.name}` : "What tells it"}
          </summary>
          <ul className="mt-1 space-y-0.5 pl-4">
            {guess.evidence.slice(0, TOLD).map(({ says, entries }) => (
              <li key={says}>
                {says}: {count(entries, "time")}
              </li>
            ))}
          </ul>
        </details>
      ) : null}
    </section>
  );
}
