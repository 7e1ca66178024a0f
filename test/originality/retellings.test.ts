import assert from "node:assert/strict";
import { describe, test } from "node:test";
import {
  freshOnes,
  RetoldSources,
  stemmedText,
  withoutWords,
} from "../../src/core/originality/retellings.ts";
import { comparedWords } from "../../src/core/originality/words.ts";

const SOURCE = [
  "The first survey of the harbour was made by two pilots in a rowing boat. They sounded every twenty yards with a lead line, and wrote the depths on the back of a sail.",
  "How often this has to be done cannot be laid down once and for all. It follows the rainfall in the valley behind the harbour, because it is fine silt and not sand that finds its way through so small an opening. In eleven wells that were watched for six years, those below a muddy stream needed clearing three times a year, and those on an open beach once in two years.",
  "Lamps were lit at dusk by a boy who was paid a penny a night. He carried a ladder from post to post and was never known to fall from it.",
].join("\n\n");
const RETOLD =
  "No fixed interval can be laid down. Wells below muddy streams needed three clearings a year when eleven of them were watched for six years; the open beaches needed one in two years. What matters is the rainfall behind the harbour, since silt is fine enough to find its way through the opening and sand is not.";
const OTHER =
  "The keeper's garden was dug in spring and planted with beans. His daughter sold them at the market on Fridays, and with the money bought paint for the boat, which leaked all the same.";

function find(text: string, sources: readonly string[] = [SOURCE]) {
  const retold = new RetoldSources();
  for (const [at, source] of sources.entries()) retold.add(`${at}`, source);
  return retold.find(stemmedText(text, comparedWords(text)));
}

describe("passages told again", () => {
  test("are found by stems, as possible, with the words they have in common", () => {
    const [found] = find(RETOLD);
    assert.ok(found);
    assert.equal(found.tier, "possible");
    const own = comparedWords(SOURCE);
    const text = SOURCE.slice(own.from[found.sourceFrom], own.to[found.sourceTo - 1]);
    assert.match(text, /eleven wells/);
    const words = comparedWords(RETOLD);
    for (const [one, other] of found.pairs) {
      const [mine, theirs] = [words.from[one], own.from[other]].map((at) => at ?? -1);
      const two = [RETOLD.slice(mine, (mine ?? 0) + 3), SOURCE.slice(theirs, (theirs ?? 0) + 3)];
      assert.equal(two[0]?.toLowerCase(), two[1]?.toLowerCase());
    }
    let before: readonly [number, number] = [-1, -1];
    for (const pair of found.pairs) {
      assert.ok(pair[0] > before[0] && pair[1] > before[1], "they keep their order");
      before = pair;
    }
  });

  test("are not seen in what only has its subject in common, nor in a short line", () => {
    assert.deepEqual(find(OTHER), []);
    assert.deepEqual(
      find("The harbour has wells, silt, sand and beaches, and rain falls on it."),
      [],
    );
    assert.deepEqual(find(""), []);
    assert.deepEqual(find(RETOLD, []), []);
  });

  test("go with their source when it is taken away", () => {
    const retold = new RetoldSources();
    const text = stemmedText(RETOLD, comparedWords(RETOLD));
    retold.add("a", SOURCE);
    assert.equal(retold.find(text).length, 1);
    retold.remove("a");
    assert.deepEqual(retold.find(text), []);
  });

  test("count only where most of them was not found before", () => {
    const [one] = find(RETOLD);
    assert.ok(one);
    assert.equal(freshOnes([one], []).length, 1);
    assert.equal(freshOnes([one], [{ ...one, to: one.from + 5 }]).length, 1);
    assert.equal(freshOnes([one], [{ ...one, tier: "identical" }]).length, 0);
  });
});

describe("a text in which words were found before", () => {
  test("is judged by the others alone", () => {
    const copied =
      "In eleven wells that were watched for six years, those below a muddy stream needed clearing three times a year, and those on an open beach once in two years.";
    const text = `${OTHER.split(". ")[0]}. ${copied} The boat leaked all the same.`;
    const retold = new RetoldSources();
    retold.add("a", SOURCE);
    const stems = stemmedText(text, comparedWords(text));
    assert.equal(retold.find(stems).length, 1);
    const before = comparedWords(text.slice(0, text.indexOf(copied))).hashes.length;
    const found = [before, before + comparedWords(copied).hashes.length] as const;
    assert.deepEqual(retold.find(withoutWords(stems, [found])), []);
    assert.equal(withoutWords(stems, []), stems);
  });
});

describe("a text by its stems", () => {
  test("has none for function words and numbers, and the same for the forms of a word", () => {
    const text = "It dredged the 12 harbours. Dredging a harbour is slow.";
    const { stems, starts } = stemmedText(text, comparedWords(text));
    assert.deepEqual(starts, [0, 5]);
    assert.deepEqual([stems[0], stems[2], stems[3]], [0, 0, 0]);
    assert.equal(stems[1], stems[5]);
    assert.equal(stems[4], stems[7]);
  });
});
