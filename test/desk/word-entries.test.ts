import assert from "node:assert/strict";
import { afterEach, describe, mock, test } from "node:test";
import { WORDNET_VERSION } from "../../src/core/language/meanings/word-net.ts";
import { fetchEntry } from "../../src/ui/desk/word-entries.ts";

const asked: string[] = [];

/** Answers with one sense of each word, or not at all. */
function answer(status = 200): void {
  mock.method(globalThis, "fetch", async (url: string) => {
    asked.push(url);
    const word = decodeURIComponent(url.split("/").at(-1) ?? "");
    const sense = {
      part: "noun",
      definition: "rise and fall of the sea",
      synonyms: [],
      related: [],
      examples: [],
    };
    return new Response(JSON.stringify({ word, senses: [sense] }), { status });
  });
}

afterEach(() => {
  mock.restoreAll();
  asked.length = 0;
});

describe("word entries", () => {
  test("are asked for once, at an address that carries the version of the data", async () => {
    answer();
    const [one, other] = await Promise.all([fetchEntry("tide"), fetchEntry("tide")]);
    assert.equal(one, other);
    assert.deepEqual(asked, [`/api/words/${WORDNET_VERSION}/tide`]);
    assert.equal(one.word, "tide");
  });

  test("that could not be had are asked for again", async () => {
    answer(503);
    await assert.rejects(fetchEntry("ebb"), /503/);
    mock.restoreAll();
    answer();
    assert.equal((await fetchEntry("ebb")).word, "ebb");
  });

  test("are not asked for where there is no word", async () => {
    answer();
    assert.deepEqual(await fetchEntry("../../secret"), { word: "../../secret", senses: [] });
    assert.deepEqual(asked, []);
  });

  test("that are not as they should be are refused", async () => {
    mock.method(globalThis, "fetch", async () => new Response(JSON.stringify({ word: 7 })));
    await assert.rejects(fetchEntry("flood"));
  });
});
