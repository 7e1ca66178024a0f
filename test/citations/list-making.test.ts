import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { type ReadableBlock, readCitedDocument } from "../../src/core/citations/cited-text.ts";
import { citingEdit, putInList } from "../../src/core/citations/put-in-list.ts";
import { reviewCitations } from "../../src/core/citations/review-citations.ts";
import { reviewEntries } from "../../src/core/citations/review-entries.ts";
import { listOrders } from "../../src/core/citations/sorted-list.ts";
import type { StyleId } from "../../src/core/citations/styles/style.ts";
import { styleOf } from "../../src/core/citations/styles/styles.ts";
import { workFromFields } from "../../src/core/citations/typed-work.ts";
import { writeReference } from "../../src/core/citations/write-reference.ts";
import { gatherCitations } from "../../src/core/gathered/citations.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";

const block = (text: string, changes: Partial<ReadableBlock> = {}): ReadableBlock => ({
  text,
  kind: "paragraph",
  story: "body",
  section: 1,
  spans: [],
  ...changes,
});
const SETTINGS = { isWord: () => true, thisYear: 2031 };

function paper(body: readonly ReadableBlock[], entries: readonly string[], style: StyleId) {
  const heading = block("References", { kind: "heading", level: 1 });
  const list = entries.map((one) => block(one));
  return readCitedDocument([...body, heading, ...list], { ...SETTINGS, style });
}

const LOCK = "Lock, M. (1989). Moles and their shadows. Gannet Press.";
const ORRIN =
  "Orrin, I., & Vale, T. (2004). Sounding lead on a soft bottom. Estuary Letters, 11, 40–52.";
const TEESDALE = "Teesdale, R. (2011). Rating a stilling well. Estuary Letters, 13, 9–21.";
const WELLER = "Weller, P. (2016). Sand on the turn. Estuary Letters, 23(1), 9–21.";

describe("a list that is to be sorted", () => {
  const orders = (entries: readonly string[]) =>
    listOrders(paper([block("It fell.")], entries, "apa-7"));

  test("names its blocks in their right order, and the fewest that move", () => {
    const [order] = orders([WELLER, TEESDALE, LOCK, ORRIN]);
    assert.ok(order && "order" in order);
    assert.deepEqual(order.order, [4, 5, 3, 2]);
    assert.equal(order.moved.length, 2);
    assert.deepEqual(orders([LOCK, ORRIN, WELLER]), []);
  });

  test("is left where dashes or one paragraph hold entries together", () => {
    const refusal = (entries: readonly string[]) => {
      const [found] = orders(entries);
      return found && "refusal" in found ? found.refusal : "";
    };
    const dashed = "———. (2018). The ebb. Estuary Letters, 24, 1–9.";
    assert.match(refusal([WELLER, dashed, LOCK]), /dashes/);
    assert.match(refusal([`${WELLER}\u2028${TEESDALE}`, ORRIN, LOCK]), /share a paragraph/);
  });
});

describe("a reference that is put in", () => {
  const list = [LOCK, ORRIN, WELLER];
  const text = list.join("\n");
  const ranges = list.map((entry) => {
    const from = text.indexOf(entry);
    return { from, to: from + entry.length };
  });
  const put = (reference: string, order: "alphabetical" | "appearance" = "alphabetical") => {
    const found = putInList(reference, text, ranges, { order });
    return found ? applyEdits(text, [found.edit]).split(/[\n\u2028]/) : [];
  };

  test("comes where the alphabet has it, or last in a list by numbers", () => {
    assert.deepEqual(put(TEESDALE), [LOCK, ORRIN, TEESDALE, WELLER]);
    assert.deepEqual(put("Aldous, M. (2020). Ice."), ["Aldous, M. (2020). Ice.", ...list]);
    assert.deepEqual(put("Young, A. (2020). Ice."), [...list, "Young, A. (2020). Ice."]);
    assert.equal(put("Aldous M. Ice. 2020.", "appearance").at(-1), "Aldous M. Ice. 2020.");
    assert.equal(putInList("A", "", [], { order: "alphabetical" }), null);
  });

  test("is read as an entry of its own there", () => {
    const cited = paper([block("It fell.")], [LOCK, `${ORRIN}\u2028${TEESDALE}`, WELLER], "apa-7");
    assert.deepEqual(
      cited.references.map(({ entry }) => entry.text),
      [LOCK, ORRIN, TEESDALE, WELLER],
    );
  });

  test("and its citation before the stop of the sentence", () => {
    const copy = "Mud swallows the lead. The pilots knew it.";
    const cite = (citation: string, at: number) =>
      applyEdits(copy, [citingEdit(citation, copy, at, copy.length)]);
    assert.equal(
      cite("(Lock, 1989)", 4),
      "Mud swallows the lead (Lock, 1989). The pilots knew it.",
    );
    assert.equal(
      cite("(Lock, 1989)", 30),
      "Mud swallows the lead. The pilots knew it (Lock, 1989).",
    );
    assert.equal(cite("3", 4), "Mud swallows the lead3. The pilots knew it.");
  });
});

describe("a work typed into a form", () => {
  test("is written like any other", () => {
    const work = workFromFields("article", {
      authors: "Weller, P.\nNess, A.\n\nGauge Office",
      year: "2016b",
      title: "Sand on the turn",
      container: "Estuary Letters",
      volume: "23",
      issue: "1",
      pages: "9-21",
      doi: "https://doi.org/10.5555/el.23.9",
    });
    assert.ok(!("problem" in work));
    assert.equal(
      writeReference(work, styleOf("apa-7")).text,
      "Weller, P., Ness, A., & Gauge Office. (2016b). Sand on the turn. Estuary Letters, 23(1), 9–21. https://doi.org/10.5555/el.23.9",
    );
  });

  test("is refused with a sentence where a field can’t be read", () => {
    const problem = (changes: object) => {
      const fields = { authors: "", year: "2016", title: "Sand", ...changes };
      const made = workFromFields("book", fields);
      return "problem" in made ? made.problem : "";
    };
    assert.match(problem({ title: " " }), /needs a title/);
    assert.match(problem({ year: "16" }), /“16” is no year/);
    assert.match(problem({ doi: "ten" }), /no DOI/);
    assert.equal(problem({ year: "", doi: "" }), "");
  });
});

describe("notes", () => {
  const CITED = [
    "Lock, Mirren. Moles and Their Shadows. Leetmoor: Gannet Press, 1989.",
    "Orrin, Ines, and Tobias Vale. “Sounding Lead on a Soft Bottom.” Estuary Letters 11, no. 2 (2004): 140–52.",
  ];
  const FULL = "Mirren Lock, Moles and Their Shadows (Leetmoor: Gannet Press, 1989), 12.";
  const OTHER =
    "Ines Orrin and Tobias Vale, “Sounding Lead on a Soft Bottom,” Estuary Letters 11, no. 2 (2004): 145.";
  const SHORT = "Lock, Moles, 14.";
  const notes = (...lines: string[]) =>
    paper(
      lines.map((line) => block(line, { kind: "note", story: "note" })),
      CITED,
      "chicago-notes",
    );
  const found = (...lines: string[]) =>
    reviewCitations(notes(...lines))
      .filter(({ rule }) => rule === "note-order" || rule === "ibidem")
      .map(({ rule, reason }) => `${rule}: ${reason}`);

  test("are full at first, and in short afterwards", () => {
    assert.deepEqual(found(FULL, OTHER, SHORT, "Ibid., 15."), []);
    assert.match(found(SHORT, OTHER, FULL)[0] ?? "", /in short here, and in full only later/);
    assert.match(found(FULL, OTHER, FULL)[0] ?? "", /was cited in full before/);
    // With a full list notes may be short from the first (17th edition, 14.19; from memory).
    assert.deepEqual(found(SHORT, "Orrin and Vale, “Sounding Lead,” 151."), []);
  });

  test("say “ibid.” of the one work before", () => {
    const both = `${FULL.slice(0, -1)}; Orrin and Vale, “Sounding Lead,” 151.`;
    assert.match(found("Ibid., 14.", FULL, OTHER)[0] ?? "", /no work is cited before it/);
    assert.match(found(both, "Ibid., 12.")[0] ?? "", /cites several works/);
    assert.deepEqual(found(FULL, "Ibid.", "Ibid., 15."), []);
  });

  test("and the entry counts “ibid.” among its places", () => {
    const table = gatherCitations(notes(FULL, "Ibid., 14.", OTHER), () => 0);
    assert.deepEqual(
      table.entries.map(({ uses }) => uses.length),
      [2, 1],
    );
  });
});

/** From the published style files: harvard-cite-them-right, ieee, american-medical-association, apa. */
describe("the day on which an address was visited", () => {
  const found = (entry: string, style: StyleId) => {
    const { references } = paper([block("It fell.")], [entry, ORRIN], style);
    return reviewEntries({
      ...SETTINGS,
      entries: references.map((one) => one.entry),
      italics: references.map((one) => one.italics),
      style: styleOf(style),
    })
      .flat()
      .filter(({ rule }) => rule === "access-date")
      .map(({ reason, edits }) => [reason, edits[0]?.insert ?? ""]);
  };

  test("is asked for where the style has one, and in its words", () => {
    const page = "Harbour Board (2019) Tide gauges. Available at: https://harbour.example/gauges";
    const asked = "Harvard names the day on which this was read.";
    assert.deepEqual(found(`${page}.`, "harvard"), [[asked, ""]]);
    assert.deepEqual(found(`${page} (Accessed: 12 March 2031).`, "harvard"), []);
    assert.deepEqual(found(`${page} (Viewed: 12 March 2031).`, "harvard"), [
      ["Harvard has “Accessed:” before the date of a visit.", "Accessed:"],
    ]);
    const apa = "Harbour Board. (2019). Tide gauges. https://harbour.example/gauges";
    assert.deepEqual(found(apa, "apa-7"), []);
  });
});
