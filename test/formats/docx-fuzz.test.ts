import assert from "node:assert/strict";
import { before, describe, test } from "node:test";
import mammoth from "mammoth";
import { openPackage } from "../../src/core/formats/docx/package.ts";
import { placeBlocks, readDocx } from "../../src/core/formats/docx/read.ts";
import { writeDocx } from "../../src/core/formats/docx/write.ts";
import { FormatProblem } from "../../src/core/formats/problem.ts";
import { openArchive } from "../../src/core/formats/zip/archive.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import type { Edit } from "../../src/core/manuscript/model.ts";
import { type Fixture, realDocuments } from "../support/fixtures.ts";
import { seeded } from "../support/random.ts";
import { resolveChanges } from "../support/resolve-changes.ts";

const AUTHOR = "Galley Fuzz";
const DATE = "2026-02-03T04:05:00Z";
const RUNS = Number(process.env["FUZZ_RUNS"] ?? 2000);
/** Every so many runs mammoth reads the results too; it takes most of the time. */
const MAMMOTH_EVERY = 10;

interface Subject extends Fixture {
  text: string;
  /** Places where runs, links, fields, cells and notes meet: manuscript offsets. */
  joints: number[];
  blocks: { from: number; to: number }[];
}

describe("real .docx files", () => {
  let subjects: Subject[] = [];

  before(() => {
    subjects = realDocuments().flatMap((fixture) => {
      try {
        return [subject(fixture)];
      } catch (error) {
        assert.ok(error instanceof FormatProblem, fixture.name);
        return [];
      }
    });
  });

  test("at least thirty of them are read", () => {
    assert.ok(subjects.length >= 30, `${subjects.length} files`);
  });

  test("come back byte for byte when nothing is edited", () => {
    for (const { name, bytes } of subjects) {
      for (const as of ["tracked", "clean"] as const) {
        const written = writeDocx(bytes, [], [], { as, author: AUTHOR, date: DATE });
        assert.deepEqual(written.bytes, bytes, name);
      }
    }
  });

  test("say the same as the mammoth package reads from them", async () => {
    let alike = 0;
    const differing: string[] = [];
    for (const { name, bytes, text } of subjects) {
      const ours = squeeze(text);
      const paragraphs = (await mammothRaw(bytes)).split("\n\n").map(squeeze);
      const missing = paragraphs.filter((paragraph) => !ours.includes(paragraph));
      if (missing.length === 0) alike++;
      else differing.push(`${name}: ${missing[0]?.slice(0, 60)}`);
    }
    assert.ok(alike >= subjects.length * 0.95, `${alike} of ${subjects.length}; ${differing}`);
  });

  test(`${RUNS} random sets of edits: accepting gives the new text, rejecting the old`, async () => {
    const random = seeded(20260203);
    let edited = 0;
    for (let run = 0; run < RUNS; run++) {
      const one = subjects[Math.floor(random() * subjects.length)];
      if (!one) continue;
      const edits = randomEdits(one, random);
      const label = `${one.name}, run ${run}, ${JSON.stringify(edits)}`;
      const tracked = writeDocx(one.bytes, edits, [], {
        as: "tracked",
        author: AUTHOR,
        date: DATE,
      });
      const made = edits.filter(
        (edit) => !tracked.refused.some((refusal) => refusal.edit === edit),
      );
      const expected = applyEdits(one.text, made);
      edited += made.length;
      const accepted = resolveChanges(tracked.bytes, AUTHOR, "accept");
      const rejected = resolveChanges(tracked.bytes, AUTHOR, "reject");
      assert.equal(textOf(tracked.bytes), expected, `as it stands: ${label}`);
      assert.equal(textOf(accepted), expected, `accepted: ${label}`);
      assert.equal(textOf(rejected), one.text, `rejected: ${label}`);
      const clean = writeDocx(one.bytes, edits, [], { as: "clean", author: AUTHOR, date: DATE });
      assert.equal(textOf(clean.bytes), expected, `clean: ${label}`);
      assertOthersUntouched(one, tracked.bytes, label);
      assertOthersUntouched(one, clean.bytes, label);
      if (run % MAMMOTH_EVERY === 0) {
        const before = await mammothRaw(one.bytes);
        assert.equal(await mammothRaw(rejected), before, `mammoth, rejected: ${label}`);
        const [a, b] = [await mammothRaw(accepted), await mammothRaw(clean.bytes)];
        assert.equal(a, b, `mammoth, accepted and clean: ${label}`);
      }
    }
    assert.ok(edited > RUNS, `${edited} edits made`);
  });
});

function subject(fixture: Fixture): Subject {
  const { text, blocks } = readDocx(fixture.bytes, fixture.name);
  const joints: number[] = [];
  let at = 0;
  for (const block of openPackage(fixture.bytes).blocks) {
    joints.push(at, at + block.text.length);
    for (const segment of block.segments) joints.push(at + segment.from, at + segment.to);
    at += block.text.length + 1;
  }
  return { ...fixture, text, blocks, joints };
}

const INSERTS = [
  "",
  "",
  "tide",
  " ",
  "a & b <c>",
  "ﬁ\u00e9",
  "\t",
  "\u2028",
  "😀",
  "«x»",
  " and so",
];

/** One to six edits, most of them at the joints. */
function randomEdits({ text, blocks, joints }: Subject, random: () => number): Edit[] {
  const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)] as T;
  const edits: Edit[] = [];
  const wanted = 1 + Math.floor(random() * 6);
  for (let attempt = 0; attempt < wanted * 3 && edits.length < wanted; attempt++) {
    const near = random() < 0.8 ? pick(joints) : Math.floor(random() * text.length);
    const jitter = random() < 0.5 ? 0 : Math.floor(random() * 5) - 2;
    const from = Math.min(text.length, Math.max(0, near + jitter));
    const block = blocks.find((one) => from >= one.from && from <= one.to);
    if (!block) continue;
    const length = random() < 0.3 ? 0 : Math.floor(random() * 12);
    const to = Math.min(block.to, from + length);
    const insert = pick(INSERTS);
    if (from === to && !insert) continue;
    edits.push({ from, to, insert });
  }
  edits.sort((a, b) => a.from - b.from || a.to - b.to);
  let last = -1;
  return edits.filter((edit) => {
    const apart = edit.from > last;
    if (apart) last = edit.to;
    return apart;
  });
}

function textOf(bytes: Uint8Array): string {
  return placeBlocks(openPackage(bytes)).text;
}

/** Every zip record but the changed text parts is there, byte for byte. */
function assertOthersUntouched(one: Subject, bytes: Uint8Array, label: string): void {
  const before = openArchive(one.bytes);
  const after = openArchive(bytes);
  assert.equal(after.entries.length, before.entries.length, label);
  const textParts = new Set(openPackage(one.bytes).parts.map(({ name }) => name));
  for (const entry of before.entries) {
    if (textParts.has(entry.name)) continue;
    const other = after.find(entry.name);
    assert.ok(other, `${entry.name}: ${label}`);
    const was = one.bytes.subarray(entry.recordFrom, entry.recordTo);
    const is = bytes.subarray(other.recordFrom, other.recordTo);
    assert.ok(Buffer.compare(was, is) === 0, `${entry.name} changed: ${label}`);
  }
}

async function mammothRaw(bytes: Uint8Array): Promise<string> {
  const { value } = await mammoth.extractRawText({ buffer: Buffer.from(bytes) });
  return value;
}

/** Without white space and without what stands for objects or shows only at line ends. */
function squeeze(text: string): string {
  return text.replace(/[\s\ufffc\u00ad]/g, "").replaceAll("\u2011", "-");
}
