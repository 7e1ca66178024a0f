import { useEffect, useState } from "react";
import type { Term } from "../../core/gathered/terms.ts";
import { count, figure } from "../parts/words.ts";
import { PlaceInDocument } from "./PlaceInDocument.tsx";
import type { SetSession } from "./set-session.ts";

type Families = Awaited<ReturnType<SetSession["families"]>>;

interface Props {
  session: SetSession;
  revision: number;
  onWritten(line: string): void;
}

/** Terms of all documents that may be one thing: which to write everywhere, or that they are different. */
export function SetTerms({ session, revision, onWritten }: Props) {
  const [families, setFamilies] = useState<Families | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked again when the documents were changed
  useEffect(() => {
    void session.families().then(setFamilies);
  }, [session, revision]);
  if (!families) return <p className="text-soft">Gathering…</p>;
  if (families.length === 0) return <p className="text-soft">No two terms look like one thing.</p>;
  const write = async (term: Term, terms: readonly Term[]) => {
    const places = await session.mergeTerms(
      term.term,
      terms.filter((one) => one !== term),
    );
    onWritten(`“${term.term}” written in ${count(places, "place")}.`);
  };
  return (
    <ul aria-label="Families of terms" className="mt-3 border-t border-soft">
      {families.map(({ family, documents }) => (
        <li
          key={family.terms.map(({ term }) => term).join("|")}
          className="border-b border-rule py-3"
        >
          <p className="flex items-baseline gap-4 text-[13px] text-soft">
            <span className="min-w-0 grow">{family.evidence[0]?.told}</span>
            <span>{documents.map((part) => session.titles[part] ?? "").join(", ")}</span>
            <button
              type="button"
              className="button-text shrink-0"
              onClick={() =>
                void session.partTerms(family).then(() => onWritten("Told apart for good."))
              }
            >
              different for good
            </button>
          </p>
          {family.terms.map((term) => {
            const others = family.terms.filter((one) => one !== term);
            const places = others.reduce((sum, one) => sum + one.places.length, 0);
            return (
              <p key={term.term} className="flex items-baseline gap-4 pt-1">
                <span className="min-w-0 grow font-book text-lg">{term.term}</span>
                <span className="text-[13px] text-soft">{figure(term.places.length)}</span>
                <button
                  type="button"
                  aria-label={`write it in the other ${count(places, "place")}: ${term.term}`}
                  className="button-text w-52 shrink-0 text-right text-[13px]"
                  onClick={() => void write(term, family.terms)}
                >
                  write it in the other {count(places, "place")}
                </button>
              </p>
            );
          })}
          <details className="pt-1">
            <summary className="cursor-pointer text-[13px] text-soft">the places</summary>
            <ul aria-label="Places">
              {family.terms.flatMap((term) =>
                session.placesOf(term).map((place) => (
                  <li
                    key={place.whole.from}
                    className="grid grid-cols-[minmax(0,1fr)_220px] items-baseline gap-3 border-t border-hair py-1 font-book text-[15px]"
                  >
                    <PlaceInDocument
                      session={session}
                      place={place}
                      isOdd={term !== family.terms[0]}
                    />
                  </li>
                )),
              )}
            </ul>
          </details>
        </li>
      ))}
    </ul>
  );
}
