import { useEffect, useState } from "react";
import {
  type SourceList,
  sourceListSchema,
  type ToldSource,
} from "../../core/originality/asking.ts";
import { SearchField } from "../parts/SearchField.tsx";
import { figure } from "../parts/words.ts";

/** Milliseconds after a key until the search is sent. */
const AFTER_MS = 200;

/** The collection that ships, searched on the server and shown some at a time. */
export function ShippedSources() {
  const [search, setSearch] = useState("");
  const [from, setFrom] = useState(0);
  const [list, setList] = useState<SourceList | null | "missing">(null);
  const [read, setRead] = useState<{ source: ToldSource; text: string } | null>(null);
  useEffect(() => {
    let current = true;
    const later = setTimeout(() => {
      void fetchList(search, from).then((found) => {
        if (current) setList(found ?? "missing");
      });
    }, AFTER_MS);
    return () => {
      current = false;
      clearTimeout(later);
    };
  }, [search, from]);
  const found = list === "missing" ? null : list;
  return (
    <section className="mt-12" aria-label="The collection that ships">
      <h2 className="font-book text-xl font-semibold">The collection that ships</h2>
      <p className="mt-1 max-w-[76ch] text-soft">
        {found
          ? `${figure(found.sources)} texts, ${figure(found.words)} words: manuals and documents whose licences allow it, each with its origin, and the invented sources of the demo.`
          : "Manuals and documents whose licences allow it, each with its origin."}
      </p>
      <div className="mt-4 flex items-baseline gap-4">
        <SearchField
          value={search}
          onChange={(value) => {
            setSearch(value);
            setFrom(0);
          }}
          label="Find a source by title or origin"
        />
        <span className="text-[13px] text-soft" aria-live="polite">
          {found ? `${figure(found.matching)} found` : ""}
        </span>
      </div>
      {list === "missing" ? (
        <p className="mt-3 text-soft">The collection can’t be reached just now.</p>
      ) : null}
      {found && found.rows.length > 0 ? (
        <table className="mt-3 w-full text-left text-[13px]" data-testid="shipped-sources">
          <thead className="text-xs text-soft">
            <tr className="border-b border-ink">
              {["Title", "Origin", "Licence", "Words", "Kept"].map((label) => (
                <th key={label} className="py-1.5 pr-4 font-semibold">
                  {label}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {found.rows.map((source) => (
              <tr key={source.number} className="border-b border-hair align-baseline">
                <td className="py-1.5 pr-4 font-book text-[15px]">
                  {source.closed ? (
                    source.title
                  ) : (
                    <button
                      type="button"
                      className="text-left hover:underline"
                      onClick={() => void fetchText(source.number).then(setRead)}
                    >
                      {source.title}
                    </button>
                  )}
                </td>
                <td className="pr-4 text-soft">
                  {[source.author, source.year, source.origin].filter(Boolean).join(", ")}
                </td>
                <td className="pr-4 text-soft">{source.licence}</td>
                <td className="pr-4">{figure(source.words)}</td>
                <td className="text-soft">{source.closed ? "closed" : "open"}</td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : null}
      {found && found.matching > found.rows.length ? (
        <p className="mt-3 flex gap-4 text-[13px]">
          <button
            type="button"
            className="button-text"
            disabled={from === 0}
            onClick={() => setFrom(Math.max(0, from - PAGE))}
          >
            Before
          </button>
          <span className="text-soft">
            {figure(from + 1)} to {figure(from + found.rows.length)}
          </span>
          <button
            type="button"
            className="button-text"
            disabled={from + found.rows.length >= found.matching}
            onClick={() => setFrom(from + PAGE)}
          >
            After
          </button>
        </p>
      ) : null}
      {read ? (
        <section className="mt-6 border-t border-ink pt-3" aria-label={read.source.title}>
          <p className="flex items-baseline gap-4">
            <strong className="grow font-book text-lg">{read.source.title}</strong>
            <button type="button" className="button-text" onClick={() => setRead(null)}>
              Put it away
            </button>
          </p>
          <div
            // biome-ignore lint/a11y/noNoninteractiveTabindex: a long text is scrolled by keyboard
            tabIndex={0}
            className="mt-2 max-h-96 overflow-auto font-book whitespace-pre-wrap"
          >
            {read.text}
          </div>
        </section>
      ) : null}
    </section>
  );
}

/** Rows of one answer. */
const PAGE = 50;

async function fetchList(search: string, from: number): Promise<SourceList | null> {
  try {
    const query = new URLSearchParams({ search, from: String(from) });
    const response = await fetch(`/api/sources/list?${query}`);
    const parsed = sourceListSchema.safeParse(response.ok ? await response.json() : null);
    return parsed.success ? parsed.data : null;
  } catch {
    return null;
  }
}

async function fetchText(number: number): Promise<{ source: ToldSource; text: string } | null> {
  try {
    const response = await fetch(`/api/sources/text/${number}`);
    return response.ok ? await response.json() : null;
  } catch {
    return null;
  }
}
