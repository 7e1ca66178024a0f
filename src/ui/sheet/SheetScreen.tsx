import { setNonce } from "get-nonce";
import { useEffect, useMemo, useState } from "react";
import { ruleOf } from "../../core/house/rule-draft.ts";
import { type Rule, saidBy } from "../../core/house/rules.ts";
import {
  choicesOf,
  draftOfEntry,
  SHEET_GROUPS,
  SHEET_TITLES,
  type SheetEntry,
  type SheetGroup,
} from "../../core/house/sheet.ts";
import { HOUSE, type HouseStyle, OWN } from "../../core/house/style.ts";
import { reportHtml } from "../../core/report/html.ts";
import { sheetCsv, sheetMarkdown, sheetParts } from "../../core/report/sheet-parts.ts";
import { changeHouse, listHouses } from "../../store/house.ts";
import { listShelf, type ShelfRecord, updateRecord } from "../../store/shelf.ts";
import { SiteHeader } from "../parts/SiteHeader.tsx";
import { saveDocx, saveText } from "../parts/save-file.ts";
import { count, figure, when } from "../parts/words.ts";
import { type Sheet, useSheet } from "./use-sheet.ts";

/** The style sheet of a document: every choice made in it, kept, edited, printed and carried on. */
export function SheetScreen({ nonce }: { nonce: string }) {
  setNonce(nonce);
  const id = useMemo(() => new URLSearchParams(location.search).get("doc") ?? "", []);
  const sheet = useSheet(id);
  const { record, entries, isGone } = sheet;
  const [said, setSaid] = useState("");
  return (
    <div className="min-h-screen">
      <SiteHeader here="/sheet" />
      <main className="mx-auto max-w-4xl px-8 pt-8 pb-20 print:max-w-none print:p-0">
        {isGone ? <p className="text-soft">This document is not on the shelf any more.</p> : null}
        {record ? (
          <>
            <Head record={record} entries={entries} />
            <Onward record={record} entries={entries} say={setSaid} />
            <p role="status" className="no-print mt-2 min-h-5 text-[13px] font-semibold">
              {said}
            </p>
            {entries.length === 0 ? (
              <p className="mt-4 max-w-[66ch] text-soft">
                Nothing has been chosen in this document yet. Words put on a list, forms settled,
                marks let stand everywhere and questions to the author come here by themselves.
              </p>
            ) : null}
            {SHEET_GROUPS.map((group) => (
              <Group
                key={group}
                group={group}
                entries={entries.filter((entry) => entry.group === group)}
                sheet={sheet}
                say={setSaid}
              />
            ))}
            <AddEntry sheet={sheet} />
          </>
        ) : null}
      </main>
    </div>
  );
}

function Head({ record, entries }: { record: ShelfRecord; entries: readonly SheetEntry[] }) {
  const name = record.fileName.replace(/\.[^.]+$/, "");
  const title = `Style sheet: ${record.title}`;
  const parts = useMemo(() => sheetParts(entries), [entries]);
  const save = (text: string, ending: string) => saveText(text, `${name}-style-sheet.${ending}`);
  return (
    <header className="flex items-end gap-4 border-b border-ink pb-3">
      <div className="min-w-0 grow">
        <p className="text-[13px] text-soft">
          Style sheet, {count(entries.length, "entry", "entries")}.{" "}
          <a className="no-print button-text" href={`/desk?doc=${record.id}`}>
            Back to the desk
          </a>
        </p>
        <h1 className="font-book text-[28px] leading-tight font-semibold">{record.title}</h1>
      </div>
      <div className="no-print flex shrink-0 items-center gap-3">
        <button type="button" className="button-main" onClick={() => print()}>
          Print
        </button>
        <button
          type="button"
          className="button-plain"
          onClick={() => void saveDocx(title, parts, `${name}-style-sheet.docx`)}
        >
          .docx
        </button>
        <button
          type="button"
          className="button-plain"
          onClick={() => save(sheetMarkdown(record.title, entries), "md")}
        >
          .md
        </button>
        <button
          type="button"
          className="button-plain"
          onClick={() => save(reportHtml(title, parts), "html")}
        >
          .html
        </button>
        <button
          type="button"
          className="button-plain"
          onClick={() => save(sheetCsv(entries), "csv")}
        >
          .csv
        </button>
      </div>
    </header>
  );
}

/** The rules and words that entries come to, added to a house; what it has already is passed over. */
async function addToHouse(house: string, entries: readonly SheetEntry[]): Promise<number> {
  const now = new Date().toISOString();
  let added = 0;
  await changeHouse(house, (style) => {
    const ids = new Set(style.rules.map(({ id }) => id));
    const known = new Set(style.rules.map(saidBy));
    const listed = new Set(style.words.map(({ word }) => word.toLowerCase()));
    const rules: Rule[] = [];
    const words: HouseStyle["words"] = [];
    for (const entry of entries) {
      const draft = draftOfEntry(entry);
      if (!draft) {
        const isWord = entry.group === "words" && entry.id.startsWith("word:");
        if (!isWord || listed.has(entry.text.toLowerCase())) continue;
        words.push({ word: entry.text, list: HOUSE, addedAt: now });
        continue;
      }
      const made = ruleOf(draft, ids, now);
      if (!("rule" in made) || known.has(saidBy(made.rule))) continue;
      ids.add(made.rule.id);
      rules.push(made.rule);
    }
    added = rules.length + words.length;
    return { ...style, rules: [...style.rules, ...rules], words: [...style.words, ...words] };
  });
  return added;
}

interface OnwardProps {
  record: ShelfRecord;
  entries: readonly SheetEntry[];
  say(text: string): void;
}

/** What a sheet is good for beyond its document: rules of a house, and the start of the next document. */
function Onward({ record, entries, say }: OnwardProps) {
  const [houses, setHouses] = useState<readonly HouseStyle[]>([]);
  const [documents, setDocuments] = useState<readonly ShelfRecord[]>([]);
  const [house, setHouse] = useState(record.houses[0] ?? OWN);
  const [next, setNext] = useState("");
  useEffect(() => {
    void listHouses().then(setHouses);
    void listShelf().then((all) => setDocuments(all.filter(({ id }) => id !== record.id)));
  }, [record.id]);
  const start = async () => {
    const target = documents.find(({ id }) => id === next);
    if (!target) return;
    const { forms, added } = choicesOf(entries);
    const taken = new Set(target.sheet.added.map(({ id }) => id));
    await updateRecord(target.id, {
      forms: { ...forms, ...target.forms },
      houses: [...new Set([...target.houses, ...record.houses])],
      sheet: {
        ...target.sheet,
        added: [...target.sheet.added, ...added.filter(({ id }) => !taken.has(id))],
      },
    });
    say(`“${target.title}” starts from this sheet: ${count(Object.keys(forms).length, "form")}.`);
  };
  return (
    <div className="no-print mt-3 flex flex-wrap items-baseline gap-x-8 gap-y-2 text-[13px] text-soft">
      <span>
        <button
          type="button"
          className="button-text"
          disabled={entries.length === 0}
          onClick={() =>
            void addToHouse(house, entries).then((added) =>
              say(`${count(added, "entry", "entries")} are in the house now.`),
            )
          }
        >
          Make house rules of all of it
        </button>{" "}
        in{" "}
        <select
          aria-label="House"
          className="field text-ink"
          value={house}
          onChange={(event) => setHouse(event.target.value)}
        >
          <option value={OWN}>every document</option>
          {houses.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </span>
      <span>
        Start{" "}
        <select
          aria-label="Next document"
          className="field max-w-56 text-ink"
          value={next}
          onChange={(event) => setNext(event.target.value)}
        >
          <option value="">another document</option>
          {documents.map(({ id, title }) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
        </select>{" "}
        <button
          type="button"
          className="button-text"
          disabled={next === ""}
          onClick={() => void start()}
        >
          from this sheet
        </button>
      </span>
    </div>
  );
}

interface GroupProps {
  group: SheetGroup;
  entries: readonly SheetEntry[];
  sheet: Sheet;
  say(text: string): void;
}

function Group({ group, entries, sheet, say }: GroupProps) {
  if (entries.length === 0) return null;
  const house = sheet.record?.houses[0] ?? OWN;
  return (
    <section className="mt-7">
      <h2 className="border-b border-rule pb-1 font-book text-xl font-semibold">
        {SHEET_TITLES[group]}
      </h2>
      <ul>
        {entries.map((entry) => (
          <li
            key={entry.id}
            className="grid break-inside-avoid grid-cols-[minmax(0,5fr)_minmax(0,4fr)_auto] items-baseline gap-5 border-b border-hair py-1.5"
          >
            <span className="font-book text-base">{entry.text}</span>
            <input
              aria-label={`Note on ${entry.text}`}
              className="w-full bg-transparent py-0.5 text-soft focus:bg-sheet"
              placeholder="a note"
              defaultValue={entry.note}
              onBlur={(event) => {
                const note = event.target.value.trim();
                if (note === entry.note) return;
                sheet.edit((hand) => ({ ...hand, notes: { ...hand.notes, [entry.id]: note } }));
              }}
            />
            <span className="flex items-baseline gap-4 text-[13px] text-soft">
              <span className="text-right">
                {entry.places > 0 ? `${figure(entry.places)} × ` : ""}
                {entry.at === "" ? "by hand" : when(entry.at)}
              </span>
              {draftOfEntry(entry) ? (
                <button
                  type="button"
                  className="button-text no-print"
                  onClick={() =>
                    void addToHouse(house, [entry]).then((added) =>
                      say(
                        added > 0
                          ? `“${entry.text}” is a house rule now.`
                          : "The house has it already.",
                      ),
                    )
                  }
                >
                  house rule
                </button>
              ) : null}
              <button
                type="button"
                className="button-text no-print"
                onClick={() =>
                  sheet.edit((hand) => ({
                    ...hand,
                    added: hand.added.filter(({ id }) => id !== entry.id),
                    hidden: entry.at === "" ? hand.hidden : [...hand.hidden, entry.id],
                  }))
                }
              >
                take off<span className="sr-only"> {entry.text}</span>
              </button>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Writes an entry by hand. */
function AddEntry({ sheet }: { sheet: Sheet }) {
  const [group, setGroup] = useState<SheetGroup>("words");
  const [text, setText] = useState("");
  const [note, setNote] = useState("");
  return (
    <form
      className="no-print mt-8 flex items-end gap-3"
      aria-label="Write an entry"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() === "") return;
        const id = `hand:${crypto.randomUUID?.() ?? String(Date.now())}`;
        const entry = { id, group, text: text.trim(), note: note.trim() };
        sheet.edit((hand) => ({ ...hand, added: [...hand.added, entry] }));
        setText("");
        setNote("");
      }}
    >
      <label>
        <span className="block pb-1 text-[13px] text-soft">Under</span>
        <select
          className="field"
          value={group}
          onChange={(event) => setGroup(event.target.value as SheetGroup)}
        >
          {SHEET_GROUPS.map((one) => (
            <option key={one} value={one}>
              {SHEET_TITLES[one]}
            </option>
          ))}
        </select>
      </label>
      <label>
        <span className="block pb-1 text-[13px] text-soft">Entry</span>
        <input
          className="field w-56"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <label className="grow">
        <span className="block pb-1 text-[13px] text-soft">Note</span>
        <input
          className="field w-full"
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
      </label>
      <button type="submit" className="button-plain">
        Add
      </button>
    </form>
  );
}
