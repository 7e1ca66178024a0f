import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { chooseThresholds, type Judged, type Margin } from "../../scripts/choose-thresholds.ts";
import type { ChoiceModel } from "../../src/core/language/models/choice-model.ts";
import { seeded } from "../support/random.ts";

const WORDS = 100_000;

function model(kind: ChoiceModel["kind"]): ChoiceModel {
  return { kind, classes: ["a", "b"], thresholds: [null, null], doubts: [null, null], trigram: 1 };
}

/** Right places with margins that fall off exponentially, and slips with margins around `lead`. */
function judged(seed: number, places: number, lead: number): Judged {
  const random = seeded(seed);
  const one = (typed: number, label: number, margin: number): Margin => ({
    typed,
    label,
    best: 1 - typed,
    margin,
    weight: 1,
  });
  const gold = Array.from({ length: places }, () => one(0, 0, -4 - 1.5 * Math.log(random())));
  const planted = Array.from({ length: 200 }, () => one(0, 1, lead + 6 * (random() - 0.5)));
  return { gold, planted };
}

const budgetsOf = (words: number) => ({
  words,
  homophones: 0,
  number: 0,
  form: 0,
  article: 0,
  stop: 0,
  owner: 0,
});

const kindOf = ({ kind }: ChoiceModel) => kind;

function chosen(all: Judged[], budget: number) {
  const models = all.map(() => model("words"));
  chooseThresholds(models, all, WORDS, budgetsOf(budget), "doubts", kindOf);
  return models.map(({ doubts }) => doubts[0] ?? Number.POSITIVE_INFINITY);
}

const beyond = (margins: readonly Margin[], lead: number) =>
  margins.filter(({ margin }) => margin > lead).length;

describe("thresholds", () => {
  const sets = [judged(1, 4000, 8), judged(2, 300, 9), judged(3, 2000, 5)];

  test("cost about as many false alarms on other places as was granted", () => {
    // Twenty sets at a time, judged on places of the same kind that were not seen.
    const all = Array.from({ length: 20 }, (_, seed) => judged(100 + seed, 1500, 7));
    const leads = chosen(all, 0.2);
    const unseen = leads.map((lead, seed) => beyond(judged(500 + seed, 1500, 7).gold, lead));
    const alarms = unseen.reduce((sum, count) => sum + count, 0);
    assert.ok(alarms > 4 && alarms < 40, `${alarms} where 20 were granted`);
  });

  test("fall, and find more, as the budget grows", () => {
    let found = 0;
    let leads = sets.map(() => Number.POSITIVE_INFINITY);
    for (const budget of [0.01, 0.05, 0.2, 1]) {
      const next = chosen(sets, budget);
      for (const [at, lead] of next.entries()) assert.ok(lead <= (leads[at] ?? 0), `${budget}`);
      const now = sets.reduce((sum, own, at) => sum + beyond(own.planted, next[at] ?? 0), 0);
      assert.ok(now >= found);
      [found, leads] = [now, next];
    }
    assert.ok(found > 300, `${found} of 600`);
  });

  test("go first where a false alarm finds most", () => {
    const [near = 0, far = 0] = chosen([judged(7, 2000, 12), judged(8, 2000, 3)], 0.03);
    assert.ok(beyond(judged(7, 2000, 12).planted, near) > beyond(judged(8, 2000, 3).planted, far));
  });

  test("are none where too few slips were planted, and other kinds keep theirs", () => {
    const few = { gold: [], planted: judged(4, 10, 9).planted.slice(0, 3) };
    const models = [model("words"), model("number")];
    const own = models[1];
    if (own) own.doubts[0] = 4;
    const all = [few, { gold: [], planted: [] }];
    const { words } = budgetsOf(1);
    chooseThresholds(models, all, WORDS, { ...budgetsOf(words) }, "thresholds", kindOf);
    assert.equal(models[0]?.thresholds[0], null);
    assert.equal(own?.doubts[0], 4);
  });

  test("weigh each word of a set alike, and a word too rare to be judged takes the middle of its kin", () => {
    const often = judged(11, 2000, 7);
    const rare = judged(11, 2000, 7);
    rare.planted.splice(10);
    const tenfold = { ...often, planted: often.planted.map((one) => ({ ...one, weight: 10 })) };
    assert.deepEqual(chosen([often], 0.1), chosen([tenfold], 0.1), "no more worth for it");
    const [one = 0, few = 0, none = 0] = chosen([often, rare, { gold: [], planted: [] }], 0.1);
    assert.ok(few < 8, `${few}`);
    assert.ok(none === few || none === one, `${none}`);
  });

  test("never lie below the least lead, even without a single right place", () => {
    const all = [{ gold: [], planted: judged(5, 10, 1).planted }];
    for (const lead of chosen(all, 100)) assert.ok(lead >= 1.4, `${lead}`);
  });
});
