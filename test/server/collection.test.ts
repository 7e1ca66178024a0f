import assert from "node:assert/strict";
import { readFileSync } from "node:fs";
import path from "node:path";
import { describe, test } from "node:test";
import {
  askedPlaces,
  PREFIX_BITS,
  readAsked,
  readPlaces,
} from "../../src/core/originality/asking.ts";
import { printsOf } from "../../src/core/originality/collection.ts";
import { comparedWords } from "../../src/core/originality/words.ts";
import { listSources, openText, passagesAt, placesWith } from "../../src/server/collection.ts";

const root = path.resolve(import.meta.dirname, "../..");
const textOf = (name: string) =>
  readFileSync(path.join(root, "data/sources", name), "utf8")
    .split("\n\n")
    .slice(1)
    .join("\n\n");

describe("the collection that ships", () => {
  test("has at least 3,000 texts, each with origin and licence", async () => {
    const list = await listSources("", 0);
    assert.ok(list.sources >= 3000, String(list.sources));
    assert.ok(list.rows.every(({ origin, licence, words }) => origin && licence && words > 0));
    // What was made up for the demo comes first.
    assert.deepEqual(
      list.rows.slice(0, 3).map(({ title }) => title),
      ["A harbour measured", "Rating a stilling well", "Thesis 88"],
    );
  });

  test("is searched by words of title, author and origin", async () => {
    const found = await listSources("stilling teesdale", 0);
    assert.deepEqual(
      found.rows.map(({ title }) => title),
      ["Rating a stilling well"],
    );
    assert.equal((await listSources("no such thing anywhere", 0)).matching, 0);
  });

  test("finds a text by the first bits of its fingerprints, and fetches what stands there", async () => {
    const { hashes } = comparedWords(textOf("rating-a-stilling-well.txt"));
    const prints = printsOf(hashes);
    const asked = readAsked(askedPlaces(prints));
    assert.ok(asked);
    const places = readPlaces(await placesWith(asked), String);
    assert.ok(places);
    const [own] = (await listSources("rating", 0)).rows;
    for (const hash of prints.words.hashes)
      assert.ok(places.words.get(hash)?.some(({ source }) => source === String(own?.number)));
    const { passages } = await passagesAt([[own?.number ?? 0, 4, 10]]);
    assert.deepEqual(
      passages.map(({ text }) => text),
      ["by Maren Teesdale\n\nA stilling well"],
    );
  });

  test("never gives the text of a closed source, only what it is compared by", async () => {
    const [closed] = (await listSources("thesis 88", 0)).rows;
    assert.equal(closed?.closed, true);
    assert.equal(await openText(closed?.number ?? 0), null);
    const { passages } = await passagesAt([[closed?.number ?? 0, 0, 12]]);
    assert.equal(passages[0]?.text, null);
    const { hashes } = comparedWords(textOf("thesis-88.txt"));
    assert.deepEqual(passages[0]?.words, [...hashes.subarray(0, 12)]);
  });

  test("answers nothing for a source or a stretch that is not there", async () => {
    const { version } = await listSources("", 0);
    assert.deepEqual(await passagesAt([[9_999_999, 0, 5]]), { version, sources: [], passages: [] });
    assert.deepEqual((await passagesAt([[0, 900_000, 900_005]])).passages, []);
    assert.equal(await openText(9_999_999), null);
  });
});

describe("the question about a document", () => {
  const words = textOf("a-harbour-measured.txt");
  const prints = printsOf(comparedWords(words).hashes);
  const question = askedPlaces(prints);

  test("has the first 20 bits of each fingerprint once, sorted, and nothing else", () => {
    const asked = readAsked(question);
    const prefixes = (hashes: Uint32Array) =>
      [...new Set([...hashes].map((hash) => hash >>> (32 - PREFIX_BITS)))].sort((a, b) => a - b);
    assert.deepEqual(asked?.words, prefixes(prints.words.hashes));
    assert.deepEqual(asked?.frame, prefixes(prints.frame.hashes));
    assert.equal(
      question.length,
      8 + 3 * ((asked?.words.length ?? 0) + (asked?.frame.length ?? 0)),
    );
  });

  test("is refused where it is cut short or asks for too much", () => {
    assert.equal(readAsked(new Uint8Array(4)), null);
    assert.equal(readAsked(question.slice(0, -1)), null);
    const much = question.slice();
    new DataView(much.buffer).setUint32(0, 0xffffffff);
    assert.equal(readAsked(much), null);
    assert.equal(readPlaces(new Uint8Array(7), String), null);
  });
});
