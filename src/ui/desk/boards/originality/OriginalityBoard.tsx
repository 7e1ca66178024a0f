import { useEffect, useMemo, useState } from "react";
import type { CollatedCell, OverlapTable, PassageRow } from "../../../../core/gathered/overlaps.ts";
import { blockIndexAt } from "../../../../core/manuscript/layout.ts";
import { sectionTitles } from "../../../../core/manuscript/sections.ts";
import { figure } from "../../../parts/words.ts";
import type { PlacedMark } from "../../reported.ts";
import { BoardViews, viewAfter } from "../BoardViews.tsx";
import type { BoardProps } from "../board.ts";
import { useChoices } from "../citations/use-choices.ts";
import { SectionChoice } from "../SectionChoice.tsx";
import { QueryLine } from "../settling/QueryLine.tsx";
import { useGathered } from "../settling/use-gathered.ts";
import { useBoardKeys } from "../use-board-keys.ts";
import { CompareStrip } from "./CompareStrip.tsx";
import { MapLegend, OverlapMap, wordsALine } from "./OverlapMap.tsx";
import { OverlapReport } from "./OverlapReport.tsx";
import { PassageStrip } from "./PassageStrip.tsx";
import { Reword } from "./Reword.tsx";
import { SourceList } from "./SourceList.tsx";
import { Voice } from "./Voice.tsx";
import { WholeSource } from "./WholeSource.tsx";

/** What the board shows, and what each view is called. */
const ORIGINALITY_VIEWS = { map: "The map", report: "Report", voice: "Voice" } as const;
type OriginalityView = keyof typeof ORIGINALITY_VIEWS;

/** What the foot of the board is used for. */
type Doing = "deciding" | "asking" | "rewording";

/** What the text shares with sources: a map of it, the sources ranked, and the open passage beside its source. */
export function OriginalityBoard(props: BoardProps) {
  const { reports, deciding } = props;
  const { comparing, overlaps, text, open, reading } = reports;
  const table = useGathered("overlaps", props);
  const [chosen, setChosen] = useState<number | null>(null);
  const [doing, setDoing] = useState<Doing>("deciding");
  const [whole, setWhole] = useState(false);
  const [filter, setFilter] = useState<PassageFilter>("all");
  const [view, setView] = useState<OriginalityView>("map");
  const [section, setSection] = useState("");
  const { blocks } = reports;
  const titles = useMemo(() => sectionTitles({ text, blocks: [...blocks] }), [text, blocks]);
  const passages = useMemo(
    () =>
      (table?.passages ?? []).filter(
        (one) =>
          isShown(one, filter) &&
          (section === "" ||
            titles[blocks[blockIndexAt(blocks, one.from)]?.section ?? 0] === section),
      ),
    [table, filter, section, titles, blocks],
  );
  const from = reports.from;
  const first = passages.find((one) =>
    from ? one.from < from.to && one.to > from.from : one.counts,
  );
  const here = passages.find(({ number }) => number === chosen) ?? first ?? passages[0] ?? null;
  const at = here ? passages.indexOf(here) : -1;
  const marks = useMemo(() => (here ? marksOf(here, open) : []), [here, open]);
  const [mark = null] = marks;
  const choices = useChoices(mark, deciding);
  const cells = useCollation(here, props);
  const move = (by: number) =>
    setChosen(passages[Math.max(0, Math.min(passages.length - 1, at + by))]?.number ?? null);
  const openSource = (id: string | undefined) => {
    const passage =
      passages.find(({ source, counts }) => source === id && counts) ??
      passages.find(({ source }) => source === id);
    if (passage) setChosen(passage.number);
  };
  const nextSource = (by: number) => {
    const sources = table?.sources ?? [];
    const now = sources.findIndex(({ id }) => id === here?.source);
    openSource(sources[(now + by + sources.length) % Math.max(1, sources.length)]?.id);
  };
  const choose = (of: string, value: string | null) => {
    if (!reading) void overlaps.choose(of, value);
  };
  const say = (verdict: "own" | "stock") => {
    if (here) choose(here.verdict, here.said === verdict ? null : verdict);
  };
  const take = (index: number) => {
    const choice = choices?.[index];
    if (mark && choice && !reading) deciding.correct(mark, choice);
  };
  const stet = () => {
    if (marks.length > 0 && !reading) deciding.stet(marks);
  };
  const see = () => {
    if (mark) deciding.go(mark);
    else if (here) deciding.goToRange(here, "originality");
    else deciding.back();
  };
  const reword = () => here && !reading && setDoing("rewording");
  useBoardKeys({
    ...deciding,
    move,
    page: 5,
    go: see,
    stet,
    own: new Map([
      ["v", () => setView(viewAfter(ORIGINALITY_VIEWS, view))],
      ["ArrowRight", () => nextSource(1)],
      ["ArrowLeft", () => nextSource(-1)],
      ["Enter", () => take(0)],
      ["r", () => void reword()],
      ["m", () => say("own")],
      ["p", () => say("stock")],
      ["q", () => here && !reading && setDoing("asking")],
      ["o", () => setWhole(!whole)],
      ...Array.from({ length: 9 }, (_, index) => [String(index + 1), () => take(index)] as const),
    ]),
  });
  const source = table?.sources.find(({ id }) => id === here?.source) ?? null;
  return (
    <section aria-label="Originality" className="flex min-h-0 flex-col bg-sheet">
      <Heading table={table} />
      <CompareStrip comparing={comparing} overlaps={overlaps} />
      {table && comparing.done ? (
        <BoardViews labels={ORIGINALITY_VIEWS} view={view} onChoose={setView} counts={{}} />
      ) : null}
      {table && comparing.done && view === "report" ? (
        <OverlapReport
          table={table}
          text={text}
          title={reports.title}
          fileName={reports.fileName}
          done={comparing.done}
        />
      ) : null}
      {comparing.done && view === "voice" ? (
        <Voice
          text={text}
          overlaps={overlaps}
          onSee={(stretch) => deciding.goToRange(stretch, "originality")}
        />
      ) : null}
      {table && comparing.done && view === "map" ? (
        <div className="grid min-h-0 grow grid-cols-[330px_minmax(0,1fr)] border-t border-ink">
          <SourceList
            table={table}
            here={source?.id ?? null}
            onOpen={openSource}
            onChoose={choose}
          />
          {whole && source ? (
            <WholeSource
              source={source}
              overlaps={overlaps}
              cells={cells}
              onClose={() => setWhole(false)}
            />
          ) : (
            <div className="min-h-0 overflow-auto px-6 pb-4">
              <p className="flex items-baseline gap-4 pt-3.5 pb-2 text-xs text-soft">
                <span className="grow font-semibold">
                  The text, {figure(wordsALine(table.totals.all))} words a line
                </span>
                <Filter filter={filter} onChoose={setFilter} />
                <SectionChoice titles={titles} section={section} onChoose={setSection} />
                <span>
                  {here
                    ? `passage ${figure(at + 1)} of ${figure(passages.length)}`
                    : "no passage is like that"}
                </span>
              </p>
              <OverlapMap
                words={table.totals.all}
                passages={passages}
                open={here?.number ?? null}
                onOpen={setChosen}
              />
              <MapLegend />
              <FirstToDo table={table} onOpen={setChosen} />
            </div>
          )}
        </div>
      ) : null}
      {table && comparing.done && here && view === "map" && doing === "asking" ? (
        <QueryLine
          onAsk={(note) => {
            deciding.ask(mark?.mark.rule ?? "originality/passage", here, note);
            setDoing("deciding");
          }}
          onLeave={() => setDoing("deciding")}
        />
      ) : null}
      {table && comparing.done && here && source && view === "map" && doing !== "asking" ? (
        <PassageStrip
          passage={here}
          place={table.sources.indexOf(source) + 1}
          source={source}
          cells={cells}
          choices={mark ? choices : []}
          isOpen={mark !== null}
          deciding={deciding}
          onTake={take}
          onStet={stet}
          onSay={say}
          onAsk={() => setDoing("asking")}
          onReword={() => void reword()}
          onWhole={() => setWhole(!whole)}
          onSee={see}
          onNext={() => move(1)}
          onNextSource={() => nextSource(1)}
        />
      ) : null}
      {here && source && doing === "rewording" ? (
        <Reword
          passage={here}
          text={text.slice(here.from, here.to)}
          cells={cells}
          title={source.title}
          overlaps={overlaps}
          onWrite={(written) => {
            deciding.reword(here, written);
            setDoing("deciding");
            deciding.say("Written anew. Where the thought is still the source’s, cite it.");
          }}
          onClose={() => setDoing("deciding")}
        />
      ) : null}
    </section>
  );
}

function Heading({ table }: { table: OverlapTable | null }) {
  const share = table && table.totals.all > 0 ? table.totals.words / table.totals.all : 0;
  const { limit = null } = table ?? {};
  return (
    <header className="flex flex-wrap items-center gap-x-7 gap-y-2 px-8 pt-4 pb-2.5">
      <h2 className="font-book text-2xl font-semibold" data-testid="overlap-figure">
        {table
          ? `${figure(table.totals.words)} of ${figure(table.totals.all)} words stand elsewhere`
          : "What stands elsewhere"}
      </h2>
      {table ? (
        <>
          <svg
            className="h-5 min-w-40 grow"
            preserveAspectRatio="none"
            viewBox="0 0 100 20"
            role="img"
            aria-label={`${percent(share)} of the words`}
          >
            <rect x="0" y="9" width="100" height="1.5" className="fill-hair" />
            <rect x="0" y="7" width={100 * share} height="6" className="fill-pen" />
            {limit ? (
              <rect x={100 * limit.share} y="2" width="0.35" height="16" className="fill-ink" />
            ) : null}
          </svg>
          <span>
            <strong>{percent(share)}</strong>
            {limit ? beside(limit) : ""}
          </span>
        </>
      ) : null}
    </header>
  );
}

function beside({ share, over }: NonNullable<OverlapTable["limit"]>): string {
  const limit = `the limit of ${percent(share)}`;
  return over > 0 ? `, over ${limit} by ${figure(over)} words` : `, within ${limit}`;
}

function percent(share: number): string {
  const value = share * 100;
  return `${value > 0 && value < 10 ? value.toFixed(1) : value.toFixed(0)}%`;
}

/** Over the limit: the passages that bring it under soonest. */
function FirstToDo({ table, onOpen }: { table: OverlapTable; onOpen: (passage: number) => void }) {
  const { limit, passages } = table;
  if (!limit || limit.over === 0) return null;
  return (
    <section className="pt-4 text-[13px]" data-testid="first-to-do">
      <h3 className="font-semibold">
        {limit.first.length === 1
          ? "One passage mended brings it within the limit"
          : `These ${figure(limit.first.length)} passages mended bring it within the limit`}
      </h3>
      <ol className="mt-1 flex flex-wrap gap-x-4">
        {limit.first.map((number) => {
          const passage = passages[number];
          return passage ? (
            <li key={number}>
              <button type="button" className="button-text" onClick={() => onOpen(number)}>
                {figure(passage.words)} words from word {figure(passage.firstWord + 1)}
              </button>
            </li>
          ) : null;
        })}
      </ol>
    </section>
  );
}

const FILTERS = {
  all: "all passages",
  counted: "what counts",
  identical: "word for word",
  near: "lightly changed",
  reworded: "reworded",
  possible: "possible",
  out: "kept out",
} as const;
type PassageFilter = keyof typeof FILTERS;

function isShown({ counts, tier }: PassageRow, filter: PassageFilter): boolean {
  if (filter === "all") return true;
  if (filter === "counted") return counts;
  if (filter === "out") return !counts && tier !== "possible";
  return tier === filter && (counts || tier === "possible");
}

function Filter({
  filter,
  onChoose,
}: {
  filter: PassageFilter;
  onChoose: (filter: PassageFilter) => void;
}) {
  return (
    <select
      aria-label="Which passages"
      className="border-b border-dotted border-faint bg-transparent"
      value={filter}
      onChange={({ target }) => {
        onChoose(target.value as PassageFilter);
        target.blur();
      }}
    >
      {Object.entries(FILTERS).map(([value, label]) => (
        <option key={value} value={value}>
          {label}
        </option>
      ))}
    </select>
  );
}

/** The open marks that lie in a passage, one in each of its blocks. */
function marksOf({ from, to }: PassageRow, open: readonly PlacedMark[]): PlacedMark[] {
  return open.filter(
    ({ mark, from: start, to: end }) => mark.pass === "originality" && start >= from && end <= to,
  );
}

/** The passage beside its source; null while it is fetched, and for a closed source. */
function useCollation(
  here: PassageRow | null,
  { reports }: BoardProps,
): readonly CollatedCell[] | null {
  const [cells, setCells] = useState<{ of: PassageRow; cells: CollatedCell[] | null } | null>(null);
  const { overlaps } = reports;
  useEffect(() => {
    let current = true;
    if (!here) return;
    void overlaps.collation(here.number).then((found) => {
      if (current) setCells({ of: here, cells: found });
    });
    return () => {
      current = false;
    };
  }, [here, overlaps]);
  return cells?.of === here ? (cells?.cells ?? null) : null;
}
