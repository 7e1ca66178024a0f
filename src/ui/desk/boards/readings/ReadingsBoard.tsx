import { useMemo, useState } from "react";
import type { TextReadings } from "../../../../core/engine/reading.ts";
import { reachOf } from "../../../../core/readings/reach.ts";
import { Key } from "../../../parts/Key.tsx";
import { count } from "../../../parts/words.ts";
import type { BoardProps } from "../board.ts";
import { useBoardKeys } from "../use-board-keys.ts";
import { type Behind, BehindCount } from "./BehindCount.tsx";
import { Counts } from "./Counts.tsx";
import { Hardest } from "./Hardest.tsx";
import { BeforeAfter, Grades, Lengths } from "./Histograms.tsx";
import { Measures } from "./Measures.tsx";
import { PartsCounted } from "./PartsCounted.tsx";
import { ReaderChoice } from "./ReaderChoice.tsx";
import { Rhythm } from "./Rhythm.tsx";
import { Sections } from "./Sections.tsx";
import { SentenceBars } from "./SentenceBars.tsx";
import { WordsUsed } from "./WordsUsed.tsx";

/** How the text reads: its sentences, its sections beside a reader, its measures and counts. */
export function ReadingsBoard(props: BoardProps) {
  const { readings } = props.reports;
  return (
    <section aria-label="How it reads" className="flex min-h-0 flex-col bg-sheet">
      {readings && readings.counts.words > 0 ? (
        <Board {...props} readings={readings} />
      ) : (
        <Empty {...props} />
      )}
    </section>
  );
}

/** Before the text has been read, or where no part of it is counted. */
function Empty({ reports, deciding }: BoardProps) {
  useBoardKeys({ ...deciding, move: () => undefined, page: 1, go: deciding.back, stet: () => {} });
  return (
    <>
      <header className="flex items-baseline gap-5 border-b border-rule px-6 pt-3.5 pb-2.5">
        <h2 className="grow font-book text-xl font-semibold">How it reads</h2>
        {reports.readings ? <PartsCounted reports={reports} deciding={deciding} /> : null}
      </header>
      <p className="px-6 py-8 text-soft">
        {reports.readings
          ? "There is no sentence to measure in the parts that are counted."
          : "The text is still being read."}
      </p>
    </>
  );
}

function Board({ reports, deciding, readings }: BoardProps & { readings: TextReadings }) {
  const { reader } = reports;
  const [asTables, setAsTables] = useState(false);
  const [at, setAt] = useState(() => {
    const place = reports.from;
    const own = readings.hardest.findIndex(
      ({ from, to }) => place !== null && place.from < to && place.to > from,
    );
    return Math.max(0, own);
  });
  const [behind, setBehind] = useState<Behind | null>(null);
  const reach = useMemo(() => reachOf(readings, reader), [readings, reader]);
  const { hardest } = readings;
  const here = hardest[Math.min(at, hardest.length - 1)];
  const openMark =
    here &&
    reports.open.find(
      ({ mark, from, to }) => mark.pass === "sentences" && from < here.to && to > here.from,
    );
  useBoardKeys({
    ...deciding,
    move: (by) => setAt(Math.max(0, Math.min(hardest.length - 1, at + by))),
    page: 4,
    go: () => (here ? deciding.goToRange(here.shown) : deciding.back()),
    stet: () => openMark && deciding.stet([openMark]),
    tables: () => setAsTables(!asTables),
    back: () => (behind ? setBehind(null) : deciding.back()),
  });
  const outside = reach.filter(({ isLong, isHard }) => isLong || isHard).length;
  const common = { readings, reports, deciding, asTables };
  return (
    <>
      <header className="flex flex-wrap items-baseline gap-x-5 gap-y-1 border-b border-ink px-6 pt-3.5 pb-2.5">
        <h2 className="grow font-book text-xl font-semibold">How it reads</h2>
        <ReaderChoice reports={reports} deciding={deciding} />
        <PartsCounted reports={reports} deciding={deciding} />
        <button type="button" aria-pressed={asTables} onClick={() => setAsTables(!asTables)}>
          <Key>T</Key> {asTables ? "as charts" : "as tables"}
        </button>
      </header>
      <div className="min-h-0 grow overflow-auto px-6 pb-8" data-testid="readings">
        <SentenceBars {...common} />
        <div className="mt-5 grid grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] gap-x-9">
          <div className="space-y-7">
            <div>
              <Sections {...common} reach={reach} />
              <p className="mt-2.5 text-[13px] text-soft">
                {outside === 0
                  ? "Every section is within this reader’s reach."
                  : `${count(outside, "section")} beyond this reader’s reach.`}
              </p>
            </div>
            <Measures {...common} />
            <Grades {...common} reach={reach} />
            <WordsUsed {...common} onOpen={setBehind} />
          </div>
          <div className="space-y-7">
            {behind ? (
              <BehindCount {...common} behind={behind} onClose={() => setBehind(null)} />
            ) : (
              <Hardest {...common} at={at} onPick={setAt} />
            )}
            <Counts {...common} onOpen={setBehind} />
            <Lengths {...common} />
            <BeforeAfter {...common} />
            <Rhythm {...common} />
          </div>
        </div>
      </div>
      <footer
        className="flex items-baseline gap-5 border-t border-pen bg-wash px-6 py-2.5 text-[13px]"
        aria-live="polite"
      >
        <p className="min-w-0 grow truncate">
          {here ? (
            <>
              <b className="font-semibold">{here.told}</b>
              <span className="text-soft">
                {" "}
                · {at + 1} of {hardest.length} that cost most
              </span>
            </>
          ) : (
            "No sentence costs the reader anything."
          )}
        </p>
        {here ? (
          <button
            type="button"
            className="font-semibold whitespace-nowrap"
            onClick={() => deciding.goToRange(here.shown)}
          >
            <Key>B</Key> go to it in the text
          </button>
        ) : null}
        {openMark ? (
          <button
            type="button"
            className="whitespace-nowrap"
            onClick={() => deciding.stet([openMark])}
          >
            <Key>S</Key> stet
          </button>
        ) : null}
        <button type="button" className="whitespace-nowrap" onClick={() => deciding.undo()}>
          <Key>U</Key> undo
        </button>
        <button type="button" className="whitespace-nowrap" onClick={() => deciding.back()}>
          <Key>Esc</Key> back to the text
        </button>
      </footer>
    </>
  );
}
