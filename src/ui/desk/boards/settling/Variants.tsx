import type { Group } from "../../../../core/engine/mark.ts";
import { Key } from "../../../parts/Key.tsx";
import { figure } from "../../../parts/words.ts";
import { prefersLabel } from "./form-groups.ts";
import { Tally } from "./Tally.tsx";

interface VariantsProps {
  group: Group;
  forms: readonly { form: string; text: string }[];
  chosen: string;
  onChoose: (index: number) => void;
}

/** The forms beside each other: how often each is met, and who prefers it. */
export function Variants({ group, forms, chosen, onChoose }: VariantsProps) {
  const counts = new Map(
    (group.variants ?? []).map(({ form, text, count, kept = 0 }) => [
      form ?? text,
      { count, kept },
    ]),
  );
  return (
    <div role="radiogroup" aria-label="Forms" className="border-t border-ink px-6">
      {forms.map(({ form, text }, index) => {
        const { count: places = 0, kept = 0 } = counts.get(form) ?? {};
        const prefers = prefersLabel(group, form);
        return (
          // biome-ignore lint/a11y/useSemanticElements: a row of a table that is chosen from
          <button
            key={form}
            type="button"
            role="radio"
            aria-checked={form === chosen}
            onClick={(event) => {
              onChoose(index);
              if (event.detail > 0) event.currentTarget.blur();
            }}
            className={`-mx-6 grid w-[calc(100%+3rem)] grid-cols-[26px_minmax(0,240px)_minmax(0,1fr)_44px_minmax(0,210px)] items-center gap-x-2 border-b border-l-3 border-b-hair px-5 py-1.5 text-left ${form === chosen ? "border-l-pen bg-wash" : "border-l-transparent"}`}
          >
            <Key>{index < 9 ? String(index + 1) : "·"}</Key>
            <span className="truncate font-book text-lg">{text}</span>
            <span className="overflow-hidden">
              <Tally count={places} />
            </span>
            <span className="text-right font-semibold">{figure(places)}</span>
            <span className="truncate text-[13px] text-soft">
              {prefers ? <b className="font-semibold text-pen">{prefers}</b> : null}
              {prefers && kept > 0 ? "; " : ""}
              {kept > 0 ? `${figure(kept)} that may stand` : ""}
            </span>
          </button>
        );
      })}
    </div>
  );
}
