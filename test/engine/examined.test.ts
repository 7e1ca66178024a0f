import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { PASSES } from "../../src/core/checks/card.ts";
import { CHECKS } from "../../src/core/checks/index.ts";
import { Examiner } from "../../src/core/engine/examiner.ts";
import { keptFigures } from "../../src/core/language/phrases/sentence-figures.ts";
import { LONGEST_WHOLE } from "../../src/core/language/text/windows.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();

function examined(text: string) {
  const examiner = new Examiner(language);
  examiner.add(PASSES);
  return examiner.examine("paragraph", text, []);
}

const order = (id: string) => CHECKS.findIndex((check) => check.id === id);

describe("what is kept of a block", () => {
  test("are the facts of checks that have some, and nothing of the others", () => {
    const { facts, analysed } = examined("They recieved it.");
    assert.ok(facts.has(order("spelling/unknown-word")));
    assert.ok(!facts.has(order("grammar/a-or-an")));
    for (const own of facts.values()) assert.ok(own.length > 0);
    assert.ok(facts.size < CHECKS.length / 4, String(facts.size));
    // The analysis is given up once every pass has read it.
    assert.equal(analysed, null);
  });

  test("is the same object for the same content, and another for other spans", () => {
    const examiner = new Examiner(language);
    examiner.add(["spelling"]);
    const text = "They recieved it.";
    const first = examiner.examine("paragraph", text, []);
    assert.equal(examiner.examine("paragraph", text, []), first);
    const inCode = [{ kind: "code", from: 5, to: 13 } as const];
    assert.notEqual(examiner.examine("paragraph", text, inCode), first);
    assert.notEqual(examiner.examine("heading", text, []), first);
  });

  test("of a long block lies where it lies in the whole, and counts it once", () => {
    const sentence = "The keeper reads the gauge at noon, and nobody else does. ";
    const many = sentence.repeat(Math.ceil((2 * LONGEST_WHOLE) / sentence.length));
    const text = `${many}They recieved it.`;
    const { facts, counts, figures } = examined(text);
    const [last] = (facts.get(order("spelling/unknown-word")) ?? []).slice(-1);
    assert.equal(text.slice(last?.from, last?.to), "recieved");
    assert.equal(counts.paragraphs, 1);
    const sentences = keptFigures(figures);
    assert.equal(
      sentences.reduce((sum, { words }) => sum + words, 0),
      counts.words,
    );
    const end = sentences.at(-1);
    assert.equal(text.slice(end?.from, end?.to), "They recieved it.");
    for (const own of facts.values()) {
      for (const { from, to } of own) assert.ok(from >= 0 && to <= text.length && from <= to);
    }
  });

  test("is forgotten down to a number, the oldest first", () => {
    const examiner = new Examiner(language);
    examiner.add(["spelling"]);
    const texts = ["One gauge.", "Two gauges.", "Three gauges."];
    const before = texts.map((text) => examiner.examine("paragraph", text, []));
    examiner.trim(1);
    assert.equal(examiner.examine("paragraph", texts[2] ?? "", []), before[2]);
    assert.notEqual(examiner.examine("paragraph", texts[0] ?? "", []), before[0]);
  });
});
