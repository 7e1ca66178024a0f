import { type HouseStyle, replacementSchema } from "../../core/house/style.ts";
import { count } from "../parts/words.ts";
import type { ChangeStyle } from "./change-style.ts";
import { TypedMeantForm } from "./TypedMeantForm.tsx";

/** Habitual slips and what is put in their place. */
export function ReplacementsPart({ style, change }: { style: HouseStyle; change: ChangeStyle }) {
  const sorted = style.replacements.toSorted((a, b) => a.from.localeCompare(b.from, "en"));
  return (
    <>
      <h1 className="font-book text-[28px] leading-tight font-semibold">Replacements</h1>
      <p className="mt-1 max-w-[66ch] text-soft">
        Whole words, in any capitals. They are made in a document when you ask for it at the desk,
        each place seen first; and while typing, if that is switched on there.
      </p>
      <AddReplacement change={change} style={style} />
      {sorted.length === 0 ? (
        <p className="mt-8 text-soft">
          None yet. The ledger’s recurring slips can be replaced from now on with one press.
        </p>
      ) : (
        <table className="mt-5 w-full text-left">
          <caption className="sr-only">{count(sorted.length, "replacement")}</caption>
          <thead>
            <tr className="border-b border-soft text-[13px] text-soft">
              <th className="py-1.5 pr-3 font-normal">From</th>
              <th className="py-1.5 pr-3 font-normal">To</th>
              <th className="w-[46%] py-1.5 pr-3 font-normal">But not in</th>
              <th className="py-1.5">
                <span className="sr-only">Remove</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {sorted.map((one) => (
              <tr key={one.from} className="border-b border-hair">
                <td className="py-1.5 pr-3 font-book text-base">{one.from}</td>
                <td className="py-1.5 pr-3 font-book text-base">{one.to}</td>
                <td className="py-1.5 pr-3">
                  <input
                    aria-label={`Exceptions for ${one.from}`}
                    className="w-full bg-transparent py-0.5 focus:bg-sheet"
                    placeholder="phrases, with semicolons between"
                    defaultValue={one.exceptions.join("; ")}
                    onBlur={(event) => {
                      const exceptions = phrases(event.target.value);
                      if (exceptions.join() === one.exceptions.join()) return;
                      change((now) => ({
                        ...now,
                        replacements: now.replacements.map((other) =>
                          other.from === one.from ? { ...other, exceptions } : other,
                        ),
                      }));
                    }}
                  />
                </td>
                <td className="py-1.5 text-right">
                  <button
                    type="button"
                    className="button-text text-[13px]"
                    onClick={() =>
                      change((now) => ({
                        ...now,
                        replacements: now.replacements.filter(({ from }) => from !== one.from),
                      }))
                    }
                  >
                    remove<span className="sr-only"> {one.from}</span>
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}

function phrases(text: string): string[] {
  return text
    .split(";")
    .map((one) => one.trim())
    .filter((one) => one !== "");
}

function AddReplacement({ style, change }: { style: HouseStyle; change: ChangeStyle }) {
  const add = (from: string, to: string) => {
    const made = replacementSchema.safeParse({ from, to, addedAt: new Date().toISOString() });
    if (!made.success) return "Say both what is typed and what is meant.";
    const { data } = made;
    const known = style.replacements.find(
      (one) => one.from.toLowerCase() === data.from.toLowerCase(),
    );
    if (known) return `“${known.from}” is replaced by “${known.to}” already.`;
    change((now) => ({ ...now, replacements: [...now.replacements, data] }));
    return null;
  };
  const arrow = (
    <span aria-hidden="true" className="pb-1.5">
      →
    </span>
  );
  return <TypedMeantForm between={arrow} width="w-44" add={add} />;
}
