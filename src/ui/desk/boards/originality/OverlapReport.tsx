import { useMemo, useState } from "react";
import type { OverlapTable } from "../../../../core/gathered/overlaps.ts";
import { reportHtml } from "../../../../core/report/html.ts";
import { overlapParts } from "../../../../core/report/overlap-parts.ts";
import { Part } from "../../../parts/Part.tsx";
import { saveDocx, saveText } from "../../../parts/save-file.ts";
import { count } from "../../../parts/words.ts";
import type { ComparingState } from "../../comparing-state.ts";

interface OverlapReportProps {
  table: OverlapTable;
  text: string;
  title: string;
  fileName: string;
  done: NonNullable<ComparingState["done"]>;
}

/** The report of overlaps, to be read, printed and filed. */
export function OverlapReport({ table, text, title, fileName, done }: OverlapReportProps) {
  const [failure, setFailure] = useState("");
  const parts = useMemo(
    () =>
      overlapParts(table, {
        fileName,
        at: done.at.toISOString(),
        comparedWith: comparedWith(done),
        text,
      }),
    [table, text, fileName, done],
  );
  const name = `${fileName.replace(/\.[^.]+$/, "")}-overlap`;
  const tryDocx = async () => {
    try {
      await saveDocx(title, parts, `${name}.docx`);
      setFailure("");
    } catch (error) {
      console.error(error);
      setFailure("The .docx could not be made. The .html file holds the same.");
    }
  };
  return (
    <div
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a long report is scrolled by keyboard
      tabIndex={0}
      className="min-h-0 grow overflow-auto border-t border-ink px-8 pb-10"
      data-testid="overlap-report"
    >
      <p className="no-print flex items-center gap-3 pt-4">
        <button type="button" className="button-main" onClick={() => print()}>
          Print
        </button>
        <button type="button" className="button-plain" onClick={() => void tryDocx()}>
          .docx
        </button>
        <button
          type="button"
          className="button-plain"
          onClick={() => saveText(reportHtml(title, parts), `${name}.html`)}
        >
          .html
        </button>
        {failure ? (
          <span role="alert" className="text-alarm">
            {failure}
          </span>
        ) : null}
      </p>
      {parts.map((part) => (
        <Part key={part.title} part={part} />
      ))}
    </div>
  );
}

/** What the text was compared with, and in which version. */
function comparedWith({ own, asked, failure, version }: OverlapReportProps["done"]): string {
  const mine = `${count(own, "source")} of one’s own`;
  if (!asked || failure) return mine;
  return `${mine}, and the collection that ships${version ? ` (version ${version})` : ""}`;
}
