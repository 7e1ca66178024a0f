import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { readRecords } from "../../src/core/citations/records/read-records.ts";
import {
  writeBibtex,
  writeCslJson,
  writeRis,
} from "../../src/core/citations/records/write-records.ts";
import type { Work } from "../../src/core/citations/work.ts";

const WORKS: readonly Work[] = [
  {
    type: "article",
    authors: [
      { family: "Orrin", given: "Ines" },
      { family: "Vale", given: "Tobias" },
    ],
    editors: [],
    year: "2004",
    title: "Sounding lead and echo sounder on a soft bottom",
    container: "Estuary Letters",
    volume: "11",
    issue: "2",
    pages: "140–152",
    doi: "10.5555/el.11.140",
  },
  {
    type: "book",
    authors: [{ family: "Penhale", given: "Rose" }],
    editors: [],
    year: "1981",
    title: "The lengthening of the outer mole",
    publisher: "Harbour Trustees Press",
    place: "Leetmoor",
  },
];

/** Each form of file, written by us and read by the reader of the registry. */
const FORMS = { "CSL-JSON": writeCslJson, BibTeX: writeBibtex, RIS: writeRis };

describe("works in a file", () => {
  for (const [name, write] of Object.entries(FORMS)) {
    test(`come back from ${name} as they were`, () => {
      assert.deepEqual(readRecords(write(WORKS)), WORKS);
    });
  }

  test("of another kind are refused with a sentence", () => {
    assert.throws(() => readRecords("The tide fell."), /no BibTeX, RIS or CSL-JSON/);
    assert.throws(() => readRecords("[]"), /no reference in this/);
    assert.throws(() => readRecords("x".repeat(2_000_001)), /too long/);
  });
});
