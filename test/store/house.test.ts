import "../support/browser-globals.ts";
import assert from "node:assert/strict";
import { beforeEach, describe, test } from "node:test";
import { ruleSchema } from "../../src/core/house/rules.ts";
import { EMPTY_STYLE } from "../../src/core/house/style.ts";
import { houseDatabase } from "../../src/store/databases.ts";
import {
  addHouse,
  changeHouse,
  changeStyle,
  deleteHouse,
  forgetDocument,
  listHouses,
  readHouse,
  readLayers,
  readSettings,
  readStyle,
  updateSettings,
} from "../../src/store/house.ts";

const listed = (word: string, document?: string) => ({
  word,
  list: "personal",
  addedAt: "2031-04-02T10:00:00.000Z",
  ...(document === undefined ? {} : { document }),
});

beforeEach(() => houseDatabase.clear());

describe("what a person keeps across documents", () => {
  test("has its defaults before anything is kept, and where what is kept makes no sense", async () => {
    const defaults = await readSettings();
    assert.deepEqual(defaults, {
      author: "",
      demoShelved: false,
      whileTyping: true,
      replaceTyping: false,
      asksShipped: null,
      shelfColumns: null,
    });
    await houseDatabase.setItem("settings", { author: 7 });
    assert.deepEqual(await readSettings(), defaults);
    await houseDatabase.setItem("style", "nonsense");
    assert.deepEqual(await readStyle(), EMPTY_STYLE);
  });

  test("is changed one after the other, however fast that is asked for", async () => {
    await Promise.all([
      updateSettings({ author: "I. Pellow" }),
      updateSettings({ demoShelved: true }),
      updateSettings({ whileTyping: false }),
    ]);
    assert.deepEqual(await readSettings(), {
      author: "I. Pellow",
      demoShelved: true,
      whileTyping: false,
      replaceTyping: false,
      asksShipped: null,
      shelfColumns: null,
    });
    const words = ["float", "well", "staff", "ebb"];
    await Promise.all(
      words.map((word) =>
        changeStyle((style) => ({ ...style, words: [...style.words, listed(word)] })),
      ),
    );
    assert.deepEqual(
      (await readStyle()).words.map(({ word }) => word),
      words,
    );
  });

  test("goes on after a change that failed, which is told to whoever asked for it", async () => {
    const failing = changeStyle(() => {
      throw new Error("of its own");
    });
    const after = changeStyle((style) => ({ ...style, words: [listed("ebb")] }));
    await assert.rejects(failing, /of its own/);
    await after;
    assert.equal((await readStyle()).words.length, 1);
  });

  test("takes over word lists as they were kept before there were several", async () => {
    await houseDatabase.setItem("words", { words: [listed("Brundlemore")] });
    assert.deepEqual(
      (await readStyle()).words.map(({ word }) => word),
      ["Brundlemore"],
    );
  });

  test("forgets a document's name and keeps its words", async () => {
    await changeStyle((style) => ({
      ...style,
      words: [listed("float", "a"), listed("well", "b"), listed("staff")],
    }));
    await forgetDocument("a");
    await forgetDocument("nobody");
    assert.deepEqual(
      (await readStyle()).words.map(({ word, document }) => [word, document]),
      [
        ["float", undefined],
        ["well", "b"],
        ["staff", undefined],
      ],
    );
  });
});

describe("houses", () => {
  const use = ruleSchema.parse({ id: "use", type: "term", not: ["utilise"], use: ["use"] });

  test("are several, each with a name of its own", async () => {
    const press = await addHouse("Gannet Head Press");
    const again = await addHouse("Gannet Head Press", { ...press, rules: [use] });
    assert.deepEqual([press.id, again.id], ["gannet-head-press", "gannet-head-press-2"]);
    await addHouse("Albion Review");
    assert.deepEqual(
      (await listHouses()).map(({ name, rules }) => [name, rules.length]),
      [
        ["Albion Review", 0],
        ["Gannet Head Press", 0],
        ["Gannet Head Press", 1],
      ],
    );
  });

  test("are the layers of a document in its order, above what holds for every document", async () => {
    const press = await addHouse("Press");
    const review = await addHouse("Review");
    const layers = await readLayers([review.id, "gone", press.id]);
    assert.deepEqual(
      layers.map(({ id }) => id),
      ["review", "press", "own"],
    );
  });

  test("lose nothing when two tabs change one at once, and say when one is gone", async () => {
    const { id } = await addHouse("Press");
    const add = (name: string) =>
      changeHouse(id, (now) => ({ ...now, rules: [...now.rules, { ...use, id: name }] }));
    await Promise.all([add("a"), add("b"), add("c")]);
    assert.deepEqual(
      (await readHouse(id))?.rules.map((rule) => rule.id),
      ["a", "b", "c"],
    );
    await deleteHouse(id);
    assert.equal(await readHouse(id), null);
    await assert.rejects(add("d"), /removed/);
  });
});
