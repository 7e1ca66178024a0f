import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { unzipSync, zipSync } from "fflate";
import { type Backup, readBackup, writeBackup } from "../src/core/backup/backup.ts";
import { FormatProblem } from "../src/core/formats/problem.ts";
import { ruleSchema } from "../src/core/house/rules.ts";
import { EMPTY_STYLE, newHouse } from "../src/core/house/style.ts";

const AT = "2031-03-12T10:42:00.000Z";
const RULE = ruleSchema.parse({ id: "use", type: "term", not: ["utilise"], use: ["use"] });
const backup: Backup = {
  madeAt: AT,
  style: { ...EMPTY_STYLE, words: [{ word: "ebb-stone", list: "house", addedAt: AT }] },
  sources: [{ id: "s1", title: "A source" }],
  settings: { author: "M. Aldous", whileTyping: false },
  sets: [{ id: "book", name: "The book", documents: ["0a1b"] }],
  houses: [{ ...newHouse("press", "Gannet Head Press"), rules: [RULE] }],
  documents: [
    {
      id: "0a1b",
      record: { id: "0a1b", title: "The tide" },
      original: new TextEncoder().encode("It was recieved."),
      answers: { works: null, notices: { at: AT, found: {}, before: null } },
      decisions: [
        {
          seq: 1,
          at: AT,
          act: "correct",
          scope: "here",
          marks: [{ rule: "spelling/unknown-word", text: "recieved", from: 7, to: 15 }],
          edits: [{ from: 7, to: 15, insert: "received" }],
          inverse: [{ from: 7, to: 15, insert: "recieved" }],
        },
        {
          seq: 2,
          at: AT,
          act: "setting",
          scope: "here",
          marks: [],
          edits: [],
          inverse: [],
          setting: { name: "kind", before: "report", after: "letter" },
        },
      ],
    },
  ],
};

describe("a backup", () => {
  test("comes back as it went in", () => {
    assert.deepEqual(readBackup(writeBackup(backup)), backup);
    const empty = { ...backup, documents: [] };
    assert.deepEqual(readBackup(writeBackup(empty)), empty);
  });

  test("from before there were sets, sources, preferences and answers is read all the same", () => {
    const files = unzipSync(writeBackup(backup));
    for (const name of [
      "sets.json",
      "sources.json",
      "settings.json",
      "documents/0a1b/answers.json",
    ])
      delete files[name];
    const { sets, sources, settings, documents } = readBackup(zipSync(files));
    assert.deepEqual([sets, sources, settings, documents[0]?.answers], [[], [], null, null]);
  });

  test("that is another file, or not whole, is refused with a sentence and gives nothing", () => {
    const files = unzipSync(writeBackup(backup));
    const without = (name: string) => {
      const { [name]: _gone, ...rest } = files;
      return zipSync(rest);
    };
    const broken = { ...files, "documents/0a1b/ledger.json": new TextEncoder().encode('[{"seq":') };
    const climbing = new TextEncoder().encode(
      JSON.stringify({ what: "Dry Run backup", version: 1, madeAt: AT, documents: ["../x"] }),
    );
    const refused: [Uint8Array, RegExp][] = [
      [new TextEncoder().encode("no archive"), /contents|interrupted/],
      [zipSync({ a: new Uint8Array(3) }), /no backup made by Dry Run/],
      [without("house-style.json"), /house-style\.json is missing/],
      [without("documents/0a1b/original"), /original is missing/],
      [zipSync(broken), /ledger\.json is missing or can’t be read/],
      [zipSync({ ...files, "backup.json": climbing }), /backup\.json is missing or can’t/],
    ];
    for (const [bytes, sentence] of refused) {
      assert.throws(
        () => readBackup(bytes),
        (error: unknown) => error instanceof FormatProblem && sentence.test(error.sentence),
        String(sentence),
      );
    }
  });
});
