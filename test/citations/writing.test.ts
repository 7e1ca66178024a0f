import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { readEntry } from "../../src/core/citations/read-entry.ts";
import {
  asRuleSpeaks,
  OVERRIDE_POINTS,
  withOverrides,
} from "../../src/core/citations/styles/overrides.ts";
import { STYLE_IDS } from "../../src/core/citations/styles/style.ts";
import { styleOf } from "../../src/core/citations/styles/styles.ts";
import { workOf } from "../../src/core/citations/work.ts";
import { writeReference } from "../../src/core/citations/write-reference.ts";
import { setList } from "../support/csl.ts";
import { WORKS } from "./works.ts";

// What is written is held against citeproc and the published style files (test/fixtures/csl).
describe("a reference that was read", () => {
  for (const id of STYLE_IDS) {
    for (const [at, { text, italics }] of setList(WORKS, id).entries()) {
      test(`is written as the style file sets it, ${id}: ${text}`, () => {
        const style = styleOf(id);
        const entry = readEntry(text, style, italics);
        // The rest of a shortened list of names is not to be read from it.
        if (entry.authors?.etAl) return;
        const work = workOf(entry, entry.authors?.names ?? []);
        assert.equal(writeReference(work, style, at + 1).text, text);
      });
    }
  }
});

describe("a work", () => {
  const work = {
    type: "book" as const,
    authors: [{ family: "Penhale", given: "Rose" }],
    year: "1981",
    title: "The lengthening of the outer mole",
    publisher: "Harbour Trustees Press",
  };

  test("is written in another style, and what it lacks for that is told", () => {
    assert.deepEqual(writeReference(work, styleOf("apa-7")).lacking, []);
    const { text, lacking } = writeReference(work, styleOf("vancouver"), 1);
    assert.equal(
      text,
      "1. Penhale R. The lengthening of the outer mole. Harbour Trustees Press; 1981.",
    );
    assert.deepEqual(lacking, ["place"]);
  });

  test("has so many names as the edition lists", () => {
    const authors = Array.from({ length: 21 }, (_, at) => ({
      family: `Keeper${String.fromCharCode(97 + at)}`,
      given: "Ada",
    }));
    const seventh = writeReference({ ...work, authors }, styleOf("apa-7")).text;
    assert.match(seventh, /Keepers, A\., … Keeperu, A\. \(1981\)\./);
    assert.doesNotMatch(seventh, /Keepert/);
    const sixth = writeReference({ ...work, authors }, styleOf("apa-6")).text;
    assert.match(sixth, /Keeperf, A\., … Keeperu, A\. \(1981\)\./);
    assert.match(
      writeReference({ ...work, authors }, styleOf("ama-11")).text,
      /Keeperc A, et al\. The/,
    );
  });
});

describe("a house’s own points", () => {
  test("change what a style writes, and the rule of a point says whose it is", () => {
    const points = { joining: "and", doi: "doi:", "page-dash": "-" };
    const own = withOverrides(styleOf("apa-7"), { points, house: "Gannet Head" });
    assert.equal(own.name, "APA, 7th edition");
    assert.equal(asRuleSpeaks(own, "doi-form").name, "Gannet Head (a DOI: doi:10.5555/1)");
    assert.equal(
      asRuleSpeaks(own, "cited-joining").name,
      "Gannet Head (before the last name: and)",
    );
    assert.equal(asRuleSpeaks(own, "entry-end"), own, "a rule of the manual speaks for it");
    assert.equal(own.authors.lastOfMore, ", and ");
    assert.equal(own.doi, "doi:");
    assert.equal(own.pages.dash, "-");
  });

  test("leave a style as it is where there are none, or none that is known", () => {
    const style = styleOf("harvard");
    assert.equal(withOverrides(style, null), style);
    assert.equal(withOverrides(style, { points: { colour: "red", doi: "?" }, house: "" }), style);
  });

  test("each change something of some style", () => {
    for (const { id, choices } of OVERRIDE_POINTS) {
      const changed = STYLE_IDS.some((one) =>
        choices.some(({ value }) => {
          const before = styleOf(one);
          const { own: _own, ...after } = withOverrides(styleOf(one), {
            points: { [id]: value },
            house: "Gannet Head",
          });
          return JSON.stringify(before) !== JSON.stringify(after);
        }),
      );
      assert.ok(changed, id);
    }
  });
});
