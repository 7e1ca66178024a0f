import { PASSES } from "../../core/checks/card.ts";
import { PASS_LABELS } from "../../core/report/words.ts";
import { figure } from "../parts/words.ts";
import type { SetSession } from "./set-session.ts";

/** What is open in each document, pass by pass, read as one. */
export function SetDocuments({ session }: { session: SetSession }) {
  const counts = session.counts();
  return (
    <table className="mt-3 w-full text-left">
      <thead>
        <tr className="border-b border-soft text-[13px] text-soft">
          <th className="py-1.5 pr-4 font-normal">Document</th>
          {PASSES.map((pass) => (
            <th key={pass} className="py-1.5 pr-4 text-right font-normal">
              {PASS_LABELS[pass]}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {session.titles.map((title, part) => (
          <tr key={session.ids[part]} className="border-b border-hair">
            <td className="py-1.5 pr-4 font-book text-base">
              <a className="hover:underline" href={`/desk?doc=${session.ids[part] ?? ""}`}>
                {title}
              </a>
            </td>
            {PASSES.map((pass) => (
              <td key={pass} className="py-1.5 pr-4 text-right tabular-nums">
                {figure(counts[part]?.[pass] ?? 0)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
