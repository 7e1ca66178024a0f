import type { OverlapTable } from "../../../../core/gathered/overlaps.ts";
import {
  COUNT_POSSIBLE,
  keepingOf,
  keepingValue,
  LIMIT,
  NO_LIMIT,
} from "../../../../core/originality/choices.ts";
import { KEPT_OUT } from "../../../../core/originality/passages.ts";
import { KEPT_OUT_LABELS } from "../../../../core/report/overlap-parts.ts";
import { figure } from "../../../parts/words.ts";

interface SourceListProps {
  table: OverlapTable;
  /** The source of the passage that is looked at. */
  here: string | null;
  onOpen: (source: string) => void;
  onChoose: (of: string, value: string | null) => void;
}

/** The sources by the words they share, and what is kept out of the count. */
export function SourceList({ table, here, onOpen, onChoose }: SourceListProps) {
  const { sources, totals, kinds } = table;
  return (
    <div className="overflow-auto border-r border-rule pb-4">
      <h3 className="px-7 pt-3.5 pb-2 text-xs font-semibold text-soft">Sources by words shared</h3>
      <ol data-testid="sources">
        {sources.map((source, index) => (
          <li key={source.id}>
            <button
              type="button"
              aria-current={source.id === here ? "true" : undefined}
              className={`grid w-full grid-cols-[24px_minmax(0,1fr)_auto] items-baseline gap-x-1 border-l-3 py-2 pr-4 pl-6 text-left ${source.id === here ? "border-pen bg-wash" : "border-transparent"}`}
              onClick={(event) => {
                onOpen(source.id);
                if (event.detail > 0) event.currentTarget.blur();
              }}
            >
              <span className="text-[13px] font-semibold text-pen">{index + 1}</span>
              <span className="truncate font-book text-base">{source.title}</span>
              <span>{figure(source.shared)}</span>
              <span />
              <span className="truncate text-[13px] text-soft">{source.detail}</span>
              <span className="text-[13px] text-soft">
                {source.keptOut > 0 ? `+ ${figure(source.keptOut)} out` : ""}
              </span>
            </button>
          </li>
        ))}
      </ol>
      <h3 className="px-7 pt-5 pb-1 text-xs font-semibold text-soft">Kept out of the count</h3>
      <ul className="space-y-1 px-7 text-[13px]">
        {KEPT_OUT.map((kind) => (
          <li key={kind}>
            <label className="flex items-baseline gap-2">
              <input
                type="checkbox"
                className="accent-[var(--pen)]"
                checked={kinds.keepsOut[kind]}
                onChange={({ target }) => {
                  onChoose(keepingOf(kind), keepingValue(target.checked));
                  target.blur();
                }}
              />
              <span className="grow">{KEPT_OUT_LABELS[kind]}</span>
              <span className="text-soft">{figure(totals.keptOut[kind])}</span>
            </label>
          </li>
        ))}
        <li>
          <label className="flex items-baseline gap-2">
            <input
              type="checkbox"
              className="accent-[var(--pen)]"
              checked={!kinds.possible}
              onChange={({ target }) => {
                onChoose(COUNT_POSSIBLE, target.checked ? null : keepingValue(false));
                target.blur();
              }}
            />
            <span className="grow">what is only possible</span>
            <span className="text-soft">{figure(totals.possible)}</span>
          </label>
        </li>
      </ul>
      <label className="flex items-baseline gap-2 px-7 pt-4 text-[13px]">
        <span className="grow">Limit, % of the words</span>
        <input
          // Another document, or a limit taken back, has a field of its own.
          key={table.limit?.share ?? "none"}
          type="number"
          min={0}
          max={100}
          className="field w-16 text-right text-[13px]"
          defaultValue={table.limit ? Math.round(table.limit.share * 100) : ""}
          placeholder="none"
          onBlur={({ target }) => {
            if (target.value !== target.defaultValue) onChoose(LIMIT, shareOf(target.value));
          }}
          onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
        />
      </label>
    </div>
  );
}

/** A share as it is kept, of what was typed in per cent; null for none. */
function shareOf(typed: string): string {
  const share = Number.parseFloat(typed) / 100;
  return share >= 0 && share <= 1 ? String(share) : NO_LIMIT;
}
