import { useMemo, useState } from "react";
import { type RuleDraft, ruleOf } from "../../core/house/rule-draft.ts";
import type { Rule } from "../../core/house/rules.ts";
import type { HouseStyle } from "../../core/house/style.ts";
import { count } from "../parts/words.ts";
import { RuleExamples } from "./RuleExamples.tsx";
import { RuleFields } from "./RuleFields.tsx";
import { TrialPlaces } from "./TrialPlaces.tsx";
import { useTrial } from "./use-trial.ts";
import type { Tried } from "./use-tried.ts";

interface Props {
  tried: Tried;
  style: HouseStyle;
  start: RuleDraft;
  onKeep(rule: Rule): void;
  onRemove: (() => void) | null;
  onClose(): void;
}

/** One rule as it is written, with what it does to the chosen document at every key. */
export function RuleEditor({ tried, style, start, onKeep, onRemove, onClose }: Props) {
  const [draft, setDraft] = useState(start);
  const set = (changes: Partial<RuleDraft>) => setDraft((now) => ({ ...now, ...changes }));
  const made = useMemo(() => {
    const taken = new Set(style.rules.map(({ id }) => id));
    const examples = draft.examples.filter(
      (one) => ("wrong" in one ? one.wrong : one.leave).trim() !== "",
    );
    return ruleOf({ ...draft, examples }, taken, new Date().toISOString());
  }, [draft, style]);
  const rule = "rule" in made ? made.rule : null;
  const { trial, outcomes, clashes } = useTrial(tried, style, rule && { ...rule, off: false });
  return (
    <form
      className="mt-5 border border-rule bg-sheet p-5"
      aria-label={start.id === "" ? "New rule" : "Rule"}
      onSubmit={(event) => {
        event.preventDefault();
        if (rule) onKeep(rule);
      }}
    >
      <div className="grid grid-cols-2 gap-8">
        <div>
          <RuleFields draft={draft} set={set} />
          <RuleExamples
            examples={draft.examples}
            outcomes={outcomes}
            set={(examples) => set({ examples })}
          />
        </div>
        <div>
          <div aria-live="polite">
            {clashes.map((clash) => (
              <p key={clash} className="mb-3 border-l-3 border-alarm bg-wash px-3 py-1.5">
                {clash}
              </p>
            ))}
          </div>
          <section aria-label="What it does">
            {rule?.type === "form" ? (
              <p className="text-soft">
                Places in another form are marked in the Consistency pass.
              </p>
            ) : rule ? (
              <TrialPlaces trial={trial} title={tried.record?.title ?? ""} />
            ) : (
              <p className="text-soft">{"lacks" in made ? made.lacks : ""}</p>
            )}
          </section>
          {start.id !== "" && rule ? <OnTheShelf tried={tried} style={style} rule={rule} /> : null}
        </div>
      </div>
      <div className="mt-5 flex items-center gap-3">
        <button type="submit" className="button-main" disabled={!rule}>
          Keep the rule
        </button>
        <button type="button" className="button-plain" onClick={onClose}>
          Close
        </button>
        <span className="grow" />
        {start.id !== "" ? (
          <button
            type="button"
            className="button-text"
            onClick={() => rule && onKeep(draft.off ? withoutOff(rule) : { ...rule, off: true })}
          >
            {draft.off ? "Follow it again" : "Switch it off"}
          </button>
        ) : null}
        {onRemove ? (
          <button type="button" className="button-text" onClick={onRemove}>
            Remove
          </button>
        ) : null}
      </div>
    </form>
  );
}

function withoutOff({ off: _off, ...rule }: Rule): Rule {
  return rule as Rule;
}

/** The documents on the shelf that a rule would touch, looked through when that is asked for. */
function OnTheShelf({ tried, style, rule }: { tried: Tried; style: HouseStyle; rule: Rule }) {
  const [found, setFound] = useState<{ title: string; places: number }[] | null>(null);
  const [reading, setReading] = useState("");
  const look = async () => {
    const touched: { title: string; places: number }[] = [];
    for (const record of tried.documents) {
      if (style.id !== "own" && !record.houses.includes(style.id)) continue;
      setReading(record.title);
      const edits = await tried.readAnother(record);
      if (!edits) continue;
      const { kind, variety } = record;
      const counts = await tried.worker.countRules([{ rule, house: style.name }], edits, {
        kind,
        variety,
      });
      const places = counts?.get(rule.id) ?? 0;
      if (places > 0) touched.push({ title: record.title, places });
      setFound([...touched]);
    }
    if (tried.record) await tried.readAnother(tried.record);
    setReading("");
    setFound([...touched]);
  };
  return (
    <section className="mt-5" aria-live="polite">
      {reading ? <p className="text-soft">Looking through {reading}…</p> : null}
      {found ? (
        <ul>
          {found.map(({ title, places }) => (
            <li key={title} className="flex justify-between gap-4 border-t border-hair py-1">
              <span>{title}</span>
              <span className="text-soft">{count(places, "place")}</span>
            </li>
          ))}
          {found.length === 0 && reading === "" ? (
            <li className="text-soft">No document that follows this house has a place for it.</li>
          ) : null}
        </ul>
      ) : (
        <button type="button" className="button-text text-[13px]" onClick={() => void look()}>
          Which documents on the shelf does it touch?
        </button>
      )}
    </section>
  );
}
