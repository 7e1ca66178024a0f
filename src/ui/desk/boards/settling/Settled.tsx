import type { ReactNode } from "react";
import type { Decision } from "../../../../core/ledger/decision.ts";
import { settingLine } from "../../../../core/report/words.ts";
import { Key } from "../../../parts/Key.tsx";
import { count, when } from "../../../parts/words.ts";
import type { BoardProps } from "../board.ts";
import { useBoardKeys } from "../use-board-keys.ts";

/** The standing decisions about groups of forms, newest first. */
export function settledForms(
  decisions: readonly Decision[],
  standing: ReadonlySet<number>,
): Decision[] {
  return decisions
    .filter(({ seq, setting }) => setting?.name === "form" && standing.has(seq))
    .reverse();
}

interface SettledProps extends BoardProps {
  settled: readonly Decision[];
  views: ReactNode;
  onNextView: () => void;
}

/** What was settled, each to be taken back. */
export function Settled({ settled, views, onNextView, deciding, reports }: SettledProps) {
  const own = new Map([["v", onNextView]]);
  useBoardKeys({ ...deciding, move: () => {}, page: 1, go: deciding.back, stet: () => {}, own });
  return (
    <>
      {views}
      <div className="min-h-0 grow overflow-auto px-6 py-4">
        {settled.length === 0 ? (
          <p className="text-soft">No group of forms has been settled yet.</p>
        ) : (
          <ul>
            {settled.map(({ seq, setting, edits, kept = [], at }) => (
              <li key={seq} className="flex items-baseline gap-5 border-b border-hair py-2">
                <span className="min-w-0 grow font-book">
                  {setting ? settingLine(setting) : ""}
                </span>
                <span className="text-[13px] text-soft">
                  {edits.length > 0
                    ? `${count(edits.length, "place")} changed`
                    : "no place changed"}
                  {kept.length > 0 ? `, ${count(kept.length, "place")} left as they were` : ""},{" "}
                  {when(at)}
                </span>
                <button
                  type="button"
                  className="button-text text-[13px]"
                  disabled={reports.reading}
                  onClick={() => deciding.takeBack(seq)}
                >
                  undo
                </button>
              </li>
            ))}
          </ul>
        )}
        <p className="mt-4">
          <button type="button" className="text-[13px]" onClick={deciding.back}>
            <Key>Esc</Key> back to the text
          </button>
        </p>
      </div>
    </>
  );
}
