import { useMemo } from "react";
import type { PlacedMark } from "./reported.ts";

interface StripProps {
  open: readonly PlacedMark[];
  /** Length of the text the marks lie in. */
  length: number;
  /** Shares of the text at the top and bottom of the view. */
  view: { from: number; to: number };
  onGo: (share: number) => void;
}

const WIDTHS = { fix: 8, settle: 5, weigh: 3 };
/** Rows of the strip; more marks than this share rows. */
const ROWS = 1000;

/** Where the open marks lie in the whole document, and which part is on screen. */
export function DensityStrip({ open, length, view, onGo }: StripProps) {
  const path = useMemo(() => {
    const widths = new Map<number, number>();
    for (const { from, mark } of open) {
      const row = Math.floor((from / Math.max(1, length)) * ROWS);
      widths.set(row, Math.max(widths.get(row) ?? 0, WIDTHS[mark.weight]));
    }
    return [...widths].map(([row, width]) => `M3 ${row}h${width}`).join("");
  }, [open, length]);
  const go = (event: React.MouseEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    onGo((event.clientY - box.top) / box.height);
  };
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: the arrow keys walk the same marks
    <svg
      className="absolute top-2.5 right-1.5 h-[calc(100%-20px)] w-3.5 cursor-pointer"
      viewBox={`0 0 14 ${ROWS}`}
      preserveAspectRatio="none"
      onClick={go}
      role="img"
      aria-label={`${open.length} open marks in the document`}
    >
      <path d={`M2.5 0V${ROWS}`} className="stroke-rule" vectorEffect="non-scaling-stroke" />
      <path
        d={path}
        className="fill-none stroke-pen"
        strokeWidth="2"
        vectorEffect="non-scaling-stroke"
      />
      <rect
        x="0.5"
        width="13"
        y={view.from * ROWS}
        height={Math.max(16, (view.to - view.from) * ROWS)}
        className="fill-none stroke-soft"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}
