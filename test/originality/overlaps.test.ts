import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import { claimsOf } from "../../src/core/originality/claims.ts";
import { Comparison } from "../../src/core/originality/comparison.ts";
import { measured } from "../../src/core/originality/measured.ts";
import { overlapsIn } from "../../src/core/originality/overlaps.ts";
import { comparedBlocks, StockPhrases } from "../../src/core/originality/regions.ts";
import { TextSources } from "../../src/core/originality/text-sources.ts";
import { besideLimit, totalsOf, USUALLY_COUNTED } from "../../src/core/originality/totals.ts";
import { comparedWords } from "../../src/core/originality/words.ts";
import { seeded } from "../support/random.ts";

const WELL =
  "Hang a staff beside the well, on the open face of the quay, and read the two together through one whole tide. If the outside level runs ahead of the inside by more than four minutes at half tide, the orifice is fouled and the well must be cleared before another reading is believed.";
const BAR =
  "The bar lies a cable off the head and moves with every gale of the winter, so that no chart of it is worth the paper after Easter. Pilots go by the colour of the water and by the set of the buoys, and they say that the oldest of them went by the smell.";

const sources = (texts: Record<string, string>) => new TextSources(new Map(Object.entries(texts)));
const NO_STOCK = new StockPhrases("");

/** What is found of a text, each passage as it is written. */
function found(text: string, from: TextSources) {
  const words = comparedWords(text);
  return claimsOf(overlapsIn(words.hashes, from), words.hashes.length).map((one) => ({
    tier: one.tier,
    source: one.source,
    text: text.slice(words.from[one.from], words.to[one.to - 1]),
    also: one.alsoIn.map(({ source }) => source),
  }));
}

function compare(text: string, from: TextSources, stock = NO_STOCK) {
  return new Comparison(from, stock).lookAtOnce(comparedBlocks(linesManuscript(text)));
}

describe("passages that a text shares with sources", () => {
  test("word for word, to the word", () => {
    const [first] = WELL.split(". If");
    const [only, ...others] = found(`We did this. ${first}. Then we went home.`, sources({ WELL }));
    assert.deepEqual(others, []);
    assert.deepEqual([only?.tier, only?.text], ["identical", first]);
  });

  test("lightly changed where a word in eight is another", () => {
    const changed = WELL.replace("open face", "outer side").replace("fouled", "choked");
    assert.equal(found(changed, sources({ WELL }))[0]?.tier, "near");
  });

  test("eight words in a row are no passage, nine are", () => {
    const words = WELL.split(" ");
    const rest = "and nothing else was ever said about it by anybody here";
    assert.deepEqual(found(`${words.slice(0, 8).join(" ")} ${rest}`, sources({ WELL })), []);
    assert.equal(found(`${words.slice(0, 9).join(" ")} ${rest}`, sources({ WELL })).length, 1);
  });

  test("two sentences in another order are both found", () => {
    const [one = "", other = ""] = WELL.split(". If");
    const text = `If${other} ${one}.`;
    const all = found(text, sources({ WELL })).map((passage) => passage.text.length);
    assert.ok(all.reduce((sum, length) => sum + length, 0) > text.length * 0.95);
  });

  test("a mosaic of two sources names both", () => {
    const [a = "", b = ""] = WELL.split(". If");
    const [c = "", d = ""] = BAR.split(". Pilots");
    const names = found(`${a}. ${c}. If${b} Pilots${d}`, sources({ WELL, BAR }));
    assert.deepEqual([...new Set(names.map(({ source }) => source))].sort(), ["BAR", "WELL"]);
  });

  test("a word counts for one source, and others that have it are named", () => {
    const passages = found(WELL, sources({ a: `${WELL} ${BAR}`, b: WELL }));
    assert.deepEqual(
      passages.map(({ source, also }) => [source, also]),
      [["a", ["b"]]],
    );
  });

  test("other nouns and verbs in the same sentences are possible, and no more", () => {
    const frame =
      "Every summer the new customs station surveys sandy basins near iron bridges with short brass rods, and careful officers note deep soundings in paper files that nobody checks before the autumn repair contract starts for passenger ferries and rowing craft.";
    const source =
      "Every winter the old harbour office measures muddy channels near wooden piers with long chain poles, and patient clerks record shallow depths in leather books that nobody reads before the spring dredging season opens for coasting traders and fishing boats.";
    assert.deepEqual(
      found(frame, sources({ source })).map(({ tier }) => tier),
      ["possible"],
    );
  });

  test("unrelated texts share nothing", () => assert.deepEqual(found(BAR, sources({ WELL })), []));
});

describe("what is kept out of the count", () => {
  const kept = (text: string, stock = NO_STOCK) =>
    compare(text, sources({ WELL }), stock).passages.map(({ keptOut, uncited }) =>
      uncited ? "uncited" : keptOut,
    );
  const quoted = WELL.split(". If")[0] ?? "";

  const quotations: [string, string][] = [
    ["author and year behind", `As she wrote, “${quoted}” (Teesdale, 2021, p. 4).`],
    ["author and year before", `Teesdale (2021) writes: "${quoted}."`],
    ["a number", `It is said: “${quoted}” [12].`],
    ["author and page", `The rule is old: ‘${quoted}’ (Teesdale 31).`],
    ["a raised figure", `The rule is old: “${quoted}.”² It is still good.`],
    ["French marks", `La règle: « ${quoted} » (Teesdale, 2021).`],
  ];
  for (const [how, text] of quotations) {
    test(`a quotation with ${how}`, () => assert.deepEqual(kept(text), ["quoted"]));
  }

  test("a quotation without a citation counts, and is told as one", () => {
    assert.deepEqual(kept(`Keepers say “${quoted}” and leave it at that.`), ["uncited"]);
  });

  test("the year of another sentence cites nothing", () => {
    const text = `Keepers say “${quoted}.” The mole fell. It was mended by Penhale (1982).`;
    assert.deepEqual(kept(text), ["uncited"]);
  });

  test("a list of references", () => {
    const entries = [
      "Orrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom: a comparison. Proceedings of the Observatory, 11, 40–52.",
      "Teesdale, M. (2019). Seven years of the sand trap at Port Carrow on a coast of sand. Coastal Works Quarterly, 33(2), 118–131.",
    ];
    const text = `A harbour fills.\n\nReferences\n\n${entries.join("\n\n")}`;
    const passages = compare(text, sources({ list: entries.join("\n") })).passages;
    assert.ok(passages.length > 0);
    assert.ok(passages.every(({ keptOut }) => keptOut === "reference"));
  });

  test("a phrase that belongs to nobody", () => {
    const stock = new StockPhrases(`# told of\n${quoted.toUpperCase()}`);
    assert.deepEqual(kept(`${quoted}.`, stock), ["stock"]);
  });

  test("a passage half in quotation marks is two", () => {
    const [one, other] = [quoted.slice(0, 62), quoted.slice(62)];
    assert.deepEqual(kept(`Teesdale (2021): “${one}”${other}.`), ["quoted", null]);
  });
});

describe("figures and limits", () => {
  const text = `${BAR}\n${WELL}\nAs she wrote, “${WELL.split(". If")[0]}” (Teesdale, 2021).`;
  const { passages, words } = compare(text, sources({ WELL, BAR }));

  test("every switch changes the totals", () => {
    const usual = totalsOf(passages, words, USUALLY_COUNTED);
    const keepsOut = { ...USUALLY_COUNTED.keepsOut, quoted: false };
    const all = totalsOf(passages, words, { ...USUALLY_COUNTED, keepsOut });
    assert.ok(usual.keptOut.quoted > 15);
    assert.equal(all.words, usual.words + usual.keptOut.quoted);
    assert.equal(
      usual.words,
      Object.values(usual.byTier).reduce((sum, one) => sum + one, 0),
    );
    assert.equal(
      usual.words,
      usual.bySource.reduce((sum, one) => sum + one.words, 0),
    );
  });

  test("over a limit the longest passages come first, and are enough", () => {
    const totals = totalsOf(passages, words, USUALLY_COUNTED);
    const beside = besideLimit(passages, totals, USUALLY_COUNTED, 0.3);
    assert.equal(beside.over, totals.words - Math.floor(words * 0.3));
    const mended = beside.first.reduce((sum, one) => sum + one.words[1] - one.words[0], 0);
    assert.ok(mended >= beside.over);
    assert.deepEqual(besideLimit(passages, totals, USUALLY_COUNTED, 1).first, []);
  });
});

test("a new wording is measured by the runs of words it still shares", () => {
  const source = comparedWords(WELL).hashes;
  assert.equal(measured(WELL, source).shared, comparedWords(WELL).hashes.length);
  const text = "Put up a pole, and read the two together for a day.";
  const { shared, words, same } = measured(text, source);
  assert.deepEqual(
    same.map(([from, to]) => text.slice(from, to)),
    ["and read the two together"],
  );
  assert.deepEqual([shared, words], [5, 12]);
  assert.equal(measured("", source).words, 0);
});

describe("after edits", () => {
  const random = seeded(31);
  const from = sources({ WELL, BAR });

  test("what is looked at again is what a first look finds, over 200 edits", () => {
    const lines = [BAR, "A line of our own words about nothing.", WELL, "The end of it.", BAR];
    const comparison = new Comparison(from, NO_STOCK);
    comparison.lookAtOnce(comparedBlocks(linesManuscript(lines.join("\n"))));
    for (let edit = 0; edit < 200; edit++) {
      const at = Math.floor(random() * lines.length);
      const words = (lines[at] ?? "").split(" ");
      const word = Math.floor(random() * words.length);
      if (random() < 0.5) words.splice(word, 1 + Math.floor(random() * 6));
      else words.splice(word, 0, ...(random() < 0.5 ? ["tide"] : WELL.split(" ").slice(4, 20)));
      lines[at] = words.join(" ");
      const blocks = comparedBlocks(linesManuscript(lines.join("\n")));
      const again = comparison.lookAtOnce(blocks);
      const anew = new Comparison(from, NO_STOCK).lookAtOnce(blocks);
      assert.deepEqual(
        again.passages.map(({ from: start, to, source, tier }) => ({ start, to, source, tier })),
        anew.passages.map(({ from: start, to, source, tier }) => ({ start, to, source, tier })),
        `edit ${edit}`,
      );
    }
  });
});
