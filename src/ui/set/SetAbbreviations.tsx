import { useEffect, useState } from "react";
import { figure } from "../parts/words.ts";
import type { SetSession } from "./set-session.ts";

type Rows = Awaited<ReturnType<SetSession["abbreviations"]>>;

/** The abbreviations of all documents: what each is short for, and where it is used. */
export function SetAbbreviations({ session, revision }: { session: SetSession; revision: number }) {
  const [rows, setRows] = useState<Rows | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked again when the documents were changed
  useEffect(() => {
    void session.abbreviations().then(setRows);
  }, [session, revision]);
  if (!rows) return <p className="text-soft">Gathering…</p>;
  return (
    <table className="mt-3 w-full text-left">
      <thead>
        <tr className="border-b border-soft text-[13px] text-soft">
          <th className="py-1.5 pr-4 font-normal">Abbreviation</th>
          <th className="py-1.5 pr-4 font-normal">Short for</th>
          <th className="py-1.5 pr-4 text-right font-normal">Places</th>
          <th className="py-1.5 font-normal">In</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ row: { abbreviation, expansions, places }, documents }) => (
          <tr key={abbreviation} className="border-b border-hair align-baseline">
            <td className="py-1.5 pr-4 font-book text-base">{abbreviation}</td>
            <td className="py-1.5 pr-4 font-book text-base">
              {expansions.length > 0 ? expansions.join("; ") : "explained nowhere"}
            </td>
            <td className="py-1.5 pr-4 text-right tabular-nums">{figure(places.length)}</td>
            <td className="py-1.5 text-[13px] text-soft">
              {documents.map((part) => session.titles[part] ?? "").join(", ")}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
