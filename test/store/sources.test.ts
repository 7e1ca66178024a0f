import "../support/browser-globals.ts";
import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { comparedWords } from "../../src/core/originality/words.ts";
import { makeBackup, restoreBackup } from "../../src/store/backup.ts";
import {
  addSource,
  changeSource,
  listSources,
  ownSources,
  removeSource,
} from "../../src/store/sources.ts";

const TEXT = "The bar lies a cable off the head and moves with every gale of the winter.";
const about = { author: null, year: null, fileName: "bar.txt", isOwn: false };

describe("the person's own sources", () => {
  test("are kept with their words, and the same text only once", async () => {
    const one = await addSource({ ...about, title: "The bar", text: TEXT, closed: false });
    const twin = await addSource({
      ...about,
      title: "Again",
      text: TEXT.toUpperCase(),
      closed: false,
    });
    assert.equal(twin.id, one.id);
    assert.deepEqual((await ownSources())[0]?.hashes, comparedWords(TEXT).hashes);
    await removeSource(one.id);
    assert.deepEqual(await listSources(), []);
  });

  test("a closed one has no text, and one that is closed loses it", async () => {
    const closed = await addSource({ ...about, title: "Thesis", text: TEXT, closed: true });
    assert.equal(closed.text, null);
    const open = await addSource({ ...about, title: "Open", text: `${TEXT} So.`, closed: false });
    await changeSource(open.id, { text: null, author: "Vale", year: 2024 });
    const [changed] = (await listSources()).filter(({ id }) => id === open.id);
    assert.deepEqual([changed?.text, changed?.author, changed?.year], [null, "Vale", 2024]);
    assert.equal(changed?.hashes.length, 17);
  });

  test("go into a backup and come back, closed ones too", async () => {
    await addSource({ ...about, title: "Kept open", text: `${TEXT} Twice.`, closed: false });
    const before = await listSources();
    const { bytes } = await makeBackup("2026-11-28T12:00:00Z");
    for (const { id } of before) await removeSource(id);
    await restoreBackup(bytes);
    assert.deepEqual(await listSources(), before);
  });
});
