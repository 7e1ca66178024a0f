import { useEffect, useState } from "react";
import { sectionTitles } from "../../core/manuscript/sections.ts";
import { count } from "../parts/words.ts";
import { placeName } from "./place-names.ts";
import type { PlacedMark } from "./reported.ts";
import type { DeskSession } from "./session.ts";
import { useSlice } from "./use-slice.ts";

/** Characters of context on each side of the keyword. */
const CONTEXT = 40;

/** The places that share a mark's cause, keyword in context, to be corrected or let stand together. */
export function Occurrences({ session }: { session: DeskSession }) {
  const state = useSlice(
    session,
    "subject",
    "choices",
    "previewed",
    "shown",
    "reading",
    "openOfAll",
  );
  const { subject, choices, previewed } = state;
  const places = session.walk.twins(subject);
  const [unticked, setUnticked] = useState<ReadonlySet<string>>(new Set());
  const group = subject?.kind === "mark" ? subject.place.mark.group : "";
  // biome-ignore lint/correctness/useExhaustiveDependencies: ticks belong to one group of places
  useEffect(() => setUnticked(new Set()), [group]);
  if (subject?.kind !== "mark") {
    return <p className="text-soft">Open a mark, and the places like it are listed here.</p>;
  }
  const choice = choices?.[Math.max(0, previewed)];
  const label = choice?.label;
  const ticked = places.filter(({ mark }) => !unticked.has(mark.id));
  const rest = places.filter(({ mark }) => unticked.has(mark.id));
  const { text, blocks } = session.current();
  const titles = sectionTitles({ text, blocks });
  const toggle = (id: string) => {
    const next = new Set(unticked);
    if (!next.delete(id)) next.add(id);
    setUnticked(next);
  };
  return (
    <>
      <p className="pb-2 text-[13px] text-soft">
        <b className="font-semibold text-ink">{subject.place.mark.text}</b>
        {label ? ` → ${label}` : ""} · {count(places.length, "place")}
      </p>
      <ul className="-mx-4">
        {places.map((place, index) => {
          const title = titleOf(place, session, titles);
          const before = places[index - 1];
          const opens = !before || titleOf(before, session, titles) !== title;
          return (
            <li key={place.mark.id}>
              {opens ? (
                <h3 className="truncate px-4 pt-2.5 pb-0.5 text-xs font-semibold text-soft">
                  {title}
                </h3>
              ) : null}
              <Row
                place={place}
                text={text}
                here={place.mark.id === subject.place.mark.id}
                ticked={!unticked.has(place.mark.id)}
                onToggle={() => toggle(place.mark.id)}
                onOpen={() => session.walk.goTo(place.mark.id)}
              />
            </li>
          );
        })}
      </ul>
      <div className="flex items-center gap-4 pt-3 text-[13px]">
        {choice ? (
          <button
            type="button"
            className="button-plain"
            disabled={ticked.length === 0 || !state.shown || state.reading}
            onClick={() => void session.deciding.correctAt(ticked, choice.variant)}
          >
            Correct {ticked.length} ticked
          </button>
        ) : (
          <button
            type="button"
            className="button-plain"
            disabled={ticked.length === 0 || !state.shown || state.reading}
            onClick={() => void session.deciding.stetAt(ticked)}
          >
            Let {ticked.length} ticked stand
          </button>
        )}
        {label && rest.length > 0 ? (
          <button
            type="button"
            className="button-text"
            onClick={() => void session.deciding.stetAt(rest)}
          >
            stet the rest
          </button>
        ) : null}
      </div>
    </>
  );
}

function titleOf(place: PlacedMark, session: DeskSession, titles: readonly string[]): string {
  return placeName(session.blockAt(place.mark.block), titles, session.current().text);
}

interface RowProps {
  place: PlacedMark;
  text: string;
  here: boolean;
  ticked: boolean;
  onToggle: () => void;
  onOpen: () => void;
}

function Row({ place, text, here, ticked, onToggle, onOpen }: RowProps) {
  const before = text.slice(Math.max(0, place.from - CONTEXT), place.from).replace(/\s+/g, " ");
  const after = text.slice(place.to, place.to + CONTEXT).replace(/\s+/g, " ");
  return (
    <div
      className={`grid grid-cols-[18px_1fr] items-center gap-x-2 border-t border-hair px-4 ${here ? "bg-wash" : ""}`}
    >
      <input
        type="checkbox"
        className="accent-ink"
        checked={ticked}
        onChange={onToggle}
        aria-label={`Include: ${before}${place.mark.text}${after}`}
      />
      <button
        type="button"
        onClick={onOpen}
        className="grid grid-cols-[1fr_auto_1fr] gap-x-1 overflow-hidden text-left font-book leading-7 whitespace-nowrap"
      >
        <span className="flex justify-end overflow-hidden text-soft">{before.trimEnd()}</span>
        <span className="font-semibold">{place.mark.text}</span>
        <span className="overflow-hidden text-soft">{after.trimStart()}</span>
      </button>
    </div>
  );
}
