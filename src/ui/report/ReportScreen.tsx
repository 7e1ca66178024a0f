import { useEffect, useMemo, useState } from "react";
import { reportCsv } from "../../core/report/csv.ts";
import { reportHtml } from "../../core/report/html.ts";
import { partsOf } from "../../core/report/parts.ts";
import type { Report } from "../../core/report/report.ts";
import { dateLabel } from "../../core/report/words.ts";
import { connectProofreader } from "../../worker/connect.ts";
import { Part } from "../parts/Part.tsx";
import { SiteHeader } from "../parts/SiteHeader.tsx";
import { saveDocx, saveText } from "../parts/save-file.ts";
import { makeReport } from "./make-report.ts";

type State =
  | { phase: "reading"; share: number }
  | { phase: "problem"; problem: string }
  | { phase: "ready"; report: Report };

/** What a run did to a document: to be read, printed, filed and sent with it. */
export function ReportScreen() {
  const id = useMemo(() => new URLSearchParams(location.search).get("doc") ?? "", []);
  const [state, setState] = useState<State>({ phase: "reading", share: 0 });
  useEffect(() => {
    const worker = connectProofreader();
    let over = false;
    makeReport(worker, id, new Date(), ({ done, all }) => {
      if (!over) setState({ phase: "reading", share: done / Math.max(1, all) });
    }).then(
      (made) => {
        if (over) return;
        setState(
          "problem" in made
            ? { phase: "problem", problem: made.problem }
            : { phase: "ready", report: made },
        );
      },
      (error: unknown) => {
        console.error(error);
        if (!over) setState({ phase: "problem", problem: OWN_FAULT });
      },
    );
    return () => {
      over = true;
      void worker.stop().catch(() => undefined);
    };
  }, [id]);
  return (
    <div className="min-h-screen">
      <SiteHeader here="/report" />
      <main className="mx-auto max-w-4xl px-8 pt-8 pb-20 print:max-w-none print:p-0">
        {state.phase === "ready" ? (
          <Made report={state.report} id={id} />
        ) : (
          <NotYet state={state} />
        )}
      </main>
    </div>
  );
}

const OWN_FAULT =
  "Dry Run met an error of its own while reading the document. It and every decision are still kept; reload the page to try once more.";

function NotYet({ state }: { state: Exclude<State, { phase: "ready" }> }) {
  if (state.phase === "problem") {
    return (
      <>
        <h1 className="font-book text-2xl font-semibold">There is no report</h1>
        <p className="mt-3 text-soft">{state.problem}</p>
        <p className="mt-6">
          <a className="button-text" href="/">
            Go to the shelf
          </a>
        </p>
      </>
    );
  }
  return (
    <p className="text-soft" role="status">
      Reading the document for its report, {Math.round(state.share * 100)}%…
    </p>
  );
}

function Made({ report, id }: { report: Report; id: string }) {
  const [withDecisions, setWithDecisions] = useState(false);
  const [failure, setFailure] = useState("");
  const parts = useMemo(() => partsOf(report, withDecisions), [report, withDecisions]);
  const name = report.fileName.replace(/\.[^.]+$/, "");
  const save = (text: string, ending: string) => saveText(text, `${name}-report.${ending}`);
  const trySaveDocx = async () => {
    try {
      await saveDocx(report.title, parts, `${name}-report.docx`);
      setFailure("");
    } catch (error) {
      console.error(error);
      setFailure("The .docx could not be made. The .html file holds the same.");
    }
  };
  return (
    <>
      <header className="flex items-end gap-4">
        <div className="min-w-0 grow">
          <p className="text-[13px] text-soft">Report of a dry run, {dateLabel(report.at)}</p>
          <h1 className="font-book text-[28px] leading-tight font-semibold">{report.title}</h1>
        </div>
        <div className="no-print flex items-center gap-3">
          <button type="button" className="button-main" onClick={() => print()}>
            Print
          </button>
          <button type="button" className="button-plain" onClick={() => void trySaveDocx()}>
            .docx
          </button>
          <button
            type="button"
            className="button-plain"
            onClick={() => save(reportHtml(report.title, parts), "html")}
          >
            .html
          </button>
          <button
            type="button"
            className="button-plain"
            onClick={() => save(reportCsv(parts), "csv")}
          >
            .csv
          </button>
        </div>
      </header>
      <div className="no-print mt-3 flex items-baseline gap-6 border-b border-ink pb-3 text-[13px]">
        <label className="flex items-baseline gap-2">
          <input
            type="checkbox"
            checked={withDecisions}
            onChange={({ target }) => setWithDecisions(target.checked)}
          />
          with every decision
        </label>
        <a className="button-text" href={`/desk?doc=${encodeURIComponent(id)}`}>
          Back to the desk
        </a>
        {failure ? (
          <span role="alert" className="text-alarm">
            {failure}
          </span>
        ) : null}
      </div>
      {parts.map((part) => (
        <Part key={part.title} part={part} />
      ))}
    </>
  );
}
