import type { UsePlace } from "../../../../core/gathered/citations.ts";
import type { Block, Range } from "../../../../core/manuscript/model.ts";
import { type ListRow, rowLabel } from "./list-rows.ts";

/** Characters of the text on each side of a citation. */
const CONTEXT = 46;

interface EntryRowProps {
  row: ListRow;
  text: string;
  titles: readonly string[];
  blocks: readonly Block[];
  onPick: () => void;
  onSee: (place: Range) => void;
}

/** One row: the entry as it is written, and beneath it the places that cite it. */
export function EntryRow({ row, text, titles, blocks, onPick, onSee }: EntryRowProps) {
  if (row.kind === "slot") {
    return (
      <p className="flex items-center gap-3 px-8 py-1.5 pl-38 text-[13px] text-pen">
        {row.reason}
        <span className="h-px grow bg-pen" />
      </p>
    );
  }
  const { first, second, isOpen } = rowLabel(row);
  return (
    <div
      className={`grid grid-cols-[7.5rem_minmax(0,1fr)] gap-x-4 border-b border-hair px-8 py-2.5 pl-5 ${row.kind === "ghost" ? "hatched" : ""}`}
    >
      <p className="text-right text-[13px] text-soft">
        <span className={isOpen ? "font-semibold text-pen" : ""}>{first}</span>
        {second ? <span className="block">{second}</span> : null}
      </p>
      <div className="min-w-0">
        <button
          type="button"
          className="block w-full pl-5.5 text-left -indent-5.5 font-book text-base leading-snug"
          onClick={(event) => {
            onPick();
            if (event.detail > 0) event.currentTarget.blur();
          }}
        >
          {row.kind === "ghost" ? (
            <i className="text-soft">{row.ghost.shown}</i>
          ) : (
            <Written row={row} text={text} />
          )}
        </button>
        <ul className="mt-1">
          {row.uses.map((use) => (
            <Use
              key={`${use.from}`}
              use={use}
              text={text}
              section={titles[blocks[use.block]?.section ?? 0] ?? ""}
              onSee={() => onSee(use)}
            />
          ))}
        </ul>
      </div>
    </div>
  );
}

/** An entry with its italics, and with what is marked in it underlined. */
function Written({ row, text }: { row: Extract<ListRow, { kind: "entry" }>; text: string }) {
  const { entry, marks } = row;
  const inside = marks.filter(({ from, to }) => from >= entry.from && to <= entry.to);
  const cuts = new Set([entry.from, entry.to]);
  for (const { from, to } of [...entry.italics, ...inside]) {
    if (from > entry.from && from < entry.to) cuts.add(from);
    if (to > entry.from && to < entry.to) cuts.add(to);
  }
  const places = [...cuts].sort((a, b) => a - b);
  return places.slice(0, -1).map((from, at) => {
    const to = places[at + 1] ?? entry.to;
    const covers = (range: Range) => range.from <= from && range.to >= to;
    const isItalic = entry.italics.some(covers);
    const isMarked = inside.some(covers);
    return (
      <span
        key={from}
        className={`${isItalic ? "italic" : ""} ${isMarked ? "border-b-2 border-pen" : ""}`}
      >
        {text.slice(from, to)}
      </span>
    );
  });
}

interface UseProps {
  use: UsePlace;
  text: string;
  section: string;
  onSee: () => void;
}

/** A place that cites the entry, in its line. */
function Use({ use, text, section, onSee }: UseProps) {
  const line = text.lastIndexOf("\n", use.from - 1) + 1;
  const end = text.indexOf("\n", use.to);
  const before = text.slice(Math.max(line, use.from - CONTEXT), use.from);
  const after = text.slice(use.to, Math.min(end < 0 ? text.length : end, use.to + CONTEXT));
  return (
    <li>
      <button
        type="button"
        className="grid w-full grid-cols-[8.5rem_minmax(0,1fr)_auto_minmax(0,1fr)] items-baseline py-0.5 pl-5.5 text-left text-[13px] text-soft"
        onClick={onSee}
      >
        <span className="truncate pr-3">{section}</span>
        <span
          className="overflow-hidden text-right font-book text-[15px] whitespace-nowrap"
          dir="rtl"
        >
          <bdi>{before}</bdi>
        </span>
        <b
          className={`font-book text-[15px] font-semibold text-ink ${use.tie === "tied" ? "" : "border-b-2 border-dashed border-pen"}`}
        >
          {text.slice(use.from, use.to)}
        </b>
        <span className="truncate font-book text-[15px]">{after}</span>
      </button>
    </li>
  );
}
