import { type ReactNode, useState } from "react";
import { EACH_SECTION, EXPLAINED_IN } from "../../../../core/checks/check.ts";
import type {
  AbbreviationFinding,
  AbbreviationRow,
} from "../../../../core/gathered/abbreviations.ts";
import { count, figure } from "../../../parts/words.ts";
import type { BoardProps } from "../board.ts";
import { useBoardKeys } from "../use-board-keys.ts";
import { Act } from "./Act.tsx";
import { type ListedPlace, PlaceRows } from "./PlaceRows.tsx";
import { SideList } from "./SideList.tsx";
import { useGathered } from "./use-gathered.ts";

const FINDINGS: Readonly<Record<AbbreviationFinding, string>> = {
  undefined: "explained nowhere",
  "before-definition": "used before it is explained",
  "defined-twice": "explained twice",
  "defined-differently": "two things",
  unused: "hardly used",
  "expanded-again": "in full again",
};

interface AbbreviationsProps extends BoardProps {
  views: ReactNode;
  onNextView: () => void;
}

/** Every abbreviation of the document, those with something found first. */
export function Abbreviations({ views, onNextView, ...board }: AbbreviationsProps) {
  const { reports, deciding } = board;
  const rows = useGathered("abbreviations", board);
  const [at, setAt] = useState(0);
  const [place, setPlace] = useState(0);
  const shown = Math.min(at, Math.max(0, (rows?.length ?? 0) - 1));
  const here = rows?.[shown];
  const places = here ? placesOf(here) : [];
  const pick = (next: number) => {
    setAt(Math.max(0, Math.min((rows?.length ?? 1) - 1, next)));
    setPlace(0);
  };
  const see = (one = places[place]) => one && deciding.goToRange(one, "consistency");
  const each = reports.forms[EXPLAINED_IN] === EACH_SECTION;
  const turn = () => !reports.reading && deciding.explainInEach(!each);
  useBoardKeys({
    ...deciding,
    move: (by) => pick(shown + by),
    page: 10,
    go: () => see(),
    stet: () => {},
    own: new Map([
      ["v", onNextView],
      ["x", () => void turn()],
      ["ArrowRight", () => setPlace(Math.min(places.length - 1, place + 1))],
      ["ArrowLeft", () => setPlace(Math.max(0, place - 1))],
    ]),
  });
  return (
    <>
      {views}
      {rows === null ? <p className="px-6 py-8 text-soft">Gathering…</p> : null}
      {rows?.length === 0 ? (
        <p className="px-6 py-8 text-soft">The document has no abbreviations.</p>
      ) : null}
      {rows && here ? (
        <div className="grid min-h-0 grow grid-cols-[264px_minmax(0,1fr)]">
          <SideList
            label="Abbreviations"
            count={rows.length}
            keyOf={(index) => rows[index]?.abbreviation ?? ""}
            row={(index) => <OneRow row={rows[index]} />}
            at={shown}
            onPick={pick}
          />
          <div className="flex min-h-0 flex-col">
            <header className="px-6 pt-4 pb-3">
              <h2 className="font-book text-2xl font-semibold">{here.abbreviation}</h2>
              <p className="mt-0.5 text-[13px] text-soft">
                {here.expansions.length > 0
                  ? `${here.expansions.map((one) => `“${one}”`).join(", ")}.`
                  : "No expansion stands in the text."}{" "}
                {count(here.places.length, "place")}.
              </p>
            </header>
            <PlaceRows
              label={`Places of ${here.abbreviation}`}
              reports={reports}
              places={places}
              at={place}
              onPick={setPlace}
              onSee={see}
            />
            <footer className="flex flex-wrap gap-x-5 gap-y-2 border-t border-ink bg-wash px-6 py-3 text-[13px]">
              <Act
                letter="Enter"
                label={here.findings.length > 0 ? "settle it in the text" : "see it in the text"}
                run={() => see()}
              />
              <Act letter="↓" label="next abbreviation" run={() => pick(shown + 1)} />
              <Act
                letter="→"
                label="next place"
                run={() => setPlace(Math.min(places.length - 1, place + 1))}
              />
              <Act
                letter="X"
                label={each ? "explained once is enough" : "explained in each section"}
                run={() => void turn()}
              />
              <Act letter="U" label="undo" run={deciding.undo} />
              <Act letter="Esc" label="back to the text" run={deciding.back} />
            </footer>
          </div>
        </div>
      ) : null}
    </>
  );
}

function OneRow({ row }: { row: AbbreviationRow | undefined }) {
  if (!row) return null;
  const found = [...new Set(row.findings.map(({ kind }) => FINDINGS[kind]))].join(", ");
  return (
    <>
      <span className="flex gap-2">
        <b className="font-book font-semibold">{row.abbreviation}</b>
        <span className="min-w-0 grow truncate text-[13px] text-soft">{row.expansions[0]}</span>
        <span className="text-[13px] text-soft">{figure(row.places.length)}</span>
      </span>
      <span className="block truncate text-[13px] text-pen">{found}</span>
    </>
  );
}

/** What was found, then every place. */
function placesOf({ findings, places }: AbbreviationRow): ListedPlace[] {
  const found = findings.map(({ from, to, kind }) => ({
    from,
    to,
    beside: <span className="text-pen">{FINDINGS[kind]}</span>,
  }));
  const others = places.filter(
    ({ from, to }) => !findings.some((one) => one.from <= from && one.to >= to),
  );
  return [...found, ...others];
}
