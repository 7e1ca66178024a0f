import { setNonce } from "get-nonce";
import { useState } from "react";
import { HOUSE, type HouseStyle, OWN, PERSONAL } from "../../core/house/style.ts";
import { addHouse, deleteHouse } from "../../store/house.ts";
import { SiteHeader } from "../parts/SiteHeader.tsx";
import { BackupPart } from "./BackupPart.tsx";
import { ChecksPart } from "./ChecksPart.tsx";
import { CitationsPart } from "./CitationsPart.tsx";
import { CleanupPart } from "./CleanupPart.tsx";
import type { ChangeStyle } from "./change-style.ts";
import { ExchangePart } from "./ExchangePart.tsx";
import { FormsPart } from "./FormsPart.tsx";
import { HouseNav, isRulePart, RULE_PARTS, type RulePart } from "./HouseNav.tsx";
import { LearnPart } from "./LearnPart.tsx";
import { NameDialog } from "./NameDialog.tsx";
import { ReplacementsPart } from "./ReplacementsPart.tsx";
import { RulesPart } from "./RulesPart.tsx";
import { SoundRulesPart } from "./SoundRulesPart.tsx";
import { SubjectsPart } from "./SubjectsPart.tsx";
import { ThisHousePart } from "./ThisHousePart.tsx";
import { useHouse } from "./use-house.ts";
import { type Tried, useTried } from "./use-tried.ts";
import { WordListPart } from "./WordListPart.tsx";

/** The screen of house styles: rules, lists, checks and files of one house at a time. */
export function House({ nonce }: { nonce: string }) {
  setNonce(nonce);
  const [place, setPlace] = useState(() => {
    const query = new URLSearchParams(location.search);
    return { house: query.get("house") ?? OWN, part: query.get("part") ?? PERSONAL };
  });
  const { style, houses, failure, change, refresh } = useHouse(place.house);
  const [naming, setNaming] = useState<"list" | "house" | null>(null);
  const go = (next: Partial<typeof place>) => {
    const now = { ...place, ...next };
    setPlace(now);
    const house = now.house === OWN ? "" : `house=${encodeURIComponent(now.house)}&`;
    history.replaceState(null, "", `?${house}part=${encodeURIComponent(now.part)}`);
  };
  const choose = (house: string) =>
    go({ house, part: place.part === PERSONAL && house !== OWN ? "terms" : place.part });
  const copy = async (from: HouseStyle | null, name: string) => {
    const { id } = await addHouse(name, from);
    refresh();
    choose(id);
  };
  const tried = useTried(
    isRulePart(place.part) || place.part === "forms" || place.part === "learn",
  );
  if (!style) return <p className="p-10 text-soft">Opening…</p>;
  return (
    <div className="min-h-screen min-w-[960px]">
      <SiteHeader here="/house" />
      <div className="mx-auto grid max-w-[1280px] grid-cols-[212px_minmax(0,1fr)] gap-10 px-8 pb-16">
        <HouseNav
          style={style}
          houses={houses}
          part={place.part}
          open={(part) => go({ part })}
          choose={choose}
          onNewHouse={() => setNaming("house")}
          onNewList={() => setNaming("list")}
        />
        <main className="min-w-0 pt-8">
          {failure ? (
            <p role="alert" className="mb-4 font-semibold text-alarm">
              {failure}
            </p>
          ) : null}
          <Part
            key={`${style.id} ${place.part}`}
            part={place.part}
            style={style}
            change={change}
            tried={tried}
            onGone={() => go({ part: PERSONAL })}
            onRestored={refresh}
            onCopy={() => void copy(style, `${style.name || "House"}, copy`)}
            onDelete={() => {
              void deleteHouse(style.id).then(() => {
                go({ house: OWN, part: "house-itself" });
                refresh();
              });
            }}
          />
        </main>
      </div>
      <NameDialog
        open={naming === "list"}
        title="New subject list"
        about="Its words count for the documents it is switched on for, on the desk."
        make="Make the list"
        onClose={() => setNaming(null)}
        onMade={(name) => {
          const id = `own-${crypto.randomUUID?.() ?? String(Date.now())}`;
          change((now) => ({ ...now, lists: [...now.lists, { id, name }] }));
          go({ part: id });
        }}
      />
      <NameDialog
        open={naming === "house"}
        title="New house"
        about="A house holds for the documents that follow it, which is chosen at the desk. Its name is said with its marks."
        make="Make the house"
        onClose={() => setNaming(null)}
        onMade={(name) => void copy(null, name)}
      />
    </div>
  );
}

interface PartProps {
  part: string;
  style: HouseStyle;
  change: ChangeStyle;
  tried: Tried;
  onGone(): void;
  onRestored(): void;
  onCopy(): void;
  onDelete(): void;
}

/** The part that is open. */
function Part({ part, style, change, tried, onGone, onRestored, onCopy, onDelete }: PartProps) {
  const own = style.lists.find(({ id }) => id === part);
  if (isRulePart(part)) {
    return (
      <RulesPart
        style={style}
        change={change}
        tried={tried}
        types={RULE_PARTS[part]}
        about={ABOUT[part]}
      />
    );
  }
  if (part === "forms") return <FormsPart style={style} change={change} tried={tried} />;
  if (part === "citations") return <CitationsPart style={style} change={change} />;
  if (part === "learn") return <LearnPart style={style} change={change} tried={tried} />;
  if (part === "subjects") return <SubjectsPart />;
  if (part === "replacements") return <ReplacementsPart style={style} change={change} />;
  if (part === "sounds") return <SoundRulesPart style={style} change={change} />;
  if (part === "cleanup") return <CleanupPart style={style} change={change} />;
  if (part === "checks") return <ChecksPart style={style} change={change} />;
  if (part === "files") return <ExchangePart style={style} change={change} />;
  if (part === "backup") return <BackupPart onRestored={onRestored} />;
  if (part === PERSONAL || part === HOUSE || own) {
    return (
      <WordListPart
        style={style}
        list={part}
        title={own?.name ?? (part === HOUSE ? "House list" : "Personal list")}
        change={change}
        onGone={onGone}
      />
    );
  }
  return <ThisHousePart style={style} change={change} onCopy={onCopy} onDelete={onDelete} />;
}

const ABOUT: Readonly<Record<RulePart, string>> = {
  terms: "Words that are not written, and what is written for them.",
  wording:
    "Words that are right and still to be weighed, with the reason. They are advice, never errors.",
  capitals: "Terms and titles with fixed capitals, wherever they stand in a sentence.",
  compounds:
    "Open, hyphenated or closed: one way for each compound, plurals and verb forms with it.",
  names: "Names of people, places and things, and how they are written wrong.",
  abbreviations: "What an abbreviation is short for, and whether a text must explain it.",
  patterns:
    "What no list of words tells: words and parts of speech in a row, or a shape of letters and figures.",
};
