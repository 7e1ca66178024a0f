import { useVirtualizer } from "@tanstack/react-virtual";
import { type ReactNode, useEffect, useMemo, useRef } from "react";
import type { Range } from "../../../../core/manuscript/model.ts";
import { sectionTitles } from "../../../../core/manuscript/sections.ts";
import { placeName } from "../../place-names.ts";
import type { BoardReports } from "../board.ts";
import { blockAt, lineAfter, lineBefore } from "./context.ts";

/** Pixels of a row. */
const ROW = 31;

export interface ListedPlace extends Range {
  /** What stands beside it: another measure, what is wrong. */
  beside?: ReactNode;
}

interface PlaceRowsProps {
  label: string;
  reports: BoardReports;
  places: readonly ListedPlace[];
  at: number;
  onPick: (at: number) => void;
  onSee: (place: ListedPlace) => void;
}

/** Places in their context, one a row. */
export function PlaceRows({ label, reports, places, at, onPick, onSee }: PlaceRowsProps) {
  const { text, blocks } = reports;
  const list = useRef<HTMLDivElement>(null);
  const titles = useMemo(() => sectionTitles({ text, blocks: [...blocks] }), [text, blocks]);
  const rows = useVirtualizer({
    count: places.length,
    getScrollElement: () => list.current,
    estimateSize: () => ROW,
    overscan: 12,
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: the list follows the row that is stood on
  useEffect(() => {
    rows.scrollToIndex(Math.max(0, at), { align: "auto" });
  }, [at, places.length]);
  return (
    <div ref={list} className="min-h-0 grow overflow-auto" data-testid="places">
      <ul aria-label={label} className="relative" style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map(({ index, start }) => {
          const place = places[index];
          if (!place) return null;
          const { from, to, beside } = place;
          return (
            <li
              key={`${from} ${to}`}
              className={`absolute inset-x-0 border-b border-hair ${index === at ? "bg-wash" : ""}`}
              style={{ transform: `translateY(${start}px)`, height: ROW }}
            >
              <button
                type="button"
                aria-current={index === at ? "true" : undefined}
                onClick={() => onPick(index)}
                onDoubleClick={() => onSee(place)}
                className="grid h-full w-full grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)_minmax(0,160px)_minmax(0,120px)] items-baseline gap-x-2 px-6 text-left font-book leading-[30px] whitespace-nowrap"
              >
                <span className="flex justify-end overflow-hidden text-soft">
                  {lineBefore(text, from)}
                </span>
                <span className="overflow-hidden">
                  <b className="font-semibold">{text.slice(from, to).replace(/\s+/g, " ")}</b>
                  <span className="text-soft">{lineAfter(text, to)}</span>
                </span>
                <span className="truncate font-plain text-[13px]">{beside}</span>
                <span className="truncate text-right font-plain text-[13px] text-soft">
                  {placeName(blocks[blockAt(blocks, from)], titles, text)}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
