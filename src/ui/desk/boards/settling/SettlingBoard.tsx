import { useMemo, useState } from "react";
import { count } from "../../../parts/words.ts";
import { BoardViews, viewAfter } from "../BoardViews.tsx";
import type { BoardProps } from "../board.ts";
import { Abbreviations } from "./Abbreviations.tsx";
import { Forms } from "./Forms.tsx";
import { openGroups } from "./form-groups.ts";
import { Quantities } from "./Quantities.tsx";
import { Settled, settledForms } from "./Settled.tsx";
import { Terms } from "./Terms.tsx";
import { SETTLING_VIEWS, type View } from "./views.ts";

/** What is written in several ways, settled group by group; and what the pass gathers beside that. */
export function SettlingBoard(props: BoardProps) {
  const { reports } = props;
  const { memory } = reports;
  // Another board may have been left in a view of its own.
  const [view, setView] = useState<View>(
    memory.view in SETTLING_VIEWS ? (memory.view as View) : "forms",
  );
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
    <BoardViews
      labels={SETTLING_VIEWS}
      view={view}
      onChoose={choose}
      counts={{ forms: String(groups.length), settled: String(settled.length) }}
    />
  );
  const common = { views, onNextView: () => choose(viewAfter(SETTLING_VIEWS, view)) };
  return (
    <section aria-label="Settling" className="flex min-h-0 flex-col bg-sheet">
      {view === "forms" ? <Forms {...props} {...common} groups={groups} /> : null}
      {view === "abbreviations" ? <Abbreviations {...props} {...common} /> : null}
      {view === "quantities" ? <Quantities {...props} {...common} /> : null}
      {view === "terms" ? <Terms {...props} {...common} /> : null}
      {view === "settled" ? <Settled {...props} {...common} settled={settled} /> : null}
      <p className="sr-only" aria-live="polite">
        {count(groups.length, "group")} to settle
      </p>
    </section>
  );
}
