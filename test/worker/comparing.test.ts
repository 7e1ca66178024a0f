import assert from "node:assert/strict";
import { readFileSync } from "node:fs";
import path from "node:path";
import { describe, test } from "node:test";
import type { CheckSettings } from "../../src/core/engine/mark.ts";
import { readAsked } from "../../src/core/originality/asking.ts";
import { keepingOf, keepingValue, LIMIT } from "../../src/core/originality/choices.ts";
import type { OwnSource } from "../../src/core/originality/compared-sources.ts";
import { comparedWords } from "../../src/core/originality/words.ts";
import { passagesAt, placesWith } from "../../src/server/collection.ts";
import type { ShippedCollection } from "../../src/worker/comparing.ts";
import { Proofreader } from "../../src/worker/proofreader.ts";
import { languageSource, NO_COLLECTION } from "../support/desk.ts";

const root = path.resolve(import.meta.dirname, "../..");
const CHAPTER = readFileSync(path.join(root, "public/demo/why-wells-silt-up.docx"));
const SETTINGS: CheckSettings = { variety: "en-GB", kind: "paper", appetites: {}, words: [] };
const nothing = () => undefined;

/** The server's own answers, and what was asked of it. */
function watched(): { shipped: ShippedCollection; asked: string[]; bytes: number[] } {
  const asked: string[] = [];
  const bytes: number[] = [];
  const shipped: ShippedCollection = {
    async places(question) {
      bytes.push(question.length);
      asked.push(Buffer.from(question).toString("latin1"));
      const read = readAsked(question);
      assert.ok(read);
      return placesWith(read);
    },
    passages(stretches) {
      const body = JSON.stringify({ stretches });
      bytes.push(body.length);
      asked.push(body);
      return passagesAt(stretches);
    },
    stockPhrases: async () => "",
  };
  return { shipped, asked, bytes };
}

async function opened(shipped: ShippedCollection, bytes: Uint8Array = CHAPTER, name = "c.docx") {
  const proofreader = new Proofreader(languageSource(), shipped);
  const read = await proofreader.read(bytes, name, "en-GB");
  assert.ok("manuscript" in read);
  await proofreader.check("c", [], 0, SETTINGS, nothing, nothing);
  return { proofreader, text: read.manuscript.text };
}

function own(title: string, text: string, changes: Partial<OwnSource> = {}): OwnSource {
  const { hashes } = comparedWords(text);
  return { id: title, title, author: null, year: null, text, hashes, isOwn: false, ...changes };
}

const overlapMarks = (update: { marks: Map<number, readonly { pass: string }[]> } | undefined) =>
  [...(update?.marks.values() ?? [])].flat().filter(({ pass }) => pass === "originality");

describe("comparing a document", () => {
  test("finds the demo's sources in the collection, quotation and list kept out", async () => {
    const { proofreader, text: chapter } = await opened(watched().shipped);
    const found = await proofreader.compareWithSources([], true, nothing);
    assert.equal(found?.sent.failure, null);
    const table = (await proofreader.gathered("overlaps", []))?.table;
    assert.deepEqual(
      table?.sources.map(({ title }) => title),
      ["Rating a stilling well", "A harbour measured"],
    );
    const kinds = new Set(table?.passages.map(({ tier, keptOut }) => keptOut ?? tier));
    for (const kind of ["identical", "near", "quoted", "reference"] as const)
      assert.ok(kinds.has(kind), kind);
    assert.ok(overlapMarks(found?.update).length >= 4);
    const text = (passage: { from: number; to: number }) => chapter.slice(passage.from, passage.to);
    const retold = table?.passages.filter(({ tier }) => tier === "possible") ?? [];
    assert.ok(
      retold.some((one) => text(one).includes("no fixed interval")),
      "what is told again is found in a source that the chapter leans on",
    );
  });

  test("sends no word and no whole fingerprint", async () => {
    const { shipped, asked, bytes } = watched();
    const { proofreader, text } = await opened(shipped);
    const found = await proofreader.compareWithSources([], true, nothing);
    assert.equal(
      found?.sent.bytes,
      bytes.reduce((sum, one) => sum + one, 0),
    );
    for (const word of new Set(text.toLowerCase().match(/\p{L}{6,}/gu)))
      assert.ok(!asked.some((one) => one.toLowerCase().includes(word)), word);
    // 639 words; 40 kB are allowed for 10,000.
    assert.ok((found?.sent.bytes ?? 0) < 4 * 639);
  });

  test("goes on with one's own sources where the collection can't be reached", async () => {
    const { proofreader, text } = await opened(NO_COLLECTION);
    const found = await proofreader.compareWithSources(
      [own("Notes", text.slice(300, 900))],
      true,
      nothing,
    );
    assert.match(found?.sent.failure ?? "", /offline/);
    assert.equal((await proofreader.gathered("overlaps", []))?.table?.sources.length, 1);
  });

  test("counts a closed source and shows nothing of it", async () => {
    const { proofreader, text } = await opened(NO_COLLECTION);
    const closed = own("Thesis", text.slice(300, 900), { text: null });
    await proofreader.compareWithSources([closed], false, nothing);
    const table = (await proofreader.gathered("overlaps", []))?.table;
    assert.ok((table?.totals.words ?? 0) > 80);
    assert.equal(await proofreader.collation(0), null);
    assert.equal(await proofreader.sourceText("Thesis"), null);
  });

  test("lays the words of a passage above those of its source", async () => {
    const file = new TextEncoder().encode(
      "The pilots say that the bar moves with every big gale of the winter and that no chart is right.",
    );
    const { proofreader } = await opened(NO_COLLECTION, file, "bar.txt");
    const source = own(
      "Bar",
      "So the bar moves with every hard gale of the winter and that no chart is right.",
    );
    await proofreader.compareWithSources([source], false, nothing);
    const cells = proofreader.collation(0);
    assert.deepEqual(
      cells?.filter(({ same }) => !same).map(({ text, source: theirs }) => [text, theirs]),
      [["big", "hard"]],
    );
    assert.equal(proofreader.measureAgainst(0, "Nothing of it.")?.shared, 0);
  });

  test("the person's own documents, a limit and what was chosen change the figures", async () => {
    const { proofreader, text } = await opened(NO_COLLECTION);
    const mine = own("Annual letter", text.slice(300, 900), { isOwn: true });
    await proofreader.compareWithSources([mine], false, nothing);
    const counted = (await proofreader.gathered("overlaps", []))?.table;
    assert.ok((counted?.totals.words ?? 0) > 80);
    const forms = { [keepingOf("own")]: keepingValue(true), [LIMIT]: "0.05" };
    await proofreader.configure({ ...SETTINGS, forms });
    const out = (await proofreader.gathered("overlaps", []))?.table;
    assert.equal(out?.totals.words, 0);
    assert.equal(out?.totals.keptOut.own, counted?.totals.words);
    assert.equal(out?.limit?.over, 0);
    const [passage] = counted?.passages ?? [];
    await proofreader.configure({
      ...SETTINGS,
      forms: { [passage?.verdict ?? ""]: "stock", [LIMIT]: "0.01" },
    });
    const said = (await proofreader.gathered("overlaps", []))?.table;
    assert.equal(said?.passages[0]?.said, "stock");
    assert.equal(said?.totals.words, (counted?.totals.words ?? 0) - (passage?.words ?? 0));
  });

  test("what is said to be one's own words carries no mark, though one's own documents count", async () => {
    const { proofreader, text } = await opened(NO_COLLECTION);
    const notes = own("Notes", text.slice(300, 700));
    const found = await proofreader.compareWithSources([notes], false, nothing);
    assert.ok(overlapMarks(found?.update).length > 0);
    const passages = (await proofreader.gathered("overlaps", []))?.table?.passages ?? [];
    const forms = Object.fromEntries(passages.map(({ verdict }) => [verdict, "own"]));
    const update = await proofreader.configure({ ...SETTINGS, forms });
    assert.ok(update && typeof update !== "string");
    assert.deepEqual(overlapMarks(update), []);
    assert.ok(update.marks.size > 0);
  });

  test("an edit takes its passage out, and the figure before it is told", async () => {
    const { proofreader, text } = await opened(NO_COLLECTION);
    await proofreader.compareWithSources([own("Notes", text.slice(300, 700))], false, nothing);
    const before = (await proofreader.gathered("overlaps", []))?.table;
    const [passage] = before?.passages ?? [];
    assert.ok(passage);
    const block = text.lastIndexOf("\n", passage.from) + 1;
    const end = text.indexOf("\n", block);
    proofreader.edit([{ from: block, to: end, insert: "All of this is said anew." }], 1);
    const after = (await proofreader.gathered("overlaps", []))?.table;
    assert.ok((after?.totals.words ?? 0) < (before?.totals.words ?? 0));
    assert.equal(after?.before?.words, before?.totals.words);
  });

  test("is ended by a stop, and what was compared before stays", async () => {
    const { proofreader, text } = await opened(NO_COLLECTION);
    await proofreader.compareWithSources([own("Notes", text.slice(300, 700))], false, nothing);
    const again = proofreader.compareWithSources([], false, nothing);
    proofreader.stopComparing();
    assert.equal(await again, null);
  });

  test("says shorter ways for long-winded phrases, and how a text sounds", async () => {
    const { proofreader } = await opened(NO_COLLECTION);
    const phrases = await proofreader.phrasesInstead(
      "It fills due to the fact that the mole is long.",
      SETTINGS,
    );
    assert.deepEqual(
      phrases.map(({ text }) => text),
      ["due to the fact that"],
    );
    assert.ok(phrases[0]?.instead.includes("because"));
    assert.deepEqual(proofreader.voice("Too short to tell."), []);
  });
});
