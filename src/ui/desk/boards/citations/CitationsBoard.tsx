import { useVirtualizer } from "@tanstack/react-virtual";
import { useEffect, useMemo, useRef, useState } from "react";
import { sectionTitles } from "../../../../core/manuscript/sections.ts";
import { count, figure } from "../../../parts/words.ts";
import { BoardViews, viewAfter } from "../BoardViews.tsx";
import type { BoardProps } from "../board.ts";
import { SectionChoice } from "../SectionChoice.tsx";
import { useGathered } from "../settling/use-gathered.ts";
import { useBoardKeys } from "../use-board-keys.ts";
import { AllAtOnce } from "./AllAtOnce.tsx";
import { EntryRow } from "./EntryRow.tsx";
import { LookUp } from "./LookUp.tsx";
import {
  filteredRows,
  type ListFilter,
  type ListRow,
  listRows,
  NO_LIST_FILTER,
  sortedList,
  troubles,
} from "./list-rows.ts";
import { Notices } from "./Notices.tsx";
import { OpenStrip } from "./OpenStrip.tsx";
import { OtherForms } from "./OtherForms.tsx";
import { useChoices } from "./use-choices.ts";
import { useOutside } from "./use-outside.ts";

/** What the board shows, and what each view is called. */
const CITATION_VIEWS = {
  list: "The list",
  batch: "All at once",
  index: "Look-up",
  notices: "Notices",
  forms: "Other forms",
} as const;
type CitationView = keyof typeof CITATION_VIEWS;

/** Pixels of a row before it is measured. */
const ROW = 64;

/** The list read as an index: each entry with the places that cite it, and what is to be decided about it. */
export function CitationsBoard(props: BoardProps) {
  const { reports, deciding } = props;
  const { text, open, blocks } = reports;
  const table = useGathered("citations", props);
  // Another board may have been left in a view of its own.
  const [view, setView] = useState<CitationView>(
    reports.memory.view in CITATION_VIEWS ? (reports.memory.view as CitationView) : "list",
  );
  const outside = useOutside(reports.outside);
  const [filter, setFilter] = useState(NO_LIST_FILTER);
  const [key, setKey] = useState("");
  const all = useMemo(() => (table ? listRows(table, open) : []), [table, open]);
  const titles = useMemo(() => sectionTitles({ text, blocks: [...blocks] }), [text, blocks]);
  const rows = useMemo(
    () => filteredRows(all, filter, text, (use) => titles[blocks[use.block]?.section ?? 0] ?? ""),
    [all, filter, text, titles, blocks],
  );
  const found = rows.findIndex((row) => row.key === key);
  const from = reports.from;
  const first = rows.findIndex(({ marks }) =>
    from ? marks.some(({ from: at }) => at === from.from) : marks.length > 0,
  );
  const at = found >= 0 ? found : Math.max(0, first);
  const here = rows[at];
  // Of several marks the one that the list is narrowed to.
  const mark = here?.marks.find((one) => one.mark.rule === filter.rule) ?? here?.marks[0] ?? null;
  const choices = useChoices(mark, deciding);
  const list = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => list.current,
    estimateSize: (index) => ROW + (rows[index]?.uses.length ?? 0) * 24,
    getItemKey: (index) => rows[index]?.key ?? index,
    overscan: 8,
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: the list follows the row that is looked at
  useEffect(() => virtual.scrollToIndex(at, { align: "auto" }), [at, rows.length]);
  const go = (index: number) =>
    setKey(rows[Math.max(0, Math.min(rows.length - 1, index))]?.key ?? "");
  const nextOpen = (by: 1 | -1) => {
    for (let next = at + by; next >= 0 && next < rows.length; next += by) {
      if ((rows[next]?.marks.length ?? 0) > 0) return go(next);
    }
  };
  const take = (index: number) => {
    const choice = choices?.[index];
    if (mark && choice && !reports.reading) deciding.correct(mark, choice);
  };
  const see = () => {
    if (mark) deciding.go(mark);
    else if (here && here.kind !== "slot") {
      const place = here.uses[0] ?? (here.kind === "entry" ? here.entry : null);
      if (place) deciding.goToRange(place, "citations");
    }
  };
  const stet = () => mark && !reports.reading && deciding.stet([mark]);
  useBoardKeys({
    ...deciding,
    move: (by) => (Math.abs(by) === 1 ? nextOpen(by as 1 | -1) : go(by > 0 ? rows.length - 1 : 0)),
    page: 1,
    go: see,
    stet: () => void stet(),
    own: new Map([
      ["v", () => choose(viewAfter(CITATION_VIEWS, view))],
      ["l", () => lookUp()],
      ["Enter", () => take(0)],
      ["PageDown", () => go(at + 1)],
      ["PageUp", () => go(at - 1)],
      ...Array.from({ length: 9 }, (_, index) => [String(index + 1), () => take(index)] as const),
    ]),
  });
  // The entry that was looked at when the look-up was opened.
  const [looked, setLooked] = useState<number | null>(null);
  const lookUp = () => {
    setLooked(here?.kind === "entry" ? here.entry.reference : null);
    choose("index");
  };
  const choose = (next: CitationView) => {
    reports.memory.view = next;
    setView(next);
  };
  const openRows = all.filter(({ marks }) => marks.length > 0).length;
  return (
    <section aria-label="Citations" className="flex min-h-0 flex-col bg-sheet">
      <header className="flex flex-wrap items-baseline gap-x-6 gap-y-2 border-b border-ink px-8 pt-4 pb-2.5">
        <h2 className="grow font-book text-2xl font-semibold">
          The list, and where each entry is used
        </h2>
        {table ? (
          <span className="text-soft" data-testid="citation-counts">
            {count(table.citations, "citation")}, {entriesLabel(table.entries.length)},{" "}
            {figure(openRows)} open
          </span>
        ) : null}
        <Narrow filter={filter} rows={all} titles={titles} onChoose={setFilter} />
      </header>
      <BoardViews
        labels={CITATION_VIEWS}
        view={view}
        onChoose={choose}
        counts={{ list: table ? figure(table.entries.length) : "" }}
      />
      {table && view === "index" ? (
        <LookUp
          table={table}
          text={text}
          outside={outside}
          only={looked}
          reading={reports.reading}
          onPut={(edit, entry) =>
            deciding.putIn(
              { ...edit, from: edit.from + entry.from, to: edit.to + entry.from },
              entry,
            )
          }
        />
      ) : null}
      {table && view === "notices" ? (
        <Notices
          table={table}
          text={text}
          titles={titles}
          blocks={blocks}
          outside={outside}
          onSee={(place) => deciding.goToRange(place, "citations")}
        />
      ) : null}
      {table && view === "batch" ? (
        <AllAtOnce table={table} reports={reports} deciding={deciding} />
      ) : null}
      {table && view === "forms" ? (
        <OtherForms table={table} text={text} deciding={deciding} reading={reports.reading} />
      ) : null}
      {table === null ? <p className="grow px-8 py-8 text-soft">Reading the list…</p> : null}
      {table && view === "list" && rows.length === 0 ? (
        <p className="grow px-8 py-8 text-soft">
          {table.entries.length === 0
            ? "No list of references was found. One is told by its heading, such as “References”, or by entries at the end."
            : "Nothing in the list is like that."}
        </p>
      ) : null}
      {view === "list" && rows.length > 0 ? (
        <div ref={list} className="min-h-0 grow overflow-auto" data-testid="list">
          <ol className="relative" style={{ height: virtual.getTotalSize() }}>
            {virtual.getVirtualItems().map(({ index, start }) => {
              const row = rows[index];
              return row ? (
                <li
                  key={row.key}
                  ref={virtual.measureElement}
                  data-index={index}
                  aria-current={row === here ? "true" : undefined}
                  className={`absolute inset-x-0 border-l-3 ${row === here ? "border-pen bg-wash" : "border-transparent"}`}
                  style={{ transform: `translateY(${start}px)` }}
                >
                  <EntryRow
                    row={row}
                    text={text}
                    titles={titles}
                    blocks={blocks}
                    onPick={() => setKey(row.key)}
                    onSee={(place) => deciding.goToRange(place, "citations")}
                  />
                </li>
              ) : null;
            })}
          </ol>
        </div>
      ) : null}
      {here && view === "list" ? (
        <OpenStrip
          row={here}
          mark={mark}
          choices={choices}
          text={text}
          at={rows.filter(({ marks }, index) => marks.length > 0 && index <= at).length}
          openRows={openRows}
          deciding={deciding}
          onLookUp={lookUp}
          onTake={take}
          onStet={() => void stet()}
          onSee={see}
          onNext={() => nextOpen(1)}
          onCopy={
            table
              ? () => {
                  void navigator.clipboard.writeText(sortedList(table, text));
                  deciding.say("The list is copied in its right order.");
                }
              : null
          }
        />
      ) : null}
    </section>
  );
}

function entriesLabel(entries: number): string {
  return entries === 1 ? "1 entry" : `${figure(entries)} entries`;
}

interface NarrowProps {
  filter: ListFilter;
  rows: readonly ListRow[];
  titles: readonly string[];
  onChoose: (filter: ListFilter) => void;
}

/** Narrows the list to what is open, to a kind of trouble, to a name or a year. */
function Narrow({ filter, rows, titles, onChoose }: NarrowProps) {
  const kinds = useMemo(() => troubles(rows), [rows]);
  return (
    <span className="flex items-baseline gap-4 text-[13px]">
      <select
        aria-label="Which entries"
        className="max-w-56 border-b border-dotted border-faint bg-transparent"
        value={filter.rule || (filter.open ? "open" : "")}
        onChange={({ target }) => {
          const { value } = target;
          onChoose({ ...filter, open: value === "open", rule: value === "open" ? "" : value });
          // The keys belong to the board again.
          target.blur();
        }}
      >
        <option value="">the whole list</option>
        <option value="open">what is open</option>
        {kinds.map(({ rule, title, marks }) => (
          <option key={rule} value={rule}>
            {title}: {figure(marks)}
          </option>
        ))}
      </select>
      <SectionChoice
        titles={titles}
        section={filter.section}
        onChoose={(section) => onChoose({ ...filter, section })}
      />
      <input
        type="search"
        aria-label="Find a name or year"
        placeholder="Find a name or year"
        className="field w-44 text-[13px]"
        value={filter.word}
        onChange={({ target }) => onChoose({ ...filter, word: target.value })}
        onKeyDown={({ key, currentTarget }) => key === "Enter" && currentTarget.blur()}
      />
    </span>
  );
}
