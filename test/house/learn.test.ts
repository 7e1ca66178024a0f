import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { type LearnedDocument, learnRules } from "../../src/core/house/learn.ts";

const document = (
  forms: Record<string, Record<string, number>>,
  abbreviations: LearnedDocument["abbreviations"] = [],
): LearnedDocument => ({
  title: "a",
  forms: Object.entries(forms).map(([group, own]) => ({
    group: `consistency/${group}`,
    forms: Object.entries(own).map(([form, count]) => ({ form, count })),
  })),
  abbreviations,
});
const learned = (...documents: LearnedDocument[]) =>
  learnRules(documents, "2031-01-01").map(({ rule, places, documents: from, against }) => [
    rule.type === "form" ? rule.form : "write" in rule ? rule.write : rule.id,
    places,
    from,
    against.map(({ form, count }) => `${form} ×${count}`).join(),
  ]);

describe("learning from documents", () => {
  test("proposes what nine of ten places do alike, with what speaks against it", () => {
    const one = document({ "percent:percent": { "5%": 9, "5 per cent": 1 } });
    assert.deepEqual(learned(one, one), [["5%", 18, 2, "5 per cent ×2"]]);
    const divided = document({ "percent:percent": { "5%": 6, "5 per cent": 4 } });
    assert.deepEqual(learned(divided, divided), []);
  });

  test("asks for several places, and for several documents where there are some", () => {
    const one = document({ "percent:percent": { "5%": 2 } });
    assert.deepEqual(learned(one), []);
    const three = document({ "percent:percent": { "5%": 3 } });
    assert.deepEqual(learned(three), [["5%", 3, 1, ""]]);
    assert.deepEqual(learned(three, document({})), []);
  });

  test("counts lists and levels of headings together, whatever their numbers", () => {
    const one = document({
      "list-end:list 1": { nothing: 2 },
      "list-end:list 2": { nothing: 3 },
    });
    assert.deepEqual(learned(one, one), [["nothing", 10, 2, ""]]);
  });

  test("leaves alone plain words that nothing is set against, and parts of names", () => {
    const one = document({
      "compound:tidegauge": { "tide gauge": 9 },
      "compound:stillingwell": { "stilling-well": 9 },
      "capitals:tide gauge office": { "Tide Gauge Office": 5 },
      "capitals:gauge office": { "Gauge Office": 5 },
      "capitals:the tide": { "The Tide": 5 },
    });
    assert.deepEqual(
      learned(one, one).map(([form]) => form),
      ["stilling-well", "Tide Gauge Office"],
    );
  });

  test("learns what abbreviations are short for, where the documents agree", () => {
    const one = document({}, [{ short: "TGO", full: "Tide Gauge Office", uses: 4 }]);
    const other = document({}, [{ short: "TGO", full: "Tidal Group Order", uses: 4 }]);
    assert.deepEqual(learned(one, one), [["tgo", 8, 2, ""]]);
    assert.deepEqual(learned(one, other), []);
  });
});
