import { wordTable } from "../../../../core/readings/tables.ts";
import { figure } from "../../../parts/words.ts";
import type { Behind } from "./BehindCount.tsx";
import type { PartProps } from "./part.ts";
import { SaveTable } from "./SaveTable.tsx";

const SHOWN = 16;

/** The words used most, their families together, each to be opened to its places. */
export function WordsUsed({ readings, onOpen }: PartProps & { onOpen: (behind: Behind) => void }) {
  const table = wordTable(readings);
  return (
    <section aria-label="Words used most">
      <h3 className="flex items-baseline gap-3 border-b border-rule pb-1 text-xs font-semibold text-soft">
        Words used most
        <span className="grow font-normal">with their families; words of every text left out</span>
        <SaveTable table={table} />
      </h3>
      <ul className="grid grid-cols-2 gap-x-6 text-[13.5px]">
        {readings.mostUsed.slice(0, SHOWN).map(({ word, count, forms }) => (
          <li key={word} className="border-b border-hair">
            <button
              type="button"
              className="flex w-full gap-2 py-1 text-left hover:bg-wash"
              title={forms.map(({ form, count: times }) => `${form} ${times}`).join(", ")}
              onClick={() =>
                onOpen({
                  title: `Words of “${word}”`,
                  query: { forms: forms.map(({ form }) => form) },
                  total: count,
                })
              }
            >
              <span>{word}</span>
              <span className="min-w-0 grow truncate text-soft">
                {forms.length > 1
                  ? forms
                      .filter(({ form }) => form !== word)
                      .map(({ form }) => form)
                      .join(", ")
                  : ""}
              </span>
              <span>{figure(count)}</span>
            </button>
          </li>
        ))}
      </ul>
      {readings.mostUsed.length === 0 ? (
        <p className="py-2 text-[13px] text-soft">No word comes twice.</p>
      ) : null}
    </section>
  );
}
