import assert from "node:assert/strict";
import { readFileSync } from "node:fs";
import path from "node:path";
import { describe, test } from "node:test";
import { checkText } from "../../src/command/checking.ts";
import { PASSES } from "../../src/core/checks/card.ts";
import { clashesOf } from "../../src/core/checks/house/clashes.ts";
import { Expression } from "../../src/core/checks/house/expression.ts";
import { Engine } from "../../src/core/engine/engine.ts";
import { failingExamples, RuleTrials, tryExamples } from "../../src/core/engine/rule-trial.ts";
import { FORM_FAMILIES } from "../../src/core/house/form-choices.ts";
import { type Rule, ruleSchema, type WrittenRule } from "../../src/core/house/rules.ts";
import { newHouse, readHouseStyle } from "../../src/core/house/style.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import type { Kind, Variety } from "../../src/core/manuscript/model.ts";
import { cpuTime } from "../support/cpu.ts";
import { loadLanguage } from "../support/language.ts";

const rule = (written: WrittenRule): Rule => ruleSchema.parse(written);
const press = (...rules: WrittenRule[]) => ({
  ...newHouse("press", "Gannet Head Press"),
  rules: rules.map(rule),
});

/** The marks of house rules in a text, in order, and the text with the first choice of each taken. */
function ruled(
  text: string,
  rules: WrittenRule[],
  { kind = "report" as Kind, variety = "en-GB" as Variety } = {},
) {
  const options = { kind, variety, passes: PASSES, houses: [press(...rules)] };
  const marks = checkText(linesManuscript(text), loadLanguage(), options).marks.filter(
    ({ rule: id }) => id.includes("/house-"),
  );
  const edits = marks.flatMap(({ choices }) => choices[0]?.edits ?? []);
  return { marks, texts: marks.map((mark) => mark.text), after: applyEdits(text, edits) };
}

describe("terms of the house", () => {
  test("are found and put right in every form, with capitals and articles", () => {
    const { after } = ruled(
      "Utilising a tool: an utilised lamp, which he utilises. UTILISE IT NOW",
      [{ id: "use", type: "term", not: ["utilise"], use: ["use"] }],
    );
    assert.equal(after, "Using a tool: a used lamp, which he uses. USE IT NOW");
  });

  test("say which house has them, and why", () => {
    const { marks } = ruled("They commence at noon.", [
      { id: "b", type: "term", not: ["commence"], use: ["begin"], reason: "plain words" },
    ]);
    assert.equal(
      marks[0]?.reason,
      "Not “commence”: Gannet Head Press writes “begin”. Plain words.",
    );
    assert.equal(marks[0]?.weight, "fix");
  });

  test("leave alone exceptions, quotations, code, and parts they are not for", () => {
    const term: WrittenRule = {
      id: "t",
      type: "term",
      not: ["gauge"],
      use: ["meter"],
      exceptions: ["tide gauge"],
    };
    assert.deepEqual(
      ruled("The tide gauges, the gauge, “a gauge” and `gauge` stood.", [term]).texts,
      ["gauge"],
    );
    const quoted = { ...term, scope: { quotations: true } };
    assert.deepEqual(ruled("He said “a gauge”.", [quoted]).texts, ["gauge"]);
    assert.deepEqual(ruled("The gauge.", [{ ...term, scope: { in: ["headings"] } }]).texts, []);
    assert.deepEqual(ruled("The gauge.", [{ ...term, scope: { kinds: ["brief"] } }]).texts, []);
    assert.deepEqual(ruled("The gauge.", [{ ...term, off: true }]).texts, []);
  });

  test("keep to capitals where that is asked, and never see a word within another", () => {
    const exact: WrittenRule = {
      id: "it",
      type: "term",
      not: ["IT"],
      use: ["computing"],
      exactCapitals: true,
    };
    assert.deepEqual(ruled("It is IT; it is item.", [exact]).texts, ["IT"]);
    const small: WrittenRule = { id: "i", type: "term", not: ["Internet"], use: ["internet"] };
    assert.equal(
      ruled("The Internet and the internet. Internet at last.", [small]).after,
      "The internet and the internet. Internet at last.",
    );
  });

  test("are heard by the longest place, and of equals by the first rule", () => {
    const rules: WrittenRule[] = [
      { id: "a", type: "term", not: ["sea level"], use: ["water level"] },
      { id: "b", type: "term", not: ["mean sea level"], use: ["datum"] },
      { id: "c", type: "term", not: ["sea level"], use: ["stage"] },
    ];
    assert.equal(
      ruled("The mean sea level and the sea level.", rules).after,
      "The datum and the water level.",
    );
  });

  test("with a right form in a first house are not spoken against by a second", () => {
    const language = loadLanguage();
    const first = press({ id: "a", type: "term", not: ["data set"], use: ["dataset"] });
    const second = {
      ...press({ id: "b", type: "term", not: ["dataset"], use: ["data set"] }),
      name: "Skerry Books",
    };
    const texts = (houses: (typeof first)[]) =>
      checkText(linesManuscript("One dataset, one data set."), language, {
        kind: "report",
        variety: "en-GB",
        passes: ["wording"],
        houses,
      }).marks.map(({ reason }) => reason);
    assert.deepEqual(texts([first, second]), [
      "Not “data set”: Gannet Head Press writes “dataset”.",
    ]);
    assert.deepEqual(texts([second, first]), ["Not “dataset”: Skerry Books writes “data set”."]);
  });

  test("without a word for it have nothing to put in", () => {
    const { marks } = ruled("Clearly it rained.", [{ id: "c", type: "term", not: ["clearly"] }]);
    assert.equal(marks[0]?.reason, "“Clearly” is not used by Gannet Head Press.");
    assert.deepEqual(marks[0]?.choices, []);
  });
});

describe("other rules of words", () => {
  test("wording is advice with its reason", () => {
    const { marks } = ruled("Two patients left.", [
      {
        id: "p",
        type: "wording",
        not: ["patient"],
        use: ["participant"],
        reason: "a trial has participants",
      },
    ]);
    assert.equal(marks[0]?.weight, "weigh");
    assert.equal(marks[0]?.reason, "“patients”: a trial has participants (Gannet Head Press).");
    assert.equal(marks[0]?.choices[0]?.label, "participants");
  });

  test("capitals hold wherever the term is, all capitals aside", () => {
    const rules: WrittenRule[] = [
      { id: "a", type: "capitals", write: "Harbour Board" },
      { id: "b", type: "capitals", write: "internet" },
    ];
    const { after, texts } = ruled(
      "The harbour board, a HARBOUR BOARD and the Internet. Internet fails.",
      rules,
    );
    assert.equal(after, "The Harbour Board, a HARBOUR BOARD and the internet. Internet fails.");
    assert.equal(texts.length, 2);
  });

  test("compounds are brought from their other forms, plurals too", () => {
    assert.equal(
      ruled("A data set, two Data-sets, one dataset.", [
        { id: "d", type: "compound", write: "dataset" },
      ]).after,
      "A dataset, two datasets, one dataset.".replace("two datasets", "two Datasets"),
    );
    assert.equal(
      ruled("A well known and wellknown pier.", [
        { id: "w", type: "compound", write: "well-known" },
      ]).after,
      "A well-known and well-known pier.",
    );
  });

  test("names are put right, and known to the spelling pass", () => {
    const rules: WrittenRule[] = [
      { id: "n", type: "name", write: "Maren Aldous", not: ["Marin Aldous"] },
    ];
    assert.equal(
      ruled("Marin Aldous met maren aldous.", rules).after,
      "Maren Aldous met Maren Aldous.",
    );
    const options = { kind: "report", variety: "en-GB", passes: PASSES } as const;
    const text = linesManuscript("The Accomodation sails at noon.");
    const known = press({ id: "q", type: "name", write: "Accomodation", not: [] });
    const spelled = (houses: (typeof known)[]) =>
      checkText(text, loadLanguage(), { ...options, houses }).marks.filter(
        ({ pass }) => pass === "spelling",
      ).length;
    assert.ok(spelled([]) > 0);
    assert.equal(spelled([known]), 0);
  });

  test("patterns read parts of speech, expressions read letters", () => {
    const { texts, after } = ruled("In regards to weed, it took 3 hrs.", [
      { id: "p", type: "pattern", pattern: "in|with regard~ to => about", reason: "plain words" },
      { id: "e", type: "expression", find: "(\\d+) hrs", put: "$1 hours", reason: "spelled out" },
    ]);
    assert.deepEqual(texts, ["In regards to", "3 hrs"]);
    assert.equal(after, "About weed, it took 3 hours.");
  });

  test("abbreviations of the house are offered in full, or need no explanation", () => {
    const marks = (explained: boolean) =>
      checkText(linesManuscript("The TGO met. The TGO left. The TGO slept."), loadLanguage(), {
        kind: "report",
        variety: "en-GB",
        passes: ["consistency"],
        houses: [
          press({
            id: "t",
            type: "abbreviation",
            short: "TGO",
            full: "Tide Gauge Office",
            explained,
          }),
        ],
      }).marks;
    assert.equal(marks(true)[0]?.choices[0]?.label, "Tide Gauge Office (TGO)");
    assert.deepEqual(marks(false), []);
  });
});

describe("forms of the house", () => {
  const form = (of: string, one: string): WrittenRule => ({ id: "f", type: "form", of, form: one });
  const after = (text: string, written: WrittenRule) => {
    const options = { kind: "report", variety: "en-GB", passes: ["consistency"] } as const;
    const marks = checkText(linesManuscript(text), loadLanguage(), {
      ...options,
      houses: [press(written)],
    }).marks;
    return applyEdits(
      text,
      marks.flatMap(({ choices }) => choices[0]?.edits ?? []),
    );
  };

  // Each with the form it is in, and the form the house wants: common practice of house styles.
  const CASES: [string, string, string, string][] = [
    ["percent:percent", "5 per cent", "It rose by 6%.", "It rose by 6 per cent."],
    [
      "serial-comma:comma before the last",
      "a, b, and c",
      "Oil, rope and chain came.",
      "Oil, rope, and chain came.",
    ],
    ["dash:dash", "a—b", "It came – at last.", "It came—at last."],
    ["ellipsis:points of omission", "…", "And then...", "And then…"],
    ["spelling:-ise or -ize", "-ize", "They organise it.", "They organize it."],
    ["time:am and pm", "3 p.m.", "Tide at 4pm there.", "Tide at 4 p.m. there."],
    ["date:date", "12 March", "On March 3, 2031 it rose.", "On 3 March 2031 it rose."],
    ["unit-space:symbols", "5mm", "A 5 mm bolt held.", "A 5mm bolt held."],
    [
      "number:eleven to ninety-nine",
      "in words",
      "They saw 14 boats there.",
      "They saw fourteen boats there.",
    ],
    ["range:dash", "12–18", "From pages 12-18 on.", "From pages 12–18 on."],
    ["contraction:contractions", "is not", "It isn’t so.", "It is not so."],
    [
      "era:century",
      "nineteenth century",
      "In the 19th century it fell.",
      "In the nineteenth century it fell.",
    ],
  ];
  for (const [of, wanted, text, right] of CASES) {
    test(`${of}: ${wanted}`, () =>
      assert.equal(after(text, form(`consistency/${of}`, wanted)), right));
  }

  test("are all those of checks that exist", () => {
    const engine = new Engine(linesManuscript("A."), loadLanguage(), {
      kind: "report",
      variety: "en-GB",
      appetites: {},
      words: [],
    });
    for (const _done of engine.examineAll());
    for (const { choices } of FORM_FAMILIES) {
      for (const { of, forms } of choices) {
        assert.ok(forms.length > 1 && new Set(forms).size === forms.length, of);
        const written = form(of, forms[0] ?? "");
        const outcome = tryExamples(
          { rule: rule(written), house: "h" },
          [{ leave: "It rained." }],
          loadLanguage(),
          { kind: "report", variety: "en-GB" },
        );
        assert.ok(outcome[0]?.isRight);
      }
    }
  });

  test("that are none are refused with those there are", () => {
    const engine = new Engine(linesManuscript("A."), loadLanguage(), {
      kind: "report",
      variety: "en-GB",
      appetites: {},
      words: [],
      rules: [{ house: "h", rule: rule(form("consistency/percent:percent", "pc")) }],
    });
    assert.match(engine.refusedRules[0]?.sentence ?? "", /none of the forms: 5%; 5 %/);
  });
});

describe("writing a rule", () => {
  const settings = { kind: "report", variety: "en-GB" } as const;
  const trial = (text: string, written: WrittenRule) => {
    const trials = new RuleTrials(linesManuscript(text), loadLanguage(), settings);
    return [...trials.places({ rule: rule(written), house: "h" }, 1e9)].at(-1);
  };

  test("shows how often it speaks and what it would put there", () => {
    const found = trial("The gauge.\nTwo gauges; a gauge_v2() call.", {
      id: "g",
      type: "term",
      not: ["gauge"],
      use: ["meter"],
    });
    assert.equal(found?.count, 2);
    assert.deepEqual(
      found?.places.map(({ from, text, insert }) => [from, text, insert]),
      [
        [4, "gauge", "meter"],
        [15, "gauges", "meters"],
      ],
    );
  });

  test("says why it can’t be followed", () => {
    const refused = (find: string) =>
      trial("a", { id: "e", type: "expression", find, reason: "why" })?.refused ?? "";
    assert.match(refused("(a"), /can’t be read/);
    assert.match(refused("(a*)*"), /empty text/);
    assert.match(refused("(a?){500}a{500}"), /too large/);
    assert.match(
      trial("a", { id: "p", type: "pattern", pattern: "@nothing", reason: "why" })?.refused ?? "",
      /unknown list/,
    );
  });

  test("tries its examples", () => {
    const term = rule({ id: "g", type: "term", not: ["gauge"], use: ["meter"] });
    const outcomes = tryExamples(
      { rule: term, house: "h" },
      [
        { wrong: "A gauge froze.", right: "A meter froze." },
        { wrong: "A gauge froze.", right: "A dial froze." },
        { leave: "A dial froze." },
        { leave: "A gauge froze." },
      ],
      loadLanguage(),
      settings,
    );
    assert.deepEqual(
      outcomes.map(({ isRight }) => isRight),
      [true, false, true, false],
    );
    assert.equal(outcomes[1]?.made, "A meter froze.");
  });

  test("tells which rules do otherwise than the sentences beside them say", () => {
    const kept = rule({
      id: "kept",
      type: "term",
      not: ["gauge"],
      use: ["meter"],
      examples: [{ wrong: "A gauge froze.", right: "A meter froze." }],
    });
    const gone = {
      ...kept,
      id: "gone",
      examples: [{ wrong: "A dial froze." }, { leave: "A gauge." }],
    };
    const off = { ...gone, id: "off", off: true };
    const bare = { ...kept, id: "bare", examples: [] };
    const failing = failingExamples(
      [kept, gone, off, bare].map((one) => ({ rule: one, house: "h" })),
      loadLanguage(),
      settings,
    );
    assert.deepEqual([...failing], [["gone", 2]]);
  });

  test("says at once what speaks against it", () => {
    const term = (id: string, not: string, use: string, more = {}) =>
      rule({ id, type: "term", not: [not], use: [use], ...more });
    const first = term("a", "data set", "dataset");
    assert.match(
      clashesOf(term("b", "dataset", "data set"), [first], new Set())[0] ?? "",
      /“data set” is not written by the term/,
    );
    assert.match(
      clashesOf(term("b", "data set", "table"), [first], new Set())[0] ?? "",
      /another word for “data set”/,
    );
    assert.match(clashesOf(first, [], new Set(["data set"]))[0] ?? "", /on a word list/);
    assert.deepEqual(clashesOf(term("b", "gauge", "meter"), [first], new Set()), []);
    const scoped = term("b", "dataset", "data set", { scope: { kinds: ["brief"] } });
    assert.deepEqual(
      clashesOf(
        scoped,
        [term("a", "data set", "dataset", { scope: { kinds: ["paper"] } })],
        new Set(),
      ),
      [],
    );
    const forms = (id: string, form: string) =>
      rule({ id, type: "form", of: "consistency/percent:percent", form });
    assert.match(
      clashesOf(forms("a", "5%"), [forms("b", "5 %")], new Set())[0] ?? "",
      /Another rule has “5 %”/,
    );
  });
});

describe("a house style as a file", () => {
  test("that ships with the demo can be followed whole, and its examples hold", () => {
    const file = readFileSync(path.resolve(import.meta.dirname, "../../demo/house.json"), "utf8");
    const house = readHouseStyle(JSON.parse(file));
    const settings = { kind: "report", variety: "en-GB" } as const;
    const engine = new Engine(linesManuscript("A."), loadLanguage(), {
      ...settings,
      appetites: {},
      words: [],
      rules: house.rules.map((one) => ({ rule: one, house: house.name })),
    });
    assert.deepEqual(engine.refusedRules, []);
    for (const one of house.rules) {
      const others = house.rules.filter(({ id }) => id !== one.id);
      assert.deepEqual(clashesOf(one, others, new Set()), [], one.id);
      const examples = one.examples ?? [];
      const outcomes = tryExamples({ rule: one, house: "h" }, examples, loadLanguage(), settings);
      assert.ok(
        outcomes.every(({ isRight }) => isRight),
        one.id,
      );
    }
  });

  test("is read whole, in this shape or an earlier one", () => {
    const style = press({ id: "g", type: "term", not: ["gauge"], use: ["meter"] });
    assert.deepEqual(readHouseStyle(JSON.parse(JSON.stringify(style))), style);
    const earlier = readHouseStyle({ words: [{ word: "Skerry", addedAt: "2030-01-01" }] });
    assert.equal(earlier.version, 2);
    assert.equal(earlier.words[0]?.list, "personal");
  });

  test("says what can’t be read", () => {
    assert.throws(() => readHouseStyle({ version: 3 }), /later version/);
    assert.throws(
      () => readHouseStyle({ rules: [{ id: "a", type: "term", not: [] }] }),
      /at “rules.0.not”/,
    );
    assert.throws(
      () => readHouseStyle({ rules: [{ id: "a b", type: "name", write: "x" }] }),
      /rules.0.id/,
    );
  });
});

describe("expressions that explode", () => {
  test("are refused or take no time", () => {
    for (const find of ["(a+)+$", "(a|aa)+$", "(.*a){20}", "(\\w+\\s?)+!"]) {
      const expression = Expression.read(find, null, false);
      const started = process.cpuUsage();
      expression.find("a".repeat(30_000));
      // Where ways are tried one by one, this takes longer than there is time: a second is generous.
      assert.ok(cpuTime(started) < 1000, find);
    }
  });

  test("put in what brackets found", () => {
    const expression = Expression.read("(\\d+)-(\\d+)", "$1–$2$7", false);
    assert.deepEqual(expression.find("12-18"), [{ from: 0, to: 5, put: "12–18$7" }]);
  });
});
