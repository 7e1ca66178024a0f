import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { fingerprintsOf, OF_FRAMES, OF_WORDS } from "../../src/core/originality/fingerprints.ts";
import { frameOf } from "../../src/core/originality/frames.ts";
import { comparedWords, wordHash } from "../../src/core/originality/words.ts";
import { seeded } from "../support/random.ts";

const hashes = (text: string) => [...comparedWords(text).hashes];

describe("the words that are compared", () => {
  const same: [string, string, string][] = [
    ["case", "The Ebb Tide", "the ebb tide"],
    ["punctuation", "Sand, silt; and mud.", "sand silt and mud"],
    ["the hyphen of a compound", "a stilling-well", "a stilling well"],
    ["a straight and a typographic apostrophe", "don't", "don’t"],
    ["an apostrophe left out", "the keepers' oar", "the keepers oar"],
    ["a soft hyphen", "har\u00adbour", "harbour"],
    ["a word broken over lines", "the har-\nbour", "the harbour"],
    ["a ligature", "the \ufb02oat", "the float"],
    ["marks on letters", "façade", "facade"],
    ["composed and decomposed letters", "caf\u00e9", "cafe\u0301"],
    ["full-width letters", "\uff34ide", "tide"],
  ];
  for (const [what, one, other] of same) {
    test(`${what} makes no difference`, () => assert.deepEqual(hashes(one), hashes(other)));
  }

  test("different words have different hashes", () => {
    assert.notEqual(wordHash("ebb"), wordHash("flood"));
    assert.equal(wordHash("…"), 0);
  });

  test("every word is told with its place", () => {
    const text = "“Sand,” said Orrin’s 3rd keeper.";
    const { from, to } = comparedWords(text);
    assert.deepEqual(
      [...from].map((start, at) => text.slice(start, to[at])),
      ["Sand", "said", "Orrin’s", "3rd", "keeper"],
    );
  });

  test("a character beyond the basic plane parts words and costs nothing", () => {
    assert.deepEqual(hashes("ebb 🌊 flood"), hashes("ebb flood"));
    assert.deepEqual(hashes(""), []);
  });
});

describe("fingerprints", () => {
  const random = seeded(4);
  const words = Uint32Array.from({ length: 4000 }, () => Math.floor(random() * 2 ** 32));
  const places = (of: Uint32Array, winnowing = OF_WORDS) => {
    const { hashes: own, gaps } = fingerprintsOf(of, winnowing);
    let at = 0;
    return [...own].map((hash, index) => {
      at += gaps[index] ?? 0;
      return { hash, at };
    });
  };

  // Schleimer, Wilkerson, Aiken (2003), section 3: any match as long as the guarantee threshold
  // t = w + k - 1 is found, and the density of fingerprints of random text is 2 / (w + 1).
  test("every shared run of eight words shares one", () => {
    for (let start = 0; start < 400; start += 7) {
      const other = Uint32Array.from({ length: 60 }, () => Math.floor(random() * 2 ** 32));
      other.set(words.subarray(start, start + 8), 20);
      const known = new Set(places(words).map(({ hash }) => hash));
      assert.ok(places(other).some(({ hash }) => known.has(hash)));
    }
  });

  test("of random words two in five have one", () => {
    const density = places(words).length / words.length;
    assert.ok(Math.abs(density - 2 / 5) < 0.02, String(density));
  });

  test("no gap is longer than the window", () => {
    for (const winnowing of [OF_WORDS, OF_FRAMES]) {
      const { gaps } = fingerprintsOf(words, winnowing);
      assert.ok(gaps.every((gap) => gap <= winnowing.window));
    }
  });

  test("a text shorter than a run has none, one of a run has one", () => {
    assert.equal(fingerprintsOf(words.subarray(0, 4)).hashes.length, 0);
    assert.equal(fingerprintsOf(words.subarray(0, 5)).hashes.length, 1);
  });

  test("a frame keeps function words and forgets the others", () => {
    const frame = (text: string) => [...frameOf(comparedWords(text).hashes)];
    assert.deepEqual(frame("The ebb of the tide"), frame("The colour of the sky"));
    assert.notDeepEqual(frame("The ebb of the tide"), frame("An ebb of the tide"));
  });
});
