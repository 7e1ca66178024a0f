import { type ReactNode, useState } from "react";
import type { KindRow, PlacedQuantity, UnitRow } from "../../../../core/gathered/quantities.ts";
import { count, figure } from "../../../parts/words.ts";
import type { BoardProps } from "../board.ts";
import { useBoardKeys } from "../use-board-keys.ts";
import { Act } from "./Act.tsx";
import { type ListedPlace, PlaceRows } from "./PlaceRows.tsx";
import { SideList } from "./SideList.tsx";
import { useGathered } from "./use-gathered.ts";

const SYSTEMS = {
  metric: "SI and metric",
  customary: "imperial and US",
  nautical: "nautical",
  other: "other",
} as const;

interface QuantitiesProps extends BoardProps {
  views: ReactNode;
  onNextView: () => void;
}

/** The quantities of the document by kind: the units that serve it, how often, where, and what each is in another. */
export function Quantities({ views, onNextView, ...board }: QuantitiesProps) {
  const { reports, deciding } = board;
  const kinds = useGathered("quantities", board);
  const [at, setAt] = useState(0);
  const [place, setPlace] = useState(0);
  /** A unit that is singled out; "" for all. */
  const [only, setOnly] = useState("");
  const shown = Math.min(at, Math.max(0, (kinds?.length ?? 0) - 1));
  const here = kinds?.[shown];
  const places = here ? placesOf(here, only) : [];
  const pick = (next: number) => {
    setAt(Math.max(0, Math.min((kinds?.length ?? 1) - 1, next)));
    setPlace(0);
    setOnly("");
  };
  const single = (unit: string) => {
    setOnly(unit === only ? "" : unit);
    setPlace(0);
  };
  const see = (one = places[place]) => one && deciding.goToRange(one, "consistency");
  useBoardKeys({
    ...deciding,
    move: (by) => pick(shown + by),
    page: 10,
    go: () => see(),
    stet: () => {},
    own: new Map([
      ["v", onNextView],
      ["ArrowRight", () => setPlace(Math.min(places.length - 1, place + 1))],
      ["ArrowLeft", () => setPlace(Math.max(0, place - 1))],
      ...(here?.units ?? [])
        .slice(0, 9)
        .map(({ unit }, index) => [String(index + 1), () => single(unit)] as const),
    ]),
  });
  return (
    <>
      {views}
      {kinds === null ? <p className="px-6 py-8 text-soft">Gathering…</p> : null}
      {kinds?.length === 0 ? (
        <p className="px-6 py-8 text-soft">No number with a unit stands in the document.</p>
      ) : null}
      {kinds && here ? (
        <div className="grid min-h-0 grow grid-cols-[264px_minmax(0,1fr)]">
          <SideList
            label="Kinds of quantity"
            count={kinds.length}
            keyOf={(index) => kinds[index]?.kind ?? ""}
            row={(index) => <OneKind row={kinds[index]} />}
            at={shown}
            onPick={pick}
          />
          <div className="flex min-h-0 flex-col">
            <header className="px-6 pt-4 pb-2">
              <h2 className="font-book text-2xl font-semibold first-letter:uppercase">
                {here.kind}
              </h2>
              <p className="mt-0.5 text-[13px] text-soft">{toldOf(here)}</p>
            </header>
            <fieldset
              aria-label="Units"
              className="flex flex-wrap gap-2 border-b border-rule px-6 pb-3"
            >
              {here.units.map(({ unit, system, places: own }) => (
                <button
                  key={unit}
                  type="button"
                  aria-pressed={unit === only}
                  onClick={(event) => {
                    single(unit);
                    if (event.detail > 0) event.currentTarget.blur();
                  }}
                  className={`rounded-xs border px-2.5 py-1 text-[13px] ${unit === only ? "border-ink bg-wash font-semibold" : "border-rule"}`}
                >
                  <span className="font-book text-base">{unit}</span> {figure(own.length)}{" "}
                  <span className="text-soft">{SYSTEMS[system]}</span>
                </button>
              ))}
            </fieldset>
            <PlaceRows
              label={`Places of ${here.kind}`}
              reports={reports}
              places={places}
              at={place}
              onPick={setPlace}
              onSee={see}
            />
            <footer className="flex flex-wrap gap-x-5 gap-y-2 border-t border-ink bg-wash px-6 py-3 text-[13px]">
              <Act letter="Enter" label="see it in the text" run={() => see()} />
              <Act
                letter="1"
                label="single out a unit"
                run={() => single(here.units[0]?.unit ?? "")}
              />
              <Act letter="↓" label="next kind" run={() => pick(shown + 1)} />
              <Act
                letter="→"
                label="next place"
                run={() => setPlace(Math.min(places.length - 1, place + 1))}
              />
              <Act letter="Esc" label="back to the text" run={deciding.back} />
            </footer>
          </div>
        </div>
      ) : null}
    </>
  );
}

function OneKind({ row }: { row: KindRow | undefined }) {
  if (!row) return null;
  return (
    <>
      <span className="flex gap-2">
        <span className="min-w-0 grow truncate font-semibold">{row.kind}</span>
        <span className="truncate text-[13px] text-soft">
          {row.units.map(({ unit, places }) => `${unit} ${places.length}`).join(", ")}
        </span>
      </span>
      <span className="block truncate text-[13px] text-pen">
        {[
          row.mixed ? "two systems" : "",
          row.findings.length > 0 ? `${row.findings.length} to settle` : "",
        ]
          .filter(Boolean)
          .join(", ")}
      </span>
    </>
  );
}

function toldOf({ units, mixed, findings }: KindRow): string {
  const places = units.reduce((sum, one) => sum + one.places.length, 0);
  const said = [`${count(places, "place")} in ${count(units.length, "unit")}`];
  if (mixed) said.push("more than one system serves it");
  if (findings.length > 0) said.push(`${count(findings.length, "place")} to settle`);
  return `${said.join("; ")}.`;
}

/** The places of a kind by size, each with what it is in the commonest unit. */
function placesOf({ units, findings }: KindRow, only: string): ListedPlace[] {
  const [main] = units;
  return units
    .filter(({ unit }) => only === "" || unit === only)
    .flatMap(({ places }) => places)
    .sort((one, other) => one.from - other.from)
    .map((place) => {
      const found = findings.find(({ from, to }) => place.from < to && place.to > from);
      const other = main && place.unit !== main.unit ? inUnit(place, main) : "";
      return {
        from: place.from,
        to: place.to,
        beside: found ? <span className="text-pen">{other || "to settle"}</span> : other,
      };
    });
}

/** A quantity in another unit of its kind, to three figures. */
function inUnit({ size }: PlacedQuantity, { unit, factor, offset }: UnitRow): string {
  return `${Number(((size - offset) / factor).toPrecision(3)).toLocaleString("en-GB")} ${unit}`;
}
