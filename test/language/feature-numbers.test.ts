import assert from "node:assert/strict";
import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { test } from "node:test";
import { FEATURE_NUMBERS, SEEN_TOGETHER } from "../../src/core/language/models/feature-numbers.ts";

const models = path.resolve(import.meta.dirname, "../../src/core/language/models");
type Giver = keyof typeof FEATURE_NUMBERS;

/** By function, the numbers it gives out, as its source has them. */
function given(): Map<string, number[]> {
  const found = new Map<string, number[]>();
  for (const name of readdirSync(models)) {
    let giver = "";
    for (const line of readFileSync(path.join(models, name), "utf8").split("\n")) {
      giver = /^(?:export )?function (\w+)/.exec(line)?.[1] ?? giver;
      for (const [, number] of line.matchAll(/\b(?:add|addScore|addNumber|feature)\((\d+)/g)) {
        found.set(giver, [...(found.get(giver) ?? []), Number(number)]);
      }
    }
  }
  return found;
}

const within = (giver: Giver, number: number) =>
  FEATURE_NUMBERS[giver].some(([first, last]) => number >= first && number <= last);

test("every number of a feature lies in the ranges of the function that gives it out", () => {
  const found = given();
  assert.deepEqual([...found.keys()].sort(), Object.keys(FEATURE_NUMBERS).sort());
  for (const [giver, numbers] of found) {
    assert.deepEqual(
      numbers.filter((number) => !within(giver as Giver, number)),
      [],
      giver,
    );
  }
});

test("no number is given out twice by one function, nor by two that a model sees together", () => {
  const found = given();
  for (const givers of [["nearFeatures", "wideFeatures"], ["findCandidates"], ...SEEN_TOGETHER]) {
    const numbers = givers.flatMap((giver) => found.get(giver) ?? []);
    const twice = numbers.filter((number, at) => numbers.indexOf(number) !== at);
    assert.deepEqual(twice, [], givers.join(", "));
  }
});
