import assert from "node:assert/strict";
import { readFileSync } from "node:fs";
import path from "node:path";
import { describe, test } from "node:test";
import { Engine } from "../../src/core/engine/engine.ts";
import { Examiner } from "../../src/core/engine/examiner.ts";
import type { CheckSettings, Group, Mark, Report, Tables } from "../../src/core/engine/mark.ts";
import { readText } from "../../src/core/engine/reading.ts";
import { readDocument } from "../../src/core/formats/document.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import { copyLayout, shiftBlocks, shiftSpans } from "../../src/core/manuscript/layout.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import type { Edit, Kind, Manuscript } from "../../src/core/manuscript/model.ts";
import { USUAL_SCOPE } from "../../src/core/readings/scope.ts";
import { loadLanguage } from "../support/language.ts";
import { seeded } from "../support/random.ts";

const language = loadLanguage();
const ROOT = path.resolve(import.meta.dirname, "../..");

/** Edit sequences on each document, 1,000 in all; the bench of a deeper look raises it. */
const SEQUENCES = Number(process.env["SEQUENCES"] ?? 200);

/** Documents with tables, lists, headings, notes, code and emphasis: those the product opens with. */
const DOCUMENTS = [
  "public/demo/harbour-siltation.docx",
  "public/demo/gauge-house-requirements.docx",
  "public/demo/visitor-leaflet.md",
  "public/demo/gauge-house-spares.csv",
  "README.md",
];

type Part = Pick<Manuscript, "text" | "blocks" | "spans">;

async function read(file: string): Promise<Part> {
  const bytes = new Uint8Array(readFileSync(path.join(ROOT, file)));
  const result = await readDocument(bytes, path.basename(file), () => "en-GB");
  assert.ok("manuscript" in result);
  return result.manuscript;
}

/** Words that make checks conclude from many places: names, terms, repetitions, passives, slips. */
const TYPED =
  "recieved|Quillfrost|Quilfrost|quillwick|colour|color|the the|violent|was read by them|is shut|They built wall|a wall|the level|violently| |.|, and |untill|Leetmoor. The |due to the fact that|very|x".split(
    "|",
  );

function randomEdits(blocks: Part["blocks"], random: () => number): Edit[] {
  const edits: Edit[] = [];
  const wanted = 1 + Math.floor(random() * 3);
  const chosen = new Set<number>();
  while (chosen.size < wanted) chosen.add(Math.floor(random() * blocks.length));
  for (const index of [...chosen].sort((a, b) => a - b)) {
    const block = blocks[index];
    if (!block) continue;
    const from = block.from + Math.floor(random() * (block.to - block.from + 1));
    const to = random() < 0.5 ? from : Math.min(block.to, from + Math.floor(random() * 40));
    const insert = random() < 0.2 ? "" : (TYPED[Math.floor(random() * TYPED.length)] ?? "");
    edits.push({ from, to, insert: random() < 0.5 ? ` ${insert} ` : insert });
  }
  return edits;
}

/** What has been reported, as whoever listens keeps it. */
class Listener {
  marks = new Map<number, readonly Mark[]>();
  groups = new Map<string, Group>();
  tables: Partial<Tables> = {};

  take({ whole, marks, groups, tables }: Report): void {
    if (whole) this.groups.clear();
    for (const [block, own] of marks) this.marks.set(block, own);
    for (const [id, group] of groups) {
      if (group) this.groups.set(id, group);
      else this.groups.delete(id);
    }
    this.tables = { ...this.tables, ...tables };
  }

  sorted() {
    const byId = [...this.groups.values()].sort((a, b) => (a.id < b.id ? -1 : 1));
    const marks = [...this.marks.entries()].sort(([a], [b]) => a - b).flatMap(([, own]) => own);
    const withheld = [...(this.tables.withheld ?? [])].sort();
    return { marks, groups: byId.map(comparable), counts: this.tables.counts, withheld };
  }
}

/** Variants are listed as they came to be known, which edits change. */
function comparable({ variants, ...group }: Group) {
  return { ...group, variants: variants?.map(({ text, count }) => `${text} ${count}`).sort() };
}

const SETTINGS: readonly CheckSettings[] = [
  { variety: "en-GB", kind: "report", appetites: {}, words: [] },
  { variety: "en-US", kind: "paper", appetites: {}, words: ["Quillwick"], leave: { names: false } },
  {
    variety: "en-GB",
    kind: "fiction",
    appetites: { "wording/overused-word": "all", "grammar/missing-article": "sure" },
    words: [],
    leave: { speech: false },
  },
];

/** How an engine's text reads, and how it read before. */
function readingsOf(engine: Engine, original: Part) {
  return readText(engine, language, USUAL_SCOPE, original);
}

describe("after any edits, marks, groups and tables are those of a fresh engine", () => {
  for (const [number, file] of DOCUMENTS.entries()) {
    test(`${SEQUENCES} sequences on ${path.basename(file)}`, async () => {
      const random = seeded(100 + number);
      const original = await read(file);
      const layout = copyLayout(original);
      let { text } = original;
      let [settings] = SETTINGS;
      assert.ok(settings);
      // What a block shows to the checks is tried elsewhere; here it is looked up.
      const examiner = new Examiner(language);
      const engine = new Engine(original, language, settings, examiner);
      for (const _ of engine.examineAll());
      const heard = new Listener();
      heard.take(engine.wholeReport());
      for (let sequence = 0; sequence < SEQUENCES; sequence++) {
        for (let step = 0; step <= random() * 3; step++) {
          const edits = randomEdits(layout.blocks, random);
          heard.take(engine.edit(edits));
          text = applyEdits(text, edits);
          shiftBlocks(layout.blocks, edits);
          shiftSpans(layout.spans, edits);
        }
        if (random() < 0.1) {
          settings = SETTINGS[Math.floor(random() * SETTINGS.length)] ?? settings;
          heard.take(engine.configure(settings));
        }
        const fresh: Engine = new Engine({ text, ...layout }, language, settings, examiner);
        if (engine.showsItsDoubts) fresh.showDoubts();
        for (const _ of fresh.examineAll());
        const whole = new Listener();
        whole.take(fresh.wholeReport());
        assert.deepEqual(heard.sorted(), whole.sorted(), `sequence ${sequence}`);
        if (sequence % 20 > 0) continue;
        assert.deepEqual(readingsOf(engine, original), readingsOf(fresh, original));
      }
    });
  }
});

/** A text of this many paragraphs, in which everything recurs. */
function longText(paragraphs: number): string {
  const each = [
    "The book was recieved too wet to read, and the lamp was lit by the keeper.",
    "Quillfrost read the quillwick. A violent gale met a violent tide by the wall.",
    "The wall is old; a wall of stone was planned, and wall was built in vain.",
    "They carefully record the level of the tides, which are carefully kept.",
  ];
  return Array.from({ length: paragraphs }, (_, at) => each[at % each.length]).join("\n");
}

function visits(paragraphs: number, kind: Kind): number[] {
  const manuscript = linesManuscript(longText(paragraphs));
  const settings = { variety: "en-GB", kind, appetites: {}, words: [] } as const;
  const engine = new Engine(manuscript, language, settings);
  for (const _ of engine.examineAll());
  return [2, 7, 40, 41, 100].map((block) => {
    const { from } = engine.blockRange(block);
    engine.edit([{ from: from + 4, to: from + 4, insert: "old " }]);
    return engine.visited;
  });
}

test("an edit looks at as many facts in a long document as in a short one", () => {
  const short = visits(200, "report");
  const long = visits(4000, "report");
  assert.ok(
    short.every((count) => count > 0 && count < 150),
    `${short}`,
  );
  assert.deepEqual(long, short);
});
