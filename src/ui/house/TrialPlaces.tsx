import type { Trial, TrialPlace } from "../../core/engine/rule-trial.ts";
import { count } from "../parts/words.ts";

/** How often a rule speaks in the chosen document, and its first places with what would stand there. */
export function TrialPlaces({ trial, title }: { trial: Trial | null; title: string }) {
  if (!trial) return <p className="text-soft">Reading {title || "a document"}…</p>;
  if (trial.refused) return <p className="text-alarm">{trial.refused}</p>;
  const { count: places, isWhole } = trial;
  return (
    <>
      <p aria-live="polite">
        <b className="font-semibold">
          {places === 0 && isWhole ? "No place" : count(places, "place")}
        </b>
        {isWhole ? "" : " so far"} in {title}
      </p>
      <ol className="mt-2 font-book text-[15px]">
        {trial.places.map((place) => (
          <li key={place.from} className="border-t border-hair py-1">
            <Line place={place} />
          </li>
        ))}
      </ol>
      {places > trial.places.length ? (
        <p className="border-t border-hair pt-1 text-[13px] text-soft">
          and {count(places - trial.places.length, "more place")}
        </p>
      ) : null}
    </>
  );
}

function Line({ place: { before, text, after, insert } }: { place: TrialPlace }) {
  return (
    <span className="block truncate">
      <span className="text-soft">{before.slice(-30)}</span>
      {insert === null ? (
        <span className="border-b-2 border-pen bg-tint">{text}</span>
      ) : (
        <>
          <del className="decoration-pen decoration-2">{text}</del>{" "}
          <ins className="bg-tint no-underline">{insert}</ins>
        </>
      )}
      <span className="text-soft">{after}</span>
    </span>
  );
}
