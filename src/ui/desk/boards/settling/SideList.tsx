import { useVirtualizer } from "@tanstack/react-virtual";
import { type ReactNode, useEffect, useRef } from "react";

/** Pixels of a row. */
const ROW = 44;

interface SideListProps {
  label: string;
  /** What is told of each, by its number. */
  count: number;
  row: (at: number) => ReactNode;
  keyOf: (at: number) => string;
  at: number;
  onPick: (at: number) => void;
}

/** What a view gathers, one under the other; one of it is open beside. */
export function SideList({ label, count, row, keyOf, at, onPick }: SideListProps) {
  const list = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count,
    getScrollElement: () => list.current,
    estimateSize: () => ROW,
    overscan: 8,
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: the list follows what is open
  useEffect(() => {
    rows.scrollToIndex(Math.max(0, at), { align: "auto" });
  }, [at, count]);
  return (
    <div
      ref={list}
      className="min-h-0 overflow-auto border-r border-rule bg-ground/40"
      data-testid="gathered"
    >
      <ul aria-label={label} className="relative" style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map(({ index, start }) => (
          <li
            key={keyOf(index)}
            className="absolute inset-x-0 border-b border-hair"
            style={{ transform: `translateY(${start}px)`, height: ROW }}
          >
            <button
              type="button"
              aria-current={index === at ? "true" : undefined}
              onClick={(event) => {
                onPick(index);
                if (event.detail > 0) event.currentTarget.blur();
              }}
              className={`h-full w-full border-l-3 px-3.5 text-left leading-tight ${index === at ? "border-pen bg-sheet" : "border-transparent"}`}
            >
              {row(index)}
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
