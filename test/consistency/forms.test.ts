import assert from "node:assert/strict";
import { describe, test } from "node:test";
import type { CheckSettings } from "../../src/core/engine/mark.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import { engineOf } from "../support/engines.ts";

/** The groups of a text that are at odds, as "preferred by whom: form count". */
function groupsOf(text: string, settings: Partial<CheckSettings> = {}): Map<string, string> {
  const engine = engineOf(text, settings);
  return new Map(
    [...engine.allGroups().values()].flatMap(({ id, matter, variants = [], preferred }) => {
      if (!matter) return [];
      const forms = variants.map(({ text: label, form = label, count }) => `${form} ${count}`);
      return [[id, `${preferred?.variant ?? "-"} by ${preferred?.by ?? "-"}: ${forms.join(", ")}`]];
    }),
  );
}

/** A text with every safe place of a group brought to its preferred form. */
function settledText(text: string, group: string, settings: Partial<CheckSettings> = {}): string {
  const engine = engineOf(text, settings);
  const edits = engine.placesOf(group).flatMap(({ block, from, to, isSafe, insert }) => {
    const start = engine.blockRange(block).from;
    return isSafe && insert !== null ? [{ from: start + from, to: start + to, insert }] : [];
  });
  return applyEdits(text, edits);
}

describe("who prefers a form", () => {
  const TEXT = "The log-book is wet. A logbook is dry. The logbook is kept.";
  const GROUP = "consistency/compound:logbook";

  test("is the text, where it has a habit", () => {
    assert.equal(groupsOf(TEXT).get(GROUP), "logbook by majority: logbook 2, log-book 1");
    assert.equal(settledText(TEXT, GROUP), TEXT.replace("log-book", "logbook"));
  });

  test("is the house before the text", () => {
    const words = ["log-book"];
    assert.match(groupsOf(TEXT, { words }).get(GROUP) ?? "", /^log-book by house/);
    assert.equal(
      settledText(TEXT, GROUP, { words }),
      "The log-book is wet. A log-book is dry. The log-book is kept.",
    );
  });

  test("is what was chosen for the document before all", () => {
    const settings = { words: ["log-book"], forms: { [GROUP]: "logbook" } };
    assert.match(groupsOf(TEXT, settings).get(GROUP) ?? "", /^logbook by document/);
  });

  test("is nobody where all stand on purpose, and then nothing is marked", () => {
    const engine = engineOf(TEXT, { forms: { [GROUP]: "" } });
    assert.equal(engine.allGroups().get(GROUP)?.onPurpose, true);
    assert.deepEqual(
      engine.allMarks().filter(({ group }) => group === GROUP),
      [],
    );
  });

  test("is the variety of English for what only one has", () => {
    const text = "The colour faded. The color was lost. A color is chosen. The color is red.";
    assert.match(
      groupsOf(text, { variety: "en-GB" }).get("consistency/spelling:color") ?? "",
      /^colour by variety/,
    );
    assert.match(
      groupsOf(text, { variety: "en-US" }).get("consistency/spelling:color") ?? "",
      /^color by variety/,
    );
  });

  test("is the standard for the space before a unit, whatever most places have", () => {
    const text = "It is 5mm thick, 9mm wide and 12 mm long.";
    assert.match(groupsOf(text).get("consistency/unit-space:symbols") ?? "", /^5 mm by standard/);
    assert.equal(
      settledText(text, "consistency/unit-space:symbols"),
      "It is 5 mm thick, 9 mm wide and 12 mm long.",
    );
  });

  test("is the kind of copy for contractions", () => {
    const text = "It is not wet, it is not dry, and it isn’t cold.";
    const group = "consistency/contraction:contractions";
    assert.match(groupsOf(text, { kind: "paper" }).get(group) ?? "", /^is not by kind/);
    assert.equal(groupsOf(text, { kind: "letter" }).get(group), undefined);
  });
});

// The dictionaries that ship (SCOWL, WordNet 3.1) have each of these in one piece.
describe("a compound that a dictionary has, where the text has no habit", () => {
  for (const [open, closed] of [
    ["data base", "database"],
    ["note book", "notebook"],
    ["light house", "lighthouse"],
    ["key board", "keyboard"],
    ["work shop", "workshop"],
    ["time table", "timetable"],
    ["sea shore", "seashore"],
    ["water fall", "waterfall"],
  ] as const) {
    test(`“${open}” is “${closed}”`, () => {
      const text = `The ${closed} is old. Our ${open} is new.`;
      const group = `consistency/compound:${closed}`;
      assert.match(groupsOf(text).get(group) ?? "", new RegExp(`^${closed} by dictionary`));
      assert.equal(settledText(text, group), `The ${closed} is old. Our ${closed} is new.`);
    });
  }
});

// ISO 8601-1:2019, 5.2.2 and 5.3.1: calendar dates and times of day in the extended format.
describe("dates and times of the standard", () => {
  test("are one form, and another date is written so", () => {
    const text = "It began on 2031-03-12. It ended on 2031-06-19. We met on 7 July 2031 there.";
    const [group = "", told = ""] =
      [...groupsOf(text)].find(([id]) => id.startsWith("consistency/date:")) ?? [];
    assert.match(told, /^2031-03-12 by majority/);
    assert.equal(settledText(text, group), text.replace("7 July 2031", "2031-07-07"));
  });

  test("of the day are told from those of half a day", () => {
    const text = "It opens at 09:30. It shuts at 17:45. The talk is at 6 pm there.";
    assert.ok([...groupsOf(text).keys()].some((id) => id.startsWith("consistency/time:")));
  });
});

describe("what keeps its form", () => {
  test("is what a quotation holds, and what opens a sentence in words", () => {
    const quoted = "The logbook is wet. A logbook is dry. He wrote: “the log-book is lost”.";
    assert.equal(groupsOf(quoted).get("consistency/compound:logbook"), undefined);
    const opening = "We saw 3 boats and 7 men. Five boats came. The pilot had 9 sons.";
    assert.equal(
      [...groupsOf(opening).keys()].find((id) => id.startsWith("consistency/number")),
      undefined,
    );
  });

  test("is what another part of speech asks for", () => {
    const text = "We follow up each fault. The follow-up is long. A follow-up takes a week.";
    assert.deepEqual([...groupsOf(text).keys()], []);
  });

  test("is a quantity, until somebody asks for it to be converted", () => {
    const text = "The wall is 12 m long. The pier is 140 m long. The slip is 90 feet long.";
    assert.equal(settledText(text, "consistency/unit-system:length"), text);
    const engine = engineOf(text);
    const [odd] = engine.placesOf("consistency/unit-system:length").filter((place) => place.odd);
    assert.equal(odd?.insert, "27 m");
  });
});

describe("an edit", () => {
  test("moves the mark of a group to its next place, and ends the group with its last", () => {
    const text = "A logbook is dry. The logbook is kept.\nThe log-book is wet.\nOne log-book more.";
    const engine = engineOf(text);
    const marked = () =>
      engine
        .allMarks()
        .filter(({ rule, follows }) => rule === "consistency/compound" && !follows)
        .map(({ block }) => block);
    assert.deepEqual(marked(), [1]);
    const first = text.indexOf("log-book");
    engine.edit([{ from: first, to: first + 8, insert: "logbook" }]);
    assert.deepEqual(marked(), [2]);
    const second = text.lastIndexOf("log-book") - 1;
    engine.edit([{ from: second, to: second + 8, insert: "logbook" }]);
    assert.deepEqual(marked(), []);
    assert.equal(engine.allGroups().get("consistency/compound:logbook"), undefined);
  });
});
