import { proxy } from "comlink";
import { useMemo, useRef, useState } from "react";
import { type LearnedDocument, learnRules, type Proposal } from "../../core/house/learn.ts";
import { newRuleId, type Rule, saidBy } from "../../core/house/rules.ts";
import type { HouseStyle } from "../../core/house/style.ts";
import { count, figure } from "../parts/words.ts";
import type { ChangeStyle } from "./change-style.ts";
import type { Tried } from "./use-tried.ts";

interface Props {
  style: HouseStyle;
  change: ChangeStyle;
  tried: Tried;
}

/** Proposes rules from finished documents, each with what speaks for it and against. */
export function LearnPart({ style, change, tried }: Props) {
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const [reading, setReading] = useState("");
  const [proposals, setProposals] = useState<readonly Proposal[] | null>(null);
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const [said, setSaid] = useState("");
  const stopped = useRef(false);
  const known = useMemo(() => new Set(style.rules.map(saidBy)), [style]);
  const learn = async () => {
    stopped.current = false;
    setSaid("");
    const documents: LearnedDocument[] = [];
    for (const record of tried.documents.filter(({ id }) => ticked.has(id))) {
      if (stopped.current) break;
      setReading(record.title);
      const edits = await tried.readAnother(record);
      if (!edits) continue;
      const { id, kind, variety, title } = record;
      const settings = { kind, variety, appetites: {}, words: [] };
      const silent = proxy(() => undefined);
      const update = await tried.worker.check(id, edits, 0, settings, silent, silent);
      if (!update || typeof update === "string") continue;
      const learned = await tried.worker.learned(title);
      if (learned) documents.push(learned);
    }
    setReading("");
    const found = learnRules(documents, new Date().toISOString());
    setProposals(found.filter(({ rule }) => !known.has(saidBy(rule))));
    setLeft(new Set());
  };
  const chosen = (proposals ?? []).filter((_, index) => !left.has(index));
  const take = () => {
    change((now) => {
      const ids = new Set(now.rules.map(({ id }) => id));
      const rules = chosen.map(({ rule }) => {
        const id = ids.has(rule.id) ? newRuleId(ids, rule.id) : rule.id;
        ids.add(id);
        return { ...rule, id };
      });
      return { ...now, rules: [...now.rules, ...rules] };
    });
    setSaid(`${count(chosen.length, "rule")} taken in.`);
    setProposals(null);
  };
  const families = [...new Set((proposals ?? []).map(({ family }) => family))];
  return (
    <>
      <h1 className="font-book text-[28px] leading-tight font-semibold">Learn from documents</h1>
      <p className="mt-1 max-w-[66ch] text-soft">
        Tick finished documents that were written the way the house wants. What nine of ten places
        do alike, in two documents at least, is proposed as a rule.
      </p>
      <ul className="mt-4 max-h-56 max-w-3xl overflow-auto border-y border-rule">
        {tried.documents.map(({ id, title, run }) => (
          <li key={id} className="border-b border-hair">
            <label className="flex items-baseline gap-3 py-1.5">
              <input
                type="checkbox"
                className="accent-ink"
                checked={ticked.has(id)}
                onChange={() => {
                  const next = new Set(ticked);
                  if (!next.delete(id)) next.add(id);
                  setTicked(next);
                }}
              />
              <span className="grow">{title}</span>
              <span className="text-[13px] text-soft">{run ? count(run.words, "word") : ""}</span>
            </label>
          </li>
        ))}
      </ul>
      <p className="mt-4 flex items-center gap-4" aria-live="polite">
        {reading ? (
          <button
            type="button"
            className="button-plain"
            onClick={() => {
              stopped.current = true;
            }}
          >
            Stop
          </button>
        ) : (
          <button
            type="button"
            className="button-main"
            disabled={ticked.size === 0}
            onClick={() => void learn()}
          >
            Read {count(ticked.size, "document")}
          </button>
        )}
        <span className="text-soft">{reading ? `Reading ${reading}…` : said}</span>
      </p>
      {proposals ? (
        <section className="mt-6" aria-label="Proposals">
          {proposals.length === 0 ? (
            <p className="text-soft">
              Nothing that the house has not got already is done alike in them.
            </p>
          ) : (
            <button
              type="button"
              className="button-main"
              disabled={chosen.length === 0}
              onClick={take}
            >
              Take {count(chosen.length, "rule")}
            </button>
          )}
          {families.map((family) => (
            <Family
              key={family}
              family={family}
              proposals={proposals}
              left={left}
              setLeft={setLeft}
            />
          ))}
        </section>
      ) : null}
    </>
  );
}

interface FamilyProps {
  family: string;
  proposals: readonly Proposal[];
  left: ReadonlySet<number>;
  setLeft(left: ReadonlySet<number>): void;
}

/** The proposals of one kind, taken one by one or all together. */
function Family({ family, proposals, left, setLeft }: FamilyProps) {
  const own = [...proposals.entries()].filter(([, proposal]) => proposal.family === family);
  const all = own.every(([index]) => !left.has(index));
  const set = (indexes: readonly number[], on: boolean) => {
    const next = new Set(left);
    for (const index of indexes) {
      if (on) next.delete(index);
      else next.add(index);
    }
    setLeft(next);
  };
  return (
    <section className="mt-5">
      <h2 className="border-b border-rule pb-1.5">
        <label className="flex items-baseline gap-3 font-semibold">
          <input
            type="checkbox"
            className="accent-ink"
            checked={all}
            onChange={() =>
              set(
                own.map(([index]) => index),
                !all,
              )
            }
          />
          {family}
        </label>
      </h2>
      <ul>
        {own.map(([index, { about, rule, places, documents, against }]) => (
          <li key={`${about} ${rule.id}`} className="border-b border-hair">
            <label className="grid grid-cols-[auto_220px_200px_minmax(0,1fr)] items-baseline gap-3 py-1.5">
              <input
                type="checkbox"
                className="accent-ink"
                checked={!left.has(index)}
                onChange={() => set([index], left.has(index))}
              />
              <span>{about}</span>
              <span className="font-book text-base">{formOf(rule)}</span>
              <span className="truncate text-[13px] text-soft">
                {count(places, "place")} in {count(documents, "document")}
                {against.length > 0
                  ? `; against: ${against.map(({ form, count: number }) => `${form} ×${figure(number)}`).join(", ")}`
                  : ""}
              </span>
            </label>
          </li>
        ))}
      </ul>
    </section>
  );
}

function formOf(rule: Rule): string {
  if (rule.type === "form") return rule.form;
  if (rule.type === "abbreviation") return rule.full;
  return "write" in rule ? rule.write : "";
}
