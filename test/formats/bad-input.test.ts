import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { strToU8, unzipSync, zipSync } from "fflate";
import { readDocument } from "../../src/core/formats/document.ts";
import type { ProblemCode } from "../../src/core/formats/problem.ts";
import { cpuTime } from "../support/cpu.ts";
import { docx, paragraph } from "../support/docx.ts";
import { realDocuments } from "../support/fixtures.ts";
import { seeded } from "../support/random.ts";

/** A file is refused within this time; the slowest, a bomb, takes a fraction of it. */
const LIMIT_MS = 2000;
/** And without the memory that a bomb asks for. */
const LIMIT_BYTES = 600_000_000;

async function problem(bytes: Uint8Array, name: string) {
  const started = process.cpuUsage();
  const before = process.memoryUsage().rss;
  const result = await readDocument(bytes, name, () => "en-GB");
  assert.ok(cpuTime(started) < LIMIT_MS, `${name} took too long`);
  assert.ok(process.memoryUsage().rss - before < LIMIT_BYTES, `${name} took too much memory`);
  assert.ok("problem" in result, `${name} was read`);
  assert.match(result.problem.sentence, /^[A-Z].*[.]$/);
  return result.problem;
}

async function refuses(bytes: Uint8Array, name: string, code: ProblemCode): Promise<void> {
  assert.equal((await problem(bytes, name)).code, code, name);
}

const good = docx(paragraph("The tide turns."));
const view = (bytes: Uint8Array) => new DataView(bytes.buffer, bytes.byteOffset);

/** Changes a 32-bit field of the first directory entry with this name. */
function patchDirectory(
  bytes: Uint8Array,
  name: string,
  offset: number,
  value: number,
): Uint8Array {
  const copy = bytes.slice();
  for (let at = 0; at + 46 < copy.length; at++) {
    if (view(copy).getUint32(at, true) !== 0x02014b50) continue;
    const length = view(copy).getUint16(at + 28, true);
    if (new TextDecoder().decode(copy.subarray(at + 46, at + 46 + length)) !== name) continue;
    view(copy).setUint32(at + offset, value, true);
    return copy;
  }
  throw new Error(`no ${name}`);
}

describe("a file that cannot be read is refused with a sentence:", () => {
  test("empty, blank, binary, unknown", async () => {
    await refuses(new Uint8Array(), "a.docx", "empty");
    await refuses(strToU8("  \n\n "), "a.txt", "no-text");
    await refuses(
      Uint8Array.from({ length: 4000 }, (_, i) => (i * 7) % 256),
      "a.txt",
      "not-text",
    );
    await refuses(strToU8("text"), "a.xyz", "wrong-type");
  });

  test("by what it holds, not what it is called", async () => {
    await refuses(strToU8("plain text"), "a.docx", "wrong-type");
    await refuses(good, "a.txt", "wrong-type");
    await refuses(strToU8("%PDF-1.7 ..."), "a.docx", "wrong-type");
    await refuses(strToU8("%PDF-1.7 ..."), "a.txt", "wrong-type");
    await refuses(strToU8("{\\rtf1 x}"), "a.txt", "wrong-type");
    await refuses(Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10]), "a.md", "wrong-type");
    await refuses(zipSync({ "a.txt": strToU8("x") }), "a.docx", "wrong-type");
  });

  test("locked with a password, or in the old binary format", async () => {
    const compound = new Uint8Array(4096);
    compound.set([0xd0, 0xcf, 0x11, 0xe0, 0xa1, 0xb1, 0x1a, 0xe1]);
    await refuses(compound, "a.docx", "old-format");
    const name = [..."EncryptedPackage"].flatMap((c) => [c.charCodeAt(0), 0]);
    compound.set(name, 1024);
    await refuses(compound, "a.docx", "encrypted");
    const flagged = patchDirectory(good, "word/document.xml", 8, 0x00080001);
    await refuses(flagged, "a.docx", "encrypted");
  });

  test("cut off at any length", async () => {
    for (let length = 1; length < good.length; length += 37) {
      await problem(good.slice(0, length), "a.docx");
    }
  });

  test("with a document type declaration or nesting without end", async () => {
    const body = paragraph("x");
    const dtd = docx(body);
    const files = { "word/document.xml": '<!DOCTYPE x [<!ENTITY a "b">]><w:document/>' };
    await refuses(repack(dtd, files), "a.docx", "hostile");
    await refuses(docx("<w:sdt>".repeat(5000)), "a.docx", "hostile");
  });

  test("a bomb that says its size, and one that lies about it", async () => {
    const bomb = repack(good, { "word/document.xml": " ".repeat(300_000_000) });
    await refuses(bomb, "a.docx", "too-large");
    const lying = patchDirectory(bomb, "word/document.xml", 24, 1000);
    await refuses(lying, "a.docx", "hostile");
    const short = patchDirectory(good, "word/document.xml", 24, 1_000_000);
    await refuses(short, "a.docx", "damaged");
  });

  test("an index that contradicts itself", async () => {
    await refuses(patchDirectory(good, "word/document.xml", 16, 1), "a.docx", "damaged");
    await refuses(patchDirectory(good, "word/document.xml", 20, 5_000_000), "a.docx", "hostile");
    await refuses(patchDirectory(good, "word/document.xml", 42, 3), "a.docx", "damaged");
    const doubled = zipSync({ "word/a.xml": strToU8("x"), "WORD/A.XML": strToU8("y") });
    await refuses(doubled, "a.docx", "hostile");
    await refuses(zipSync({ "../a.xml": strToU8("x") }), "a.docx", "hostile");
  });

  test("never an exception, whatever bytes are changed in a real file", async () => {
    const random = seeded(8);
    const originals = realDocuments().filter(({ bytes }) => bytes.length < 60_000);
    for (let run = 0; run < 300; run++) {
      const original = originals[run % originals.length];
      const bytes = original?.bytes.slice() ?? good.slice();
      for (let change = 0; change < 1 + (run % 8); change++) {
        bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256);
      }
      const started = process.cpuUsage();
      const result = await readDocument(bytes, "a.docx", () => "en-GB");
      assert.ok("manuscript" in result || result.problem.sentence.length > 20);
      assert.ok(cpuTime(started) < LIMIT_MS, original?.name);
    }
  });
});

function repack(bytes: Uint8Array, files: Record<string, string>): Uint8Array {
  const all = unzipSync(bytes);
  for (const [name, text] of Object.entries(files)) all[name] = strToU8(text);
  return zipSync(all, { level: 6 });
}
