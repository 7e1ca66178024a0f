import assert from "node:assert/strict";
import { test } from "node:test";
import { readDocument } from "../../src/core/formats/document.ts";
import { hostileFiles } from "../support/hostile.ts";

/** The large ones are the bench's (`npm run bench -- hostile`), which measures time and memory too. */
const LARGE = /million|400 MB|200 MB|300,000|60,?000|100,?000|cell of/;

test("each file made to hang or mislead a reader is refused with a sentence, or read", async () => {
  const files = hostileFiles();
  assert.ok(files.length >= 115, `${files.length} files`);
  let refused = 0;
  for (const { what, name, make } of files) {
    if (LARGE.test(what)) continue;
    const read = await readDocument(make(), name, () => "en-GB");
    if (!("problem" in read)) continue;
    refused++;
    assert.match(read.problem.sentence, /^[A-Z].{20,}\.$/s, what);
  }
  assert.ok(refused > 15, `${refused} refused`);
});

test("lists keep their numbers short, wherever they start", async () => {
  for (const { what, name, make } of hostileFiles().filter(({ what }) => /^a list in/.test(what))) {
    const read = await readDocument(make(), name, () => "en-GB");
    assert.ok("manuscript" in read, what);
    const { marker = "" } = read.manuscript.blocks[0] ?? {};
    assert.ok(marker.length < 40, `${what}: ${marker.slice(0, 60)}`);
  }
});
