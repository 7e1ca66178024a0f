import assert from "node:assert/strict";
import { describe, test } from "node:test";
import {
  HabitCounter,
  habitBytes,
  NounHabits,
} from "../../src/core/language/models/noun-habits.ts";
import type { Trigrams } from "../../src/core/language/models/trigrams.ts";
import { loadLanguage } from "../support/language.ts";

const { words, trigrams } = loadLanguage();

/** Nouns counted so often bare and so often with an article, away from prepositions. */
function counted(counts: Record<string, [bare: number, withArticle: number]>): HabitCounter {
  const counter = new HabitCounter();
  for (const [noun, [bare, withArticle]] of Object.entries(counts)) {
    for (let time = 0; time < bare; time++) counter.add(words.word(noun), false, true);
    for (let time = 0; time < withArticle; time++) counter.add(words.word(noun), false, false);
  }
  return counter;
}

function habitsOf(counter: HabitCounter): NounHabits {
  const steps = counter.steps(trigrams as Trigrams);
  return new NounHabits(new Uint8Array(steps.buffer));
}

describe("the habits of nouns", () => {
  const habits = habitsOf(counted({ music: [90, 10], boat: [1, 99], lamp: [0, 3] }));

  test("tell what is met bare from what is not", () => {
    assert.ok(habits.bareOdds(words.word("music"), false) > 1);
    assert.ok(habits.bareOdds(words.word("boat"), false) < -2);
  });

  test("are odds of the share that was counted, drawn towards its class where little was", () => {
    const odds = habits.bareOdds(words.word("music"), false);
    const share = 1 / (1 + Math.exp(-odds));
    assert.ok(Math.abs(share - 0.9) < 0.06, `${share.toFixed(2)} of its places are bare`);
    const seldom = habits.bareOdds(words.word("lamp"), false);
    assert.ok(seldom > habits.bareOdds(words.word("boat"), false));
  });

  test("speak for the class where a noun was never met", () => {
    const boat = words.word("boat");
    const kin = [...(trigrams as Trigrams).words()].find((form) => {
      const word = words.word(form);
      return word.kin === boat.kin && form !== "boat" && word.kin > 0;
    });
    assert.ok(kin, "another word keeps the company of boats");
    assert.ok(habits.bareOdds(words.word(kin), false) < 0);
  });

  test("are kept apart after a preposition", () => {
    const counter = counted({ sea: [2, 98] });
    for (let time = 0; time < 60; time++) counter.add(words.word("sea"), true, true);
    const both = habitsOf(counter);
    const sea = words.word("sea");
    assert.ok(both.bareOdds(sea, true) > 1 && both.bareOdds(sea, false) < -1);
  });

  test("take two bytes a word, and are refused when cut short", () => {
    const size = (trigrams as Trigrams).size;
    assert.equal(new HabitCounter().steps(trigrams as Trigrams).length, habitBytes(size));
    assert.throws(() => new NounHabits(new Uint8Array(10)), RangeError);
  });
});
