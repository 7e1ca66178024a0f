import { STEPS } from "../../core/cleanup/steps.ts";
import type { HouseStyle } from "../../core/house/style.ts";
import type { ChangeStyle } from "./change-style.ts";

/** Which steps of the clean-up the house wants, whatever is usual. */
export function CleanupPart({ style, change }: { style: HouseStyle; change: ChangeStyle }) {
  const set = (step: string, value: string) =>
    change((now) => {
      const { [step]: _before, ...others } = now.cleanup;
      return { ...now, cleanup: value === "" ? others : { ...others, [step]: value === "on" } };
    });
  return (
    <>
      <h1 className="font-book text-[28px] leading-tight font-semibold">Clean-up</h1>
      <p className="mt-1 max-w-[66ch] text-soft">
        Mechanical changes before the export, seen first on the desk with C. Which dash, ellipsis
        and quotation marks they make is told by the forms of the house, or by the document.
      </p>
      <ul className="mt-5 max-w-3xl border-t border-rule">
        {STEPS.map(({ id, title, note }) => (
          <li key={id} className="flex items-baseline gap-4 border-b border-hair py-1.5">
            <span className="grow">
              {title}
              <span className="block text-[13px] text-soft">{note}</span>
            </span>
            <select
              aria-label={title}
              className="field"
              value={id in style.cleanup ? (style.cleanup[id] ? "on" : "off") : ""}
              onChange={(event) => set(id, event.target.value)}
            >
              <option value="">as usual</option>
              <option value="on">on</option>
              <option value="off">off</option>
            </select>
          </li>
        ))}
      </ul>
    </>
  );
}
