import { type HouseStyle, soundRuleSchema } from "../../core/house/style.ts";
import type { ChangeStyle } from "./change-style.ts";
import { TypedMeantForm } from "./TypedMeantForm.tsx";

/** Letters that the person types by ear, and the letters they may stand for. */
export function SoundRulesPart({ style, change }: { style: HouseStyle; change: ChangeStyle }) {
  const add = (typed: string, meant: string) => {
    const made = soundRuleSchema.safeParse({ typed: typed.trim(), meant: meant.trim() });
    if (!made.success) return "Small letters only, six at most on each side.";
    const rule = made.data;
    change((now) => ({ ...now, soundRules: [...now.soundRules, rule] }));
    return null;
  };
  return (
    <>
      <h1 className="font-book text-[28px] leading-tight font-semibold">Sound rules</h1>
      <p className="mt-1 max-w-[66ch] text-soft">
        Words written by ear find their spelling by these as well. If you write “kw” where “qu” is
        meant, then “kwestion” is taken for “question”, wherever the letters stand.
      </p>
      <TypedMeantForm
        between={<span className="pb-1.5 text-soft">may stand for</span>}
        width="w-24"
        add={add}
      />
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
