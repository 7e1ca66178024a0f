import { useEffect, useState } from "react";
import type { Group } from "../../core/engine/mark.ts";
import { count, figure } from "../parts/words.ts";
import { PlaceInDocument } from "./PlaceInDocument.tsx";
import type { SetPlace, SetSession } from "./set-session.ts";

interface Props {
  session: SetSession;
  group: Group;
  onWritten(line: string): void;
}

/** One group of forms across the documents: its forms, and every place with the document it is in. */
export function OpenGroup({ session, group, onWritten }: Props) {
  const variants = group.variants ?? [];
  const [form, setForm] = useState(group.preferred?.variant ?? "");
  const [places, setPlaces] = useState<readonly SetPlace[] | null>(null);
  const [ticked, setTicked] = useState<ReadonlySet<number>>(new Set());
  useEffect(() => {
    let current = true;
    void session
      .places(group.id, form || (variants[0]?.form ?? variants[0]?.text ?? ""))
      .then((found) => {
        if (!current) return;
        setPlaces(found);
        setTicked(
          new Set(
            found.filter(({ isSafe }) => isSafe && form !== "").map(({ whole }) => whole.from),
          ),
        );
      });
    return () => {
      current = false;
    };
  }, [session, group.id, form, variants]);
  const odd = (places ?? []).filter((place) => place.odd && place.insert !== null);
  const chosen = odd.filter(({ whole }) => ticked.has(whole.from));
  const toggle = ({ whole: { from } }: SetPlace) => {
    const next = new Set(ticked);
    if (!next.delete(from)) next.add(from);
    setTicked(next);
  };
  const write = async () => {
    await session.write(group.id, form, chosen);
    const documents = new Set(chosen.map(({ part }) => part)).size;
    onWritten(
      `“${form}” written in ${count(chosen.length, "place")} of ${count(documents, "document")}.`,
    );
  };
  return (
    <section aria-label="Group">
      <h2 className="font-book text-xl font-semibold">
        {variants.map(({ text }) => text).join(", ")}
      </h2>
      <div role="radiogroup" aria-label="Forms" className="mt-3 border-t border-rule">
        {variants.map(({ text, form: own = text, count: number }) => (
          <label
            key={own}
            className="flex items-baseline gap-3 border-b border-hair py-1.5 font-book text-lg"
          >
            <input
              type="radio"
              name="form"
              className="accent-ink"
              checked={form === own}
              onChange={() => setForm(own)}
            />
            <span className="grow">{text}</span>
            <span className="font-plain text-[13px] text-soft">{figure(number)}</span>
          </label>
        ))}
      </div>
      <p className="mt-4">
        <button
          type="button"
          className="button-main"
          disabled={form === "" || chosen.length === 0}
          onClick={() => void write()}
        >
          {form === "" ? "Choose a form" : `Write ${form} in ${count(chosen.length, "place")}`}
        </button>
      </p>
      <ul className="mt-4" aria-label="Places">
        {(places ?? []).map((place) => (
          <Row
            key={place.whole.from}
            place={place}
            session={session}
            isOdd={odd.includes(place)}
            isTicked={ticked.has(place.whole.from)}
            toggle={() => toggle(place)}
          />
        ))}
      </ul>
    </section>
  );
}

interface RowProps {
  place: SetPlace;
  session: SetSession;
  isOdd: boolean;
  isTicked: boolean;
  toggle(): void;
}

function Row({ place, session, isOdd, isTicked, toggle }: RowProps) {
  const { text } = session.context(place, 0);
  const title = session.titles[place.part] ?? "";
  return (
    <li className="grid grid-cols-[20px_minmax(0,1fr)_180px] items-baseline gap-3 border-b border-hair py-1 font-book text-[15px]">
      {isOdd ? (
        <input
          type="checkbox"
          aria-label={`${text} in ${title}`}
          className="accent-ink"
          checked={isTicked}
          onChange={toggle}
        />
      ) : (
        <span />
      )}
      <PlaceInDocument session={session} place={place} isOdd={isOdd} />
    </li>
  );
}
