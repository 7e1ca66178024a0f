import { useMemo, useState } from "react";
import { count } from "../../../parts/words.ts";
import type { BoardProps } from "../board.ts";
import { Forms } from "./Forms.tsx";
import { openGroups } from "./form-groups.ts";
import { Settled, settledForms } from "./Settled.tsx";
import { type View, Views } from "./Views.tsx";

/** What is written in several ways, settled group by group; and what the pass gathers beside that. */
export function SettlingBoard(props: BoardProps) {
  const { reports } = props;
  const { memory } = reports;
  const [view, setView] = useState<View>((memory.view as View) || "forms");
  const groups = useMemo(
    () => openGroups(reports.groups, reports.open),
    [reports.groups, reports.open],
  );
  const settled = useMemo(
    () => settledForms(reports.decisions, reports.standing),
    [reports.decisions, reports.standing],
  );
  const choose = (next: View) => {
    memory.view = next;
    setView(next);
  };
  const views = (
    <Views
      view={view}
      onChoose={choose}
      counts={{ forms: String(groups.length), settled: String(settled.length) }}
    />
  );
  return (
    <section aria-label="Settling" className="flex min-h-0 flex-col bg-sheet">
      {view === "forms" ? <Forms {...props} groups={groups} views={views} /> : null}
      {view === "settled" ? <Settled {...props} settled={settled} views={views} /> : null}
      <p className="sr-only" aria-live="polite">
        {count(groups.length, "group")} to settle
      </p>
    </section>
  );
}
