import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { PASSES } from "../../src/core/checks/card.ts";
import type { CheckSettings } from "../../src/core/engine/mark.ts";
import { ruleSchema } from "../../src/core/house/rules.ts";
import { baseLanguage } from "../../src/core/language/analysis.ts";
import { USUAL_SCOPE } from "../../src/core/readings/scope.ts";
import { Proofreader, type Update } from "../../src/worker/proofreader.ts";
import { languageSource, NO_COLLECTION } from "../support/desk.ts";
import { loadLanguage } from "../support/language.ts";

const SETTINGS: CheckSettings = { variety: "en-GB", kind: "report", appetites: {}, words: [] };
const TEXT = "It was recieved.\n\nThe level of the tides are high.\n";

const nothing = () => undefined;

function marked(update: Update | string | null): string[] {
  assert.ok(update !== null && typeof update !== "string", `${update}`);
  return [...update.marks.values()].flat().map(({ text }) => text);
}

async function reader(source = languageSource()): Promise<Proofreader> {
  const proofreader = new Proofreader(source, NO_COLLECTION);
  const read = await proofreader.read(new TextEncoder().encode(TEXT), "a.txt", "en-GB");
  assert.ok("manuscript" in read);
  return proofreader;
}

const AFTER_SPELLING = PASSES.filter((pass) => pass !== "spelling");

describe("the conversation with a proofreader", () => {
  test("delivers the spelling marks first, and returns those of all passes", async () => {
    const proofreader = await reader();
    const first: string[][] = [];
    const whole = await proofreader.check("log", [], 0, SETTINGS, nothing, (update) => {
      first.push(marked(update));
      assert.deepEqual(update.unread, AFTER_SPELLING);
    });
    assert.deepEqual(first, [["recieved"]]);
    assert.deepEqual(marked(whole), ["recieved", "are"]);
    assert.equal((whole as Update).whole, true);
    assert.equal((whole as Update).document, "log");
    assert.deepEqual((whole as Update).unread, []);
  });

  test("numbers its answers as the edits they follow, and says when one is missing", async () => {
    const proofreader = await reader();
    await proofreader.check("log", [], 4, SETTINGS, nothing, nothing);
    const update = proofreader.edit([{ from: 7, to: 15, insert: "received" }], 5);
    assert.deepEqual(marked(update), []);
    assert.equal((update as Update).revision, 5);
    assert.equal((update as Update).whole, false);
    assert.equal(proofreader.edit([{ from: 0, to: 0, insert: "x" }], 7), "missed");
    assert.equal(proofreader.edit([{ from: 0, to: 0, insert: "x" }], 8), null);
  });

  test("reads under settings that were changed while the first pass was on its way", async () => {
    const proofreader = await reader();
    const rule = ruleSchema.parse({ id: "l", type: "term", not: ["level"], use: ["height"] });
    const rules = [{ rule, house: "Press" }];
    const checking = proofreader.check("log", [], 0, SETTINGS, nothing, nothing);
    assert.equal(await proofreader.configure({ ...SETTINGS, rules }), null);
    assert.deepEqual(marked(await checking), ["recieved", "level", "are"]);
  });

  test("says that there is nothing to check before anything was read", async () => {
    const proofreader = new Proofreader(languageSource(), NO_COLLECTION);
    assert.equal(await proofreader.check("log", [], 0, SETTINGS, nothing, nothing), "unread");
    assert.equal(proofreader.edit([], 1), "unread");
    assert.equal(await proofreader.configure(SETTINGS), "unread");
    assert.equal(proofreader.choices([]), null);
  });

  test("takes in what is typed while the first pass is being read", async () => {
    const proofreader = await reader();
    const checking = proofreader.check("log", [], 0, SETTINGS, nothing, nothing);
    assert.equal(proofreader.edit([{ from: 0, to: 0, insert: "Usefull. " }], 1), null);
    const whole = await checking;
    assert.deepEqual(marked(whole), ["Usefull", "recieved", "are"]);
    assert.equal((whole as Update).revision, 1);
  });

  test("tells which passes it could not read, and reads them when their data can be had", async () => {
    let reached = false;
    const base = baseLanguage(loadLanguage());
    const source = languageSource({
      base: async () => base,
      now: async () => base,
      full: async () => (reached ? loadLanguage() : null),
    });
    const proofreader = await reader(source);
    const without = await proofreader.check("log", [], 0, SETTINGS, nothing, nothing);
    assert.deepEqual(marked(without), ["recieved"]);
    assert.deepEqual((without as Update).unread, AFTER_SPELLING);
    reached = true;
    const whole = await proofreader.check("log", [], 0, SETTINGS, nothing, nothing);
    assert.deepEqual(marked(whole), ["recieved", "are"]);
  });

  test("drops a check when another is begun, or when it is stopped", async () => {
    const proofreader = await reader();
    const first = proofreader.check("log", [], 0, SETTINGS, nothing, nothing);
    const second = proofreader.check("log", [], 0, SETTINGS, nothing, nothing);
    assert.equal(await first, null);
    assert.deepEqual(marked(await second), ["recieved", "are"]);
    const third = proofreader.check("log", [], 0, SETTINGS, nothing, nothing);
    proofreader.stop();
    assert.equal(await third, null);
  });

  test("applies other settings to what was examined, with the words of subject lists", async () => {
    const source = languageSource({
      subjects: async (ids) => (ids.includes("tides") ? ["recieved"] : []),
    });
    const proofreader = await reader(source);
    await proofreader.check("log", [], 0, SETTINGS, nothing, nothing);
    const update = await proofreader.configure({ ...SETTINGS, subjects: ["tides"] });
    assert.ok(update !== null && typeof update !== "string");
    assert.deepEqual([...update.marks], [[0, []]]);
  });

  test("counts words as they stand after edits, whatever their capitals and apostrophes", async () => {
    const proofreader = await reader();
    const edits = [{ from: 0, to: 2, insert: "Tides’ end" }];
    assert.deepEqual(
      [...proofreader.countWords(edits, ["tides", "Tides", "recieved", "end", "none"])],
      [
        ["tides", 2],
        ["recieved", 1],
        ["end", 1],
        ["none", 0],
      ],
    );
    assert.deepEqual(
      [...new Proofreader(languageSource(), NO_COLLECTION).countWords([], ["ebb"])],
      [["ebb", 0]],
    );
  });

  test("offers words near one that carries no mark, in the variety asked for", async () => {
    const proofreader = await reader();
    const near = await proofreader.wordsNear("harbuor", { variety: "en-GB" }, 3);
    assert.equal(near[0], "harbour");
    assert.ok(near.length <= 3);
    assert.equal((await proofreader.wordsNear("harbuor", { variety: "en-US" }, 3))[0], "harbor");
  });

  test("tells what a word comes from, and puts a synonym in its form", async () => {
    const proofreader = await reader();
    const { bases, forms } = await proofreader.aboutWord("gauges", "en-GB");
    assert.deepEqual(bases, ["gauges", "gauge"]);
    const ofGauge = forms.find(({ base }) => base === "gauge")?.forms.map(({ form }) => form);
    assert.ok(ofGauge?.includes("gauging"));
    assert.equal(await proofreader.fitSynonym("measure", "gauged", "verb", "en-GB"), "measured");
    assert.equal(await proofreader.fitSynonym("meter", "Gauges", "noun", "en-GB"), "Meters");
  });

  test("gives the corrections of marks in their order, those of a group by one variant", async () => {
    const proofreader = await reader();
    const whole = await proofreader.check("log", [], 0, SETTINGS, nothing, nothing);
    assert.ok(whole !== null && typeof whole !== "string");
    const marks = [...whole.marks.values()].flat();
    const choices = proofreader.choices(marks);
    assert.deepEqual(
      choices?.map(([first]) => [first?.label, first?.variant]),
      [
        ["received", "received"],
        ["is", "is"],
      ],
    );
  });

  test("writes what was read with its edits, and says why where it can't", async () => {
    const proofreader = await reader();
    const bytes = new TextEncoder().encode(TEXT);
    const read = await proofreader.read(bytes, "a.txt", "en-GB");
    assert.ok("manuscript" in read);
    const request = {
      bytes,
      format: "txt" as const,
      current: read.manuscript,
      edits: [{ from: 7, to: 15, insert: "received" }],
      queries: [],
      form: "clean" as const,
      author: "",
      date: "2031-04-02T10:00:00.000Z",
    };
    const written = proofreader.write(request);
    assert.ok("bytes" in written);
    assert.equal(new TextDecoder().decode(written.bytes), TEXT.replace("recieved", "received"));
    const refused = proofreader.write({ ...request, format: "docx", form: "tracked" });
    assert.ok("problem" in refused);
    assert.match(refused.problem.sentence, /\.$/);
  });

  test("tells how the text reads once the sentences pass has read it, and what stands behind a count", async () => {
    const proofreader = await reader();
    assert.equal(await proofreader.readings(USUAL_SCOPE), null);
    assert.equal(await proofreader.places(USUAL_SCOPE, { count: "words" }), null);
    await proofreader.check("log", [], 0, SETTINGS, nothing, nothing);
    const readings = await proofreader.readings(USUAL_SCOPE);
    assert.equal(readings?.counts.sentences, 2);
    assert.equal(readings?.before, null, "nothing was changed");
    proofreader.edit([{ from: 17, to: 17, insert: "It rained. " }], 1);
    const after = await proofreader.readings(USUAL_SCOPE);
    assert.equal(after?.counts.sentences, 3);
    assert.equal(after?.before?.counts.sentences, 2);
    const places = await proofreader.places(USUAL_SCOPE, { forms: ["rained"] });
    assert.equal(places?.length, 1);
  });

  test("does not tell how the text reads while the data for that are missing", async () => {
    const base = baseLanguage(loadLanguage());
    const source = languageSource({
      base: async () => base,
      now: async () => base,
      full: async () => null,
    });
    const proofreader = await reader(source);
    await proofreader.check("log", [], 0, SETTINGS, nothing, nothing);
    assert.equal(await proofreader.readings(USUAL_SCOPE), null);
  });

  test("reads nothing out of a file that is none, and keeps what it had read", async () => {
    const proofreader = await reader();
    const read = await proofreader.read(Uint8Array.of(0x50, 0x4b, 3, 4), "a.docx", "en-GB");
    assert.ok("problem" in read);
    const whole = await proofreader.check("log", [], 0, SETTINGS, nothing, nothing);
    assert.deepEqual(marked(whole), ["recieved", "are"]);
  });
});
