import { useMemo, useState } from "react";
import { draftOf, emptyDraft, type RuleDraft } from "../../core/house/rule-draft.ts";
import { TYPE_TITLES } from "../../core/house/rule-titles.ts";
import { type Rule, type RuleType, titleOf } from "../../core/house/rules.ts";
import type { HouseStyle } from "../../core/house/style.ts";
import { SearchField } from "../parts/SearchField.tsx";
import { count, figure } from "../parts/words.ts";
import type { ChangeStyle } from "./change-style.ts";
import { RuleEditor } from "./RuleEditor.tsx";
import { TriedOn } from "./TriedOn.tsx";
import { useFailingExamples, useRuleCounts } from "./use-trial.ts";
import type { Tried } from "./use-tried.ts";

interface Props {
  style: HouseStyle;
  change: ChangeStyle;
  tried: Tried;
  /** The kinds of rules it shows; a new one is of the first. */
  types: readonly RuleType[];
  about: string;
}

/** Rows drawn at once; a search narrows what is beyond. */
const MOST_ROWS = 200;

/** The rules of one kind: a list with their counts in a document, and the one that is open. */
export function RulesPart({ style, change, tried, types, about }: Props) {
  const [open, setOpen] = useState<RuleDraft | null>(null);
  const [search, setSearch] = useState("");
  const counts = useRuleCounts(tried, style);
  const failing = useFailingExamples(tried, style);
  const [first = "term"] = types;
  const rules = useMemo(
    () =>
      style.rules
        .filter(({ type }) => types.includes(type))
        .sort((one, other) => titleOf(one).localeCompare(titleOf(other), "en")),
    [style, types],
  );
  const wanted = search.trim().toLowerCase();
  const shown = rules.filter((rule) =>
    `${titleOf(rule)} ${rule.reason ?? ""}`.toLowerCase().includes(wanted),
  );
  const keep = (rule: Rule) => {
    change((now) => {
      const others = now.rules.filter(({ id }) => id !== rule.id);
      return { ...now, rules: [...others, rule] };
    });
    setOpen(null);
  };
  return (
    <>
      <div className="flex items-end gap-6">
        <div className="grow">
          <h1 className="font-book text-[28px] leading-tight font-semibold">
            {TYPE_TITLES[first]}
          </h1>
          <p className="mt-1 max-w-[66ch] text-soft">{about}</p>
        </div>
        <TriedOn tried={tried} />
      </div>
      {open ? (
        <RuleEditor
          key={`${open.type} ${open.id}`}
          tried={tried}
          style={style}
          start={open}
          onKeep={keep}
          onRemove={
            open.id === ""
              ? null
              : () => {
                  change((now) => ({
                    ...now,
                    rules: now.rules.filter(({ id }) => id !== open.id),
                  }));
                  setOpen(null);
                }
          }
          onClose={() => setOpen(null)}
        />
      ) : (
        <div className="mt-5">
          <div className="flex items-end gap-4">
            {types.map((type) => (
              <button
                key={type}
                type="button"
                className={type === first ? "button-main" : "button-plain"}
                onClick={() => setOpen(emptyDraft(type))}
              >
                New {NEW_LABELS[type]}
              </button>
            ))}
            <span className="grow" />
            <SearchField label="Find a rule" value={search} onChange={setSearch} />
          </div>
          {rules.length === 0 ? (
            <p className="mt-6 text-soft">
              None yet. A rule can also be made from any mark on the desk: press F there.
            </p>
          ) : (
            <table className="mt-4 w-full table-fixed text-left">
              <caption className="sr-only">{count(rules.length, "rule")}</caption>
              <thead>
                <tr className="border-b border-soft text-[13px] text-soft">
                  <th className="py-1.5 pr-3 font-normal">Rule</th>
                  <th className="w-16 py-1.5 text-right font-normal">Places</th>
                </tr>
              </thead>
              <tbody>
                {shown.slice(0, MOST_ROWS).map((rule) => (
                  <tr key={rule.id} className="border-b border-hair">
                    <td className="py-1.5 pr-3">
                      <button
                        type="button"
                        className={`block w-full text-left ${rule.off ? "text-soft" : ""}`}
                        onClick={() => setOpen(draftOf(rule))}
                      >
                        <span className="block truncate font-book text-base">
                          {titleOf(rule)}
                          {rule.off ? " (off)" : ""}
                        </span>
                        {rule.reason ? (
                          <span className="block truncate text-[13px] text-soft">
                            {rule.reason}
                          </span>
                        ) : null}
                        {failing.has(rule.id) ? (
                          <span className="block text-[13px] font-semibold text-alarm">
                            {count(failing.get(rule.id) ?? 0, "sentence")} kept beside it came out
                            otherwise now
                          </span>
                        ) : null}
                      </button>
                    </td>
                    <td className="py-1.5 text-right align-top tabular-nums">
                      {counts && !rule.off ? figure(counts.get(rule.id) ?? 0) : ""}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          {shown.length > MOST_ROWS ? (
            <p className="pt-2 text-soft">and {count(shown.length - MOST_ROWS, "more rule")}</p>
          ) : null}
        </div>
      )}
    </>
  );
}

const NEW_LABELS: Readonly<Record<RuleType, string>> = {
  term: "term",
  wording: "wording",
  capitals: "term",
  compound: "compound",
  name: "name",
  abbreviation: "abbreviation",
  form: "form",
  pattern: "pattern",
  expression: "expression",
};
