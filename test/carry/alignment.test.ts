import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { Alignment } from "../../src/core/carry/alignment.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";

const OLD = [
  "The tide gauge at Gannet Head was read at noon every day.",
  "A float rides in the well. A wire leads from it to the drum.",
  "Overview",
  "The keeper writes the height in the log, and signs beneath it.",
  "In winter the well freezes, and the float is lifted out.",
].join("\n");

/** What the words of a place became, with the text before them; null where they are not carried. */
function carried(now: string, word: string, nth = 0): string | null {
  const alignment = new Alignment(linesManuscript(OLD), linesManuscript(now));
  let from = OLD.indexOf(word);
  for (let again = 0; again < nth; again++) from = OLD.indexOf(word, from + 1);
  const place = alignment.carry({ from, to: from + word.length });
  return place && now.slice(Math.max(0, place.from - 8), place.to);
}

describe("places carried onto a revised version", () => {
  test("stay where their paragraph is unchanged, wherever it is now", () => {
    const lines = OLD.split("\n");
    const moved = [lines[4], "A new opening paragraph.", ...lines.slice(0, 4)].join("\n");
    assert.equal(carried(moved, "float is lifted"), "and the float is lifted");
    assert.equal(carried(moved, "wire"), "well. A wire");
  });

  test("stay in a paragraph that was reworded around them, and not where they were reworded", () => {
    const now = OLD.replace("at noon every day", "at dusk and dawn, every single day");
    assert.equal(carried(now, "tide gauge"), "The tide gauge");
    assert.equal(carried(now, "noon"), null);
    assert.equal(carried(now, "every"), "d dawn, every");
  });

  test("go with a sentence that went to another paragraph", () => {
    const now = OLD.replace(" A wire leads from it to the drum.", "").replace(
      "lifted out.",
      "lifted out. A wire leads from it to the drum.",
    );
    assert.equal(carried(now, "wire leads"), " out. A wire leads");
  });

  test("survive paragraphs that are parted and joined", () => {
    assert.equal(carried(OLD.replace("well. A wire", "well.\nA wire"), "wire"), "well.\nA wire");
    assert.equal(
      carried(OLD.replace("day.\nA float", "day. A float"), "float rides"),
      " day. A float rides",
    );
  });

  test("are not carried where the paragraph is gone, though its words are met elsewhere", () => {
    const now = OLD.replace(/The keeper.*\n/, "The harbour lies below the height in question.\n");
    assert.equal(carried(now, "log"), null);
    assert.equal(carried(now, "keeper"), null);
  });

  test("are not carried to one of several equal short lines", () => {
    const now = `${OLD.replace("Overview\n", "")}\nOverview\nOverview`;
    assert.equal(carried(now, "Overview"), null);
  });

  test("tell what became of each paragraph", () => {
    const lines = OLD.split("\n");
    const now = [
      lines[4],
      lines[0],
      lines[1]?.replace("wire", "chain"),
      "Something new here.",
    ].join("\n");
    const { fates, added } = new Alignment(linesManuscript(OLD), linesManuscript(now));
    assert.deepEqual(
      fates.map(({ fate }) => fate),
      ["moved", "changed", "gone", "gone", "same"],
    );
    assert.deepEqual(added, [3]);
  });

  test("hold as points too", () => {
    const now = `An opening.\n${OLD}`;
    const at = OLD.indexOf("float rides");
    const place = new Alignment(linesManuscript(OLD), linesManuscript(now)).carry({
      from: at,
      to: at,
    });
    assert.equal(place?.from, now.indexOf("float rides"));
  });
});
