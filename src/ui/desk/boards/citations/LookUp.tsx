import { useMemo } from "react";
import {
  differencesOf,
  type FieldDifference,
} from "../../../../core/citations/outside/differences.ts";
import { readEntry } from "../../../../core/citations/read-entry.ts";
import { styleOf } from "../../../../core/citations/styles/styles.ts";
import type { CitationTable, ListedEntry } from "../../../../core/gathered/citations.ts";
import type { Edit } from "../../../../core/manuscript/model.ts";
import { count } from "../../../parts/words.ts";
import { keyOfWork } from "../../outside.ts";
import { AskOutside } from "./AskOutside.tsx";
import type { AskedOutside } from "./use-outside.ts";

interface LookUpProps {
  table: CitationTable;
  text: string;
  outside: AskedOutside;
  /** The entry it was asked for from; null for none in particular. */
  only: number | null;
  reading: boolean;
  onPut: (edit: Edit, entry: ListedEntry) => void;
}

/** What an index has otherwise than the list, entry by entry and field by field. */
export function LookUp({ table, text, outside, only, reading, onPut }: LookUpProps) {
  const asked = table.entries.flatMap(({ asked: one }) => (one ? [one] : []));
  const one = table.entries.find(({ reference }) => reference === only);
  const alone = one?.asked ? { shown: one.shown, asked: one.asked } : null;
  const found = outside.answers.works?.found ?? null;
  const looked = useMemo(() => {
    if (!found) return null;
    const style = styleOf(table.style);
    return table.entries.map((entry) => {
      const work = entry.asked ? found[keyOfWork(entry.asked)] : undefined;
      if (!work)
        return {
          entry,
          state: work === null ? ("missing" as const) : ("unasked" as const),
          differences: [],
        };
      const read = readEntry(text.slice(entry.from, entry.to), style);
      const differences = differencesOf(read, work, read.authors?.names ?? [], style);
      return { entry, state: "found" as const, differences };
    });
  }, [found, table, text]);
  const differing = looked?.filter(({ differences }) => differences.length > 0) ?? [];
  const missing = looked?.filter(({ state }) => state === "missing") ?? [];
  const same =
    looked?.filter(({ state, differences }) => state === "found" && differences.length === 0) ?? [];
  return (
    <div className="min-h-0 grow overflow-auto" data-testid="look-up">
      <AskOutside
        asked={outside}
        service="the index"
        entries={asked.length}
        label={`Look up all ${asked.length} entries`}
        at={outside.answers.works?.at ?? null}
        alone={
          alone && {
            label: `Look up “${alone.shown}” alone`,
            onAsk: () => outside.lookUp([alone.asked]),
          }
        }
        onAsk={() => outside.lookUp(asked)}
      />
      {looked ? (
        <p className="px-8 pt-3 text-soft">
          {count(differing.length, "entry", "entries")} differ, {same.length} agree,{" "}
          {missing.length} not in the index.
        </p>
      ) : null}
      <ul>
        {differing.map(({ entry, differences }) => (
          <li key={entry.reference} className="border-b border-hair px-8 py-3">
            <p className="font-book text-base">{text.slice(entry.from, entry.to)}</p>
            <table className="mt-1.5 text-[13px]">
              <caption className="sr-only">What the index has otherwise</caption>
              <thead className="sr-only">
                <tr>
                  <th>Field</th>
                  <th>Here</th>
                  <th>In the index</th>
                  <th>Choice</th>
                </tr>
              </thead>
              <tbody>
                {differences.map((one) => (
                  <Difference
                    key={one.field}
                    difference={one}
                    onPut={one.edit && !reading ? () => one.edit && onPut(one.edit, entry) : null}
                  />
                ))}
              </tbody>
            </table>
          </li>
        ))}
        {missing.map(({ entry }) => (
          <li key={entry.reference} className="border-b border-hair px-8 py-3 text-soft">
            <p className="font-book text-base">{text.slice(entry.from, entry.to)}</p>
            <p className="text-[13px]">The index has no such work.</p>
          </li>
        ))}
      </ul>
    </div>
  );
}

function Difference({
  difference: { field, written, found },
  onPut,
}: {
  difference: FieldDifference;
  onPut: (() => void) | null;
}) {
  return (
    <tr>
      <th scope="row" className="py-0.5 pr-4 text-left font-normal text-soft">
        {field}
      </th>
      <td className="pr-4 font-book text-base">{written || <i className="text-soft">none</i>}</td>
      <td className="border-b-2 border-pen pr-4 font-book text-base">{found}</td>
      <td className="pl-4">
        {onPut ? (
          <button type="button" className="button-text" onClick={onPut}>
            put it in
          </button>
        ) : (
          <span className="text-soft">to be put in by hand</span>
        )}
      </td>
    </tr>
  );
}
