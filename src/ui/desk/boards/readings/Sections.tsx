import type { Reach } from "../../../../core/readings/reach.ts";
import { listedSections, sectionTable, valueIn } from "../../../../core/readings/tables.ts";
import { count, figure } from "../../../parts/words.ts";
import type { PartProps } from "./part.ts";
import { SaveTable } from "./SaveTable.tsx";

/** The sections beside the reader, and which sentences would bring those beyond it within reach. */
export function Sections({ readings, deciding, reach }: PartProps & { reach: readonly Reach[] }) {
  const { sections, sentences } = readings;
  const table = sectionTable(readings, reach);
  const listed = listedSections(reach);
  return (
    <table className="w-full text-[13.5px]">
      <caption className="sr-only">Sections beside the reader</caption>
      <thead>
        <tr className="border-b border-rule text-xs text-soft">
          <th scope="col" className="py-1 text-left font-semibold">
            Section <SaveTable table={table} />
          </th>
          {["Words", "A sentence", "Grade", "Ease", "Passives"].map((name) => (
            <th key={name} scope="col" className="py-1 text-right font-semibold">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {listed.map((index) => {
          const own = reach[index];
          const one = sections[index];
          if (!own || !one) return null;
          const { section, title, counts, measures, from } = one;
          const beyond = own.isLong || own.isHard;
          const ease = valueIn(measures, "flesch");
          return (
            <tr key={section} className={`border-b border-hair ${beyond ? "bg-wash" : ""}`}>
              <th scope="row" className="max-w-0 py-1.5 text-left font-normal">
                <button
                  type="button"
                  className="block w-full truncate text-left font-book text-[15px] hover:underline"
                  onClick={() => {
                    const first = sentences.find((one) => one.section === section);
                    deciding.goToRange(first ?? { from, to: from });
                  }}
                >
                  {title || "Before the first heading"}
                </button>
                {beyond ? <Soonest own={own} deciding={deciding} /> : null}
              </th>
              <Cell value={figure(counts.words)} />
              <Cell value={own.mean.toFixed(1)} beyond={own.isLong} />
              <Cell value={own.grade?.toFixed(1) ?? "–"} beyond={own.isHard} />
              <Cell value={ease === null ? "–" : ease.toFixed(0)} />
              <Cell value={figure(counts.passives)} />
            </tr>
          );
        })}
      </tbody>
      {listed.length < sections.length ? (
        <tfoot>
          <tr>
            <td colSpan={6} className="py-1.5 text-left text-xs text-soft">
              {figure(sections.length - listed.length)} more sections within reach, or after these,
              are in the .csv file.
            </td>
          </tr>
        </tfoot>
      ) : null}
    </table>
  );
}

function Cell({ value, beyond = false }: { value: string; beyond?: boolean }) {
  return (
    <td className={`w-16 py-1.5 text-right align-top ${beyond ? "font-semibold text-pen" : ""}`}>
      {value}
    </td>
  );
}

function Soonest({ own, deciding }: { own: Reach } & Pick<PartProps, "deciding">) {
  const { soonest } = own;
  if (!soonest) {
    return (
      <span className="block text-xs text-soft">
        Its words are what is hard: no full stop brings it within reach.
      </span>
    );
  }
  const [first] = soonest;
  return first ? (
    <span className="block text-xs text-soft">
      {count(soonest.length, "sentence")} made two would bring it within reach.{" "}
      <button type="button" className="button-text" onClick={() => deciding.goToRange(first)}>
        Go to the first
      </button>
    </span>
  ) : null;
}
