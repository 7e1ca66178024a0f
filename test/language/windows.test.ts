import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { Engine } from "../../src/core/engine/engine.ts";
import type { CheckSettings } from "../../src/core/engine/mark.ts";
import { LONGEST_WHOLE, windowsOf } from "../../src/core/language/text/windows.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import { loadLanguage } from "../support/language.ts";
import { seeded } from "../support/random.ts";

const settings: CheckSettings = { variety: "en-GB", kind: "general", appetites: {}, words: [] };
const SENTENCES = [
  "The tide turned at noon and the pilots went home.",
  "It was recieved by the keeper, who read it twice.",
  "Nobody at the gauge house had seen the level so low.",
  "They waited for a hour on the mole.",
  "The level of the tides are high in spring.",
  "In 2031 the basin was 2.9 m deep; the mouth, 4.1 m.",
];

function longText(characters: number, seed: number): string {
  const random = seeded(seed);
  let text = "";
  while (text.length < characters) {
    text += `${SENTENCES[Math.floor(random() * SENTENCES.length)]} `;
  }
  return text.trimEnd();
}

function engineOf(text: string): Engine {
  const engine = new Engine(linesManuscript(text), loadLanguage(), settings);
  for (const _ of engine.examineAll());
  return engine;
}

describe("the windows of a long paragraph", () => {
  test("cover it without a gap, none of them long, and a short one is read whole", () => {
    assert.equal(windowsOf(longText(LONGEST_WHOLE - 100, 1)).length, 1);
    const texts = [
      longText(60_000, 2),
      "is ".repeat(20_000),
      "a".repeat(50_000),
      "🌊".repeat(20_000),
      `${"Mr. ".repeat(9000)}Vale.`,
    ];
    for (const text of texts) {
      let at = 0;
      for (const { from, to } of windowsOf(text)) {
        assert.equal(from, at);
        assert.ok(to > from && to - from <= 4100, `${to - from} characters`);
        assert.doesNotMatch(text.slice(from, to), /^[\udc00-\udfff]/, "no character is cut");
        at = to;
      }
      assert.equal(at, text.length);
    }
  });

  test("end where sentences do, and an edit moves few of them", () => {
    const text = longText(80_000, 3);
    const before = windowsOf(text);
    for (const { to } of before.slice(0, -1)) assert.match(text.slice(0, to), /[.?!]\s*$/);
    const ends = new Set(before.map(({ to }) => text.length - to));
    const edited = `${text.slice(0, 40_000)}x${text.slice(40_000)}`;
    const moved = windowsOf(edited).filter(({ to }) => !ends.has(edited.length - to));
    const shared = windowsOf(edited).filter(
      ({ to }) => to < 40_000 && before.some((one) => one.to === to),
    );
    assert.ok(moved.length <= shared.length + 3, `${moved.length} moved`);
  });
});

describe("a paragraph longer than any book's", () => {
  test("has the marks that its sentences have", () => {
    const text = longText(30_000, 4);
    const marked = engineOf(text)
      .allMarks()
      .filter(({ weight }) => weight === "fix");
    const count = (pattern: RegExp) => text.match(pattern)?.length ?? 0;
    const of = (word: string) => marked.filter((mark) => mark.text === word).length;
    assert.equal(of("recieved"), count(/recieved/g));
    assert.equal(of("a hour") + of("a"), count(/a hour/g));
    for (const { from, to, text: word } of marked) assert.equal(text.slice(from, to), word);
  });

  test("has the same marks after edits as when it is read afresh", () => {
    const random = seeded(5);
    let text = longText(24_000, 6);
    const engine = engineOf(text);
    for (let step = 0; step < 25; step++) {
      const from = Math.floor(random() * text.length);
      const to = Math.min(text.length, from + Math.floor(random() * 4));
      const insert = ["", "teh ", ". A hour", "x"][step % 4] ?? "";
      engine.edit([{ from, to, insert }]);
      text = text.slice(0, from) + insert + text.slice(to);
    }
    const shape = (one: Engine) =>
      one.allMarks().map(({ rule, from, to }) => `${rule} ${from}-${to}`);
    assert.deepEqual(shape(engine), shape(engineOf(text)));
  });

  test("counts as one", () => {
    const text = longText(30_000, 7);
    const counts = engineOf(text).counts();
    assert.equal(counts.paragraphs, 1);
    assert.equal(counts.sentences, text.match(/[.;](?= [A-Z]|$)/g)?.length);
  });
});
