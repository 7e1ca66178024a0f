import { useMemo, useState } from "react";
import { HOUSE, type HouseStyle, type ListedWord, PERSONAL } from "../../core/house/style.ts";
import { Modal } from "../parts/Modal.tsx";
import { SearchField } from "../parts/SearchField.tsx";
import { count, figure, when } from "../parts/words.ts";
import type { ChangeStyle } from "./change-style.ts";
import { useWordCounts } from "./use-word-counts.ts";

interface WordListPartProps {
  style: HouseStyle;
  /** Id of the list. */
  list: string;
  title: string;
  change: ChangeStyle;
  /** The list was deleted. */
  onGone: () => void;
}

type Order = "word" | "addedAt" | "used";

/** Rows drawn at once; a search narrows what is beyond. */
const MOST_ROWS = 200;

/** One word list: find, add, note, sort, move and take off. */
export function WordListPart({ style, list, title, change, onGone }: WordListPartProps) {
  const [search, setSearch] = useState("");
  const [order, setOrder] = useState<Order>("word");
  const words = useMemo(() => style.words.filter((one) => one.list === list), [style, list]);
  const { documents, document, setDocument, counts } = useWordCounts(words);
  const found = useMemo(() => {
    const wanted = search.trim().toLowerCase();
    const used = (one: ListedWord) => counts?.get(one.word.toLowerCase()) ?? 0;
    return words
      .filter(({ word, note }) => `${word} ${note ?? ""}`.toLowerCase().includes(wanted))
      .sort((a, b) => {
        if (order === "addedAt") return b.addedAt.localeCompare(a.addedAt);
        const more = order === "used" ? used(b) - used(a) : 0;
        return more || a.word.localeCompare(b.word, "en");
      });
  }, [words, search, order, counts]);
  const places = [{ id: PERSONAL, name: "Personal" }, { id: HOUSE, name: "House" }, ...style.lists];
  const update = (word: string, changes: Partial<ListedWord>) =>
    change((now) => ({
      ...now,
      words: now.words.map((one) => (one.word === word ? { ...one, ...changes } : one)),
    }));
  const ownList = list !== PERSONAL && list !== HOUSE;
  const [deleting, setDeleting] = useState(false);
  return (
    <>
      <h1 className="font-book text-[28px] leading-tight font-semibold">{title}</h1>
      <p className="mt-1 text-soft">
        {ownList
          ? "These words count as right in the documents this list is switched on for."
          : "These words count as right in every document."}{" "}
        {count(words.length, "word")}.
      </p>
      <div className="mt-5 flex items-end gap-6">
        <AddWord style={style} list={list} change={change} />
        <span className="grow" />
        <SearchField label="Find a word or note" value={search} onChange={setSearch} />
        <label className="text-soft">
          Counted in{" "}
          <select
            className="w-52 truncate border-b border-dotted border-faint bg-transparent py-1.5 pr-6 text-ink"
            value={document}
            onChange={(event) => setDocument(event.target.value)}
          >
            {documents.map(({ id, title: name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
      </div>
      {words.length === 0 ? (
        <p className="mt-8 text-soft">
          No words yet. Add one here, or press W on a mark at the desk.
        </p>
      ) : (
        <table className="mt-5 w-full text-left">
          <thead>
            <tr className="border-b border-soft text-[13px] text-soft">
              <Head label="Word" by="word" order={order} onOrder={setOrder} />
              <th className="w-[38%] py-1.5 pr-3 font-normal">Note</th>
              <Head label="Used there" by="used" order={order} onOrder={setOrder} />
              <Head label="Added" by="addedAt" order={order} onOrder={setOrder} />
              <th className="py-1.5 pr-3 font-normal">List</th>
              <th className="py-1.5">
                <span className="sr-only">Take off</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {found.slice(0, MOST_ROWS).map((one) => (
              <tr key={one.word} className="border-b border-hair">
                <td className="py-1 pr-3 font-book text-base">{one.word}</td>
                <td className="py-1 pr-3">
                  <input
                    aria-label={`Note on ${one.word}`}
                    className="w-full bg-transparent py-0.5 focus:bg-sheet"
                    defaultValue={one.note ?? ""}
                    placeholder="–"
                    onBlur={(event) => {
                      const note = event.target.value.trim();
                      if (note !== (one.note ?? "")) update(one.word, { note });
                    }}
                  />
                </td>
                <td className="py-1 pr-3 tabular-nums">
                  {counts ? usedLabel(counts.get(one.word.toLowerCase()) ?? 0) : ""}
                </td>
                <td className="py-1 pr-3 whitespace-nowrap text-soft">{when(one.addedAt)}</td>
                <td className="py-1 pr-3">
                  <select
                    aria-label={`List of ${one.word}`}
                    className="max-w-32 bg-transparent text-soft"
                    value={one.list}
                    onChange={(event) => update(one.word, { list: event.target.value })}
                  >
                    {places.map(({ id, name }) => (
                      <option key={id} value={id}>
                        {name}
                      </option>
                    ))}
                  </select>
                </td>
                <td className="py-1 text-right">
                  <button
                    type="button"
                    className="button-text text-[13px]"
                    onClick={() =>
                      change((now) => ({
                        ...now,
                        words: now.words.filter(({ word }) => word !== one.word),
                      }))
                    }
                  >
                    take off<span className="sr-only"> {one.word}</span>
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {found.length > MOST_ROWS ? (
        <p className="mt-3 text-soft">
          {figure(found.length - MOST_ROWS)} more; find a word to narrow the list.
        </p>
      ) : null}
      {ownList ? (
        <button
          type="button"
          className="button-text mt-8 text-[13px]"
          onClick={() => setDeleting(true)}
        >
          Delete this list and its words…
        </button>
      ) : null}
      <Modal
        open={deleting}
        onClose={() => setDeleting(false)}
        title={`Delete “${title}”?`}
        about={`The list and its ${count(words.length, "word")} are removed, and the documents it is switched on for question those words again.`}
      >
        <div className="mt-5 flex gap-3">
          <button type="button" className="button-main" onClick={() => setDeleting(false)}>
            Keep it
          </button>
          <button
            type="button"
            className="button-plain"
            onClick={() => {
              setDeleting(false);
              change((now) => ({
                ...now,
                lists: now.lists.filter(({ id }) => id !== list),
                words: now.words.filter((one) => one.list !== list),
              }));
              onGone();
            }}
          >
            Delete it
          </button>
        </div>
      </Modal>
    </>
  );
}

function usedLabel(used: number): string {
  return used === 0 ? "–" : figure(used);
}

interface HeadProps {
  label: string;
  by: Order;
  order: Order;
  onOrder: (order: Order) => void;
}

function Head({ label, by, order, onOrder }: HeadProps) {
  return (
    <th
      className="py-1.5 pr-3 font-normal"
      aria-sort={order === by ? (by === "word" ? "ascending" : "descending") : "none"}
    >
      <button
        type="button"
        className={order === by ? "font-semibold text-ink" : ""}
        onClick={() => onOrder(by)}
      >
        {label}
        {order === by ? (by === "word" ? " ↑" : " ↓") : ""}
      </button>
    </th>
  );
}

function AddWord({
  style,
  list,
  change,
}: {
  style: HouseStyle;
  list: string;
  change: ChangeStyle;
}) {
  const [word, setWord] = useState("");
  const [said, setSaid] = useState("");
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        const added = word.trim();
        if (added === "") return;
        const known = style.words.find((one) => one.word.toLowerCase() === added.toLowerCase());
        if (known) {
          setSaid(`“${known.word}” is on a list already.`);
          return;
        }
        const addedAt = new Date().toISOString();
        change((now) => ({ ...now, words: [...now.words, { word: added, list, addedAt }] }));
        setWord("");
        setSaid("");
      }}
    >
      <label>
        <span className="sr-only">Word to add</span>
        <input
          className="field w-56"
          placeholder="Add a word"
          value={word}
          maxLength={80}
          onChange={(event) => setWord(event.target.value)}
        />
      </label>
      <button type="submit" className="button-plain ml-2">
        Add
      </button>
      <span role="status" className="ml-3 text-[13px] text-soft">
        {said}
      </span>
    </form>
  );
}
