import { type Change, diffChars } from "diff";

interface CitedPairProps {
  /** A citation as it is written. */
  cited: string;
  /** The entry it may mean. */
  entry: string;
}

/** A citation and the entry it may mean, one above the other, with the letters that differ underlined. */
export function CitedPair({ cited, entry }: CitedPairProps) {
  const head = headOf(entry);
  const changes = diffChars(plain(cited), head);
  const lines = [
    { label: "cited as", parts: placed(changes.filter(({ added }) => !added)) },
    { label: "entry", parts: placed(changes.filter(({ removed }) => !removed)) },
  ];
  return (
    <dl className="mt-1.5 grid grid-cols-[4.5rem_minmax(0,1fr)] gap-x-4" data-testid="pair">
      {lines.map(({ label, parts }, line) => (
        <div key={label} className="contents">
          <dt className="self-baseline text-[13px] text-soft">{label}</dt>
          <dd className="truncate pb-0.5 font-book text-base">
            {parts.map(({ value, from, isOther }) => (
              <span key={from} className={isOther ? "border-b-2 border-pen" : ""}>
                {value}
              </span>
            ))}
            {line === 1 ? <span className="text-soft">{entry.slice(head.length)}</span> : null}
          </dd>
        </div>
      ))}
    </dl>
  );
}

/** Pieces of a line with where each begins. */
function placed(changes: readonly Change[]): { value: string; from: number; isOther: boolean }[] {
  let from = 0;
  return changes.map(({ value, added, removed }) => {
    const piece = { value, from, isOther: added || removed };
    from += value.length;
    return piece;
  });
}

/** Names and year of an entry, with what stands between them. */
function headOf(entry: string): string {
  const year = /\(?\b(?:1[4-9]|20)\d\d[a-z]?\)?/u.exec(entry);
  return year && year.index < 200
    ? entry.slice(0, year.index + year[0].length)
    : entry.slice(0, 60);
}

function plain(cited: string): string {
  return cited.replace(/^\(|\)$/gu, "");
}
