import assert from "node:assert/strict";
import { describe, test } from "node:test";
import type {
  Across,
  Circumstances,
  Conclusion,
  Counting,
  Fact,
  Totals,
} from "../../src/core/checks/check.ts";
import { Crossings } from "../../src/core/engine/crossings.ts";
import { Gathering } from "../../src/core/engine/gathering.ts";
import { KeyedFacts } from "../../src/core/engine/keyed-facts.ts";
import { PageRoom } from "../../src/core/engine/page-room.ts";
import { Pages } from "../../src/core/engine/pages.ts";
import { insertSorted, removeSorted } from "../../src/core/engine/sorted.ts";
import { Tallies } from "../../src/core/engine/tallies.ts";
import type { Block } from "../../src/core/manuscript/model.ts";
import { WORDS_A_PAGE } from "../../src/core/readings/counts.ts";
import { seeded } from "../support/random.ts";

describe("a sorted list", () => {
  test("stays sorted and without doubles, whatever goes in and out", () => {
    const random = seeded(5);
    let list: number[] = [];
    const known = new Set<number>();
    for (let step = 0; step < 2000; step++) {
      const value = Math.floor(random() * 60);
      if (random() < 0.6) {
        list = insertSorted(list, value);
        known.add(value);
      } else {
        list = removeSorted(list, value);
        known.delete(value);
      }
      assert.deepEqual(
        list,
        [...known].sort((a, b) => a - b),
      );
    }
  });
});

describe("crossings", () => {
  test("find exactly those whose bound a level passes, be the step short or long", () => {
    const random = seeded(6);
    const crossings = new Crossings<number>();
    const bounds = new Map<number, number[]>();
    for (let step = 0; step < 600; step++) {
      const item = Math.floor(random() * 80);
      const bound = Math.round(random() * 400 - 200) / (random() < 0.5 ? 1 : 64);
      if (random() < 0.7) {
        crossings.add(bound, item);
        bounds.set(item, [...(bounds.get(item) ?? []), bound]);
      } else {
        const own = bounds.get(item) ?? [];
        const [one] = own;
        if (one !== undefined) {
          crossings.remove(one, item);
          bounds.set(
            item,
            own.filter((other) => other !== one),
          );
        }
      }
      const low = random() * 300 - 150;
      const high = low + random() ** 3 * 200;
      const found = [...crossings.between(high, low)].sort((a, b) => a - b);
      const wanted = [...bounds]
        .filter(([, own]) => own.some((bound) => bound > low && bound <= high))
        .map(([item]) => item)
        .sort((a, b) => a - b);
      assert.deepEqual(found, wanted);
    }
  });

  test("pass over bounds that no level reaches", () => {
    const crossings = new Crossings<string>();
    crossings.add(Number.POSITIVE_INFINITY, "never");
    crossings.add(1, "one");
    assert.deepEqual([...crossings.between(0, 1e9)], ["one"]);
    assert.deepEqual([...crossings.between(1, 1)], []);
  });
});

const place = (from: number, group: string): Conclusion => ({
  from,
  to: from + 1,
  reason: "",
  group,
  gathers: true,
});

describe("gathering", () => {
  test("has the first place of a group stand for the others, in whatever order they come", () => {
    const gathering = new Gathering();
    const late = [place(4, "a")];
    assert.deepEqual([...gathering.replace(7, [], late)], [7]);
    assert.deepEqual(gathering.follows(7, late), [false]);
    const early = [place(9, "a"), place(2, "a"), place(5, "b")];
    assert.deepEqual(
      [...gathering.replace(3, [], early)].sort((a, b) => a - b),
      [3, 7],
      "the block where the group began, and where it begins",
    );
    assert.deepEqual(gathering.follows(3, early), [true, false, false]);
    assert.deepEqual(gathering.follows(7, late), [true]);
    assert.deepEqual([...gathering.replace(3, early, [place(5, "b")])].sort(), [3, 7]);
    assert.deepEqual(gathering.follows(7, late), [false]);
  });

  test("leaves alone what gathers nothing", () => {
    const gathering = new Gathering();
    const single: Conclusion[] = [{ from: 0, to: 1, reason: "", group: "a" }];
    assert.equal(gathering.replace(0, [], single).size, 0);
    assert.deepEqual(gathering.follows(0, single), [false]);
  });
});

describe("pages", () => {
  test("are told by the words before a block, and only those that changed are named", () => {
    const words = [100, 100, 100, 100, 100];
    const pages = new Pages(words.length);
    const update = () => [...pages.update((block) => words[block] ?? 0)].sort((a, b) => a - b);
    assert.equal(WORDS_A_PAGE, 250);
    assert.deepEqual(update(), [0, 1]);
    assert.deepEqual(
      words.map((_, block) => pages.of(block)),
      [0, 0, 0, 1, 1],
    );
    assert.deepEqual(pages.blocksOn(0), { first: 0, last: 2 });
    assert.deepEqual(pages.blocksOn(1), { first: 3, last: 4 });
    assert.deepEqual(update(), []);
    words[0] = 160;
    assert.deepEqual(update(), [0, 1]);
    assert.deepEqual(pages.blocksOn(0), { first: 0, last: 1 });
    words[1] = 900;
    update();
    const { first, last } = pages.blocksOn(2);
    assert.ok(last < first, "no block begins on a page in the midst of one");
  });
});

describe("the room on a page", () => {
  test("goes to its first places; the others are counted, and come up when room is there", () => {
    const room = new PageRoom(3);
    const places = [2, 0, 2, 1];
    assert.deepEqual(
      room.recount(0, 3, (block) => places[block] ?? 0),
      [0, 2, 3],
    );
    assert.deepEqual(
      places.map((_, block) => room.shownIn(block)),
      [2, 0, 1, 0],
    );
    assert.equal(room.withheld, 2);
    places[0] = 0;
    assert.deepEqual(
      room.recount(0, 3, (block) => places[block] ?? 0),
      [0, 2, 3],
    );
    assert.deepEqual(
      places.map((_, block) => room.shownIn(block)),
      [0, 0, 2, 1],
    );
    assert.equal(room.withheld, 0);
  });
});

interface Named extends Fact {
  key: string;
}

/** Keys are said of where they make up at least a quarter of all facts, and stand twice. */
class All implements Totals<{ count: number }> {
  private all = 0;
  add({ count }: { count: number }): void {
    this.all += count;
  }
  remove({ count }: { count: number }): void {
    this.all -= count;
  }
  level(): number {
    return this.all;
  }
}

const shares: Across<Named, { count: number }, { often: boolean }> = {
  counting: {
    keysOf: ({ key }) => [key],
    start: () => ({ count: 0 }),
    count(tally, _fact, _key, by) {
      tally.count += by;
    },
  },
  totals: () => new All(),
  judge: (_key, { count }, all) => {
    if (count < 2) return { verdict: null };
    const most = 4 * count;
    return all <= most
      ? { verdict: { often: true }, until: most + 1 }
      : { verdict: null, from: most + 1 };
  },
  find: ({ from, to }) => ({ from, to, reason: "often" }),
  tell: (key, { count }) => [{ note: `${key} ${count}` }],
};

const BLOCK = { section: 0 } as Block;
const facts = (keys: string): Named[] =>
  [...keys].map((key, from) => ({ key, from, to: from + 1 }));

function keyed() {
  const made = new KeyedFacts(
    { id: "test/shares", across: shares as Across<Fact> },
    {} as Circumstances,
  );
  const held: string[] = [];
  const put = (block: number, keys: string) => {
    const before = held[block];
    made.replace(block, BLOCK, before === undefined ? undefined : facts(before), facts(keys));
    held[block] = keys;
    const changed: number[] = [];
    const told: string[] = [];
    made.settle(
      (blocks) => changed.push(...blocks),
      (key) => told.push(key),
    );
    return { changed: [...new Set(changed)].sort((a, b) => a - b), told: told.sort() };
  };
  const found = (block: number) => {
    const conclusions: Conclusion[] = [];
    made.conclude(block, BLOCK, facts(held[block] ?? ""), conclusions);
    return conclusions.map(({ from, group }) => `${from} ${group}`);
  };
  return { made, put, found };
}

describe("facts by keys", () => {
  test("give a verdict that changes with the tally, and name the blocks it is about", () => {
    const { put, found, made } = keyed();
    assert.deepEqual(put(0, "ab"), { changed: [], told: [] });
    assert.deepEqual(put(1, "a"), { changed: [0, 1], told: ["a"] });
    assert.deepEqual(found(0), ["0 test/shares:a"]);
    assert.deepEqual(made.tell("a"), [{ note: "a 2", group: "test/shares:a" }]);
    assert.deepEqual(put(1, ""), { changed: [0], told: ["a"] });
    assert.deepEqual(found(0), []);
    assert.deepEqual(made.tell("a"), []);
  });

  test("are judged again when the level passes a bound, and not before", () => {
    const { put, found } = keyed();
    put(0, "aa");
    assert.deepEqual(put(1, "bcdefg"), { changed: [], told: [] }, "two of eight is a quarter");
    assert.deepEqual(found(0), ["0 test/shares:a", "1 test/shares:a"]);
    assert.deepEqual(put(2, "h"), { changed: [0], told: ["a"] }, "two of nine is less");
    assert.deepEqual(found(0), []);
    assert.deepEqual(put(2, ""), { changed: [0], told: ["a"] });
    assert.deepEqual(found(0), ["0 test/shares:a", "1 test/shares:a"]);
  });

  test("are counted once for two checks that count alike, and each has its own verdicts", () => {
    const circumstances = {} as Circumstances;
    const tallies = new Tallies(shares.counting as Counting<Fact>, circumstances);
    const twice: typeof shares = {
      counting: shares.counting,
      judge: (_key, { count }) => ({ verdict: count === 2 ? { often: false } : null }),
      speaks: ({ from }) => from === 0,
      find: ({ from, to }) => ({ from, to, reason: "twice" }),
    };
    const checks = [shares, twice].map(
      (across, at) =>
        new KeyedFacts(
          { id: `test/${at}`, across: across as Across<Fact> },
          circumstances,
          tallies,
        ),
    );
    const nothing = () => undefined;
    const found = (block: string) => {
      const conclusions: Conclusion[] = [];
      for (const check of checks) check.conclude(0, BLOCK, facts(block), conclusions);
      return conclusions.map(({ from, group }) => `${from} ${group}`);
    };
    const put = (index: number, before: string | undefined, now: string) => {
      for (const check of checks) {
        check.replace(index, BLOCK, before === undefined ? undefined : facts(before), facts(now));
      }
      for (const check of checks) check.settle(nothing, nothing);
    };
    put(0, undefined, "aab");
    assert.deepEqual(found("aab"), ["0 test/0:a", "1 test/0:a", "0 test/1:a"]);
    assert.equal(tallies.visited, 3);
    put(0, "aab", "aaa");
    assert.deepEqual(found("aaa"), ["0 test/0:a", "1 test/0:a", "2 test/0:a"]);
    put(0, "aaa", "");
    assert.equal(tallies.of("a"), undefined);
  });

  test("cost what changed: other blocks are not looked at", () => {
    const { put, made } = keyed();
    for (let block = 0; block < 200; block++) put(block, "abc");
    const before = made.visited;
    put(77, "abd");
    assert.equal(made.visited - before, 6, "three facts out, three in");
  });
});
