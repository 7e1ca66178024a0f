import { useVirtualizer } from "@tanstack/react-virtual";
import { useEffect, useMemo, useRef, useState } from "react";
import { PASSES, type Weight } from "../../../core/checks/card.ts";
import { cardById } from "../../../core/checks/cards.ts";
import { sectionTitles } from "../../../core/manuscript/sections.ts";
import { PASS_LABELS, WEIGHT_LABELS } from "../../../core/report/words.ts";
import { Key } from "../../parts/Key.tsx";
import { count, figure } from "../../parts/words.ts";
import type { PlacedMark } from "../reported.ts";
import type { BoardProps, BoardReports } from "./board.ts";
import { countedBy, filtered, type MarkFilter, NO_FILTER, sectionOf } from "./filters.ts";
import { useBoardKeys } from "./use-board-keys.ts";

/** Pixels of a row, and characters of text shown on each side of a mark. */
const ROW = 34;
const CONTEXT = 60;

/** All open marks of all passes as one list, from which one goes to the place. */
export function MarksBoard({ reports, deciding }: BoardProps) {
  const { open, blocks } = reports;
  const [filter, setFilter] = useState(NO_FILTER);
  const listed = useMemo(() => filtered(open, filter, blocks), [open, filter, blocks]);
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      open.findIndex((one) => isSame(one, reports.from)),
    ),
  );
  const here = listed[Math.min(at, listed.length - 1)];
  const list = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: listed.length,
    getScrollElement: () => list.current,
    estimateSize: () => ROW,
    overscan: 12,
  });
  const shownAt = Math.min(at, Math.max(0, listed.length - 1));
  // biome-ignore lint/correctness/useExhaustiveDependencies: the list is scrolled when the row changes
  useEffect(() => rows.scrollToIndex(shownAt, { align: "auto" }), [shownAt, listed.length]);
  const move = (by: number) => setAt(Math.max(0, Math.min(listed.length - 1, shownAt + by)));
  const choose = (changes: Partial<MarkFilter>) => {
    setFilter({ ...filter, ...changes });
    setAt(0);
  };
  useBoardKeys({
    ...deciding,
    move,
    page: Math.max(1, Math.floor((list.current?.clientHeight ?? ROW) / ROW) - 1),
    go: () => here && deciding.go(here),
    stet: () => here && deciding.stet([here]),
  });
  const titles = useMemo(
    () => sectionTitles({ text: reports.text, blocks: [...blocks] }),
    [reports.text, blocks],
  );
  return (
    <section aria-label="All marks" className="flex min-h-0 flex-col bg-sheet">
      <header className="flex items-baseline gap-5 border-b border-rule px-6 pt-3.5 pb-2.5">
        <h2 className="font-book text-xl font-semibold">All marks</h2>
        <Filters open={open} filter={filter} onChoose={choose} reports={reports} titles={titles} />
        <span className="grow text-right whitespace-nowrap text-soft">
          {listed.length === open.length
            ? count(open.length, "open mark")
            : `${figure(listed.length)} of ${count(open.length, "open mark")}`}
        </span>
      </header>
      {listed.length === 0 ? (
        <p className="grow px-6 py-8 text-soft">
          {open.length === 0 ? "No mark is open." : "No open mark is like that."}
        </p>
      ) : (
        <div ref={list} className="min-h-0 grow overflow-auto" data-testid="marks">
          <ol className="relative" style={{ height: rows.getTotalSize() }}>
            {rows.getVirtualItems().map(({ index, start }) => {
              const place = listed[index];
              return place ? (
                <Row
                  key={`${place.mark.id} ${place.from}`}
                  start={start}
                  place={place}
                  reports={reports}
                  section={titles[Number(sectionOf(place.mark.block, blocks))] ?? ""}
                  here={place === here}
                  onPick={() => setAt(index)}
                  onGo={() => deciding.go(place)}
                />
              ) : null;
            })}
          </ol>
        </div>
      )}
      {here ? <Foot place={here} reports={reports} deciding={deciding} /> : null}
    </section>
  );
}

function isSame(one: PlacedMark, other: PlacedMark | null): boolean {
  return other !== null && one.mark.id === other.mark.id && one.from === other.from;
}

interface FiltersProps {
  open: readonly PlacedMark[];
  filter: MarkFilter;
  onChoose: (changes: Partial<MarkFilter>) => void;
  reports: BoardReports;
  titles: readonly string[];
}

const WEIGHTS: readonly Weight[] = ["fix", "settle", "weigh"];

function Filters({ open, filter, onChoose, reports: { blocks }, titles }: FiltersProps) {
  const without = (name: keyof MarkFilter) => filtered(open, { ...filter, [name]: "" }, blocks);
  const passes = new Map(countedBy(without("pass"), ({ mark }) => mark.pass));
  const weights = new Map(countedBy(without("weight"), ({ mark }) => mark.weight));
  const rules = countedBy(without("rule"), ({ mark }) => mark.rule);
  const sections = countedBy(without("section"), ({ mark }) => sectionOf(mark.block, blocks));
  return (
    <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 text-[13px]">
      <Filter
        name="Pass"
        all="All passes"
        value={filter.pass}
        options={PASSES.map((pass) => [pass, PASS_LABELS[pass], passes.get(pass) ?? 0])}
        onChoose={(pass) => onChoose({ pass: pass as MarkFilter["pass"], rule: "" })}
      />
      <Filter
        name="Weight"
        all="Any weight"
        value={filter.weight}
        options={WEIGHTS.map((one) => [one, WEIGHT_LABELS[one], weights.get(one) ?? 0])}
        onChoose={(weight) => onChoose({ weight: weight as MarkFilter["weight"] })}
      />
      <Filter
        name="Check"
        all="Any check"
        value={filter.rule}
        options={rules.map(([rule, found]) => [rule, cardById(rule)?.title ?? rule, found])}
        onChoose={(rule) => onChoose({ rule })}
      />
      <Filter
        name="Section"
        all="Any section"
        value={filter.section}
        options={sections
          .sort(([one], [other]) => Number(one) - Number(other))
          .map(([section, found]) => [section, sectionName(titles[Number(section)]), found])}
        onChoose={(section) => onChoose({ section })}
      />
    </div>
  );
}

function sectionName(title: string | undefined): string {
  return title || "Before the first heading";
}

interface FilterProps {
  name: string;
  /** What it says when nothing is filtered. */
  all: string;
  value: string;
  options: [value: string, label: string, found: number][];
  onChoose: (value: string) => void;
}

function Filter({ name, all, value, options, onChoose }: FilterProps) {
  return (
    <label>
      <span className="sr-only">{name}</span>
      <select
        className={`max-w-44 border-b border-dotted border-faint bg-transparent ${value ? "font-semibold" : "text-soft"}`}
        value={value}
        onChange={(event) => onChoose(event.target.value)}
      >
        <option value="">{all}</option>
        {options.map(([one, label, found]) => (
          <option key={one} value={one}>
            {label}, {figure(found)}
          </option>
        ))}
      </select>
    </label>
  );
}

interface RowProps {
  /** Pixels from the top of the list. */
  start: number;
  place: PlacedMark;
  reports: BoardReports;
  section: string;
  here: boolean;
  onPick: () => void;
  onGo: () => void;
}

const RULES: Record<Weight, string> = {
  fix: "border-solid",
  settle: "border-dashed",
  weigh: "border-dotted",
};

function Row({
  start: top,
  place,
  reports: { text, blocks },
  section,
  here,
  onPick,
  onGo,
}: RowProps) {
  const { mark, from, to } = place;
  const block = blocks[mark.block];
  const start = Math.max(block?.from ?? 0, from - CONTEXT);
  const before = text.slice(start, from).replace(/\s+/g, " ");
  const after = text.slice(to, Math.min(block?.to ?? to, to + CONTEXT)).replace(/\s+/g, " ");
  return (
    <li className="absolute inset-x-0" style={{ transform: `translateY(${top}px)`, height: ROW }}>
      <button
        type="button"
        aria-current={here ? "true" : undefined}
        onClick={onPick}
        onDoubleClick={onGo}
        className={`grid h-full w-full grid-cols-[44px_76px_minmax(0,1fr)_minmax(0,1fr)_minmax(0,168px)] items-baseline gap-x-3 border-b border-hair px-6 text-left ${here ? "bg-wash" : ""}`}
      >
        <span className="text-right text-xs font-semibold text-pen">{mark.code}</span>
        <span className="text-[13px] text-soft">{WEIGHT_LABELS[mark.weight]}</span>
        <span className="flex justify-end overflow-hidden font-book leading-8 whitespace-nowrap text-soft">
          {before}
        </span>
        <span className="overflow-hidden font-book leading-8 whitespace-nowrap">
          <span className={`border-b-2 border-pen bg-tint ${RULES[mark.weight]}`}>
            {text.slice(from, to)}
          </span>
          <span className="text-soft">{after}</span>
        </span>
        <span className="truncate text-[13px] text-soft">{section}</span>
      </button>
    </li>
  );
}

function Foot({ place, reports, deciding }: BoardProps & { place: PlacedMark }) {
  const { mark } = place;
  const said = [mark.reason, reports.groups.get(mark.group)?.note].filter(Boolean).join(" ");
  return (
    <footer className="border-t border-pen bg-wash px-6 py-3" aria-live="polite">
      <p>
        <b className="font-semibold">{cardById(mark.rule)?.title}</b>: {said}
      </p>
      <div className="mt-2 flex gap-4 text-[13px]">
        <button type="button" className="font-semibold" onClick={() => deciding.go(place)}>
          <Key>B</Key> go to it in the text
        </button>
        <button type="button" onClick={() => deciding.stet([place])}>
          <Key>S</Key> stet
        </button>
        <button type="button" onClick={() => deciding.undo()}>
          <Key>U</Key> undo
        </button>
        <button type="button" className="ml-auto" onClick={() => deciding.back()}>
          <Key>Esc</Key> back to the text
        </button>
      </div>
    </footer>
  );
}
