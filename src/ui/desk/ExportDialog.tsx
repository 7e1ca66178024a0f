import { useEffect, useState } from "react";
import { PASSES } from "../../core/checks/card.ts";
import { canExport, EXPORT_FORMS, type ExportForm } from "../../core/formats/document.ts";
import type { Format } from "../../core/manuscript/model.ts";
import { PASS_LABELS } from "../../core/report/words.ts";
import { readSettings, updateSettings } from "../../store/house.ts";
import { Modal } from "../parts/Modal.tsx";
import { saveFile } from "../parts/save-file.ts";
import { count, figure } from "../parts/words.ts";
import { checksOff } from "./checks-off.ts";
import type { DeskSession } from "./session.ts";
import { type DeskState, unreadOf } from "./state.ts";
import { useSlice } from "./use-slice.ts";

/** What the dialog tells of the run. */
const TOLD = [
  "decisions",
  "standing",
  "openOfAll",
  "passes",
  "tables",
  "phase",
  "readingOn",
  "unread",
] as const;

interface ExportDialogProps {
  open: boolean;
  onClose: () => void;
  session: DeskSession;
}

/** Writes the document out in the form asked for. */
export function ExportDialog({ open, onClose, session }: ExportDialogProps) {
  const state = useSlice(session, ...TOLD, "manuscript", "record", "style");
  const { manuscript, record } = state;
  const [form, setForm] = useState<ExportForm>("clean");
  const [author, setAuthor] = useState("");
  const [outcome, setOutcome] = useState<string[]>([]);
  const [busy, setBusy] = useState(false);
  const format = manuscript?.origin.format ?? "txt";
  useEffect(() => {
    if (!open) return;
    setOutcome([]);
    setForm(format === "docx" ? "tracked" : "clean");
    void readSettings().then((settings) => setAuthor(settings.author));
  }, [open, format]);
  if (!manuscript || !record) return null;
  const off = PASSES.reduce((sum, pass) => sum + checksOff(pass, session).length, 0);
  const write = async () => {
    setBusy(true);
    try {
      await updateSettings({ author }).catch(() => undefined);
      const exported = await session.export(form, author.trim() || "Dry Run");
      if ("problem" in exported) {
        setOutcome([exported.problem.sentence]);
        return;
      }
      const name = exportName(record.fileName, form, exported.extension);
      saveFile(exported.bytes, name);
      setOutcome([
        `${name} is written.`,
        ...exported.refused.map(
          ({ edit, reason }) => `Left out: “${edit.insert || "a deletion"}”. ${reason}`,
        ),
        ...(exported.unmoved ?? []),
        ...exported.unplaced.map(
          ({ text }) => `The question “${text}” found no place for a comment.`,
        ),
      ]);
    } catch (error) {
      console.error(error);
      setOutcome([
        "The document could not be written just now. Nothing is lost; try once more, or export it as plain text.",
      ]);
    } finally {
      setBusy(false);
    }
  };
  return (
    <Modal open={open} onClose={onClose} title="Export" about={aboutOf(state, off)}>
      <fieldset className="mt-4 space-y-2.5">
        <legend className="sr-only">Form</legend>
        {EXPORT_FORMS.filter((one) => canExport(format, one) && !repeats(format, one)).map(
          (one) => (
            <label key={one} className="flex items-start gap-2.5">
              <input
                type="radio"
                name="form"
                className="mt-1 accent-ink"
                checked={form === one}
                onChange={() => setForm(one)}
              />
              <span>
                <span className="font-semibold">{labelOf(one, format)}</span>
                <span className="block text-soft">{DESCRIPTIONS[one]}</span>
              </span>
            </label>
          ),
        )}
      </fieldset>
      {form === "tracked" ? (
        <label className="mt-4 block">
          Your name, as the changes will carry it
          <input
            className="field mt-1 block w-full"
            value={author}
            maxLength={80}
            onChange={(event) => setAuthor(event.target.value)}
          />
        </label>
      ) : null}
      {manuscript.origin.warnings.map((warning) => (
        <p key={warning} className="mt-3 border-l-2 border-pen pl-3">
          {warning}
        </p>
      ))}
      <div aria-live="polite">
        {outcome.map((line) => (
          <p key={line} className="mt-3 font-semibold">
            {line}
          </p>
        ))}
      </div>
      <div className="mt-6 flex items-center gap-3">
        <button type="button" className="button-main" disabled={busy} onClick={() => void write()}>
          {busy ? "Writing…" : "Export"}
        </button>
        <button type="button" className="button-plain" onClick={onClose}>
          {outcome.length > 0 ? "Done" : "Cancel"}
        </button>
        <a
          className="button-text ml-auto"
          href={`/report?doc=${encodeURIComponent(state.record?.id ?? "")}`}
        >
          Report of this run
        </a>
      </div>
    </Modal>
  );
}

const DESCRIPTIONS: Record<ExportForm, string> = {
  tracked: "Each correction can be accepted or rejected; questions to the author are comments.",
  clean: "The corrections are simply made; everything else in the file stays as it came.",
  txt: "The words alone, without formatting.",
  md: "The words with headings, lists, tables and emphasis as Markdown.",
};

/** A .txt as .txt is the clean export already. */
function repeats(format: Format, form: ExportForm): boolean {
  return form === format;
}

function labelOf(form: ExportForm, format: Format): string {
  switch (form) {
    case "tracked":
      return "Tracked changes (.docx)";
    case "clean":
      return `Corrected copy (.${format})`;
    case "txt":
      return "Plain text (.txt)";
    case "md":
      return "Markdown (.md)";
  }
}

function aboutOf(state: Pick<DeskState, (typeof TOLD)[number]>, off: number): string {
  const { decisions, standing, openOfAll, passes, tables } = state;
  const changes = decisions.filter(
    ({ seq, act, edits }) => standing.has(seq) && act !== "undo" && edits.length > 0,
  ).length;
  const made = changes === 0 ? "No changes have been made." : `${count(changes, "change")} made.`;
  const each = PASSES.filter((pass) => passes[pass].open > 0).map(
    (pass) => `${figure(passes[pass].open)} in ${PASS_LABELS[pass].toLowerCase()}`,
  );
  const left =
    openOfAll.length === 0
      ? ""
      : ` ${count(openOfAll.length, "mark")} still open: ${each.join(", ")}.`;
  const more = [...(tables?.withheld.values() ?? [])].reduce((sum, one) => sum + one, 0);
  const hidden = more === 0 ? "" : ` ${count(more, "piece")} of advice beyond what a page shows.`;
  const unread = unreadOf(state).map((pass) => PASS_LABELS[pass].toLowerCase());
  const lacking = unread.length === 0 ? "" : ` Not read yet: ${unread.join(", ")}.`;
  const silent = off === 0 ? "" : ` ${count(off, "check")} ${off === 1 ? "is" : "are"} off.`;
  return `${made}${left}${hidden}${silent}${lacking}`;
}

function exportName(fileName: string, form: ExportForm, extension: string): string {
  const [own = ""] = /\.[^.]+$/.exec(fileName) ?? [];
  const stem = fileName.slice(0, fileName.length - own.length);
  // In its own format a file keeps its own ending: a .docm with macros is no .docx.
  const inOwn = (form === "tracked" || form === "clean") && own !== "";
  const suffix = form === "tracked" ? " tracked" : " corrected";
  return `${stem}${suffix}${inOwn ? own.toLowerCase() : `.${extension}`}`;
}
