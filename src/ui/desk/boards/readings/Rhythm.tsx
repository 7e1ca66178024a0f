import { rhythmTable } from "../../../../core/readings/tables.ts";
import type { PartProps } from "./part.ts";
import { SaveTable } from "./SaveTable.tsx";

const SHOWN = 12;
const OPENING = 46;

/** Where many sentences in a row are of one length or begin alike. */
export function Rhythm({ readings, reports: { text }, deciding }: PartProps) {
  const { runs, sentences } = readings;
  const table = rhythmTable(readings, text);
  return (
    <section aria-label="Rhythm">
      <h3 className="flex items-baseline gap-3 border-b border-rule pb-1 text-xs font-semibold text-soft">
        Rhythm
        <span className="grow font-normal">sentences in a row that sound alike</span>
        <SaveTable table={table} />
      </h3>
      <ul className="text-[13.5px]">
        {runs.slice(0, SHOWN).map(({ kind, first, last, of }) => {
          const sentence = sentences[first];
          if (!sentence) return null;
          return (
            <li key={`${kind} ${first}`} className="border-b border-hair">
              <button
                type="button"
                className="grid w-full grid-cols-[minmax(0,1fr)_minmax(0,190px)] gap-3 py-1 text-left hover:bg-wash"
                onClick={() => deciding.goToRange(sentence)}
              >
                <span className="truncate font-book">
                  {text.slice(sentence.from, Math.min(sentence.to, sentence.from + OPENING))}…
                </span>
                <span className="text-right text-soft">
                  {last - first + 1} {kind === "length" ? `of ${of}` : `begin “${of}”`}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
      {runs.length === 0 ? (
        <p className="py-2 text-[13px] text-soft">No run of sentences sounds alike.</p>
      ) : null}
    </section>
  );
}
