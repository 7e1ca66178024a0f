import assert from "node:assert/strict";
import { describe, test } from "node:test";
import type { PartOfSpeech, WordEntry } from "../../src/core/language/meanings/word-net.ts";
import { type OtherWordsHost, otherWords } from "../../src/ui/desk/other-words.ts";

type Sense = WordEntry["senses"][number];

const sense = (part: PartOfSpeech, synonyms: string[]): Sense => ({
  part,
  synonyms,
  definition: "what it means",
  examples: [],
  related: [],
});

/** A worker that knows one base of each word, and sets synonyms in capitals where the word has one. */
function host(entries: Record<string, Sense[]>, base = (word: string) => word): OtherWordsHost {
  return {
    aboutWord: async (word) => ({ bases: [base(word.toLowerCase())] }),
    fetchEntry: async (word) => ({ word, senses: entries[word] ?? [] }),
    fitSynonym: async (synonym, written) =>
      /^\p{Lu}/u.test(written) ? synonym[0]?.toUpperCase() + synonym.slice(1) : synonym,
  };
}

describe("other words for a word without a mark", () => {
  const gale = { gale: [sense("noun", ["storm", "blow", "squall"]), sense("noun", ["outburst"])] };

  test("come from each of its meanings in turn, up to a number", async () => {
    assert.deepEqual(await otherWords("gale", "en-GB", 5, host(gale)), [
      "storm",
      "outburst",
      "blow",
      "squall",
    ]);
    assert.deepEqual(await otherWords("gale", "en-GB", 2, host(gale)), ["storm", "outburst"]);
  });

  test("have its form and its capitals, and none is the word itself", async () => {
    const entries = { gale: [sense("noun", ["gale", "storm", "Gale"])] };
    assert.deepEqual(await otherWords("Gale", "en-GB", 5, host(entries)), ["Storm"]);
  });

  test("are those of its base form", async () => {
    const found = await otherWords(
      "gales",
      "en-GB",
      1,
      host(gale, (word) => word.slice(0, -1)),
    );
    assert.deepEqual(found, ["storm"]);
  });

  test("are none where it has no entry", async () => {
    assert.deepEqual(await otherWords("quillfrost", "en-GB", 5, host({})), []);
  });

  test("fail where the entries cannot be reached, for whoever asks to do without", async () => {
    const gone = { ...host({}), fetchEntry: () => Promise.reject(new Error("no server")) };
    await assert.rejects(otherWords("gale", "en-GB", 5, gone), /no server/);
  });
});
