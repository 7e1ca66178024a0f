import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { gatherAbbreviations } from "../../src/core/gathered/abbreviations.ts";
import { gatherQuantities, quantitiesOfDocument } from "../../src/core/gathered/quantities.ts";
import { pairKey } from "../../src/core/gathered/term-pairs.ts";
import { gatherTerms } from "../../src/core/gathered/terms.ts";
import { mergeEdits, pluralOf } from "../../src/core/gathered/write-term.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import { engineOf } from "../support/engines.ts";

describe("abbreviations gathered", () => {
  test("have their expansions, places and findings, those with findings first", () => {
    const text = [
      "The Sea Level Service (SLS) is old. The SLS has a board. Every SLS office is shut.",
      "A reading of the LTD came. The LQR rose, and the LQR fell.",
    ].join("\n");
    const rows = gatherAbbreviations(engineOf(text).gathering());
    assert.deepEqual(
      rows.map(({ abbreviation, expansions, places, findings }) => [
        abbreviation,
        expansions.join(),
        places.length,
        findings.map(({ kind }) => kind).join(),
      ]),
      [
        ["LQR", "", 2, "undefined"],
        ["SLS", "Sea Level Service", 3, ""],
      ],
    );
    const [, known] = rows;
    for (const { from, to } of known?.places ?? []) assert.equal(text.slice(from, to), "SLS");
  });

  test("know the six ways in which they go wrong", () => {
    const found = (text: string) =>
      gatherAbbreviations(engineOf(text).gathering()).flatMap(({ findings }) =>
        findings.map(({ kind, from, to }) => `${kind} ${text.slice(from, to)}`),
      );
    assert.deepEqual(found("The LQR rose. The LQR fell."), ["undefined LQR"]);
    assert.deepEqual(
      found("The HSB met. The Harbour Safety Board (HSB) is old. The HSB voted. The HSB left."),
      ["before-definition HSB"],
    );
    assert.deepEqual(
      found(
        "A sea gate watch (SGW) was set. The SGW was kept. A sea gate watch (SGW) is long. The SGW ends.",
      ),
      ["defined-twice sea gate watch (SGW)"],
    );
    assert.deepEqual(
      found(
        "The Tide Survey Group (TSG) met. The TSG left. The Tidal Services Guild (TSG) met. The TSG fell.",
      ),
      ["defined-differently Tidal Services Guild (TSG)"],
    );
    assert.deepEqual(
      found("The Coastal Birds Register (CBR) was founded here in a wet year, long ago."),
      ["unused Coastal Birds Register (CBR)"],
    );
    assert.deepEqual(
      found(
        "We read the daily mean level (DML). The DML rose, and the DML fell. The daily mean level fell.",
      ),
      ["expanded-again daily mean level"],
    );
  });

  test("of an abstract are told apart from those of the text", async () => {
    const { readMd } = await import("../../src/core/formats/md/format.ts");
    const { Engine } = await import("../../src/core/engine/engine.ts");
    const { loadLanguage } = await import("../support/language.ts");
    const source =
      "# Abstract\n\nThe daily mean level (DML) rose. The DML is high.\n\n# Text\n\nThe daily mean level (DML) rose. The DML is high. A DML is read.\n";
    const settings = { variety: "en-GB", kind: "report", appetites: {}, words: [] } as const;
    const engine = new Engine(
      readMd(new TextEncoder().encode(source), "a.md"),
      loadLanguage(),
      settings,
    );
    for (const _done of engine.examineAll());
    const kinds = gatherAbbreviations(engine.gathering()).flatMap(({ findings }) => findings);
    assert.deepEqual(
      kinds.map(({ kind }) => kind),
      [],
    );
  });
});

describe("abbreviations by section", () => {
  test("are explained in each where that was chosen", async () => {
    const { readMd } = await import("../../src/core/formats/md/format.ts");
    const { Engine } = await import("../../src/core/engine/engine.ts");
    const { loadLanguage } = await import("../support/language.ts");
    const { EACH_SECTION, EXPLAINED_IN } = await import("../../src/core/checks/check.ts");
    const source =
      "# One\n\nThe daily mean level (DML) rose. The DML is high. The DML fell.\n\n# Two\n\nThe DML is read. A DML is kept.\n";
    const kinds = (forms: Record<string, string>) => {
      const settings = {
        variety: "en-GB",
        kind: "report",
        appetites: {},
        words: [],
        forms,
      } as const;
      const manuscript = readMd(new TextEncoder().encode(source), "a.md");
      const engine = new Engine(manuscript, loadLanguage(), settings);
      for (const _done of engine.examineAll());
      return gatherAbbreviations(engine.gathering()).flatMap(({ findings }) =>
        findings.map(({ kind }) => kind),
      );
    };
    assert.deepEqual(kinds({}), []);
    assert.deepEqual(kinds({ [EXPLAINED_IN]: EACH_SECTION }), ["undefined"]);
  });
});

describe("quantities gathered", () => {
  test("stand under their kind with the units that serve it, mixed systems first", () => {
    const text = "It weighs 5 kg and is 12 m long. The slip is 90 feet long, the pier 140 m.";
    const [length, mass] = gatherQuantities(engineOf(text).gathering());
    assert.equal(length?.kind, "length");
    assert.equal(length?.mixed, true);
    assert.deepEqual(
      length?.units.map(({ unit, places }) => `${unit} ${places.length}`),
      ["m 2", "ft 1"],
    );
    assert.equal(length?.findings[0]?.rule, "consistency/unit-system");
    assert.equal(mass?.kind, "mass");
    assert.equal(mass?.mixed, false);
  });

  test("have offsets in the document", () => {
    const text = "Nothing here.\nThe rope is 5 mm thick.";
    const [only] = quantitiesOfDocument(engineOf(text).gathering());
    assert.equal(text.slice(only?.from, only?.to), "5 mm");
  });
});

describe("terms gathered", () => {
  const text = [
    "The data logger is old. A data logger has a clock. The datalogger stopped.",
    "The recorder stopped. The stilling-well and the stilling well are one thing.",
  ].join("\n");

  test("make families of what may be one thing, with the evidence in words", () => {
    const { families, terms } = gatherTerms(engineOf(text).gathering(), new Set());
    const names = families.map((family) => family.terms.map(({ term }) => term).join(" | "));
    assert.ok(names.includes("data logger | datalogger"), names.join("; "));
    assert.ok(names.some((name) => /stilling-well/.test(name) && /stilling well/.test(name)));
    for (const { evidence } of families) assert.ok((evidence[0]?.told.length ?? 0) > 5);
    assert.ok(terms.some(({ term }) => term === "data logger"));
  });

  test("take words that no dictionary has in the singular too", () => {
    const { terms } = gatherTerms(
      engineOf("The dataloggers stopped. The old dataloggers were cleared.").gathering(),
      new Set(),
    );
    assert.deepEqual(
      terms.filter(({ term }) => term.includes("datalogger")).map(({ term }) => term),
      ["datalogger", "old datalogger"],
    );
  });

  test("are left apart where that was said", () => {
    const apart = new Set([pairKey("datalogger", "data logger")]);
    const { families } = gatherTerms(engineOf(text).gathering(), apart);
    assert.ok(!families.some((one) => one.terms.some(({ term }) => term === "datalogger")));
  });

  test("are merged in the number and with the capital of each place", () => {
    const copy = "Dataloggers are old. A datalogger stopped.";
    const others = [
      {
        term: "datalogger",
        places: [
          { block: 0, from: 0, to: 11, written: "Dataloggers" },
          { block: 0, from: 23, to: 33, written: "datalogger" },
        ],
      },
    ];
    assert.equal(
      applyEdits(copy, mergeEdits("data logger", others)),
      "Data loggers are old. A data logger stopped.",
    );
    assert.equal(pluralOf("box"), "boxes");
    assert.equal(pluralOf("survey"), "surveys");
    assert.equal(pluralOf("entry"), "entries");
  });
});
