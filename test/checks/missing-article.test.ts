import assert from "node:assert/strict";
import { describe, test } from "node:test";
import {
  LeadCounts,
  shareDropped,
} from "../../src/core/checks/grammar/articles/dropped-articles.ts";
import { seeded } from "../support/random.ts";

/**
 * What is told of a text in which a share of the articles was dropped: well-judged leads of its bare
 * places, as far as an article is ahead and the place is one that is asked about at all.
 */
function textWith(share: number, seed: number): { leads: number[]; articled: number } {
  const random = seeded(seed);
  const leads: number[] = [];
  let articled = 0;
  for (let place = 0; place < 4000; place++) {
    const lead = (random() + random() + random() - 1.5) * 6;
    const hadOne = random() < 1 / (1 + Math.exp(-lead));
    const asked = lead > 0 && random() < 0.8;
    if (hadOne && random() >= share) articled++;
    else if (asked) leads.push(lead + 0.1);
  }
  return { leads, articled };
}

function counted(leads: readonly number[]): LeadCounts {
  const counts = new LeadCounts();
  for (const lead of leads) counts.count(lead, 1);
  return counts;
}

describe("the share of its articles that a text lacks", () => {
  test("is found again where it is known", () => {
    for (const share of [0.1, 0.3, 0.6]) {
      const { leads, articled } = textWith(share, 7);
      const found = shareDropped(counted(leads), articled);
      assert.ok(Math.abs(found - share) < 0.2 * share, `${found.toFixed(3)} of ${share}`);
    }
  });

  test("is next to nothing in a clean text, and in a short one with a bare noun or two", () => {
    const { leads, articled } = textWith(0, 11);
    assert.ok(shareDropped(counted(leads), articled) < 0.02);
    assert.ok(shareDropped(counted([4, 3]), 8) < 0.1);
    assert.equal(shareDropped(counted([]), 0), 0);
  });

  test("is as if what was taken out had never been there", () => {
    const { leads, articled } = textWith(0.3, 13);
    const before = counted(leads.slice(0, 500));
    const share = shareDropped(before, articled);
    for (const lead of leads.slice(500)) before.count(lead, 1);
    assert.notEqual(shareDropped(before, articled), share);
    for (const lead of leads.slice(500)) before.count(lead, -1);
    assert.equal(shareDropped(before, articled), share);
  });
});
