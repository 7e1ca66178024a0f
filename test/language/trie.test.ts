import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { packTrie, type Respelling, Trie } from "../../src/core/language/words/trie.ts";
import { seeded } from "../support/random.ts";

const random = seeded(5);

function randomWord(): string {
  const letters = "abcde";
  const length = 1 + Math.floor(random() * 7);
  return Array.from({ length }, () => letters[Math.floor(random() * letters.length)]).join("");
}

/** Restricted Damerau-Levenshtein distance by its definition, with memory. */
function distance(a: string, b: string): number {
  const known = new Map<string, number>();
  const from = (i: number, j: number): number => {
    if (i === 0 || j === 0) return i + j;
    const key = `${i} ${j}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    let best = Math.min(
      from(i - 1, j) + 1,
      from(i, j - 1) + 1,
      from(i - 1, j - 1) + (a[i - 1] === b[j - 1] ? 0 : 1),
    );
    if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1]) {
      best = Math.min(best, from(i - 2, j - 2) + 1);
    }
    known.set(key, best);
    return best;
  };
  return from(a.length, b.length);
}

describe("a packed trie", () => {
  const words = new Set(Array.from({ length: 800 }, randomWord));
  const trie = new Trie(packTrie(words));
  const all = trie.select(() => true);

  test("holds exactly the words it was made of, each under a number of its own", () => {
    assert.equal(trie.wordCount, words.size);
    const listed = [...trie.words()];
    assert.deepEqual(new Set(listed.map(({ word }) => word)), words);
    for (const { word, index } of listed) assert.equal(trie.find(word), index);
    for (let run = 0; run < 500; run++) {
      const word = randomWord();
      assert.equal(trie.find(word) >= 0, words.has(word));
    }
  });

  test("finds exactly the words within a distance, by the definition of distance", () => {
    for (let run = 0; run < 120; run++) {
      const query = randomWord();
      for (const limit of [0, 1, 2, 3]) {
        const wanted = [...words].filter((word) => distance(query, word) <= limit).sort();
        const found = trie.near(query, limit, all).map(({ word }) => word);
        assert.deepEqual(found.sort(), wanted, `${query} within ${limit}`);
      }
    }
  });

  test("finds only what was selected, and holds other beginnings to a smaller distance", () => {
    const short = trie.select((index) => index % 3 === 0);
    for (let run = 0; run < 60; run++) {
      const query = randomWord();
      const found = trie.near(query, 2, short);
      assert.ok(found.every(({ index }) => index % 3 === 0));
      const wanted = [...words].filter((word) => {
        const near = distance(query, word);
        return word[0] === query[0] || word[0] === query[1] ? near <= 2 : near <= 1;
      });
      assert.deepEqual(
        trie
          .near(query, 2, all, 1)
          .map(({ word }) => word)
          .sort(),
        wanted.sort(),
      );
    }
  });

  test("passes over words it cannot hold, and refuses bytes that are no trie", () => {
    const odd = new Trie(packTrie(["tide", "", "żagiel", "x".repeat(80), "tide"]));
    assert.deepEqual(
      [...odd.words()].map(({ word }) => word),
      ["tide"],
    );
    assert.throws(() => new Trie(new Uint8Array(3)), RangeError);
    assert.throws(() => new Trie(Uint8Array.of(9, 0, 0, 0, 1, 0, 0, 0, 1)), RangeError);
  });
});

describe("words respelled", () => {
  const spellings: Respelling[] = [
    { typed: "f", meant: "ph", last: false },
    { typed: "k", meant: "c", last: false },
    { typed: "i", meant: "y", last: false },
    { typed: "er", meant: "re", last: true },
    { typed: "u", meant: "ou", last: false },
  ];
  const letters = ["f", "ph", "k", "c", "i", "y", "er", "re", "ou", "u", "t", "n"];

  /** All that a query may stand for, with the fewest places that are spelled otherwise. */
  function allMeant(query: string, limit: number): Map<string, number> {
    const found = new Map<string, number>();
    const go = (at: number, word: string, times: number) => {
      if (at === query.length) {
        found.set(word, Math.min(times, found.get(word) ?? times));
        return;
      }
      go(at + 1, word + query[at], times);
      if (times === limit) return;
      for (const { typed, meant, last } of spellings) {
        if (!query.startsWith(typed, at) || (last && at + typed.length < query.length)) continue;
        go(at + typed.length, word + meant, times + 1);
      }
    };
    go(0, "", 0);
    return found;
  }

  test("are those that trying all spellings finds, each with its fewest times", () => {
    const random = seeded(31);
    const some = () =>
      Array.from({ length: 1 + Math.floor(random() * 4) }, () => {
        return letters[Math.floor(random() * letters.length)] ?? "";
      }).join("");
    for (let round = 0; round < 60; round++) {
      const words = [...new Set(Array.from({ length: 80 }, some))];
      const trie = new Trie(packTrie(words));
      const all = trie.select(() => true);
      for (let asked = 0; asked < 20; asked++) {
        const query = some();
        const limit = Math.floor(random() * 4);
        const found = trie.respelled(query, spellings, limit, all);
        const meant = allMeant(query, limit);
        const expected = words.filter((word) => meant.has(word)).sort();
        assert.deepEqual(found.map(({ word }) => word).sort(), expected, query);
        for (const { word, times } of found)
          assert.equal(times, meant.get(word), `${query} ${word}`);
      }
    }
  });

  test("are found in capitals as well, and only among those of interest", () => {
    const trie = new Trie(packTrie(["Phone", "phone", "foe"]));
    const all = trie.select(() => true);
    const found = trie.respelled("fone", spellings, 1, all).map(({ word }) => word);
    assert.deepEqual(found.sort(), ["Phone", "phone"]);
    const none = trie.select(() => false);
    assert.deepEqual(trie.respelled("fone", spellings, 1, none), []);
    assert.deepEqual(trie.respelled("", spellings, 2, all), []);
  });
});
