import type { ChoiceModel } from "../src/core/language/models/choice-model.ts";

/** What a place of edited prose showed: how far ahead the best other class was, out of fold. */
export interface Margin {
  typed: number;
  label: number;
  best: number;
  margin: number;
  /** How many places it stands for. */
  weight: number;
}

export interface Judged {
  gold: Margin[];
  planted: Margin[];
}

type Kind = ChoiceModel["kind"];

/** What budgets are given to: the kinds of models, words that sound alike apart from other sets. */
export type Share = Kind | "homophones";

/** No mark without a lead of this much, however few the false alarms. */
const LEAST_LEAD = { words: 1.5, number: 0.7, form: 1, article: 1, stop: -0.5, owner: 1.2 };
/** Leads that are tried, from the largest down. */
const LARGEST_LEAD = 30;
const STEP = 0.1;
/** Planted places without which a class is not judged by its own. */
const LEAST_PLANTED = 4;
/** A false alarm must bring as many slips found; of words, as large a share of one word's slips. */
const LEAST_GAIN = 0.5;
const LEAST_GAIN_OF_WORDS = 0.02;

/** Right places of a word below which what its margins say counts for little, and the lead it then needs. */
const RARE = 30;
const LEAD_OF_RARE = 3.5;

/** The largest margins of right places, from which those that were not seen are foretold. */
const LARGEST = 10;
/** How fast margins fall off where none were seen, and how many seen ones that counts for. */
const USUAL_SCALE = 1.5;
const USUAL_COUNT = 10;
/** False alarms that any class is expected to have at the least lead. */
const UNSEEN = 0.3;

/** A lead, the false alarms expected beyond it and the planted slips found. */
interface Step {
  lead: number;
  alarms: number;
  found: number;
}

/** From one lead of a class to a lower one, all that lie between included, each worth less for what it costs. */
interface Offer {
  model: ChoiceModel;
  typed: number;
  before: Step;
  steps: readonly Step[];
  gain: number;
}

/**
 * The false alarms expected beyond a lead: the margins of right places seen beyond it, and among
 * the largest of them, where a single place says little, an exponential tail through all of those
 * (the peaks over a threshold of Pickands 1975, with shape 0).
 */
function expectedAlarms(gold: readonly Margin[], least: number): (lead: number) => number {
  const margins = [...gold].sort((a, b) => b.margin - a.margin);
  const count = Math.min(LARGEST, Math.max(1, Math.floor(margins.length / 3)));
  const largest = margins.slice(0, count);
  const edge = (margins[count] ?? margins.at(-1))?.margin ?? 0;
  const excess = largest.reduce((sum, { margin }) => sum + margin - edge, 0);
  const scale = (excess + USUAL_COUNT * USUAL_SCALE) / (count + USUAL_COUNT);
  const weight = largest.reduce((sum, one) => sum + one.weight, 0) || 1;
  return (lead) => {
    if (lead < edge) {
      let seen = 0;
      for (const { margin, weight } of margins) {
        if (margin <= lead) break;
        seen += weight;
      }
      return seen;
    }
    return weight * Math.exp(-(lead - edge) / scale) + UNSEEN * Math.exp(-(lead - least) / scale);
  };
}

/** All steps of a class, from the largest lead down. */
function stepsOf(judged: Judged, typed: number, kind: Kind): Step[] {
  const seen = judged.gold.filter((one) => one.typed === typed).length;
  const least = kind === "words" && seen < RARE ? LEAD_OF_RARE : LEAST_LEAD[kind];
  const own = ({ typed: one }: Margin) => one === typed;
  const alarmsAt = expectedAlarms(judged.gold.filter(own), least);
  const right = (one: Margin) => one.best === one.label || kind === "form" || kind === "article";
  const planted = judged.planted.filter(own).filter(right);
  planted.sort((a, b) => b.margin - a.margin);
  const steps: Step[] = [];
  let found = 0;
  let at = 0;
  for (let lead = LARGEST_LEAD; lead >= least; lead -= STEP) {
    for (; (planted[at]?.margin ?? Number.NEGATIVE_INFINITY) > lead; at++) {
      found += planted[at]?.weight ?? 0;
    }
    steps.push({ lead, alarms: alarmsAt(lead), found });
  }
  return steps;
}

const NO_MARKS: Step = { lead: Number.POSITIVE_INFINITY, alarms: 0, found: 0 };

function gain(from: Step, to: Step): number {
  return (to.found - from.found) / Math.max(1e-6, to.alarms - from.alarms);
}

/** The ways down from no marks at all, by the leads that no pair of others makes up for. */
function offersOf(model: ChoiceModel, typed: number, steps: readonly Step[]): Offer[] {
  const hull: number[] = [];
  const stepAt = (at: number | undefined) => steps[at ?? -1] ?? NO_MARKS;
  for (const [at, step] of steps.entries()) {
    while (hull.length > 0) {
      const before = stepAt(hull.at(-2));
      if (gain(before, step) < gain(before, stepAt(hull.at(-1)))) break;
      hull.pop();
    }
    hull.push(at);
  }
  return hull.map((to, index) => {
    const from = hull[index - 1] ?? -1;
    const before = stepAt(from);
    const own = steps.slice(from + 1, to + 1);
    return { model, typed, before, steps: own, gain: gain(before, stepAt(to)) };
  });
}

/** What is planted counted so that each word of a set weighs alike, however often it stands. */
function eachWordAlike({ gold, planted }: Judged): Judged {
  const totals = new Map<number, number>();
  for (const { typed, weight } of planted) totals.set(typed, (totals.get(typed) ?? 0) + weight);
  const alike = planted.map((one) => ({
    ...one,
    weight: one.weight / (totals.get(one.typed) ?? 1),
  }));
  return { gold, planted: alike };
}

/**
 * Fills in the thresholds of all models at a level: what finds most for each false alarm it is
 * expected to cost comes first, until the share's budget is spent. Budgets are false alarms per 1,000
 * words; `shareOf` says which one a model draws on. A word too rare to be judged takes the middle one
 * of its kin. Returns a line on each share.
 */
export function chooseThresholds(
  models: readonly ChoiceModel[],
  all: readonly Judged[],
  proseWords: number,
  budgets: Record<Share, number>,
  level: "thresholds" | "doubts",
  shareOf: (model: ChoiceModel) => Share,
): string[] {
  return (Object.keys(budgets) as Share[]).map((share) => {
    const budget = (budgets[share] * proseWords) / 1000;
    let planted = 0;
    const offers: Offer[] = [];
    const rare: { model: ChoiceModel; typed: number }[] = [];
    for (const [index, model] of models.entries()) {
      if (shareOf(model) !== share) continue;
      const { kind } = model;
      const shown = all[index] ?? { gold: [], planted: [] };
      const judged = kind === "words" ? eachWordAlike(shown) : shown;
      for (let typed = 0; typed < model.classes.length; typed++) {
        model[level][typed] = null;
        const own = judged.planted.filter((one) => one.typed === typed);
        if (own.length < LEAST_PLANTED) {
          if (kind === "words") rare.push({ model, typed });
          continue;
        }
        planted += own.reduce((sum, { weight }) => sum + weight, 0);
        offers.push(...offersOf(model, typed, stepsOf(judged, typed, kind)));
      }
    }
    offers.sort((a, b) => b.gain - a.gain);
    let used = 0;
    let found = 0;
    for (const { model, typed, before, steps, gain } of offers) {
      if (gain < (model.kind === "words" ? LEAST_GAIN_OF_WORDS : LEAST_GAIN)) break;
      const affordable = steps.findLast(({ alarms }) => used + alarms - before.alarms <= budget);
      if (affordable) {
        used += affordable.alarms - before.alarms;
        found += affordable.found - before.found;
        model[level][typed] = Math.round(affordable.lead * 100) / 100;
      }
      if (affordable !== steps.at(-1)) break;
    }
    const chosen = models
      .filter((model) => shareOf(model) === share)
      .flatMap((model) => model[level].flatMap((lead) => lead ?? []))
      .sort((a, b) => a - b);
    const middle = chosen[Math.floor(chosen.length / 2)];
    for (const { model, typed } of rare) {
      model[level][typed] = middle === undefined ? null : Math.max(LEAD_OF_RARE, middle);
    }
    return `${share} (${level}): ${((100 * found) / planted).toFixed(1)}% of the planted found out of fold, ${((1000 * used) / proseWords).toFixed(3)} false alarms per 1,000 words expected`;
  });
}
