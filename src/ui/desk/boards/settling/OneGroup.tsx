import { useEffect, useMemo, useState } from "react";
import { cardById } from "../../../../core/checks/cards.ts";
import { sectionTitles } from "../../../../core/manuscript/sections.ts";
import { Key } from "../../../parts/Key.tsx";
import { count, figure } from "../../../parts/words.ts";
import { Explanation } from "../../Explanation.tsx";
import type { FormPlace } from "../../settling.ts";
import type { BoardProps } from "../board.ts";
import { useBoardKeys } from "../use-board-keys.ts";
import { Act } from "./Act.tsx";
import { Concordance } from "./Concordance.tsx";
import { checkTitle, formsOf, MATTER_LABELS, type OpenGroup, titleOf } from "./form-groups.ts";
import { QueryLine } from "./QueryLine.tsx";
import { useFormPlaces } from "./use-form-places.ts";
import { Variants } from "./Variants.tsx";

interface OneGroupProps extends BoardProps {
  open: OpenGroup;
  at: number;
  all: readonly OpenGroup[];
  onStep: (by: number) => void;
  onNextView: () => void;
}

/** One group: its forms, every place in its context, and what is to become of them. */
export function OneGroup({ open, at, all, onStep, onNextView, ...board }: OneGroupProps) {
  const { reports, deciding } = board;
  const { group } = open;
  const forms = useMemo(() => formsOf(group), [group]);
  const [chosen, setChosen] = useState(forms[0]?.form ?? "");
  // Where nobody prefers a form, one is to be chosen before anything is ticked.
  const [isChosen, setIsChosen] = useState(group.preferred !== undefined);
  const [turned, setTurned] = useState<ReadonlySet<string>>(new Set());
  const [row, setRow] = useState(0);
  const [asking, setAsking] = useState(false);
  const places = useFormPlaces(group.id, chosen, reports, deciding);
  const others = useMemo(
    () => (places ?? []).filter(({ form }) => form !== chosen),
    [places, chosen],
  );
  const asTheyShould = useMemo(
    () => (places ?? []).filter(({ form }) => form === chosen),
    [places, chosen],
  );
  // biome-ignore lint/correctness/useExhaustiveDependencies: ticks belong to one form
  useEffect(() => {
    setTurned(new Set());
    setRow(0);
  }, [chosen]);
  const isTicked = (place: FormPlace) => (isChosen && place.isSafe) !== turned.has(keyOf(place));
  const ticked = others.filter((place) => place.insert !== null && isTicked(place));
  const rows = others.length + asTheyShould.length;
  const shown = Math.min(row, Math.max(0, rows - 1));
  const here = others[shown] ?? asTheyShould[shown - others.length];
  const label = forms.find(({ form }) => form === chosen)?.text ?? chosen;
  const toggle = (place: FormPlace | undefined) => {
    if (!place || place.insert === null || place.form === chosen) return;
    const next = new Set(turned);
    const key = keyOf(place);
    if (!next.delete(key)) next.add(key);
    setTurned(next);
  };
  const write = () => {
    if (!isChosen) return deciding.say(CHOOSE);
    if (!places || reports.reading) return deciding.say(LOOKING);
    const left = others.filter((place) => place.odd && !ticked.includes(place));
    deciding.writeForm(group.id, chosen, ticked, left);
  };
  const keep = () => {
    if (!places || reports.reading) return deciding.say(LOOKING);
    deciding.keepForms(group.id, places);
  };
  const house = () => {
    if (!isChosen) return deciding.say(CHOOSE);
    if (reports.reading) return deciding.say(LOOKING);
    deciding.houseRule(group.id, chosen);
  };
  const see = () => here && deciding.goToRange(here.place, "consistency");
  const choose = (index: number) => {
    const form = forms[index]?.form;
    if (form === undefined) return;
    setChosen(form);
    setIsChosen(true);
  };
  useBoardKeys({
    ...deciding,
    move: (by) => setRow(Math.max(0, Math.min(rows - 1, shown + by))),
    page: 12,
    go: () => see(),
    stet: keep,
    own: new Map([
      ["Enter", write],
      ["v", onNextView],
      ["k", keep],
      ["h", house],
      ["q", () => setAsking(true)],
      [" ", () => toggle(here)],
      ["ArrowRight", () => onStep(1)],
      ["ArrowLeft", () => onStep(-1)],
      ...forms.slice(0, 9).map((_, index) => [String(index + 1), () => choose(index)] as const),
    ]),
  });
  const titles = useMemo(
    () => sectionTitles({ text: reports.text, blocks: [...reports.blocks] }),
    [reports.text, reports.blocks],
  );
  const card = cardById(group.rule);
  const ofMatter = all.filter((one) => one.group.matter === group.matter);
  return (
    <>
      <header className="px-6 pt-4 pb-2.5">
        <div className="flex items-baseline gap-4">
          <h2 className="min-w-0 grow truncate font-book text-2xl font-semibold">
            {titleOf(group)}
          </h2>
          <span className="text-[13px] whitespace-nowrap text-soft">
            {ofMatter.indexOf(open) + 1} of {figure(ofMatter.length)},{" "}
            {MATTER_LABELS[group.matter].toLowerCase()}
          </span>
        </div>
        <p className="mt-0.5 text-[13px] text-soft">
          {checkTitle(group)}. {group.onPurpose ? "All its forms stand on purpose." : ""}
          {card ? <Explanation check={card} key={card.id} /> : null}
        </p>
      </header>
      <Variants group={group} forms={forms} chosen={isChosen ? chosen : ""} onChoose={choose} />
      <div className="flex items-baseline justify-between gap-4 px-6 pt-2.5 pb-1.5 text-[13px] text-soft">
        <p>
          {isChosen ? (
            <>
              To become <b className="font-semibold text-ink">{label}</b>:{" "}
              {places ? `${figure(ticked.length)} of ${figure(others.length)} ticked` : "looking…"}
            </>
          ) : (
            CHOOSE
          )}
        </p>
        <p>{keptLine(others)}</p>
      </div>
      <Concordance
        reports={reports}
        titles={titles}
        others={others}
        asTheyShould={asTheyShould}
        at={shown}
        isTicked={isTicked}
        onToggle={toggle}
        onPick={setRow}
        onSee={(place) => deciding.goToRange(place.place, "consistency")}
      />
      {asking && here ? (
        <QueryLine
          onLeave={() => setAsking(false)}
          onAsk={(note) => {
            setAsking(false);
            deciding.ask(group.rule, here.place, note);
          }}
        />
      ) : (
        <footer className="flex flex-wrap items-center gap-x-5 gap-y-2 border-t border-ink bg-wash px-6 py-3 text-[13px]">
          <button
            type="button"
            className="button-main max-w-80 truncate text-sm"
            disabled={!places || !isChosen || reports.reading}
            onClick={write}
          >
            {isChosen ? doingLine(label, ticked.length) : "Choose a form"} <Key>Enter</Key>
          </button>
          <Act letter="K" label="keep all on purpose" run={keep} />
          <Act letter="H" label="house rule" run={house} />
          <Act letter="Q" label="query" run={() => setAsking(true)} />
          <span className="flex basis-full gap-5 text-soft">
            <span className="grow">
              Group {figure(at + 1)} of {figure(all.length)}
            </span>
            <Act letter="Space" label="tick" run={() => toggle(here)} />
            <Act letter="B" label="see it in the text" run={see} />
            <Act letter="→" label="next group" run={() => onStep(1)} />
            <Act letter="U" label="undo" run={deciding.undo} />
            <Act letter="Esc" label="back to the text" run={deciding.back} />
          </span>
        </footer>
      )}
    </>
  );
}

const LOOKING = "Its places are still being looked for; in a moment.";
const CHOOSE = "Nobody prefers a form here: choose one by its number.";

function doingLine(label: string, ticked: number): string {
  return ticked === 0 ? `Keep ${label}` : `Write ${label} in ${count(ticked, "place")}`;
}

function keyOf({ block, from }: FormPlace): string {
  return `${block}:${from}`;
}

const KEEPS: Readonly<Record<string, readonly [one: string, many: string]>> = {
  quotation: ["One in a quotation keeps its form", "quotations keep their form"],
  title: ["One in a title keeps its form", "in titles keep their form"],
  name: ["One is part of a name", "are parts of names"],
  speech: ["One is spoken", "are spoken"],
  opening: ["One opens a sentence", "open sentences"],
  bracket: ["One stands in brackets", "stand in brackets"],
  grammar: ["One can’t be otherwise", "can’t be otherwise"],
};

/** Why some places are not ticked, in a few words. */
function keptLine(places: readonly FormPlace[]): string {
  const counts = new Map<string, number>();
  for (const { keeping } of places)
    if (keeping) counts.set(keeping, (counts.get(keeping) ?? 0) + 1);
  return [...counts]
    .map(([why, places]) => {
      const [one = "", many = ""] = KEEPS[why] ?? [];
      return places === 1 ? one : `${figure(places)} ${many}`;
    })
    .join("; ");
}
