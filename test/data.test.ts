import assert from "node:assert/strict";
import { readdirSync, readFileSync, statSync } from "node:fs";
import path from "node:path";
import { describe, test } from "node:test";
import { amissInData } from "../scripts/data-record.mjs";
import { MADE_FROM } from "../scripts/inputs.ts";

const DATA = path.resolve(import.meta.dirname, "../data");

describe("the data that ship", () => {
  test("have a record of what they were made from, which is of the files that are there", () => {
    assert.deepEqual(amissInData(), []);
    const record = JSON.parse(readFileSync(path.join(DATA, "inputs.json"), "utf8"));
    assert.deepEqual(Object.keys(record).sort(), Object.keys(MADE_FROM).sort());
    for (const [file, names] of Object.entries(MADE_FROM)) {
      assert.deepEqual(
        record[file].inputs.map(({ name }: { name: string }) => name),
        names,
        file,
      );
    }
  });

  test("lie in no file over four megabytes", () => {
    const large = readdirSync(DATA, { recursive: true, encoding: "utf8" }).filter(
      (name) => statSync(path.join(DATA, name)).size > 4_000_000,
    );
    assert.deepEqual(large, []);
  });
});
