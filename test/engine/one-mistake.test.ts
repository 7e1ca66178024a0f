import assert from "node:assert/strict";
import { describe, test } from "node:test";
import type { Mark } from "../../src/core/engine/mark.ts";
import { oneForEach } from "../../src/core/engine/one-mistake.ts";
import { engineOf } from "../support/engines.ts";
import { seeded } from "../support/random.ts";

/** Marks as a check would make them. */
function mark(from: number, to: number, more: Partial<Mark> = {}): Mark {
  const rule = more.rule ?? `grammar/${from}-${to}`;
  return {
    id: `${rule}@${from}`,
    rule,
    pass: "grammar",
    weight: "settle",
    code: "x",
    block: 0,
    from,
    to,
    text: "x".repeat(to - from),
    reason: `${rule} says so.`,
    group: rule,
    follows: false,
    ...more,
  };
}

const none = () => false;
const rules = (marks: readonly Mark[]) => marks.map(({ rule }) => rule);

describe("one mistake, one mark", () => {
  test("the strongest speaks and tells what the other says", () => {
    const weak = mark(4, 9, { rule: "wording/weak", pass: "wording", weight: "weigh" });
    const strong = mark(4, 9, { rule: "grammar/strong", weight: "fix" });
    const [only, ...more] = oneForEach([weak, strong], none);
    assert.equal(more.length, 0);
    assert.equal(only?.rule, "grammar/strong");
    assert.deepEqual(only?.also, [
      { rule: "wording/weak", reason: "wording/weak says so.", from: 4, to: 9 },
    ]);
  });

  test("of equal weight grammar before spelling, and in one pass the first", () => {
    const grammar = mark(0, 6, { rule: "grammar/one" });
    const spelling = mark(0, 6, { rule: "spelling/two", pass: "spelling" });
    assert.deepEqual(rules(oneForEach([grammar, spelling], none)), ["grammar/one"]);
    const other = mark(0, 6, { rule: "grammar/other" });
    assert.deepEqual(rules(oneForEach([grammar, other], none)), ["grammar/one"]);
  });

  test("what is spelled otherwise elsewhere and too grand besides is two questions", () => {
    const spelled = mark(0, 6, { rule: "spelling/other-variety", pass: "spelling" });
    const grand = mark(0, 6, { rule: "wording/jargon", pass: "wording", weight: "weigh" });
    assert.equal(oneForEach([spelled, grand], none).length, 2);
  });

  test("marks that touch but lie apart for the most part are two mistakes", () => {
    const phrase = mark(0, 20, { rule: "wording/long", pass: "wording" });
    const word = mark(5, 10, { rule: "spelling/word", pass: "spelling" });
    assert.deepEqual(rules(oneForEach([phrase, word], none)), ["wording/long", "spelling/word"]);
    const beside = mark(10, 14);
    assert.equal(oneForEach([word, beside], none).length, 2);
  });

  test("what stands at one point between letters is one mistake", () => {
    const one = mark(7, 7, { rule: "grammar/stop" });
    const other = mark(7, 7, { rule: "grammar/comma", weight: "fix" });
    assert.deepEqual(rules(oneForEach([one, other], none)), ["grammar/comma"]);
  });

  test("of three the two weaker are told by the strongest, however they are strung together", () => {
    const all = [
      mark(0, 10, { rule: "wording/a", pass: "wording", weight: "weigh" }),
      mark(0, 9, { rule: "grammar/b", weight: "settle" }),
      mark(1, 9, { rule: "grammar/c", weight: "fix" }),
    ];
    const [only, ...more] = oneForEach(all, none);
    assert.equal(more.length, 0);
    assert.equal(only?.rule, "grammar/c");
    assert.deepEqual(only?.also?.map(({ rule }) => rule).sort(), ["grammar/b", "wording/a"]);
  });

  test("a mark that others of its group hang on stays, and so do those others", () => {
    const first = mark(0, 6, { rule: "spelling/term", pass: "spelling" });
    const fix = mark(0, 6, { rule: "grammar/fix", weight: "fix" });
    assert.equal(oneForEach([first, fix], (one) => one === first).length, 2);
    const follower = { ...first, follows: true };
    assert.equal(oneForEach([follower, fix], none).length, 2);
  });

  test("of marks drawn at random none is lost, and no two of one mistake are left", () => {
    const random = seeded(15);
    const weights = ["fix", "settle", "weigh"] as const;
    const passes = ["spelling", "grammar", "wording"] as const;
    for (let round = 0; round < 400; round++) {
      const drawn = Array.from({ length: 1 + Math.floor(random() * 7) }, (_, index) => {
        const from = Math.floor(random() * 20);
        const pass = passes[Math.floor(random() * 3)] ?? "grammar";
        return mark(from, from + Math.floor(random() * 9), {
          rule: `${pass}/${index}`,
          pass,
          weight: weights[Math.floor(random() * 3)] ?? "fix",
        });
      }).sort((a, b) => a.from - b.from || a.to - b.to);
      const left = oneForEach(drawn, none);
      const told = left.flatMap((one) => [one.rule, ...(one.also ?? []).map(({ rule }) => rule)]);
      assert.deepEqual(told.sort(), rules(drawn).sort(), `round ${round}`);
      assert.deepEqual(rules(oneForEach(left, none)), rules(left), `round ${round}, again`);
      for (const one of left) {
        for (const { from, to } of one.also ?? []) assert.ok(from <= one.to && to >= one.from);
      }
    }
  });

  test("in a text no two marks of the engine cover the same words", () => {
    const text = [
      "Whether or not the tide gauge is read, in the event that it rains the keeper reads it.",
      "He have a number of boat, and there is several reasons why this is the case.",
      "Each of the sensors have it's own address, due to the fact that it was moved.",
    ].join("\n");
    const marks = engineOf(text)
      .allMarks()
      .filter(({ pass }) => pass !== "consistency");
    assert.ok(marks.length > 5, String(marks.length));
    for (const one of marks) {
      for (const other of marks) {
        if (one === other || one.block !== other.block) continue;
        assert.ok(one.from !== other.from || one.to !== other.to, `${one.id} and ${other.id}`);
      }
    }
  });
});
