import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { headingNumberOf } from "../../src/core/checks/consistency/numbering/labels.ts";
import { breaksIn } from "../../src/core/checks/consistency/numbering/sequence.ts";
import { requirementOf } from "../../src/core/manuscript/requirements.ts";

const series = (...numbers: number[]) => ({
  numbers: numbers.map((number, at) => ({ at, number, label: String(number), section: 0 })),
});
const told = (...numbers: number[]) =>
  breaksIn(series(...numbers)).map(({ sort, label, other }) => `${label} ${sort} ${other}`);

describe("numbers that count on", () => {
  test("have no break, whatever their step", () => {
    assert.deepEqual(told(1, 2, 3, 4), []);
    assert.deepEqual(told(10, 20, 30, 40), []);
    assert.deepEqual(told(7, 8, 9), []);
  });

  test("are broken by a gap, a repeat, and one that comes too early", () => {
    assert.deepEqual(told(1, 2, 4, 5), ["4 gap 2"]);
    assert.deepEqual(told(1, 2, 2, 3), ["2 repeat 2"]);
    assert.deepEqual(told(1, 2, 4, 3, 5), ["4 order 3"]);
    assert.deepEqual(told(10, 20, 30, 30, 40), ["30 repeat 30"]);
  });

  test("are no series where there are two of them, or where they run downwards", () => {
    assert.deepEqual(told(1, 3), []);
    assert.deepEqual(told(9, 8, 7, 6), []);
    assert.deepEqual(told(1, 1, 2, 2, 3, 3), []);
  });
});

describe("labels", () => {
  test("of requirements are told by prefix and number", () => {
    assert.equal(requirementOf("GH-301 The well shall be dry.")?.number, 301);
    assert.equal(requirementOf("[REQ-SYS-012] The pump shall stop.")?.prefix, "REQ-SYS-");
    assert.equal(requirementOf("SR-4.2: The valve shall close.")?.number, 2);
    assert.equal(requirementOf("Well-known is the rock."), null);
    assert.equal(requirementOf("In GH-301 the well is named."), null);
  });

  test("of headings are told by what they count in", () => {
    assert.equal(headingNumberOf("3.1.2 The wall")?.series, "section 3.1");
    assert.equal(headingNumberOf("Appendix B Logs")?.number, 2);
    assert.equal(headingNumberOf("4. Costs")?.target, "section 4");
    assert.equal(headingNumberOf("A guide to the tides"), null);
    assert.equal(headingNumberOf("The wall"), null);
  });
});
