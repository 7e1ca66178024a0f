import { setNonce } from "get-nonce";
import { useCallback, useEffect, useState } from "react";
import { EMPTY_STYLE, HOUSE, type HouseStyle, PERSONAL } from "../../core/house/style.ts";
import { NotKept } from "../../store/failure.ts";
import { changeStyle, readStyle } from "../../store/house.ts";
import { SiteHeader } from "../parts/SiteHeader.tsx";
import { figure } from "../parts/words.ts";
import { BackupPart } from "./BackupPart.tsx";
import { ChecksPart } from "./ChecksPart.tsx";
import type { ChangeStyle } from "./change-style.ts";
import { ExchangePart } from "./ExchangePart.tsx";
import { NewListDialog } from "./NewListDialog.tsx";
import { ReplacementsPart } from "./ReplacementsPart.tsx";
import { SoundRulesPart } from "./SoundRulesPart.tsx";
import { SubjectsPart } from "./SubjectsPart.tsx";
import { WordListPart } from "./WordListPart.tsx";

/** The screen of what holds for all documents: word lists, replacements, sound rules. */
export function House({ nonce }: { nonce: string }) {
  setNonce(nonce);
  const [style, setStyle] = useState<HouseStyle | null>(null);
  const [part, setPart] = useState(
    () => new URLSearchParams(location.search).get("part") ?? PERSONAL,
  );
  const [failure, setFailure] = useState("");
  const [naming, setNaming] = useState(false);
  useEffect(() => {
    void readStyle().then(setStyle);
  }, []);
  const change = useCallback<ChangeStyle>((step) => {
    changeStyle(step).then(
      (next) => {
        setStyle(next);
        setFailure("");
      },
      (error: unknown) => {
        if (!(error instanceof NotKept)) throw error;
        setFailure(error.sentence);
      },
    );
  }, []);
  const open = (next: string) => {
    setPart(next);
    history.replaceState(null, "", `?part=${encodeURIComponent(next)}`);
  };
  const shown = style ?? EMPTY_STYLE;
  const listed = (id: string) => shown.words.filter(({ list }) => list === id).length;
  const own = shown.lists.find(({ id }) => id === part);
  return (
    <div className="min-h-screen min-w-[960px]">
      <SiteHeader here="/house" />
      <div className="mx-auto grid max-w-[1280px] grid-cols-[212px_minmax(0,1fr)] gap-10 px-8 pb-16">
        <nav aria-label="House style" className="pt-9">
          <Group title="Word lists">
            <Item
              title="Personal"
              count={listed(PERSONAL)}
              on={part === PERSONAL}
              run={() => open(PERSONAL)}
            />
            <Item title="House" count={listed(HOUSE)} on={part === HOUSE} run={() => open(HOUSE)} />
          </Group>
          <Group title="Subject lists">
            <Item title="Those that ship" on={part === "subjects"} run={() => open("subjects")} />
            {shown.lists.map(({ id, name }) => (
              <Item
                key={id}
                title={name}
                count={listed(id)}
                on={part === id}
                run={() => open(id)}
              />
            ))}
            <li>
              <button
                type="button"
                className="button-text my-1.5 ml-3 text-[13px]"
                onClick={() => setNaming(true)}
              >
                New list…
              </button>
            </li>
          </Group>
          <Group title="Typing">
            <Item
              title="Replacements"
              count={shown.replacements.length}
              on={part === "replacements"}
              run={() => open("replacements")}
            />
            <Item
              title="Sound rules"
              count={shown.soundRules.length}
              on={part === "sounds"}
              run={() => open("sounds")}
            />
          </Group>
          <Group title="Checks">
            <Item
              title="How much of each"
              count={Object.keys(shown.appetites).length}
              on={part === "checks"}
              run={() => open("checks")}
            />
          </Group>
          <Group title="Files">
            <Item title="Import, export" on={part === "files"} run={() => open("files")} />
            <Item title="Backup" on={part === "backup"} run={() => open("backup")} />
          </Group>
        </nav>
        <main className="min-w-0 pt-8">
          {failure ? (
            <p role="alert" className="mb-4 font-semibold text-alarm">
              {failure}
            </p>
          ) : null}
          {style === null ? <p className="text-soft">Opening…</p> : null}
          {style && part === "subjects" ? <SubjectsPart /> : null}
          {style && part === "replacements" ? (
            <ReplacementsPart style={style} change={change} />
          ) : null}
          {style && part === "sounds" ? <SoundRulesPart style={style} change={change} /> : null}
          {style && part === "checks" ? <ChecksPart style={style} change={change} /> : null}
          {style && part === "files" ? <ExchangePart style={style} change={change} /> : null}
          {part === "backup" ? (
            <BackupPart onRestored={() => void readStyle().then(setStyle)} />
          ) : null}
          {style && (part === PERSONAL || part === HOUSE || own) ? (
            <WordListPart
              key={part}
              style={style}
              list={part}
              title={own?.name ?? (part === HOUSE ? "House list" : "Personal list")}
              change={change}
              onGone={() => open(PERSONAL)}
            />
          ) : null}
        </main>
      </div>
      <NewListDialog
        open={naming}
        onClose={() => setNaming(false)}
        onMade={(list) => {
          change((now) => ({ ...now, lists: [...now.lists, list] }));
          open(list.id);
        }}
      />
    </div>
  );
}

function Group({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section className="pb-5">
      <h2 className="px-3 pb-1.5 text-xs font-semibold text-soft">{title}</h2>
      <ul>{children}</ul>
    </section>
  );
}

interface ItemProps {
  title: string;
  count?: number;
  on: boolean;
  run: () => void;
}

function Item({ title, count, on, run }: ItemProps) {
  return (
    <li>
      <button
        type="button"
        aria-current={on ? "true" : undefined}
        className={`flex w-full justify-between gap-3 border-l-3 px-3 py-1.5 text-left ${
          on ? "border-pen bg-sheet font-semibold" : "border-transparent"
        }`}
        onClick={run}
      >
        <span className="min-w-0 truncate">{title}</span>
        {count === undefined ? null : (
          <span className="font-normal text-soft">{figure(count)}</span>
        )}
      </button>
    </li>
  );
}
