import { setNonce } from "get-nonce";
import { useEffect, useMemo, useState } from "react";
import { cardById } from "../../core/checks/cards.ts";
import { csv } from "../../core/house/exchange.ts";
import type { HouseStyle } from "../../core/house/style.ts";
import type { Act } from "../../core/ledger/decision.ts";
import { type LogRow, logRows, recurringSlips } from "../../core/ledger/log.ts";
import { ACT_LABELS } from "../../core/report/words.ts";
import { NotKept } from "../../store/failure.ts";
import { changeStyle, readStyle } from "../../store/house.ts";
import { readDecisions } from "../../store/ledger.ts";
import { listShelf } from "../../store/shelf.ts";
import { SearchField } from "../parts/SearchField.tsx";
import { SiteHeader } from "../parts/SiteHeader.tsx";
import { saveText } from "../parts/save-file.ts";
import { count, figure, when } from "../parts/words.ts";
import { RecurringSlips } from "./RecurringSlips.tsx";

const SHOWN_ACTS: Act[] = ["correct", "stet", "query", "word", "edit", "setting"];

type Column = "at" | "mistake" | "correction" | "kind" | "document";

/** Rows drawn at once; the filters narrow what is beyond. */
const MOST_ROWS = 400;

/** Every decision of one document or of all: read, sorted, filtered, printed, given out. */
export function LedgerScreen({ nonce }: { nonce: string }) {
  setNonce(nonce);
  const { rows, titles } = useLog();
  const [style, setStyle] = useState<HouseStyle | null>(null);
  const [failure, setFailure] = useState("");
  const [document, setDocument] = useState(
    () => new URLSearchParams(location.search).get("doc") ?? "",
  );
  const [act, setAct] = useState<Act | "">("");
  const [search, setSearch] = useState("");
  const [sorting, setSorting] = useState<{ by: Column; down: boolean }>({ by: "at", down: true });
  useEffect(() => {
    void readStyle().then(setStyle);
  }, []);
  const titleOf = (id: string) => titles.get(id) ?? "a document no longer on the shelf";
  const shown = useMemo(
    () => select(rows ?? [], titles, { document, act, search }, sorting),
    [rows, titles, document, act, search, sorting],
  );
  const slips = useMemo(
    () => recurringSlips((rows ?? []).filter((row) => !document || row.document === document)),
    [rows, document],
  );
  const replaceFromNow = (mistake: string, correction: string) => {
    const made = {
      from: mistake,
      to: correction,
      exceptions: [],
      addedAt: new Date().toISOString(),
    };
    changeStyle((now) => ({ ...now, replacements: [...now.replacements, made] })).then(
      setStyle,
      (error: unknown) => {
        if (!(error instanceof NotKept)) throw error;
        setFailure(error.sentence);
      },
    );
  };
  const giveOut = () => {
    const lines = shown.map((row) => [
      row.at,
      titleOf(row.document),
      row.mistake,
      row.correction,
      kindOf(row),
      ACT_LABELS[row.act],
      String(row.places),
      row.standing ? "" : "taken back",
      row.note,
    ]);
    const head = [
      "date",
      "document",
      "mistake",
      "correction",
      "kind",
      "decision",
      "places",
      "",
      "note",
    ];
    saveText(csv([head, ...lines]), "ledger.csv");
  };
  return (
    <div className="min-h-screen min-w-[960px]">
      <SiteHeader here="/ledger" />
      <main className="mx-auto max-w-[1280px] px-8 pb-16">
        <div className="flex items-end gap-5 pt-8 pb-4.5">
          <div className="grow">
            <h1 className="font-book text-[28px] leading-tight font-semibold">Ledger</h1>
            <p className="mt-1 text-soft">
              {rows === null
                ? "Opening…"
                : `${count(shown.length, "decision")}${document ? ` on ${titleOf(document)}` : ""}`}
            </p>
          </div>
          <button type="button" className="button-plain no-print" onClick={() => print()}>
            Print
          </button>
          <button
            type="button"
            className="button-plain no-print"
            disabled={shown.length === 0}
            onClick={giveOut}
          >
            .csv
          </button>
        </div>
        {failure ? (
          <p role="alert" className="mb-4 font-semibold text-alarm">
            {failure}
          </p>
        ) : null}
        <div className="grid grid-cols-[minmax(0,1fr)_300px] gap-10 print:block">
          <section aria-label="Decisions">
            <div className="no-print flex flex-wrap gap-5 pb-3">
              <Choice label="Document" value={document} onChange={setDocument}>
                <option value="">All documents</option>
                {[...titles].map(([id, title]) => (
                  <option key={id} value={id}>
                    {title}
                  </option>
                ))}
              </Choice>
              <Choice label="Decision" value={act} onChange={(value) => setAct(value as Act | "")}>
                <option value="">All decisions</option>
                {SHOWN_ACTS.map((one) => (
                  <option key={one} value={one}>
                    {ACT_LABELS[one]}
                  </option>
                ))}
              </Choice>
              <SearchField label="Find in the ledger" value={search} onChange={setSearch} />
            </div>
            {rows && shown.length === 0 ? (
              <p className="pt-6 text-soft">
                {rows.length === 0
                  ? "Nothing has been decided yet. Every decision at the desk is written down here."
                  : "No decision is like that."}
              </p>
            ) : null}
            {shown.length > 0 ? (
              <table className="w-full text-left">
                <thead>
                  <tr className="border-b border-soft text-[13px] text-soft">
                    <Head label="Mistake" by="mistake" sorting={sorting} onSort={setSorting} />
                    <Head
                      label="Correction"
                      by="correction"
                      sorting={sorting}
                      onSort={setSorting}
                    />
                    <Head label="Kind" by="kind" sorting={sorting} onSort={setSorting} />
                    <Head label="Document" by="document" sorting={sorting} onSort={setSorting} />
                    <Head label="Date" by="at" sorting={sorting} onSort={setSorting} />
                  </tr>
                </thead>
                <tbody>
                  {shown.slice(0, MOST_ROWS).map((row) => (
                    <Row
                      key={`${row.document} ${row.seq} ${row.mistake} ${row.correction}`}
                      row={row}
                      title={titles.get(row.document)}
                    />
                  ))}
                </tbody>
              </table>
            ) : null}
            {shown.length > MOST_ROWS ? (
              <p className="pt-3 text-soft">
                {figure(shown.length - MOST_ROWS)} more; the .csv holds them all.
              </p>
            ) : null}
          </section>
          <RecurringSlips
            slips={slips}
            replacements={style?.replacements ?? []}
            onReplace={replaceFromNow}
          />
        </div>
      </main>
    </div>
  );
}

function useLog() {
  const [rows, setRows] = useState<LogRow[] | null>(null);
  const [titles, setTitles] = useState<ReadonlyMap<string, string>>(new Map());
  useEffect(() => {
    void (async () => {
      const records = await listShelf();
      const ledgers = await Promise.all(
        records.map(async ({ id }) => logRows(id, await readDecisions(id))),
      );
      setTitles(new Map(records.map(({ id, title }) => [id, title])));
      setRows(ledgers.flat());
    })();
  }, []);
  return { rows, titles };
}

interface Filter {
  document: string;
  act: Act | "";
  search: string;
}

function select(
  rows: readonly LogRow[],
  titles: ReadonlyMap<string, string>,
  { document, act, search }: Filter,
  { by, down }: { by: Column; down: boolean },
): LogRow[] {
  const wanted = search.trim().toLowerCase();
  const value = (row: LogRow) => {
    if (by === "kind") return kindOf(row);
    return by === "document" ? (titles.get(row.document) ?? "") : row[by];
  };
  const sign = down ? -1 : 1;
  return rows
    .filter((row) => !document || row.document === document)
    .filter((row) => !act || row.act === act)
    .filter((row) =>
      `${row.mistake} ${row.correction} ${row.note} ${kindOf(row)}`.toLowerCase().includes(wanted),
    )
    .sort((a, b) => sign * value(a).localeCompare(value(b), "en") || sign * (a.at < b.at ? -1 : 1));
}

function kindOf({ act, rule, note }: LogRow): string {
  if (act === "edit") return "Edited by hand";
  if (rule === "" && note === "automatic replacement") return "Replacement";
  return cardById(rule)?.title ?? (act === "query" ? "Question" : "Word put in");
}

const LONGEST = 80;

function shorten(text: string): string {
  return text.length > LONGEST ? `${text.slice(0, LONGEST)}…` : text;
}

function Row({ row, title }: { row: LogRow; title: string | undefined }) {
  return (
    <tr className={`border-b border-hair align-baseline ${row.standing ? "" : "text-soft"}`}>
      <td className="py-1.5 pr-3 font-book text-base break-words">
        {row.standing ? shorten(row.mistake) : <s>{shorten(row.mistake)}</s>}
      </td>
      <td className="py-1.5 pr-3 font-book text-base break-words">
        {row.act === "correct" || row.act === "edit" ? (
          shorten(row.correction) || <span className="font-plain text-sm text-soft">taken out</span>
        ) : (
          <span className="font-plain text-sm text-soft">{ACT_LABELS[row.act]}</span>
        )}
        {row.places > 1 ? (
          <span className="font-plain text-[13px] text-soft"> {count(row.places, "place")}</span>
        ) : null}
        {row.act === "query" ? (
          <span className="block font-plain text-sm text-soft">{shorten(row.note)}</span>
        ) : null}
      </td>
      <td className="py-1.5 pr-3 text-soft">
        {kindOf(row)}
        {row.standing ? "" : ", taken back"}
      </td>
      <td className="py-1.5 pr-3">
        <a className="hover:underline" href={`/desk?doc=${row.document}`}>
          {title ?? "–"}
        </a>
      </td>
      <td className="py-1.5 whitespace-nowrap text-soft">{when(row.at)}</td>
    </tr>
  );
}

interface HeadProps {
  label: string;
  by: Column;
  sorting: { by: Column; down: boolean };
  onSort: (sorting: { by: Column; down: boolean }) => void;
}

function Head({ label, by, sorting, onSort }: HeadProps) {
  const on = sorting.by === by;
  return (
    <th
      className="py-1.5 pr-3 font-normal"
      aria-sort={on ? (sorting.down ? "descending" : "ascending") : "none"}
    >
      <button
        type="button"
        className={on ? "font-semibold text-ink" : ""}
        onClick={() => onSort({ by, down: on ? !sorting.down : by === "at" })}
      >
        {label}
        {on ? (sorting.down ? " ↓" : " ↑") : ""}
      </button>
    </th>
  );
}

interface ChoiceProps {
  label: string;
  value: string;
  onChange: (value: string) => void;
  children: React.ReactNode;
}

function Choice({ label, value, onChange, children }: ChoiceProps) {
  return (
    <select
      aria-label={label}
      className="max-w-64 border-b border-dotted border-faint bg-transparent py-1.5"
      value={value}
      onChange={(event) => onChange(event.target.value)}
    >
      {children}
    </select>
  );
}
