import { useVirtualizer } from "@tanstack/react-virtual";
import { useEffect, useMemo, useRef } from "react";
import { figure } from "../../../parts/words.ts";
import { placeName } from "../../place-names.ts";
import type { FormPlace } from "../../settling.ts";
import type { BoardReports } from "../board.ts";
import { lineAfter, lineBefore } from "./context.ts";
import { type Shown, shownOf } from "./differences.ts";

/** Pixels of a row. */
const ROW = 31;

interface ConcordanceProps {
  reports: BoardReports;
  /** Of the sections. */
  titles: readonly string[];
  /** Places in other forms than the chosen one, then those that have it. */
  others: readonly FormPlace[];
  asTheyShould: readonly FormPlace[];
  at: number;
  isTicked: (place: FormPlace) => boolean;
  onToggle: (place: FormPlace) => void;
  onPick: (row: number) => void;
  onSee: (place: FormPlace) => void;
}

/** Every place of a group in its context, the places to change first. */
export function Concordance({ others, asTheyShould, at, ...rest }: ConcordanceProps) {
  const { reports, titles, isTicked, onToggle, onPick, onSee } = rest;
  const list = useRef<HTMLDivElement>(null);
  const parts = others.length + (asTheyShould.length > 0 ? 1 : 0);
  const rows = useVirtualizer({
    count: parts + asTheyShould.length,
    getScrollElement: () => list.current,
    estimateSize: () => ROW,
    overscan: 12,
  });
  // The line that parts the two is no row to stand on.
  const shown = at < others.length ? at : at + 1;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the list follows the row that is stood on
  useEffect(() => {
    rows.scrollToIndex(shown, { align: "auto" });
  }, [shown, parts]);
  const { text } = reports;
  const widest = useMemo(() => {
    const longest = [...others, ...asTheyShould].reduce(
      (most, { place }) => Math.max(most, place.to - place.from),
      0,
    );
    return `${Math.min(40, longest + 2)}ch`;
  }, [others, asTheyShould]);
  const line = (place: FormPlace, index: number, start: number) => {
    const other = place.insert;
    const own = text.slice(place.place.from, place.place.to);
    return (
      <Row
        key={`${place.block} ${place.from}`}
        start={start}
        place={place}
        text={text}
        shown={shownOf(own, other)}
        width={widest}
        name={placeName(reports.blocks[place.block], titles, text)}
        here={index === at}
        ticked={index < others.length ? isTicked(place) : null}
        onToggle={() => onToggle(place)}
        onPick={() => onPick(index)}
        onSee={() => onSee(place)}
      />
    );
  };
  return (
    <div
      ref={list}
      className="min-h-0 grow overflow-auto border-t border-rule"
      data-testid="concordance"
    >
      <ul className="relative" style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map(({ index, start }) => {
          const place = others[index];
          if (place) return line(place, index, start);
          if (index === others.length) {
            return (
              <li
                key="parting"
                className="absolute inset-x-0 border-b border-hair px-6 pt-2 pl-13 text-xs font-semibold text-soft"
                style={{ transform: `translateY(${start}px)`, height: ROW }}
              >
                As they should be, {figure(asTheyShould.length)}
              </li>
            );
          }
          const own = asTheyShould[index - parts];
          return own ? line(own, index - 1, start) : null;
        })}
      </ul>
    </div>
  );
}

interface RowProps {
  /** Pixels from the top of the list. */
  start: number;
  place: FormPlace;
  /** Of the document. */
  text: string;
  shown: Shown;
  /** Of the column of the places. */
  width: string;
  name: string;
  here: boolean;
  /** Null where there is nothing to tick. */
  ticked: boolean | null;
  onToggle: () => void;
  onPick: () => void;
  onSee: () => void;
}

function Row({ start, place, text, shown, width, name, here, ticked, ...acts }: RowProps) {
  const { from, to } = place.place;
  const before = lineBefore(text, from);
  const after = lineAfter(text, to);
  const dim = ticked === false ? "text-soft" : "";
  return (
    <li
      className={`absolute inset-x-0 flex items-center border-b border-hair pr-6 pl-6 ${here ? "bg-wash" : ""}`}
      style={{ transform: `translateY(${start}px)`, height: ROW }}
    >
      <span className="w-7 shrink-0">
        {ticked === null ? null : (
          <input
            type="checkbox"
            className="accent-ink"
            checked={ticked}
            disabled={place.insert === null}
            onChange={acts.onToggle}
            aria-label={`Change: ${before}${shown.text}${after}`}
          />
        )}
      </span>
      <button
        type="button"
        aria-current={here ? "true" : undefined}
        onClick={acts.onPick}
        onDoubleClick={acts.onSee}
        style={{ gridTemplateColumns: `minmax(0,1fr) ${width} minmax(0,1fr) minmax(0,150px)` }}
        className={`grid h-full min-w-0 grow items-baseline gap-x-2 text-left font-book leading-[30px] whitespace-nowrap ${dim}`}
      >
        <span className="flex justify-end overflow-hidden text-soft">{before}</span>
        <span className="overflow-hidden text-center font-semibold">
          <Differing {...shown} />
        </span>
        <span className="overflow-hidden text-soft">{after}</span>
        <span className="truncate text-right font-plain text-[13px] text-soft">{name}</span>
      </button>
    </li>
  );
}

function Differing({ text, differs }: Shown) {
  if (!differs) return <>{text}</>;
  return (
    <>
      {text.slice(0, differs.from)}
      <span className="border-b-2 border-pen whitespace-pre">
        {text.slice(differs.from, differs.to)}
      </span>
      {text.slice(differs.to)}
    </>
  );
}
