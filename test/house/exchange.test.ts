import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { exportReplacements, exportWords, importFiles } from "../../src/core/house/exchange.ts";
import { merge, takeTheirs } from "../../src/core/house/merge.ts";
import { findReplacements, replacementBefore } from "../../src/core/house/replacements.ts";
import {
  EMPTY_STYLE,
  HOUSE,
  type HouseStyle,
  houseStyleSchema,
  PERSONAL,
  wordsFor,
} from "../../src/core/house/style.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";

const AT = "2031-03-01T09:00:00.000Z";
const bytes = (text: string) => new TextEncoder().encode(text);
const file = (name: string, text: string) => [{ name, bytes: bytes(text) }];
const replacement = (from: string, to: string, exceptions: string[] = []) => ({
  from,
  to,
  exceptions,
  addedAt: AT,
});

describe("lists as files", () => {
  const style: HouseStyle = {
    ...EMPTY_STYLE,
    words: [
      { word: "stilling-well", list: PERSONAL, addedAt: AT, note: "hyphen, as in the manual" },
      { word: "Quillfrost", list: PERSONAL, addedAt: AT },
      { word: "=SUM", list: PERSONAL, addedAt: AT },
    ],
  };

  test("lead back to the same words in every form", () => {
    for (const form of ["txt", "dic", "csv", "json"] as const) {
      const out = exportWords(style.words.slice(0, 2), form);
      const words = importFiles(file(`list.${form}`, out)).words.map(({ word }) => word);
      assert.deepEqual(words.toSorted(), ["Quillfrost", "stilling-well"], form);
    }
    const { words } = importFiles(file("l.csv", exportWords(style.words.slice(0, 1), "csv")));
    assert.equal(words[0]?.note, "hyphen, as in the manual");
  });

  test("hold no formula that a spreadsheet program would run", () => {
    assert.match(exportWords(style.words, "csv"), /^'=SUM,/m);
  });

  test("a dictionary’s affixes make its forms, in the encoding it names", () => {
    const aff = "SET ISO8859-1\nSFX S Y 1\nSFX S 0 s .\n";
    const dic = Uint8Array.from([...bytes("2\nfloat/S\ncaf"), 0xe9, 0x0a]);
    const { words } = importFiles([
      { name: "own.aff", bytes: bytes(aff) },
      { name: "own.dic", bytes: dic },
    ]);
    assert.deepEqual(words.map(({ word }) => word).toSorted(), ["café", "float", "floats"]);
  });

  test("replacements lead back too", () => {
    const out = exportReplacements([replacement("teh", "the", ["Teh Pass", "teh sound"])]);
    assert.deepEqual(importFiles(file("r.csv", out)).replacements, [
      { from: "teh", to: "the", exceptions: ["Teh Pass", "teh sound"] },
    ]);
  });

  test("that are none are refused with a sentence, and lines that are no words passed over", () => {
    assert.throws(() => importFiles(file("a.json", '{"words":')), /not complete/);
    assert.throws(() => importFiles(file("a.json", "7")), /neither/);
    assert.throws(() => importFiles(file("a.aff", "SET UTF-8")), /\.dic/);
    assert.throws(() => importFiles(file("a.pdf", "x")), /\.txt/);
    const { words, notes } = importFiles(file("a.txt", "tide\n<b>\n# note\n"));
    assert.deepEqual(words, [{ word: "tide" }]);
    assert.equal(notes.length, 1);
  });

  test("a whole style is checked by its schema and comes back whole", () => {
    const text = JSON.stringify({ ...style, replacements: [replacement("teh", "the")] });
    assert.deepEqual(
      importFiles(file("s.json", text)).style,
      houseStyleSchema.parse(JSON.parse(text)),
    );
  });
});

describe("merging", () => {
  const mine: HouseStyle = {
    ...EMPTY_STYLE,
    words: [
      { word: "berth", list: HOUSE, addedAt: AT },
      { word: "mole", list: PERSONAL, addedAt: AT, note: "the outer one" },
    ],
    replacements: [replacement("teh", "the")],
  };

  test("takes in what is new, counts what is known and shows what contradicts", () => {
    const imported = importFiles(file("l.csv", "word,note\nmole,the inner one\nebb,\nBerth,\n"));
    const merged = merge(mine, imported, PERSONAL, AT);
    assert.equal(merged.added, 1);
    assert.deepEqual(
      merged.conflicts.map(({ word }) => word),
      ["mole", "berth"],
    );
    assert.equal(merged.style.words.find(({ word }) => word === "mole")?.note, "the outer one");
    const taken = takeTheirs(merged.style, merged.conflicts.slice(0, 1));
    assert.equal(taken.words.find(({ word }) => word === "mole")?.note, "the inner one");
    assert.equal(taken.words.find(({ word }) => word === "berth")?.list, HOUSE);
  });

  test("keeps a slip’s replacement unless the file’s is chosen", () => {
    const imported = importFiles(file("r.txt", "teh → then\nadn -> and\n"));
    const merged = merge(mine, imported, PERSONAL, AT);
    assert.deepEqual(
      merged.style.replacements.map(({ from, to }) => `${from}:${to}`),
      ["teh:the", "adn:and"],
    );
    const taken = takeTheirs(merged.style, merged.conflicts);
    assert.equal(taken.replacements[0]?.to, "then");
  });

  test("the words of a document are the personal, the house and its own subjects’", () => {
    const style = {
      ...mine,
      words: [...mine.words, { word: "fetch", list: "own-1", addedAt: AT }],
    };
    assert.deepEqual(wordsFor(style, []), ["berth", "mole"]);
    assert.deepEqual(wordsFor(style, ["own-1"]), ["berth", "mole", "fetch"]);
  });
});

describe("replacements", () => {
  const list = [
    replacement("teh", "the", ["Teh Pass"]),
    replacement("gh", "Gannet Head"),
    replacement("in fact", "indeed"),
  ];

  test("are of whole words, in the capitals of the place, outside their exceptions", () => {
    const text = "Teh tide at teh Teh Pass, teht. TEH END. In  fact, gh.";
    assert.equal(
      applyEdits(text, findReplacements(text, list)),
      "The tide at the Teh Pass, teht. THE END. Indeed, Gannet Head.",
    );
  });

  test("while typing are of the word that was just ended", () => {
    const text = "It was teh";
    assert.deepEqual(replacementBefore(text, text.length, list), {
      from: 7,
      to: 10,
      insert: "the",
    });
    assert.equal(replacementBefore("It was tehx", 11, list), null);
    assert.equal(replacementBefore("over Teh Pass", 13, list), null);
  });
});
