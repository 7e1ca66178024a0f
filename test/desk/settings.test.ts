import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { EMPTY_STYLE, styleStamp } from "../../src/core/house/style.ts";
import type { Setting } from "../../src/core/ledger/decision.ts";
import { shelfRecordSchema } from "../../src/store/shelf.ts";
import { recordWith, settingValue, styleWith } from "../../src/ui/desk/settings.ts";

const NOW = "2031-03-12T10:42:00.000Z";
const record = shelfRecordSchema.parse({
  id: "a",
  title: "The tide",
  fileName: "tide.txt",
  format: "txt",
  kind: "report",
  variety: "en-GB",
  hash: "",
  addedAt: NOW,
  demo: false,
  run: null,
  off: ["wording/vague"],
  place: 0,
});
const style = {
  ...EMPTY_STYLE,
  words: [{ word: "ebb-stone", list: "house", addedAt: NOW }],
};

describe("a setting", () => {
  test("turned and turned back leaves everything as it was", () => {
    const turns: [Pick<Setting, "name" | "of">, Setting["after"]][] = [
      [{ name: "variety" }, "en-US"],
      [{ name: "kind" }, "fiction"],
      [{ name: "appetite", of: "wording/passive" }, "sure"],
      [{ name: "leave", of: "names" }, false],
      [{ name: "subject", of: "medicine" }, true],
      [{ name: "house-appetite", of: "wording/hedge" }, "off"],
      [{ name: "listed", of: "ebb-stone" }, null],
      [{ name: "listed", of: "stilling-well" }, "personal"],
    ];
    for (const [which, after] of turns) {
      const before = settingValue(record, style, which);
      const setting = { ...which, before, after };
      const turned = { ...record, ...recordWith(record, setting, after) };
      const turnedStyle = styleWith(style, setting, after, NOW, "a");
      assert.equal(settingValue(turned, turnedStyle, which), after, which.name);
      const back = { ...turned, ...recordWith(turned, setting, before) };
      const backStyle = styleWith(turnedStyle, setting, before, NOW, "a");
      assert.equal(settingValue(back, backStyle, which), before, which.name);
    }
  });

  test("of a check that was off in an old record is taken from there", () => {
    const which = { name: "appetite", of: "wording/vague" } as const;
    assert.equal(settingValue(record, style, which), "off");
    const changes = recordWith(record, { ...which, before: "off", after: "all" }, "all");
    assert.deepEqual(changes, { off: [], appetites: { "wording/vague": "all" } });
  });

  test("of the house is none of the record's, and the other way round", () => {
    const house = { name: "listed", of: "x", before: null, after: "personal" } as const;
    assert.equal(recordWith(record, house, "personal"), null);
    const own = { name: "kind", before: "report", after: "brief" } as const;
    assert.equal(styleWith(style, own, "brief", NOW, "a"), style);
  });

  test("changes the stamp that tells whether a shelf's counts are old; a note does not", () => {
    const stamp = styleStamp(style);
    const word = { word: "mole", list: "personal", addedAt: NOW };
    assert.notEqual(styleStamp({ ...style, words: [...style.words, word] }), stamp);
    assert.notEqual(styleStamp({ ...style, appetites: { "wording/hedge": "off" } }), stamp);
    const noted = style.words.map((one) => ({ ...one, note: "a bench mark" }));
    assert.equal(styleStamp({ ...style, words: noted }), stamp);
  });
});
