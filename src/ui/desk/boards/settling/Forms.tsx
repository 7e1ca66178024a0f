import { type ReactNode, useEffect, useState } from "react";
import { Key } from "../../../parts/Key.tsx";
import type { BoardProps } from "../board.ts";
import { useBoardKeys } from "../use-board-keys.ts";
import type { OpenGroup } from "./form-groups.ts";
import { GroupList } from "./GroupList.tsx";
import { OneGroup } from "./OneGroup.tsx";

interface FormsProps extends BoardProps {
  groups: readonly OpenGroup[];
  views: ReactNode;
  onNextView: () => void;
}

/** The groups of forms that are at odds, and the one that is being settled. */
export function Forms({ groups, views, onNextView, ...board }: FormsProps) {
  const { reports } = board;
  const { memory } = reports;
  const [at, setAt] = useState(() => {
    const wanted = reports.from?.mark.group;
    const find = (id: string | undefined) => groups.findIndex(({ group }) => group.id === id);
    return Math.max(0, find(wanted), wanted && find(wanted) >= 0 ? 0 : find(memory.group));
  });
  const shown = Math.min(at, groups.length - 1);
  const here = groups[shown];
  const id = here?.group.id ?? "";
  useEffect(() => {
    memory.group = id;
  }, [memory, id]);
  const step = (by: number) => setAt(Math.max(0, Math.min(groups.length - 1, shown + by)));
  if (!here) return <Nothing {...board} views={views} onNextView={onNextView} />;
  return (
    <div className="grid min-h-0 grow grid-cols-[minmax(0,1fr)_212px]">
      <div className="flex min-h-0 flex-col border-r border-rule">
        {views}
        <OneGroup
          key={id}
          {...board}
          open={here}
          at={shown}
          all={groups}
          onStep={step}
          onNextView={onNextView}
        />
      </div>
      <GroupList groups={groups} at={shown} onPick={setAt} />
    </div>
  );
}

function Nothing({ deciding, views, onNextView }: Omit<FormsProps, "groups">) {
  const own = new Map([["v", onNextView]]);
  useBoardKeys({ ...deciding, move: () => {}, page: 1, go: deciding.back, stet: () => {}, own });
  return (
    <>
      {views}
      <p className="px-6 py-8 text-soft">
        Nothing is left that is written in two ways.{" "}
        <button type="button" className="button-text" onClick={deciding.back}>
          <Key>B</Key> back to the text
        </button>
      </p>
    </>
  );
}
