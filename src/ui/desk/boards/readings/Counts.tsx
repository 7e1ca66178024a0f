import type { PlaceQuery } from "../../../../core/readings/places.ts";
import type { ReadingCounts } from "../../../../core/readings/readings.ts";
import { COUNT_LABELS, COUNT_NAMES, countTable, RATIOS } from "../../../../core/readings/tables.ts";
import { figure } from "../../../parts/words.ts";
import type { Behind } from "./BehindCount.tsx";
import type { PartProps } from "./part.ts";
import { SaveTable } from "./SaveTable.tsx";

/** Which places a count opens to, where not its own. */
const OPENS: Partial<Record<keyof ReadingCounts, PlaceQuery>> = {
  distinctWords: { count: "words" },
  characters: { count: "letters" },
};

/** Everything counted, each to be opened to its places. */
export function Counts({ readings, onOpen }: PartProps & { onOpen: (behind: Behind) => void }) {
  const { counts, before, diversity, document } = readings;
  const table = countTable(readings, before?.counts ?? null);
  return (
    <section aria-label="Counts">
      <h3 className="flex items-baseline gap-3 border-b border-rule pb-1 text-xs font-semibold text-soft">
        Counts
        <span className="grow font-normal">
          {before ? "before, now; " : ""}press one for its places
        </span>
        <SaveTable table={table} />
      </h3>
      <ul className="text-[13.5px]">
        {COUNT_NAMES.map((name) => (
          <li key={name} className="border-b border-hair">
            <button
              type="button"
              className="grid w-full grid-cols-[minmax(0,1fr)_64px_64px] gap-2 py-1 text-left hover:bg-wash"
              onClick={() =>
                onOpen({
                  title: COUNT_LABELS[name],
                  query: OPENS[name] ?? ({ count: name } as PlaceQuery),
                  total: counts[name],
                })
              }
            >
              <span>{COUNT_LABELS[name]}</span>
              <span className="text-right text-soft">
                {before ? figure(before.counts[name]) : ""}
              </span>
              <span className="text-right">{figure(counts[name])}</span>
            </button>
          </li>
        ))}
        {RATIOS.map(({ label, of }) => (
          <li
            key={label}
            className="grid grid-cols-[minmax(0,1fr)_64px_64px] gap-2 border-b border-hair py-1"
          >
            <span>{label}</span>
            <span className="text-right text-soft">
              {before ? of(before.counts).toFixed(1) : ""}
            </span>
            <span className="text-right">{of(counts).toFixed(1)}</span>
          </li>
        ))}
        <Plain
          label="Different words in 100, on average"
          value={diversity.movingAverage}
          by={100}
        />
        <Plain label="Diversity of words (MTLD)" value={diversity.mtld} by={1} />
        <Plain label="Words of the whole document" value={document.words} by={1} digits={0} />
      </ul>
    </section>
  );
}

interface PlainProps {
  label: string;
  value: number | null;
  by: number;
  digits?: number;
}

function Plain({ label, value, by, digits = 1 }: PlainProps) {
  return (
    <li className="flex justify-between border-b border-hair py-1">
      <span>{label}</span>
      <span className={value === null ? "text-soft" : ""}>
        {value === null ? "too short" : digits === 0 ? figure(value) : (value * by).toFixed(digits)}
      </span>
    </li>
  );
}
