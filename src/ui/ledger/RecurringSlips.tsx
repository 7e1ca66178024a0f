import type { Replacement } from "../../core/house/style.ts";
import type { RecurringSlip } from "../../core/ledger/log.ts";
import { count } from "../parts/words.ts";

interface RecurringSlipsProps {
  slips: readonly RecurringSlip[];
  replacements: readonly Replacement[];
  onReplace: (mistake: string, correction: string) => void;
}

const MOST_SLIPS = 40;

/** The slips that come again and again, and the press that has them replaced from now on. */
export function RecurringSlips({ slips, replacements, onReplace }: RecurringSlipsProps) {
  const replaced = new Set(replacements.map(({ from }) => from.toLowerCase()));
  return (
    <section aria-label="Recurring slips" className="print:mt-8">
      <h2 className="pb-2 font-semibold">Recurring slips</h2>
      {slips.length === 0 ? (
        <p className="text-soft">
          None yet. A slip that you correct the same way a second time is listed here.
        </p>
      ) : null}
      <ul>
        {slips.slice(0, MOST_SLIPS).map(({ mistake, correction, times, documents }) => (
          <li key={`${mistake} ${correction}`} className="border-t border-hair py-2">
            <p className="font-book text-base leading-snug">
              {mistake} → {correction}
            </p>
            <p className="flex justify-between gap-3 text-[13px] text-soft">
              <span>
                {count(times, "time")}
                {documents > 1 ? ` in ${count(documents, "document")}` : ""}
              </span>
              {replaced.has(mistake) ? (
                <span className="no-print">replaced from now on</span>
              ) : (
                <button
                  type="button"
                  className="button-text no-print"
                  onClick={() => onReplace(mistake, correction)}
                >
                  replace from now on
                  <span className="sr-only">
                    : {mistake} by {correction}
                  </span>
                </button>
              )}
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}
