import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { gatherOverlaps } from "../../src/core/gathered/overlaps.ts";
import { layeredOverlapLimit } from "../../src/core/house/layers.ts";
import { newHouse, readHouseStyle } from "../../src/core/house/style.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import {
  COUNT_POSSIBLE,
  keepingOf,
  keepingValue,
  LIMIT,
  NO_LIMIT,
  overlapChoices,
} from "../../src/core/originality/choices.ts";
import { ComparedSources } from "../../src/core/originality/compared-sources.ts";
import { Comparison } from "../../src/core/originality/comparison.ts";
import { comparedBlocks, quotedRanges, StockPhrases } from "../../src/core/originality/regions.ts";
import { voiceOf } from "../../src/core/originality/voice.ts";
import { comparedWords } from "../../src/core/originality/words.ts";
import { overlapParts } from "../../src/core/report/overlap-parts.ts";
import { settingLine } from "../../src/core/report/words.ts";
import { seeded } from "../support/random.ts";

const BAR =
  "The bar lies a cable off the head and moves with every gale of the winter, so that no chart of it is worth the paper after Easter.";

describe("what is chosen about overlaps", () => {
  test("is what is usual where nothing is said", () => {
    const { kinds, limit, saidOf } = overlapChoices();
    assert.deepEqual(kinds.keepsOut, {
      quoted: true,
      reference: true,
      heading: true,
      stock: true,
      own: false,
    });
    assert.equal(limit, null);
    assert.equal(kinds.possible, false);
    assert.equal(saidOf({ source: "a", pairs: [[1, 1]] }), null);
  });

  test("stands in the choices of the document, its own limit above the houses'", () => {
    const forms = { [keepingOf("quoted")]: keepingValue(false), [COUNT_POSSIBLE]: "counted" };
    assert.equal(overlapChoices(forms).kinds.keepsOut.quoted, false);
    assert.equal(overlapChoices(forms).kinds.possible, true);
    assert.equal(overlapChoices({}, 0.2).limit, 0.2);
    assert.equal(overlapChoices({ [LIMIT]: "0.1" }, 0.2).limit, 0.1);
    assert.equal(overlapChoices({ [LIMIT]: NO_LIMIT }, 0.2).limit, null);
    assert.equal(overlapChoices({ [LIMIT]: "7" }).limit, null);
  });

  test("a house has a limit for a kind of copy, and the strongest house speaks", () => {
    const strict = readHouseStyle({ ...newHouse("a", "A"), overlapLimits: { paper: 0.1 } });
    const loose = readHouseStyle({
      ...newHouse("b", "B"),
      overlapLimits: { paper: 0.3, report: 0.5 },
    });
    assert.equal(layeredOverlapLimit([strict, loose], "paper"), 0.1);
    assert.equal(layeredOverlapLimit([strict, loose], "report"), 0.5);
    assert.equal(layeredOverlapLimit([strict, loose], "letter"), null);
    assert.throws(
      () => readHouseStyle({ ...newHouse("c", "C"), overlapLimits: { paper: 12 } }),
      /overlapLimits/,
    );
  });

  const lines: [string, string | null, string][] = [
    [LIMIT, "0.15", "Overlap: a limit of 15%"],
    [LIMIT, null, "Overlap: no limit"],
    [keepingOf("own"), keepingValue(true), "Overlap, own: kept out"],
    [COUNT_POSSIBLE, "counted", "Overlap, only possible: counted"],
    ["overlap:passage:a@3", "stock", "Overlap: a passage is a stock phrase"],
    ["overlap:passage:a@3", null, "Overlap: a passage counts again"],
  ];
  for (const [of, after, line] of lines) {
    test(`is told in the ledger as “${line}”`, () =>
      assert.equal(settingLine({ name: "form", of, before: null, after }), line));
  }
});

describe("the table and the report of overlaps", () => {
  const sources = new ComparedSources();
  const own = (id: string, text: string, isOwn: boolean) => ({
    id,
    title: id,
    author: "Vale",
    year: 2024,
    text,
    hashes: comparedWords(text).hashes,
    isOwn,
  });
  sources.hold([own("The bar", BAR, false)]);
  const text = `A line of our own.\n${BAR}\nVale (2024) says “${BAR.slice(0, 72)}”.`;
  const compared = new Comparison(sources, new StockPhrases("")).lookAtOnce(
    comparedBlocks(linesManuscript(text)),
  );
  const table = gatherOverlaps(compared, overlapChoices({ [LIMIT]: "0.5" }), sources);

  test("every figure opens to its passages", () => {
    const counted = table.passages.filter(({ counts }) => counts);
    assert.equal(
      table.totals.words,
      counted.reduce((sum, { words }) => sum + words, 0),
    );
    assert.deepEqual(
      table.passages.map(({ keptOut, counts }) => [keptOut, counts]),
      [
        [null, true],
        ["quoted", false],
      ],
    );
    assert.equal(table.sources[0]?.shared, 28);
    assert.equal(table.sources[0]?.detail, "Vale, 2024; in your collection");
    assert.ok((table.limit?.over ?? 0) > 0);
  });

  test("the report tells the figure, how it is made, each passage, and what was kept out and why", () => {
    const parts = overlapParts(table, {
      fileName: "bar.txt",
      at: "2026-11-28T12:00:00Z",
      comparedWith: "1 source",
      text,
    });
    const all = JSON.stringify(parts);
    assert.match(parts[0]?.lines[0] ?? "", /^28 of \d+ words stand in sources too/);
    assert.match(all, /Over the limit of 50.0% by \d+ words/);
    assert.match(all, /The bar lies a cable off the head/);
    assert.match(all, /quotations with a citation/);
    assert.doesNotMatch(all, /plagiar|cheat|guilt/i);
  });

  test("a source taken away is found no more", () => {
    sources.hold([
      own("Other", "Nothing like it stands in this one at all, not a single word of it.", false),
    ]);
    const again = new Comparison(sources, new StockPhrases("")).lookAtOnce(
      comparedBlocks(linesManuscript(text)),
    );
    assert.deepEqual(again.passages, []);
  });
});

describe("quotation marks", () => {
  const quoted: [string, string[]][] = [
    ["He said “so it is” and left.", ["“so it is”"]],
    ['He said "so it is" and left.', ['"so it is"']],
    ["He said ‘so it is’ and the keepers’ oar broke.", ["‘so it is’"]],
    ["“A ‘b’ c” d", ["“A ‘b’ c”"]],
    ["“It goes on in the next paragraph.", ["“It goes on in the next paragraph."]],
    ["It was 5' 6\" tall, and so was 'that one' there.", ["'that one'"]],
    ["The keepers' oar and the pilots' launch.", []],
  ];
  for (const [text, ranges] of quoted) {
    test(`are paired in: ${text}`, () =>
      assert.deepEqual(
        quotedRanges(text).map(({ from, to }) => text.slice(from, to)),
        ranges,
      ));
  }
});

describe("the voice of a text", () => {
  const random = seeded(6);
  const prose = (words: string, count: number) =>
    Array.from({ length: count }, () => {
      const all = words.split(" ");
      const length = 6 + Math.floor(random() * 14);
      const sentence = Array.from({ length }, () => all[Math.floor(random() * all.length)]);
      return `${sentence.join(" ")}.`;
    }).join(" ");

  test("asks about a stretch in other letters and not about the rest", () => {
    const one = "the tide gauge stands in the well and the keeper reads it at noon every day";
    const text = [
      prose(one, 60),
      prose("Quizzical Xylophones vex jumpy zebras whom wizards oft mock", 22),
      prose(one, 60),
    ].join(" ");
    const asked = voiceOf(text).filter(({ isUnlike }) => isUnlike);
    assert.ok(asked.length >= 1 && asked.length <= 3);
    for (const { from, to } of asked) assert.match(text.slice(from, to), /zebras/);
  });

  test("tells a stretch whose sentences are all alike", () => {
    const same = Array.from({ length: 260 }, () => "The gauge reads low at noon.").join(" ");
    assert.ok(voiceOf(same).every(({ isUniform }) => isUniform));
  });

  test("says nothing of a short text", () => assert.deepEqual(voiceOf(BAR), []));
});
