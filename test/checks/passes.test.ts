import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { CHECKS } from "../../src/core/checks/index.ts";
import { usualAppetite } from "../../src/core/checks/kinds.ts";
import { Engine } from "../../src/core/engine/engine.ts";
import type { CheckSettings } from "../../src/core/engine/mark.ts";
import { appetitesFor, EMPTY_STYLE } from "../../src/core/house/style.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import { KINDS, type Span } from "../../src/core/manuscript/model.ts";
import { loadLanguage } from "../support/language.ts";

const language = loadLanguage();
const settings: CheckSettings = { variety: "en-GB", kind: "report", appetites: {}, words: [] };

function checked(text: string, changes: Partial<CheckSettings> = {}, spans: Span[] = []): Engine {
  const engine = new Engine({ ...linesManuscript(text), spans }, language, {
    ...settings,
    ...changes,
  });
  for (const _ of engine.examineAll());
  return engine;
}

const rules = (engine: Engine) => engine.allMarks().map(({ rule, text }) => `${rule}: ${text}`);

const TEXT = [
  "The level of the tides are high, due to the fact that it rained.",
  "They was late. We recieved it.",
].join("\n");

describe("the passes", () => {
  test("one after the other find what all together find", () => {
    const engine = new Engine(linesManuscript(TEXT), language, settings);
    for (const _ of engine.examineAll(["spelling"]));
    assert.deepEqual(rules(engine), ["spelling/unknown-word: recieved"]);
    for (const _ of engine.examineAll());
    assert.deepEqual(engine.allMarks(), checked(TEXT).allMarks());
  });

  test("read an edited block again in the passes that have run", () => {
    const engine = new Engine(linesManuscript(TEXT), language, settings);
    for (const _ of engine.examineAll(["spelling"]));
    engine.edit([{ from: 0, to: 3, insert: "Teh" }]);
    assert.ok(rules(engine).every((rule) => rule.startsWith("spelling/")));
    for (const _ of engine.examineAll());
    engine.edit([{ from: 0, to: 3, insert: "The" }]);
    assert.deepEqual(engine.allMarks(), checked(TEXT).allMarks());
  });

  test("leave quoted speech, code and references alone", () => {
    assert.deepEqual(rules(checked("“They was late,” he said.")), []);
    assert.deepEqual(rules(checked("“They was late,” he said.", { leave: { speech: false } })), [
      "grammar/agreement: was",
    ]);
    const text = "The keeper types they was at noon.";
    const from = text.indexOf("they was");
    const span: Span = { kind: "code", from, to: from + 8 };
    const marked = rules(checked(text, {}, [span])).filter((rule) => rule.includes("was"));
    assert.deepEqual(marked, []);
  });

  test("spell their corrections as the document's variety does", () => {
    const choice = (variety: CheckSettings["variety"]) => {
      const engine = checked("They make a comparison of it, and conducted an analysis of it.", {
        variety,
      });
      return engine.allMarks().flatMap((mark) => engine.choices(mark).map(({ label }) => label));
    };
    assert.ok(choice("en-GB").includes("analysed"));
    assert.ok(choice("en-US").includes("analyzed"));
  });
});

describe("how much of a check is wanted", () => {
  const doubtful = "The old pump and its motor is still in the shed.";

  test("is all, or only what it is sure of, or nothing", () => {
    assert.deepEqual(rules(checked(doubtful)), ["grammar/agreement: is"]);
    assert.equal(checked(doubtful).allMarks()[0]?.weight, "weigh");
    assert.deepEqual(rules(checked(doubtful, { appetites: { "grammar/agreement": "sure" } })), []);
    const engine = checked(TEXT, { appetites: { "grammar/agreement": "off" } });
    assert.ok(!rules(engine).some((rule) => rule.startsWith("grammar/agreement")));
  });

  test("goes by the kind of copy unless somebody said otherwise", () => {
    const wordy = "It was very high.";
    assert.deepEqual(rules(checked(wordy)), ["wording/intensifier: very"]);
    assert.deepEqual(rules(checked(wordy, { kind: "brief" })), []);
    const own = { "wording/intensifier": "all" } as const;
    assert.deepEqual(rules(checked(wordy, { kind: "brief", appetites: own })), [
      "wording/intensifier: very",
    ]);
  });

  test("in the house's own table stands above the kind's, and the house's word above that", () => {
    const style = {
      ...EMPTY_STYLE,
      kinds: { brief: { "wording/hedge": "off", "wording/jargon": "sure" } },
      appetites: { "wording/jargon": "all" },
    } as const;
    assert.deepEqual(appetitesFor(style, "brief"), {
      "wording/hedge": "off",
      "wording/jargon": "all",
    });
    assert.deepEqual(appetitesFor(style, "paper"), { "wording/jargon": "all" });
  });

  test("is told of checks that there are", () => {
    const ids = new Set(CHECKS.map(({ id }) => id));
    assert.equal(ids.size, CHECKS.length);
    for (const kind of KINDS) {
      const named = CHECKS.filter((check) => usualAppetite(check, kind) !== "all");
      assert.ok(named.every(({ id }) => ids.has(id)));
      if (kind === "fiction") assert.ok(named.length > 10);
    }
  });

  test("never drowns a page: the rest is counted", () => {
    const many = Array.from({ length: 12 }, () => "It was very high there.").join("\n");
    const engine = checked(many);
    const shown = engine.allMarks().filter(({ rule }) => rule === "wording/intensifier").length;
    assert.equal(shown, 2);
    assert.equal(engine.tables().withheld.get("wording/intensifier"), 10);
  });
});

describe("repetition", () => {
  test("is marked close by, with both places in one group, unless the word is the subject", () => {
    const close = checked("A violent gale met a violent tide.");
    assert.deepEqual(rules(close), ["wording/close-repetition: violent"]);
    const subject = "The violent gale met a violent tide. ".repeat(6);
    assert.ok(!rules(checked(subject)).includes("wording/close-repetition: violent"));
  });

  test("of a noun is left alone but in a story: a thing has one name", () => {
    const text = "The buoy drifted past another buoy.";
    const ofNoun = (kind: CheckSettings["kind"]) =>
      rules(checked(text, { kind })).filter((rule) => rule.includes("close-repetition"));
    assert.deepEqual(ofNoun("report"), []);
    assert.deepEqual(ofNoun("fiction"), ["wording/close-repetition: buoy"]);
  });

  test("over a document shows the first place, and the others follow it", () => {
    const text = Array.from({ length: 7 }, () => "It was a splendid day by the sea.").join("\n");
    const marks = checked(text)
      .allMarks()
      .filter(({ rule }) => rule === "wording/overused-word");
    assert.equal(marks.length, 7);
    assert.deepEqual(
      marks.map(({ follows }) => follows),
      [false, true, true, true, true, true, true],
    );
  });

  test("of the passive is told a section, with its share", () => {
    const passive = "The log was read. The door was shut. The lamp was lit. ".repeat(5);
    const engine = checked(passive);
    const [mark] = engine.allMarks().filter(({ rule }) => rule === "wording/passive-section");
    const told = engine.allGroups().get(mark?.group ?? "")?.note ?? "";
    assert.match(told, /^100% of the section’s verbs are passive \(15 of 15\)/);
  });
});
