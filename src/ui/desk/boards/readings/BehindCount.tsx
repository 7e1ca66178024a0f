import { useEffect, useRef, useState } from "react";
import { type CountPlace, MOST_PLACES, type PlaceQuery } from "../../../../core/readings/places.ts";
import { Key } from "../../../parts/Key.tsx";
import { count } from "../../../parts/words.ts";
import type { PartProps } from "./part.ts";

/** The count that is opened, and how many places it has in all. */
export interface Behind {
  title: string;
  query: PlaceQuery;
  total: number;
}

const CONTEXT = 42;

/** The places behind a count, each with its words around it. */
export function BehindCount({
  reports: { text },
  deciding,
  readings,
  behind,
  onClose,
}: PartProps & { behind: Behind; onClose: () => void }) {
  const [places, setPlaces] = useState<readonly CountPlace[] | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: places are of the readings they stand behind
  useEffect(() => {
    let over = false;
    setPlaces(null);
    void deciding.places(behind.query).then((found) => {
      if (!over) setPlaces(found);
    });
    return () => {
      over = true;
    };
  }, [behind, deciding, readings]);
  const panel = useRef<HTMLElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is opened comes into view
  useEffect(() => {
    panel.current?.scrollIntoView({ block: "nearest" });
  }, [behind]);
  return (
    <section ref={panel} aria-label={`Places of: ${behind.title}`}>
      <h3 className="flex items-baseline justify-between border-b border-rule pb-1 text-xs font-semibold text-soft">
        {behind.title}
        <button type="button" className="font-normal" onClick={onClose}>
          <Key>Esc</Key> close
        </button>
      </h3>
      {places === null ? <p className="py-3 text-soft">Looking…</p> : null}
      <ol className="max-h-[340px] overflow-auto text-[13px]" data-testid="places">
        {places?.map((place) => (
          <li key={`${place.from} ${place.to}`} className="border-b border-hair">
            <button
              type="button"
              className="grid w-full grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)_auto] gap-x-1 py-1 text-left hover:bg-wash"
              onClick={() => deciding.goToRange(place)}
            >
              <span className="flex justify-end overflow-hidden whitespace-nowrap text-soft">
                {text.slice(Math.max(0, place.from - CONTEXT), place.from).replace(/\s+/g, " ")}
              </span>
              <span className="overflow-hidden whitespace-nowrap">
                <b className="font-semibold">{text.slice(place.from, place.to)}</b>
                <span className="text-soft">
                  {text.slice(place.to, place.to + CONTEXT).replace(/\s+/g, " ")}
                </span>
              </span>
              <span className="text-right text-soft">{place.figure ?? ""}</span>
            </button>
          </li>
        ))}
      </ol>
      {places && places.length === MOST_PLACES ? (
        <p className="py-1.5 text-xs text-soft">
          The first {count(MOST_PLACES, "place")} of {count(behind.total, "place")}.
        </p>
      ) : null}
    </section>
  );
}
