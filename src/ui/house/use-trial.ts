import { proxy } from "comlink";
import { useEffect, useState } from "react";
import type { ExampleOutcome, Trial } from "../../core/engine/rule-trial.ts";
import type { Rule } from "../../core/house/rules.ts";
import type { HouseStyle } from "../../core/house/style.ts";
import { houseName } from "../../core/house/style.ts";
import type { Tried } from "./use-tried.ts";

/** What a rule that is being written does, and what speaks against it. */
export interface RuleTrial {
  trial: Trial | null;
  outcomes: readonly ExampleOutcome[];
  clashes: readonly string[];
}

const NOTHING: RuleTrial = { trial: null, outcomes: [], clashes: [] };
/** Milliseconds after a key in which another may follow. */
const PAUSE_MS = 60;

/** Tries a rule on the chosen document, on its examples and against the other rules, as it is typed. */
export function useTrial(tried: Tried, style: HouseStyle, rule: Rule | null): RuleTrial {
  const [found, setFound] = useState<RuleTrial>(NOTHING);
  const { worker, record, edits } = tried;
  const written = rule ? JSON.stringify(rule) : "";
  useEffect(() => {
    let current = true;
    if (written === "") {
      setFound(NOTHING);
      return;
    }
    const own = JSON.parse(written) as Rule;
    const timer = setTimeout(() => {
      const house = { rule: own, house: houseName(style) };
      const settings = {
        kind: record?.kind ?? "general",
        variety: record?.variety ?? "en-GB",
      } as const;
      const show = (changes: Partial<RuleTrial>) => {
        if (current) setFound((now) => ({ ...now, ...changes }));
      };
      const others = style.rules.filter(({ id }) => id !== own.id);
      const words = style.words.map(({ word }) => word);
      void worker.clashes(own, others, words).then((clashes) => show({ clashes }));
      void worker
        .tryExamples(house, own.examples ?? [], settings)
        .then((outcomes) => show({ outcomes }));
      if (!record) return;
      void worker
        .tryRule(
          house,
          edits,
          settings,
          proxy((trial: Trial) => show({ trial })),
        )
        .then((trial) => trial && show({ trial }));
    }, PAUSE_MS);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [worker, record, edits, style, written]);
  return found;
}

/** How often each rule of a house speaks in the chosen document, by the rules' names; null before that is known. */
export function useRuleCounts(tried: Tried, style: HouseStyle): ReadonlyMap<string, number> | null {
  const [counts, setCounts] = useState<ReadonlyMap<string, number> | null>(null);
  const { worker, record, edits } = tried;
  useEffect(() => {
    let current = true;
    if (!record) return;
    const rules = style.rules.map((rule) => ({ rule, house: houseName(style) }));
    const { kind, variety } = record;
    void worker.countRules(rules, edits, { kind, variety }).then((found) => {
      if (current) setCounts(found);
    });
    return () => {
      current = false;
    };
  }, [worker, record, edits, style]);
  return counts;
}

/** How many sentences kept beside each rule do not come out as they say now, by the rules' ids. */
export function useFailingExamples(tried: Tried, style: HouseStyle): ReadonlyMap<string, number> {
  const [failing, setFailing] = useState<ReadonlyMap<string, number>>(new Map());
  const { worker, record } = tried;
  const kind = record?.kind ?? "general";
  const variety = record?.variety ?? "en-GB";
  useEffect(() => {
    let current = true;
    const rules = style.rules
      .filter(({ examples = [] }) => examples.length > 0)
      .map((rule) => ({ rule, house: houseName(style) }));
    void worker.failingExamples(rules, { kind, variety }).then((found) => {
      if (current) setFailing(found);
    });
    return () => {
      current = false;
    };
  }, [worker, kind, variety, style]);
  return failing;
}
