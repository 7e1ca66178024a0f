import { type ReactNode, useMemo, useState } from "react";
import { pairKey } from "../../../../core/gathered/term-pairs.ts";
import type { Family, Term } from "../../../../core/gathered/terms.ts";
import { count, figure } from "../../../parts/words.ts";
import type { BoardProps } from "../board.ts";
import { useBoardKeys } from "../use-board-keys.ts";
import { Act } from "./Act.tsx";
import { difference } from "./differences.ts";
import { PlaceRows } from "./PlaceRows.tsx";
import { SideList } from "./SideList.tsx";
import { useGathered } from "./use-gathered.ts";

interface TermsProps extends BoardProps {
  views: ReactNode;
  onNextView: () => void;
}

/** Families of terms that may be one thing, the likeliest first, and all terms behind a search. */
export function Terms({ views, onNextView, ...board }: TermsProps) {
  const { reports, deciding } = board;
  const gathered = useGathered("terms", board);
  const [search, setSearch] = useState("");
  const [at, setAt] = useState(0);
  const [into, setInto] = useState(0);
  const [place, setPlace] = useState(0);
  const listed = useMemo<Family[]>(() => {
    if (!gathered) return [];
    const wanted = search.trim().toLowerCase();
    if (wanted === "") return gathered.families;
    return gathered.terms
      .filter(({ term }) => term.includes(wanted))
      .map((term) => ({ terms: [term], evidence: [], weight: 0 }));
  }, [gathered, search]);
  const shown = Math.min(at, Math.max(0, listed.length - 1));
  const here = listed[shown];
  const chosen = here?.terms[Math.min(into, here.terms.length - 1)];
  const others = here?.terms.filter((one) => one !== chosen) ?? [];
  const places = useMemo(
    () =>
      (here?.terms ?? [])
        .flatMap(({ term, places: own }) => own.map((one) => ({ ...one, beside: term })))
        .sort((one, other) => one.from - other.from),
    [here],
  );
  const changed = others.reduce((sum, one) => sum + one.places.length, 0);
  const pick = (next: number) => {
    setAt(Math.max(0, Math.min(listed.length - 1, next)));
    setInto(0);
    setPlace(0);
  };
  const merge = () => {
    if (chosen && changed > 0 && !reports.reading) deciding.mergeTerms(chosen.term, others);
  };
  const part = () => {
    if (!here || here.evidence.length === 0 || reports.reading) return;
    deciding.partTerms(here.evidence.map(({ one, other }) => pairKey(one, other)));
  };
  const see = (one: { from: number; to: number } | undefined = places[place]) =>
    one && deciding.goToRange(one, "consistency");
  useBoardKeys({
    ...deciding,
    move: (by) => pick(shown + by),
    page: 10,
    go: () => see(),
    stet: () => {},
    own: new Map([
      ["v", onNextView],
      ["Enter", merge],
      ["d", part],
      ["ArrowRight", () => setPlace(Math.min(places.length - 1, place + 1))],
      ["ArrowLeft", () => setPlace(Math.max(0, place - 1))],
      ...(here?.terms ?? [])
        .slice(0, 9)
        .map((_, index) => [String(index + 1), () => setInto(index)] as const),
    ]),
  });
  return (
    <>
      {views}
      {gathered === null ? <p className="px-6 py-8 text-soft">Gathering…</p> : null}
      {gathered ? (
        <div className="grid min-h-0 grow grid-cols-[264px_minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)]">
          <label className="border-r border-b border-rule bg-ground/40 px-3.5 py-2 text-[13px] text-soft">
            Search {figure(gathered.terms.length)} terms
            <input
              className="field mt-1 block w-full text-sm text-ink"
              value={search}
              onChange={(event) => {
                setSearch(event.target.value);
                pick(0);
              }}
            />
          </label>
          <header className="border-b border-rule px-6 pt-3 pb-2">
            <h2 className="truncate font-book text-2xl font-semibold">
              {here ? here.terms.map(({ term }) => term).join(", ") : "Terms"}
            </h2>
            <p className="truncate text-[13px] text-soft" data-testid="evidence">
              {here ? (here.evidence[0]?.told ?? count(places.length, "place")) : nothing(search)}
            </p>
          </header>
          <SideList
            label={search ? "Terms" : "Families of terms"}
            count={listed.length}
            keyOf={(index) => listed[index]?.terms[0]?.term ?? ""}
            row={(index) => <OneFamily family={listed[index]} />}
            at={shown}
            onPick={pick}
          />
          <div className="flex min-h-0 flex-col">
            {here && chosen ? (
              <>
                <Members terms={here.terms} chosen={chosen} onChoose={setInto} />
                <PlaceRows
                  label="Places of these terms"
                  reports={reports}
                  places={places}
                  at={place}
                  onPick={setPlace}
                  onSee={see}
                />
                <footer className="flex flex-wrap items-center gap-x-5 gap-y-2 border-t border-ink bg-wash px-6 py-3 text-[13px]">
                  {changed > 0 ? (
                    <Act
                      letter="Enter"
                      label={`write “${chosen.term}” in ${count(changed, "place")}`}
                      run={merge}
                    />
                  ) : null}
                  {here.evidence.length > 0 ? (
                    <Act letter="D" label="different for good" run={part} />
                  ) : null}
                  <Act letter="B" label="see it in the text" run={() => see()} />
                  <Act letter="↓" label="next family" run={() => pick(shown + 1)} />
                  <Act letter="U" label="undo" run={deciding.undo} />
                  <Act letter="Esc" label="back to the text" run={deciding.back} />
                </footer>
              </>
            ) : null}
          </div>
        </div>
      ) : null}
    </>
  );
}

function nothing(search: string): string {
  return search ? "No term has these letters." : "No two terms look like one thing.";
}

function OneFamily({ family }: { family: Family | undefined }) {
  if (!family) return null;
  const places = family.terms.reduce((sum, one) => sum + one.places.length, 0);
  return (
    <>
      <span className="flex gap-2">
        <span className="min-w-0 grow truncate font-book">
          {family.terms.map(({ term }) => term).join(", ")}
        </span>
        <span className="text-[13px] text-soft">{figure(places)}</span>
      </span>
      <span className="block truncate text-[13px] text-soft">{family.evidence[0]?.told}</span>
    </>
  );
}

interface MembersProps {
  terms: readonly Term[];
  chosen: Term;
  onChoose: (index: number) => void;
}

/** The terms of a family, what differs from the chosen one underlined. */
function Members({ terms, chosen, onChoose }: MembersProps) {
  return (
    <div role="radiogroup" aria-label="Terms of the family" className="border-b border-rule">
      {terms.map((one, index) => {
        const differs = one === chosen ? null : difference(one.term, chosen.term);
        return (
          // biome-ignore lint/a11y/useSemanticElements: a row of a list that is chosen from
          <button
            key={one.term}
            type="button"
            role="radio"
            aria-checked={one === chosen}
            onClick={(event) => {
              onChoose(index);
              if (event.detail > 0) event.currentTarget.blur();
            }}
            className={`grid w-full grid-cols-[26px_minmax(0,1fr)_44px] items-baseline gap-x-2 border-l-3 px-5 py-1 text-left ${one === chosen ? "border-pen bg-wash" : "border-transparent"}`}
          >
            <span className="key">{index + 1}</span>
            <span className="truncate font-book text-lg">
              {differs ? (
                <>
                  {one.term.slice(0, differs.from)}
                  <span className="border-b-2 border-pen whitespace-pre">
                    {one.term.slice(differs.from, differs.to)}
                  </span>
                  {one.term.slice(differs.to)}
                </>
              ) : (
                one.term
              )}
            </span>
            <span className="text-right font-semibold">{figure(one.places.length)}</span>
          </button>
        );
      })}
    </div>
  );
}
