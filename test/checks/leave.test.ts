import assert from "node:assert/strict";
import { describe, test } from "node:test";
import {
  LEAVE_BITS,
  LEAVE_KINDS,
  LEAVES,
  type Leave,
  leftAlone,
} from "../../src/core/checks/leave.ts";
import { Engine } from "../../src/core/engine/engine.ts";
import type { CheckSettings } from "../../src/core/engine/mark.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import type { Span } from "../../src/core/manuscript/model.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();

interface Case {
  text: string;
  /** The words that are marked once the kind is not left alone. */
  marked: string[];
  /** A stretch in italics or code. */
  span?: { kind: Span["kind"]; text: string };
}

const CASES: Record<Leave, Case> = {
  names: { text: "We met Quillfrost by the lock.", marked: ["Quillfrost"] },
  abbreviations: { text: "See harbwk. four of the year.", marked: ["harbwk"] },
  capitals: { text: "The GHTQO was read at noon.", marked: ["GHTQO"] },
  quantities: { text: "It fell by 12 mbar a day.", marked: ["mbar"] },
  identifiers: { text: "The part keperz12 is read first.", marked: ["keperz"] },
  addresses: { text: "Write to keperz@gannet-head.example today.", marked: ["keperz"] },
  code: {
    text: "Run fooblat at noon.",
    marked: ["fooblat"],
    span: { kind: "code", text: "fooblat" },
  },
  derived: { text: "The boat went harbourwards.", marked: ["harbourwards"] },
  foreign: {
    text: "They call it vloedgolfje nooitmeer there.",
    marked: ["vloedgolfje", "nooitmeer"],
    span: { kind: "emphasis", text: "vloedgolfje nooitmeer" },
  },
  quoted: {
    text: "The old book says “in the harbour the tyde was highe at noon that day” in red.",
    marked: ["tyde", "highe"],
  },
  binomials: { text: "The gannet (Morusa bassanensis) nests here.", marked: ["bassanensis"] },
  speech: { text: "“He don’t know,” she said.", marked: [] },
  terms: { text: "The boat was made of velouchine.", marked: ["velouchine"] },
  roman: { text: "See part cdxlix of the log.", marked: ["cdxlix"] },
};

function marks({ text, span }: Case, leave: Partial<Record<Leave, boolean>>): string[] {
  const settings: CheckSettings = {
    variety: "en-GB",
    kind: "brief",
    appetites: {},
    words: [],
    leave,
  };
  const manuscript = linesManuscript(text);
  const from = span ? text.indexOf(span.text) : 0;
  const spans: Span[] = span ? [{ kind: span.kind, from, to: from + span.text.length }] : [];
  const engine = new Engine({ ...manuscript, spans }, language, settings);
  for (const _ of engine.examineAll());
  return engine
    .allMarks()
    .filter(({ rule }) => rule === "spelling/unknown-word")
    .map((mark) => mark.text);
}

const switches = (on: boolean) =>
  Object.fromEntries(LEAVES.map((leave) => [leave, on])) as Record<Leave, boolean>;

describe("what the spelling pass leaves alone", () => {
  for (const leave of LEAVES) {
    test(`${leave}: nothing when it is left alone, its words when it is not`, () => {
      assert.deepEqual(marks(CASES[leave], switches(true)), []);
      // What is no longer left alone as one thing may still look like a term.
      const found = marks(CASES[leave], { ...switches(true), terms: false, [leave]: false });
      assert.deepEqual(found, CASES[leave].marked);
    });
  }

  test("has a default for each kind of copy, and the person’s own switch over it", () => {
    assert.deepEqual(
      LEAVE_KINDS.map(({ id }) => id),
      [...LEAVES],
    );
    assert.ok(leftAlone("report", {}) & LEAVE_BITS.capitals);
    assert.ok(!(leftAlone("fiction", {}) & LEAVE_BITS.capitals));
    assert.ok(leftAlone("fiction", { capitals: true }) & LEAVE_BITS.capitals);
    assert.ok(leftAlone("brief", {}) & LEAVE_BITS.quoted);
    assert.ok(!(leftAlone("paper", {}) & LEAVE_BITS.quoted));
    assert.ok(!(leftAlone("paper", { names: false }) & LEAVE_BITS.names));
  });

  test("switching is seen at once, with no second look at the text", () => {
    const settings: CheckSettings = { variety: "en-GB", kind: "report", appetites: {}, words: [] };
    const engine = new Engine(linesManuscript("The GHTQO was read."), language, settings);
    for (const _ of engine.examineAll(["spelling"]));
    assert.equal(engine.allMarks().length, 0);
    const update = engine.configure({ ...settings, leave: { capitals: false, terms: false } });
    assert.deepEqual([...update.marks.keys()], [0]);
    assert.equal(engine.allMarks().length, 1);
  });

  test("item codes in sheets are never questioned", () => {
    const settings: CheckSettings = {
      variety: "en-GB",
      kind: "sheet",
      appetites: {},
      words: [],
      leave: switches(false),
    };
    const manuscript = linesManuscript("GHX-104b\nTide staff");
    for (const block of manuscript.blocks) block.kind = "cell";
    const engine = new Engine(manuscript, language, settings);
    for (const _ of engine.examineAll());
    assert.deepEqual(engine.allMarks(), []);
  });
});

describe("a term", () => {
  const settings: CheckSettings = {
    variety: "en-GB",
    kind: "report",
    appetites: {},
    words: [],
    leave: { terms: false },
  };
  const text = "The quillwick is old. A quillwick is kept. No quillwick, no tide. The quillwick.";

  test("that recurs is one mark, with the other places in its group", () => {
    const engine = new Engine(linesManuscript(text), language, settings);
    for (const _ of engine.examineAll());
    const all = engine.allMarks();
    assert.equal(all.length, 4);
    assert.deepEqual(
      all.map(({ follows }) => follows),
      [false, true, true, true],
    );
    assert.equal(new Set(all.map(({ group }) => group)).size, 1);
    assert.match(engine.allGroups().get(all[0]?.group ?? "")?.note ?? "", /4 times/);
  });

  test("is led by the next place when the first is changed", () => {
    const engine = new Engine(linesManuscript(text), language, settings);
    for (const _ of engine.examineAll());
    engine.edit([{ from: 4, to: 13, insert: "gauge" }]);
    assert.deepEqual(
      engine.allMarks().map(({ follows }) => follows),
      [false, true, true],
    );
  });

  test("is none where a common word is near: a slip made again is a slip each time", () => {
    const slips = "It was recieved. We recieved it. They recieved it. He recieved it.";
    const engine = new Engine(linesManuscript(slips), language, settings);
    for (const _ of engine.examineAll());
    assert.ok(engine.allMarks().every(({ follows, weight }) => !follows && weight === "fix"));
    const choice = engine.choices(engine.allMarks()[0] as never)[0];
    assert.equal(choice?.label, "received");
  });

  test("a correction says how often it stands in the document", () => {
    const engine = new Engine(
      linesManuscript("It was recieved and received; received again."),
      language,
      settings,
    );
    for (const _ of engine.examineAll());
    assert.equal(engine.choices(engine.allMarks()[0] as never)[0]?.note, "in this document twice");
  });
});
