import { proxy } from "comlink";
import { useEffect, useState } from "react";
import type { FormCounted } from "../../core/engine/mark.ts";
import { FORM_FAMILIES, type FormChoice } from "../../core/house/form-choices.ts";
import { newRuleId, type RuleOf } from "../../core/house/rules.ts";
import type { HouseStyle } from "../../core/house/style.ts";
import { figure } from "../parts/words.ts";
import type { ChangeStyle } from "./change-style.ts";
import { TriedOn } from "./TriedOn.tsx";
import type { Tried } from "./use-tried.ts";

interface Props {
  style: HouseStyle;
  change: ChangeStyle;
  tried: Tried;
}

type Counts = ReadonlyMap<string, ReadonlyMap<string, number>>;

/** Which form the house has of numbers, dates, marks, headings: each beside how often it stands in a document. */
export function FormsPart({ style, change, tried }: Props) {
  const { counts, share } = useFormCounts(tried);
  const rules = style.rules.filter((rule): rule is RuleOf<"form"> => rule.type === "form");
  const set = (of: string, form: string) =>
    change((now) => {
      const others = now.rules.filter((rule) => rule.type !== "form" || rule.of !== of);
      if (form === "") return { ...now, rules: others };
      const taken = new Set(others.map(({ id }) => id));
      const id = newRuleId(taken, of.slice(of.indexOf("/") + 1));
      const rule = { type: "form" as const, id, of, form, addedAt: new Date().toISOString() };
      return { ...now, rules: [...others, rule] };
    });
  const known = new Set(FORM_FAMILIES.flatMap(({ choices }) => choices.map(({ of }) => of)));
  const others = rules.filter(({ of }) => !known.has(of));
  return (
    <>
      <div className="flex items-end gap-6">
        <div className="grow">
          <h1 className="font-book text-[28px] leading-tight font-semibold">
            Numbers, dates, marks
          </h1>
          <p className="mt-1 max-w-[66ch] text-soft">
            One form for each kind of thing. Places in another form are marked in the Consistency
            pass, whatever most of the document has.
          </p>
        </div>
        <TriedOn tried={tried} />
      </div>
      <p className="mt-3 h-5 text-[13px] text-soft" aria-live="polite">
        {counts ? "" : share > 0 ? `Counting the forms: ${Math.round(100 * share)}%` : "Reading…"}
      </p>
      {FORM_FAMILIES.map(({ title, choices }) => (
        <section key={title} className="mt-4">
          <h2 className="border-b border-rule pb-1.5 font-semibold">{title}</h2>
          <ul>
            {choices.map((choice) => (
              <Choice
                key={choice.of}
                choice={choice}
                chosen={rules.find(({ of }) => of === choice.of)?.form ?? ""}
                counts={counts?.get(choice.of)}
                set={(form) => set(choice.of, form)}
              />
            ))}
          </ul>
        </section>
      ))}
      {others.length > 0 ? (
        <section className="mt-6">
          <h2 className="border-b border-rule pb-1.5 font-semibold">
            Made from groups on the desk
          </h2>
          <ul>
            {others.map(({ id, of, form }) => (
              <li key={id} className="flex items-baseline gap-4 border-b border-hair py-1.5">
                <span className="font-book text-base">{form}</span>
                <span className="grow text-[13px] text-soft">{of.slice(of.indexOf(":") + 1)}</span>
                <button
                  type="button"
                  className="button-text text-[13px]"
                  onClick={() => set(of, "")}
                >
                  remove<span className="sr-only"> {form}</span>
                </button>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
    </>
  );
}

interface ChoiceProps {
  choice: FormChoice;
  chosen: string;
  counts: ReadonlyMap<string, number> | undefined;
  set(form: string): void;
}

function Choice({ choice: { title, forms }, chosen, counts, set }: ChoiceProps) {
  const found = [...(counts ?? [])].sort((one, other) => other[1] - one[1]);
  return (
    <li className="grid grid-cols-[220px_200px_minmax(0,1fr)] items-baseline gap-4 border-b border-hair py-1.5">
      <span>{title}</span>
      <select
        aria-label={title}
        className={`field ${chosen === "" ? "text-soft" : "font-book text-base text-ink"}`}
        value={chosen}
        onChange={(event) => set(event.target.value)}
      >
        <option value="">as the document has it</option>
        {forms.map((form) => (
          <option key={form} value={form}>
            {form}
          </option>
        ))}
      </select>
      <span className="truncate text-[13px] text-soft">
        {found.map(([form, places]) => `${form} ×${figure(places)}`).join(", ")}
      </span>
    </li>
  );
}

/** The forms of the chosen document, counted by a whole check. */
function useFormCounts({ worker, record, edits }: Tried): { counts: Counts | null; share: number } {
  const [counts, setCounts] = useState<Counts | null>(null);
  const [share, setShare] = useState(0);
  useEffect(() => {
    let current = true;
    setCounts(null);
    setShare(0);
    if (!record) return;
    const count = async () => {
      const { id, kind, variety } = record;
      const settings = { kind, variety, appetites: {}, words: [] };
      const progressed = proxy(({ done, all }: { done: number; all: number }) => {
        if (current) setShare(done / Math.max(1, all));
      });
      const update = await worker.check(
        id,
        edits,
        0,
        settings,
        progressed,
        proxy(() => undefined),
      );
      const found = update && typeof update !== "string" ? await worker.formCounts() : null;
      if (current && found) setCounts(byGroup(found));
    };
    void count();
    return () => {
      current = false;
    };
  }, [worker, record, edits]);
  return { counts, share };
}

/** Counts by group, and those of all groups of one check together. */
function byGroup(found: readonly FormCounted[]): Counts {
  const counts = new Map<string, Map<string, number>>();
  for (const { group, forms } of found) {
    for (const of of [group, `${group.slice(0, group.indexOf(":"))}:*`]) {
      const known = counts.get(of) ?? new Map<string, number>();
      counts.set(of, known);
      for (const { form, count } of forms) known.set(form, (known.get(form) ?? 0) + count);
    }
  }
  return counts;
}
