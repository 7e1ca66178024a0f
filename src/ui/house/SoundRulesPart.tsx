import { useState } from "react";
import { type HouseStyle, soundRuleSchema } from "../../core/house/style.ts";
import type { ChangeStyle } from "./change-style.ts";

/** Letters that the person types by ear, and the letters they may stand for. */
export function SoundRulesPart({ style, change }: { style: HouseStyle; change: ChangeStyle }) {
  const [typed, setTyped] = useState("");
  const [meant, setMeant] = useState("");
  const [said, setSaid] = useState("");
  const add = () => {
    const made = soundRuleSchema.safeParse({ typed: typed.trim(), meant: meant.trim() });
    if (!made.success) {
      setSaid("Small letters only, six at most on each side.");
      return;
    }
    const rule = made.data;
    change((now) => ({ ...now, soundRules: [...now.soundRules, rule] }));
    setTyped("");
    setMeant("");
    setSaid("");
  };
  return (
    <>
      <h1 className="font-book text-[28px] leading-tight font-semibold">Sound rules</h1>
      <p className="mt-1 max-w-[66ch] text-soft">
        Words written by ear find their spelling by these as well. If you write “kw” where “qu” is
        meant, then “kwestion” is taken for “question”, wherever the letters stand.
      </p>
      <form
        className="mt-5 flex items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <label>
          <span className="block pb-1 text-[13px] text-soft">Typed</span>
          <input
            className="field w-24"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
        </label>
        <span className="pb-1.5 text-soft">may stand for</span>
        <label>
          <span className="block pb-1 text-[13px] text-soft">Meant</span>
          <input
            className="field w-24"
            value={meant}
            onChange={(event) => setMeant(event.target.value)}
          />
        </label>
        <button type="submit" className="button-plain">
          Add
        </button>
        <span role="status" className="pb-1.5 text-[13px] text-soft">
          {said}
        </span>
      </form>
      <ul className="mt-5 max-w-md">
        {style.soundRules.map((rule) => (
          <li
            key={`${rule.typed}-${rule.meant}`}
            className="flex gap-4 border-t border-hair py-1.5"
          >
            <span className="grow font-book text-base">
              {rule.typed} → {rule.meant}
            </span>
            <button
              type="button"
              className="button-text text-[13px]"
              onClick={() =>
                change((now) => ({
                  ...now,
                  soundRules: now.soundRules.filter(
                    (one) => one.typed !== rule.typed || one.meant !== rule.meant,
                  ),
                }))
              }
            >
              remove<span className="sr-only"> {`${rule.typed} for ${rule.meant}`}</span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}
