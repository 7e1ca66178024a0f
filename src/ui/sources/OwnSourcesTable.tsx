import { useState } from "react";
import type { StoredSource } from "../../store/sources.ts";
import { SearchField } from "../parts/SearchField.tsx";
import { figure } from "../parts/words.ts";

interface OwnSourcesTableProps {
  sources: readonly StoredSource[];
  onChange: (
    id: string,
    changes: Partial<Pick<StoredSource, "title" | "author" | "year" | "text" | "isOwn">>,
  ) => Promise<void>;
  onRemove: (id: string) => Promise<void>;
}

/** The person's own sources: what each is called and cited as, and whether it may be shown. */
export function OwnSourcesTable({ sources, onChange, onRemove }: OwnSourcesTableProps) {
  const [search, setSearch] = useState("");
  /** Asked twice: closing and removing can't be taken back. */
  const [sure, setSure] = useState("");
  const shown = sources.filter(({ title, author, fileName }) =>
    `${title} ${author ?? ""} ${fileName}`.toLowerCase().includes(search.toLowerCase()),
  );
  if (sources.length === 0) {
    return (
      <p className="mt-4 border-y border-rule py-5 text-soft">
        You have no sources of your own yet. Add files or a folder, drop them here, or add a
        document from the shelf.
      </p>
    );
  }
  return (
    <>
      {sources.length > 8 ? (
        <SearchField value={search} onChange={setSearch} label="Find one of your sources" />
      ) : null}
      <table className="mt-3 w-full text-left text-[13px]" data-testid="own-sources">
        <thead className="text-xs text-soft">
          <tr className="border-b border-ink">
            {["Title", "Author", "Year", "Words", "Kept", "", ""].map((label, at) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: columns stand where they stand
              <th key={at} className="py-1.5 pr-4 font-semibold">
                {label || <span className="sr-only">What can be done</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((source) => (
            <tr key={source.id} className="border-b border-hair align-baseline">
              <td className="py-1.5 pr-4">
                <input
                  aria-label={`Title of ${source.title}`}
                  className="w-full bg-transparent font-book text-[15px]"
                  defaultValue={source.title}
                  onBlur={({ target }) =>
                    target.value.trim() && void onChange(source.id, { title: target.value.trim() })
                  }
                />
              </td>
              <td className="pr-4">
                <input
                  aria-label={`Author of ${source.title}`}
                  className="w-32 bg-transparent"
                  placeholder="for citations"
                  defaultValue={source.author ?? ""}
                  onBlur={({ target }) =>
                    void onChange(source.id, { author: target.value.trim() || null })
                  }
                />
              </td>
              <td className="pr-4">
                <input
                  aria-label={`Year of ${source.title}`}
                  className="w-14 bg-transparent"
                  inputMode="numeric"
                  placeholder="year"
                  defaultValue={source.year ?? ""}
                  onBlur={({ target }) =>
                    void onChange(source.id, { year: Number.parseInt(target.value, 10) || null })
                  }
                />
              </td>
              <td className="pr-4">{figure(source.hashes.length)}</td>
              <td className="pr-4 text-soft">
                {source.text === null ? "closed" : "open"}
                {source.isOwn ? ", your own" : ""}
              </td>
              <td className="pr-4">
                {source.text === null ? null : (
                  <button
                    type="button"
                    className="button-text"
                    onClick={() =>
                      sure === `close ${source.id}`
                        ? void onChange(source.id, { text: null })
                        : setSure(`close ${source.id}`)
                    }
                  >
                    {sure === `close ${source.id}` ? "Close it for good" : "Close"}
                  </button>
                )}
              </td>
              <td className="text-right">
                <button
                  type="button"
                  className="button-text"
                  onClick={() =>
                    sure === `remove ${source.id}`
                      ? void onRemove(source.id)
                      : setSure(`remove ${source.id}`)
                  }
                >
                  {sure === `remove ${source.id}` ? "Remove it for good" : "Remove"}
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
