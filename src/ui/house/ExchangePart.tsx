import { useRef, useState } from "react";
import {
  EXCHANGE_FORMS,
  type ExchangeForm,
  exportReplacements,
  exportTerms,
  exportWords,
  importFiles,
  type NamedFile,
} from "../../core/house/exchange.ts";
import { type Conflict, type Merge, merge, takeTheirs } from "../../core/house/merge.ts";
import { ruleLine } from "../../core/house/rules.ts";
import { HOUSE, type HouseStyle, OWN, PERSONAL } from "../../core/house/style.ts";
import { reportHtml } from "../../core/report/html.ts";
import { manualParts } from "../../core/report/sheet-parts.ts";
import { saveDocx, saveText } from "../parts/save-file.ts";
import { count } from "../parts/words.ts";
import type { ChangeStyle } from "./change-style.ts";

/** Lists and the whole style as files, out and in; what a file contradicts is shown first. */
export function ExchangePart({ style, change }: { style: HouseStyle; change: ChangeStyle }) {
  const [list, setList] = useState(style.id === OWN ? PERSONAL : HOUSE);
  const [pending, setPending] = useState<Merge | null>(null);
  const [said, setSaid] = useState("");
  const picker = useRef<HTMLInputElement>(null);
  const lists = [
    ...(style.id === OWN ? [{ id: PERSONAL, name: "Personal list" }] : []),
    { id: HOUSE, name: "House list" },
    ...style.lists,
  ];
  const name = lists.find(({ id }) => id === list)?.name ?? "list";
  const take = async (files: FileList | null) => {
    const named: NamedFile[] = await Promise.all(
      [...(files ?? [])].map(async (file) => ({
        name: file.name,
        bytes: new Uint8Array(await file.arrayBuffer()),
      })),
    );
    try {
      const imported = importFiles(named);
      const merged = merge(style, imported, list, new Date().toISOString());
      setSaid(imported.notes.join(" "));
      if (merged.conflicts.length > 0) setPending(merged);
      else finish(merged, []);
    } catch (error) {
      if (!(error instanceof RangeError) && !hasSentence(error)) throw error;
      setSaid(hasSentence(error) ? error.sentence : error.message);
    }
  };
  const finish = (merged: Merge, theirs: readonly Conflict[]) => {
    change(() => takeTheirs(merged.style, theirs));
    setPending(null);
    const parts = [`${count(merged.added, "entry", "entries")} taken in`];
    if (merged.known > 0) parts.push(`${count(merged.known, "entry", "entries")} there already`);
    setSaid(`${parts.join(", ")}.`);
  };
  const title = style.name === "" ? "House style" : `House style: ${style.name}`;
  const stem = style.id === OWN ? "house-style" : style.id;
  return (
    <>
      <h1 className="font-book text-[28px] leading-tight font-semibold">Import, export</h1>
      <label className="mt-5 block text-soft">
        List{" "}
        <select
          className="border-b border-dotted border-faint bg-transparent py-1 text-ink"
          value={list}
          onChange={(event) => setList(event.target.value)}
        >
          {lists.map(({ id, name: title }) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
        </select>
      </label>
      <section className="mt-6">
        <h2 className="font-semibold">Take in</h2>
        <p className="mt-1 max-w-[66ch] text-soft">
          A .txt with a word a line, a .dic (with its .aff, choose both), a .csv with columns “word,
          note”, “from, to, exceptions” or “not, use, reason”, or a .json made here. Nothing is
          overwritten unasked.
        </p>
        <input
          ref={picker}
          type="file"
          multiple
          accept=".txt,.dic,.aff,.csv,.json"
          className="hidden"
          data-testid="import"
          onChange={(event) => {
            void take(event.target.files).finally(() => {
              if (picker.current) picker.current.value = "";
            });
          }}
        />
        <button type="button" className="button-main mt-3" onClick={() => picker.current?.click()}>
          Choose a file…
        </button>
        <p role="status" className="mt-2 min-h-6">
          {said}
        </p>
        {pending ? (
          <Conflicts
            merge={pending}
            names={(id) => lists.find((one) => one.id === id)?.name ?? id}
            onDone={(theirs) => finish(pending, theirs)}
            onCancel={() => setPending(null)}
          />
        ) : null}
      </section>
      <section className="mt-6">
        <h2 className="font-semibold">Give out</h2>
        <p className="mt-2 flex flex-wrap items-baseline gap-3">
          <span className="w-40 text-soft">{name}</span>
          {EXCHANGE_FORMS.map((form: ExchangeForm) => (
            <button
              key={form}
              type="button"
              className="button-plain"
              onClick={() =>
                saveText(
                  exportWords(
                    style.words.filter((one) => one.list === list),
                    form,
                  ),
                  `${name.toLowerCase().replace(/\s+/g, "-")}.${form}`,
                )
              }
            >
              .{form}
            </button>
          ))}
        </p>
        <p className="mt-3 flex items-baseline gap-3">
          <span className="w-40 text-soft">Replacements</span>
          <button
            type="button"
            className="button-plain"
            onClick={() => saveText(exportReplacements(style.replacements), "replacements.csv")}
          >
            .csv
          </button>
        </p>
        <p className="mt-3 flex items-baseline gap-3">
          <span className="w-40 text-soft">The whole house style</span>
          <button
            type="button"
            className="button-plain"
            onClick={() => saveText(`${JSON.stringify(style, null, 2)}\n`, `${stem}.json`)}
          >
            .json
          </button>
        </p>
        <p className="mt-3 flex items-baseline gap-3">
          <span className="w-40 text-soft">Its terms</span>
          <button
            type="button"
            className="button-plain"
            onClick={() => saveText(exportTerms(style.rules), `${stem}-terms.csv`)}
          >
            .csv
          </button>
        </p>
        <p className="mt-3 flex items-baseline gap-3">
          <span className="w-40 text-soft">A manual to read</span>
          <button
            type="button"
            className="button-plain"
            onClick={() => void saveDocx(title, manualParts(style), `${stem}-manual.docx`)}
          >
            .docx
          </button>
          <button
            type="button"
            className="button-plain"
            onClick={() => saveText(reportHtml(title, manualParts(style)), `${stem}-manual.html`)}
          >
            .html
          </button>
        </p>
      </section>
    </>
  );
}

function hasSentence(error: unknown): error is { sentence: string } {
  return error instanceof Error && "sentence" in error && typeof error.sentence === "string";
}

interface ConflictsProps {
  merge: Merge;
  names: (list: string) => string;
  onDone: (theirs: readonly Conflict[]) => void;
  onCancel: () => void;
}

function Conflicts({ merge: { conflicts, added }, names, onDone, onCancel }: ConflictsProps) {
  const [theirs, setTheirs] = useState<ReadonlySet<string>>(new Set());
  const choose = (word: string, take: boolean) => {
    const next = new Set(theirs);
    if (take) next.add(word);
    else next.delete(word);
    setTheirs(next);
  };
  const side = (conflict: Conflict, which: "mine" | "theirs") => {
    if (conflict.kind === "rule") return ruleLine(conflict[which]);
    if (conflict.kind === "replacement") {
      const { to, exceptions } = conflict[which];
      return exceptions.length > 0 ? `${to} (not in ${exceptions.join("; ")})` : to;
    }
    const { list, note } = conflict[which];
    return note ? `${names(list)}: ${note}` : names(list);
  };
  return (
    <div className="mt-3 border border-rule bg-sheet p-4">
      <p>
        {count(added, "entry", "entries")} can be taken in as they are.{" "}
        {count(conflicts.length, "entry", "entries")} here differ from the file:
      </p>
      <table className="mt-3 w-full text-left">
        <thead>
          <tr className="border-b border-soft text-[13px] text-soft">
            <th className="py-1 pr-3 font-normal">Entry</th>
            <th className="py-1 pr-3 font-normal">Keep mine</th>
            <th className="py-1 font-normal">Take the file’s</th>
          </tr>
        </thead>
        <tbody>
          {conflicts.map((conflict) => (
            <tr key={`${conflict.kind} ${conflict.word}`} className="border-b border-hair">
              <td className="py-1.5 pr-3 font-book text-base">{conflict.word}</td>
              {(["mine", "theirs"] as const).map((which) => (
                <td key={which} className="py-1.5 pr-3">
                  <label className="flex gap-2">
                    <input
                      type="radio"
                      name={`${conflict.kind} ${conflict.word}`}
                      className="accent-ink"
                      checked={theirs.has(conflict.word) === (which === "theirs")}
                      onChange={() => choose(conflict.word, which === "theirs")}
                    />
                    {side(conflict, which)}
                  </label>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-4 flex gap-4">
        <button
          type="button"
          className="button-main"
          onClick={() => onDone(conflicts.filter(({ word }) => theirs.has(word)))}
        >
          Take in
        </button>
        <button type="button" className="button-plain" onClick={onCancel}>
          Leave it all
        </button>
      </div>
    </div>
  );
}
