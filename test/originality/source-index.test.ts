import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { Collection, printsOf } from "../../src/core/originality/collection.ts";
import { fingerprintsOf } from "../../src/core/originality/fingerprints.ts";
import { MOST_PLACES, SourceIndex } from "../../src/core/originality/source-index.ts";
import { seeded } from "../support/random.ts";

const random = seeded(9);
const text = (length: number) => Uint32Array.from({ length }, () => Math.floor(random() * 2 ** 32));
const sources = Array.from({ length: 12 }, (_, at) => [`s${at}`, text(300)] as const);
const prints = sources.map(([id, words]) => [id, fingerprintsOf(words)] as const);

/** Every place of every fingerprint, found the slow way. */
function slowly(hash: number, ids = new Set(sources.map(([id]) => id))) {
  return prints.flatMap(([id, { hashes, gaps }]) => {
    let word = 0;
    return [...hashes].flatMap((own, at) => {
      word += gaps[at] ?? 0;
      return own === hash && ids.has(id) ? [{ source: id, word }] : [];
    });
  });
}

const sorted = (places: { source: string; word: number }[]) =>
  places.map(({ source, word }) => `${source} ${word}`).sort();

describe("an index of sources", () => {
  test("finds each fingerprint where it stands", () => {
    const index = new SourceIndex(prints);
    for (const [, { hashes }] of prints) {
      for (const hash of hashes) assert.deepEqual(sorted(index.find(hash)), sorted(slowly(hash)));
    }
    assert.deepEqual(index.find(12345), []);
  });

  test("is the same when sources come one by one, and when some are taken away", () => {
    const index = new SourceIndex();
    for (const one of prints) index.add([one]);
    for (const id of ["s2", "s7", "s11"]) index.remove(id);
    index.add([prints[7] as (typeof prints)[number]]);
    const left = new Set(sources.map(([id]) => id).filter((id) => id !== "s2" && id !== "s11"));
    for (const [, { hashes }] of prints) {
      for (const hash of hashes)
        assert.deepEqual(sorted(index.find(hash)), sorted(slowly(hash, left)));
    }
    assert.equal(index.words, left.size * 300);
  });

  test("goes into a file and comes back", () => {
    const back = SourceIndex.fromBytes(new SourceIndex(prints).toBytes());
    assert.ok(back);
    assert.deepEqual(
      back.sources,
      sources.map(([id]) => id),
    );
    for (const hash of prints[3]?.[1].hashes ?? [])
      assert.deepEqual(sorted(back.find(hash)), sorted(slowly(hash)));
  });

  test("refuses what is no such file, cut short or of another version", () => {
    const bytes = new SourceIndex(prints).toBytes();
    assert.equal(SourceIndex.fromBytes(new Uint8Array(3)), null);
    assert.equal(SourceIndex.fromBytes(bytes.slice(0, bytes.length - 5)), null);
    const other = bytes.slice();
    other[7] = 99;
    assert.equal(SourceIndex.fromBytes(other), null);
  });

  test("says nothing of a fingerprint that stands in very many places", () => {
    const [, words] = sources[0] as (typeof sources)[number];
    const many = Array.from(
      { length: MOST_PLACES + 1 },
      (_, at) => [`m${at}`, fingerprintsOf(words)] as const,
    );
    const hash = fingerprintsOf(words).hashes[0] ?? 0;
    assert.equal(new SourceIndex(many.slice(0, -1)).find(hash).length, MOST_PLACES);
    assert.deepEqual(new SourceIndex(many).find(hash), []);
  });

  test("answers the first bits of a fingerprint with all that begin so", () => {
    const index = new SourceIndex(prints);
    for (const hash of prints[5]?.[1].hashes ?? []) {
      const found = index.withPrefix(hash >>> 12, 20);
      assert.ok(found.some((one) => one.hash === hash));
      assert.ok(found.every((one) => one.hash >>> 12 === hash >>> 12));
    }
  });

  test("a collection keeps words and frames in one file", () => {
    const collection = new Collection();
    collection.add(sources.map(([id, words]) => ({ id, prints: printsOf(words), words })));
    const back = Collection.fromBytes(collection.toBytes());
    assert.equal(back?.size, sources.length);
    assert.equal(back?.wordCountOf("s4"), 300);
    assert.equal(Collection.fromBytes(new Uint8Array(20)), null);
  });
});
