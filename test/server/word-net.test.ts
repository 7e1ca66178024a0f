import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { wordNetLines } from "../../scripts/corpus/wordnet.ts";
import {
  askedWordSchema,
  parseSynset,
  type Synset,
  senseOf,
  synsetLine,
  wordEntrySchema,
} from "../../src/core/language/meanings/word-net.ts";
import { findEntry } from "../../src/server/word-net.ts";

describe("a meaning as a line", () => {
  const synset: Synset = {
    part: "noun",
    words: ["tide gauge", "mareograph"],
    definition: "an instrument that records the tide",
    examples: ["the tide gauge stopped at noon"],
    relations: [
      { kind: "@", id: 12345, source: 0, target: 0 },
      { kind: "!", id: 7, source: 2, target: 1 },
      { kind: "%p", id: 99, source: 0, target: 0 },
    ],
  };

  test("leads back to the meaning", () => {
    assert.deepEqual(parseSynset(synsetLine(synset)), synset);
  });

  test("is a sense of one of its words, with the relations of that word alone", () => {
    const wordsOf = (id: number) => (id === 7 ? ["ebb table", "x"] : [`word ${id}`]);
    const own = senseOf("Tide gauge", synset, wordsOf);
    assert.deepEqual(own.synonyms, ["mareograph"]);
    assert.deepEqual(
      own.related.map(({ relation }) => relation),
      ["broader", "part"],
    );
    const other = senseOf("mareograph", synset, wordsOf);
    assert.deepEqual(other.related[0], { relation: "opposite", words: ["ebb table"] });
  });
});

describe("an entry", () => {
  test("has the definitions that the WordNet database has, in its order", async () => {
    let compared = 0;
    for (const [part, file] of [
      ["noun", "index.noun"],
      ["verb", "index.verb"],
      ["adj", "index.adj"],
    ] as const) {
      const glosses = new Map(
        wordNetLines(`data.${part}`).map((line) => [line.slice(0, 8), line.split(" | ")[1] ?? ""]),
      );
      for (const [index, line] of wordNetLines(file).entries()) {
        if (index % 4001 !== 0) continue;
        const fields = line.trim().split(" ");
        const word = (fields[0] ?? "").replaceAll("_", " ");
        const entry = await findEntry(word);
        assert.ok(entry, word);
        wordEntrySchema.parse(entry);
        const senses = entry.senses.filter((sense) => sense.part === part);
        const offsets = fields.slice(-Number(fields[2]));
        assert.equal(senses.length, offsets.length, word);
        for (const [order, offset] of offsets.entries()) {
          const start = (senses[order]?.definition ?? "").slice(0, 20);
          assert.ok(glosses.get(offset)?.includes(start), `${word}: ${start}`);
          compared++;
        }
      }
    }
    assert.ok(compared > 40, String(compared));
  });

  test("is found in any capitals, and is null for what is no word of it", async () => {
    assert.ok(await findEntry("Harbour"));
    assert.equal(await findEntry("quillfrost"), null);
  });

  test("is asked for by words only", () => {
    for (const word of ["tide", "stilling-well", "o'clock", "tide gauge", "café", "3-D"]) {
      assert.ok(askedWordSchema.safeParse(word).success, word);
    }
    for (const word of ["", "<b>", "../index", "a".repeat(70), "-x"]) {
      assert.ok(!askedWordSchema.safeParse(word).success, word);
    }
  });
});
